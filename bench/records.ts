/** Measures the records at size, in a real browser: opening, saving, the floor, its search, dragging, export and import. */
import type { Browser, Page } from '@playwright/test';
import type { Line } from './line';
import { newBicycle } from '../src/model/fresh';
import type { Bicycle } from '../src/model/record';

const AT = '2026-11-25T10:00:00.000Z';
const OBSERVATIONS = 300;
const PHOTOS = 60;
const FLOOR = 500;
const CHECKS = ['tyres', 'hub-front', 'headset', 'chain', 'cranks', 'frame'];

function heavyBicycle(): Bicycle {
  const bicycle = newBicycle('heavy', AT, 'Heavy one', { mudguards: true, rack: true });
  const at = (i: number) => new Date(Date.parse(AT) + i * 60_000).toISOString();
  return {
    ...bicycle,
    appraisal: { ...bicycle.appraisal, asking: 14000, resale: { low: 26000, likely: 30000, high: 34000 } },
    observations: Array.from({ length: OBSERVATIONS }, (_, i) => ({
      id: `o${i}`,
      check: CHECKS[i % CHECKS.length]!,
      at: at(i),
      evidence:
        i % 6 === 3 ? { pitches: 24, lengthMm: 305 + (i % 5) } : { feel: 'smooth' as const, play: 'none' as const },
      note: 'looked at again under the lamp',
      seenAs: 'bought' as const,
      withdrawn: false,
    })),
    photos: Array.from({ length: PHOTOS }, (_, i) => ({
      id: `p${i}`,
      step: i % 2 ? 'photo' : 'line',
      place: 'hub.front',
      at: at(i),
    })),
  };
}

export const floorBicycles = () =>
  Array.from({ length: FLOOR }, (_, i) => ({
    ...newBicycle(`b${i}`, new Date(Date.parse(AT) - i * 3_600_000).toISOString(), `Bicycle ${i}`, {
      frame: (['diamond', 'mixte', 'step-through', 'small-wheel', 'long-tail', 'full-suspension'] as const)[i % 6],
    }),
    note: i % 7 === 0 ? 'lugged frame, from the boathouse' : '',
  }));

/** The compiler of this script leaves a helper behind in functions that are sent to the page. */
export const HELPER = 'globalThis.__name = (made) => made';

/** Puts records and photographs where the application keeps them. */
export async function seed(page: Page, address: string, bicycles: Bicycle[], photos: number): Promise<void> {
  await page.goto(`${address}/?workshop=own`);
  await page.getByRole('main').waitFor();
  // The application lets go of its database first.
  await page.goto(`${address}/icon.svg`);
  await page.evaluate(
    async ({ bicycles, photos }) => {
      const database = await new Promise<IDBDatabase>((resolve, reject) => {
        // A store is made when it is first used; the one for photographs may not be there yet.
        const open = indexedDB.open('ergasto-own', 1000);
        open.onupgradeneeded = () => {
          for (const store of ['bicycles', 'photos'])
            if (!open.result.objectStoreNames.contains(store)) open.result.createObjectStore(store);
        };
        open.onsuccess = () => resolve(open.result);
        open.onerror = () => reject(new Error('no database'));
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
      const change = database.transaction(['bicycles', 'photos'], 'readwrite');
      for (const bicycle of bicycles) change.objectStore('bicycles').put(bicycle, bicycle.id);
      for (const [id, blob] of blobs) change.objectStore('photos').put(blob, id);
      await new Promise((resolve) => (change.oncomplete = resolve));
      database.close();
    },
    { bicycles, photos },
  );
}

const ms = (value: number) => `${value.toFixed(0)} ms`;
const middle = (times: number[]) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

/** Time in the page from a click until something answers to a selector, or until it says what is asked. */
function clickUntil(page: Page, click: string, until: string): Promise<number> {
  return page.evaluate(
    ({ click, until }) =>
      new Promise<number>((resolve) => {
        const from = performance.now();
        const look = () =>
          document.querySelector(until) !== null &&
          (watch.disconnect(), requestAnimationFrame(() => resolve(performance.now() - from)));
        const watch = new MutationObserver(look);
        watch.observe(document.body, { subtree: true, childList: true, attributes: true });
        document.querySelector<HTMLElement>(click)!.click();
      }),
    { click, until },
  );
}

async function oneHeavy(browser: Browser, address: string, line: Line): Promise<void> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, acceptDownloads: true });
  await context.addInitScript(HELPER);
  const page = await context.newPage();
  await seed(page, address, [heavyBicycle()], PHOTOS);
  const opens: number[] = [];
  for (let i = 0; i < 5; i++) {
    await page.goto(address, { waitUntil: 'networkidle' });
    await page.locator('a[href*="id=heavy"]').waitFor();
    opens.push(await clickUntil(page, 'a[href*="id=heavy"]', 'svg [data-place="hub.front"]'));
  }
  line(`${OBSERVATIONS} observations, ${PHOTOS} photographs: tap to drawn`, ms(middle(opens)), 'aim under 200 ms');

  await page.goto(`${address}/bike?id=heavy&stage=prove`, { waitUntil: 'networkidle' });
  const saves: number[] = [];
  for (let i = 0; i < 9; i++) {
    saves.push(
      await page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const real = Storage.prototype.removeItem;
            const from = performance.now();
            Storage.prototype.removeItem = function (key) {
              real.call(this, key);
              if (!key.includes(':journal:')) return;
              Storage.prototype.removeItem = real;
              resolve(performance.now() - from);
            };
            document.querySelector<HTMLElement>('button[aria-label^="Passed: "]')!.click();
          }),
      ),
    );
    await page.waitForTimeout(150);
  }
  line('one change of it: tap to written and out of the journal', ms(middle(saves)), 'aim under 50 ms');

  await page.goto(`${address}/bike?id=heavy&stage=strip`, { waitUntil: 'networkidle' });
  await page.goto(`${address}/records`, { waitUntil: 'networkidle' });
  const downloading = page.waitForEvent('download');
  const packed = Date.now();
  await page.getByRole('button', { name: 'Export everything' }).click();
  const file = await (await downloading).path();
  line('export of it, with its photographs', ms(Date.now() - packed), 'aim under 2,000 ms');
  const other = await browser.newContext();
  const empty = await other.newPage();
  await empty.goto(`${address}/?workshop=own`);
  await empty.goto(`${address}/records`, { waitUntil: 'networkidle' });
  const read = Date.now();
  await empty.getByLabel('Choose a file to take in').setInputFiles(file);
  await empty.getByText('1 bicycle new.').waitFor();
  const looked = Date.now();
  await empty.getByRole('button', { name: 'Take it in' }).click();
  await empty.getByText('Taken in.').waitFor();
  line(
    'import of it: read whole and previewed, then taken in',
    `${ms(looked - read)}, ${ms(Date.now() - looked)}`,
    'no aim',
  );
  await other.close();
  await context.close();
}

async function fullFloor(browser: Browser, address: string, line: Line): Promise<void> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  await context.addInitScript(HELPER);
  const page = await context.newPage();
  await seed(page, address, floorBicycles(), 0);
  await page.goto(address, { waitUntil: 'networkidle' });
  await page.waitForTimeout(3000);
  const draws: number[] = [];
  for (let i = 0; i < 5; i++) {
    await page.goto(address, { waitUntil: 'commit' });
    draws.push(
      await page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const look = () => {
              if (document.querySelectorAll('main ul > li svg').length < 6) return requestAnimationFrame(look);
              requestAnimationFrame(() => resolve(performance.now()));
            };
            look();
          }),
      ),
    );
  }
  line(`floor of ${FLOOR} bicycles, address to drawn`, ms(middle(draws)), 'aim under 1,000 ms');
  await page.locator('input[type="search"]').waitFor();
  const strokes: number[] = [];
  for (const letters of ['b', 'bo', 'boa', 'boat', 'boath', 'boathouse 4']) {
    strokes.push(
      await page.evaluate(
        (letters) =>
          new Promise<number>((resolve) => {
            const field = document.querySelector<HTMLInputElement>('input[type="search"]')!;
            const from = performance.now();
            Reflect.set(HTMLInputElement.prototype, 'value', letters, field);
            field.dispatchEvent(new Event('input', { bubbles: true }));
            requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - from)));
          }),
        letters,
      ),
    );
    await page.waitForTimeout(250);
  }
  line(
    'its search, keystroke to painted',
    `${ms(middle(strokes))}, longest ${ms(Math.max(...strokes))}`,
    'aim under 50 ms',
  );

  await page.getByRole('button', { name: 'A bicycle comes in' }).click();
  const slider = page.getByRole('slider', { name: 'Tyre width' });
  await slider.waitFor();
  const box = (await slider.locator('xpath=ancestor::span[contains(@class,"MuiSlider-root")]').boundingBox())!;
  await page.mouse.move(box.x + 4, box.y + box.height / 2);
  await page.mouse.down();
  await page.evaluate(() => {
    const frames: number[] = [];
    (window as unknown as { frames: number[] }).frames = frames;
    let last = performance.now();
    const tick = (now: number) => {
      frames.push(now - last);
      last = now;
      if (frames.length < 600) requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  for (let i = 0; i < 90; i++) await page.mouse.move(box.x + 4 + ((box.width - 8) * i) / 90, box.y + box.height / 2);
  const frames = await page.evaluate(() => (window as unknown as { frames: number[] }).frames.slice(1));
  await page.mouse.up();
  frames.sort((a, b) => a - b);
  line(
    'drawing laid anew while a wheel’s size is dragged, frames',
    `${(1000 / middle(frames)).toFixed(0)} a second, p95 ${ms(frames[Math.floor(frames.length * 0.95)]!)}`,
    'aim 60 a second',
  );
  await context.close();
}

/** Every figure of the records, each beside what it is compared with. */
export async function measureRecords(browser: Browser, address: string, line: Line): Promise<void> {
  await oneHeavy(browser, address, line);
  await fullFloor(browser, address, line);
}
