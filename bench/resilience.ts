/** What becomes of the records under ill will: crashes, hostile files, five hundred bicycles, routes that are abused. */
import type { Browser, Page } from '@playwright/test';
import type { Line } from './line';
import { request as ask } from 'node:http';
import { isDeepStrictEqual } from 'node:util';
import { copies } from '../e2e/bench';
import { storm } from '../e2e/storm';
import { unpack } from '../src/store/archive/read';
import { KINDS } from '../tests/hostile';

const STORM = 300;
const FILES = 1000;
const BICYCLES = 500;
const OBSERVATIONS = 300;
const PHOTOS = 60;
const WITHIN_MS = 2000;

async function hostileFiles(line: Line): Promise<void> {
  const times: { ms: number; name: string }[] = [];
  let taken = 0;
  const wrong: string[] = [];
  for (let n = 0; times.length < FILES; n++)
    for (const { name, make, comes } of KINDS) {
      const file = new Blob([make(n) as Uint8Array<ArrayBuffer>]);
      const from = performance.now();
      const read = await unpack(file);
      times.push({ ms: performance.now() - from, name });
      if (read.ok) taken++;
      if (read.ok !== (comes === 'taken')) wrong.push(name);
      if (times.length === FILES) break;
    }
  const worst = times.reduce((a, b) => (b.ms > a.ms ? b : a));
  line(
    `${FILES} hostile files of ${KINDS.length} kinds`,
    `${taken} taken, ${FILES - taken} refused`,
    `${wrong.length} otherwise than they should; longest ${worst.ms.toFixed(0)} ms (${worst.name}), aim ${WITHIN_MS}`,
  );
}

/** Notes the longest time in which the page could not answer. */
async function watchBlocks(page: Page): Promise<void> {
  await page.evaluate(() => {
    const seen: number[] = [];
    (window as unknown as { blocks: number[] }).blocks = seen;
    new PerformanceObserver((list) => list.getEntries().forEach((entry) => seen.push(entry.duration))).observe({
      type: 'longtask',
    });
  });
}
const longestBlock = (page: Page) =>
  page.evaluate(() => Math.max(0, ...(window as unknown as { blocks: number[] }).blocks.splice(0)));
const block = (ms: number) => (ms ? `${ms.toFixed(0)} ms` : 'none over 50 ms');

/** One of the bicycles gets all that a bicycle can have. */
async function makeHeavy(page: Page): Promise<void> {
  await page.evaluate(
    async ({ observations, photos }) => {
      const open = await new Promise<IDBDatabase>((resolve) => {
        // A store is made when it is first used; the one for photographs may not be there yet.
        const asking = indexedDB.open('ergasto-own', 1000);
        asking.onupgradeneeded = () => {
          if (!asking.result.objectStoreNames.contains('photos')) asking.result.createObjectStore('photos');
        };
        asking.onsuccess = () => resolve(asking.result);
      });
      const picture = async (size: number, i: number) => {
        const canvas = new OffscreenCanvas(size, size * 0.75);
        const pen = canvas.getContext('2d')!;
        for (let n = 0; n < 400; n++) {
          pen.fillStyle = `hsl(${(n * 37 + i * 11) % 360} 60% 50%)`;
          pen.fillRect((n * 97) % size, (n * 53) % size, size / 12, size / 16);
        }
        return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.82 });
      };
      const blobs: [string, Blob][] = [];
      for (let i = 0; i < photos; i++)
        blobs.push([`p${i}`, await picture(1600, i)], [`p${i}:small`, await picture(240, i)]);
      const change = open.transaction(['bicycles', 'photos'], 'readwrite');
      const store = change.objectStore('bicycles');
      const asking = store.get('b0');
      asking.onsuccess = () => {
        const stored = asking.result as { bicycle: { observations: unknown[]; photos: unknown[]; createdAt: string } };
        const at = stored.bicycle.createdAt;
        stored.bicycle.observations = Array.from({ length: observations }, (_, i) => ({
          id: `o${i}`,
          check: 'chain',
          at,
          evidence: { pitches: 24, lengthMm: 305 + (i % 5) },
          note: 'looked at again under the lamp',
          seenAs: 'bought',
          withdrawn: false,
        }));
        stored.bicycle.photos = Array.from({ length: photos }, (_, i) => ({
          id: `p${i}`,
          step: 'x',
          place: 'hub.front',
          at,
        }));
        store.put(stored, 'b0');
      };
      for (const [id, blob] of blobs) change.objectStore('photos').put(blob, id);
      await new Promise((resolve) => (change.oncomplete = resolve));
      open.close();
    },
    { observations: OBSERVATIONS, photos: PHOTOS },
  );
}

/** Every record and the size of every photograph. */
function everything(page: Page): Promise<unknown> {
  return page.evaluate(
    () =>
      new Promise<unknown>((resolve) => {
        const asking = indexedDB.open('ergasto-own');
        asking.onsuccess = () => {
          const read = asking.result.transaction(['bicycles', 'photos']);
          const records = read.objectStore('bicycles').getAll();
          const photos = read.objectStore('photos').getAll();
          read.oncomplete = () => {
            asking.result.close();
            const rows = records.result as { bicycle: object }[];
            resolve([rows.map(({ bicycle }) => bicycle), (photos.result as Blob[]).map((blob) => blob.size)]);
          };
        };
      }),
  );
}

async function outAndIn(browser: Browser, address: string, line: Line): Promise<void> {
  const context = await browser.newContext({ baseURL: address, acceptDownloads: true });
  const page = await context.newPage();
  await page.addInitScript('globalThis.__name = (made) => made');
  await copies(page, BICYCLES);
  await makeHeavy(page);
  await page.goto('/records');
  await page.getByRole('button', { name: 'Export everything' }).waitFor();
  await page.waitForTimeout(8000);
  await watchBlocks(page);
  const from = Date.now();
  const downloading = page.waitForEvent('download', { timeout: 300_000 });
  await page.getByRole('button', { name: 'Export everything' }).click();
  const file = await (await downloading).path();
  line(
    `${BICYCLES} bicycles out, one with ${OBSERVATIONS} observations, ${PHOTOS} photographs`,
    `${((Date.now() - from) / 1000).toFixed(1)} s`,
    `longest block of the page ${block(await longestBlock(page))}, aim 100 ms`,
  );
  const before = await everything(page);
  const other = await browser.newContext({ baseURL: address });
  const empty = await other.newPage();
  await empty.addInitScript('globalThis.__name = (made) => made');
  await empty.goto('/?workshop=own');
  await empty.goto('/records');
  await empty.getByLabel('Choose a file to take in').waitFor({ state: 'attached' });
  await empty.waitForTimeout(1500);
  await watchBlocks(empty);
  const reading = Date.now();
  await empty.getByLabel('Choose a file to take in').setInputFiles(file);
  await empty.getByText(`${BICYCLES} bicycles new.`).waitFor({ timeout: 300_000 });
  const readBlock = await longestBlock(empty);
  const taking = Date.now();
  await empty.getByRole('button', { name: 'Take it in' }).click();
  await empty.getByText('Taken in.').waitFor({ timeout: 300_000 });
  const done = Date.now();
  line(
    'and into an empty browser: read whole, taken in',
    `${((taking - reading) / 1000).toFixed(1)} s, ${((done - taking) / 1000).toFixed(1)} s`,
    `longest block ${block(readBlock)}, ${block(await longestBlock(empty))}; ${isDeepStrictEqual(await everything(empty), before) ? 'equal' : 'NOT EQUAL'}`,
  );
  await other.close();
  await context.close();
}

async function stormOfChanges(browser: Browser, address: string, line: Line): Promise<void> {
  const context = await browser.newContext({ baseURL: address });
  const told = await storm(context, address, STORM, 20261127);
  line(
    `${told.acknowledged} acknowledged changes in two tabs`,
    `${told.kills} kills, ${told.undone} taken back`,
    `${told.lost.length} lost, ${told.foreign.length} that nobody entered; aim none`,
  );
  await context.close();
}

function raw(
  port: number,
  path: string,
  headers: Record<string, string>,
  body: Buffer,
  times: number,
): Promise<number> {
  return new Promise((resolve) => {
    const asking = ask({ host: '127.0.0.1', port, path, method: 'POST', headers }, (answer) => {
      answer.resume();
      resolve(answer.statusCode ?? 0);
      asking.destroy();
    });
    asking.on('error', () => resolve(0));
    const send = (left: number) =>
      left === 0 || asking.destroyed ? asking.end() : void asking.write(body, () => send(left - 1));
    send(times);
  });
}

async function abusedRoutes(address: string, memoryMb: () => number, line: Line): Promise<void> {
  const port = Number(new URL(address).port);
  const before = memoryMb();
  let most = before;
  const watching = setInterval(() => (most = Math.max(most, memoryMb())), 50);
  const large = await Promise.all(
    Array.from({ length: 3 }, () => raw(port, '/api/handover', {}, Buffer.alloc(1_000_000), 400)),
  );
  clearInterval(watching);
  line(
    'three bodies of 400 MB at once, their size not told',
    large.join(', '),
    `the server grew by ${(most - before).toFixed(0)} MB; a gigabyte for one before`,
  );
  const json = { 'content-type': 'application/json' };
  const heavy = Buffer.from(
    JSON.stringify({
      currency: 'EUR',
      asking: 1,
      resale: { low: 1, likely: 2, high: 3 },
      target: { kind: 'profit', amount: 1 },
      trials: 200_000,
      costs: Array.from({ length: 40 }, (_, i) => ({
        label: `line ${i}`,
        parts: { low: 1, likely: 50, high: 900 },
        minutes: { low: 1, likely: 50, high: 900 },
      })),
    }),
  );
  let going = true;
  const flood = Promise.all(
    Array.from({ length: 20 }, () => raw(port, '/api/reckon/money.appraise', json, heavy, 1)),
  ).then((statuses) => {
    going = false;
    return statuses;
  });
  const times: number[] = [];
  while (going) {
    const from = performance.now();
    await fetch(address);
    times.push(performance.now() - from);
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  const statuses = await flood;
  const count = (status: number) => statuses.filter((each) => each === status).length;
  line(
    'twenty of the longest questions at once',
    `${count(200)} answered, ${count(503)} late, ${count(429)} sent away`,
    `meanwhile a page took ${[...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!.toFixed(0)} ms, at most ${Math.max(...times).toFixed(0)}; up to 12 s before`,
  );
  const shut = await Promise.all(
    Array.from({ length: 1000 }, (_, i) => raw(port, `/api/handover/W${i}`, {}, Buffer.alloc(0), 0)),
  );
  line(
    'a thousand wrong codes',
    `${shut.filter((status) => status === 404).length} heard, ${shut.filter((status) => status === 429).length} sent away`,
    'ten of one caller a minute',
  );
}

/** Every figure of it, each beside what it is compared with. */
export async function measureResilience(
  browser: Browser,
  address: string,
  memoryMb: () => number,
  line: Line,
): Promise<void> {
  await hostileFiles(line);
  await abusedRoutes(address, memoryMb, line);
  await outAndIn(browser, address, line);
  await stormOfChanges(browser, address, line);
}
