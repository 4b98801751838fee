/** What the pages weigh, how soon the worker answers, what a floor asks, and how long anything keeps the page from answering. */
import type { Browser, Page } from '@playwright/test';
// @ts-expect-error -- a plain script without types, shared with the build
import { pageWeights, weightOf } from '../scripts/weights.mjs';
import { line, median } from './line';
import { madeUpPlan } from '../tests/planInstance';
import { floorBicycles, seed } from './records';

const RUNS = 5;
const STAGES = ['buy', 'look-over', 'decide', 'strip', 'clean', 'overhaul', 'rebuild', 'prove', 'hand-over'];
const BIKE = 'ferry-staff-7';

/** How long a fixed loop takes on the machine that the aims were set on. */
const LOOP_MS = 44;
/** Tells how slow this machine is just now, against that. */
function slowness(): number {
  const times = Array.from({ length: 7 }, () => {
    const from = performance.now();
    let sum = 0;
    for (let i = 0; i < 8_000_000; i++) sum = (sum * 31 + i) % 1_000_003;
    return sum >= 0 ? performance.now() - from : 0;
  });
  return median(times) / LOOP_MS;
}

/** Put into each page: when workers start and first answer, what they are asked, and every task over fifty milliseconds. */
const WATCH = `
  globalThis.__name = (made) => made;
  globalThis.watched = { answers: [], asked: [], tasks: [], workers: [] };
  const Real = Worker;
  globalThis.Worker = class extends Real {
    constructor(...how) {
      super(...how);
      const from = performance.now();
      watched.workers.push(this);
      this.addEventListener('message', () => watched.answers.push(performance.now() - from), { once: true });
    }
    postMessage(message, ...rest) {
      const id = message?.argumentList?.[0]?.value;
      if (typeof id === 'string') watched.asked.push(id);
      return super.postMessage(message, ...rest);
    }
  };
  new PerformanceObserver((list) => list.getEntries().forEach((entry) => watched.tasks.push(entry.duration))).observe({ type: 'longtask', buffered: true });
`;
interface Watched {
  workers: Worker[];
  answers: number[];
  asked: string[];
  tasks: number[];
}
const watched = (page: Page) =>
  page.evaluate(() => {
    const { answers, asked, tasks } = (globalThis as unknown as { watched: Watched }).watched;
    return { answers, asked, tasks };
  });
const longest = async (page: Page) => Math.max(0, ...(await watched(page)).tasks);
const forget = (page: Page) =>
  page.evaluate(() => void ((globalThis as unknown as { watched: Watched }).watched.tasks.length = 0));

async function fresh(browser: Browser) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  await context.addInitScript(WATCH);
  return context;
}

/** Kilobytes of all scripts that the page fetched until what is looked for stood there. */
async function fetchedKb(browser: Browser, address: string, path: string, shown: string): Promise<number> {
  const context = await fresh(browser);
  const first = await context.newPage();
  await first.goto(`${address}/?workshop=demo`);
  await first.locator('main').waitFor();
  await first.close();
  const page = await context.newPage();
  await page.goto(address + path, { waitUntil: 'commit' });
  await page.locator(shown).first().waitFor();
  const scripts = await page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .filter(({ name }) => /_next\/static\/.*\.js/.test(name) && !name.includes('#'))
      .map(({ name }) => name),
  );
  await context.close();
  return [...new Set(scripts)].reduce((sum, src) => sum + (weightOf as (src: string) => number)(src), 0) / 1000;
}

async function weights(browser: Browser, address: string): Promise<void> {
  for (const { path, kb, mostKb } of (pageWeights as () => { path: string; kb: number; mostKb: number }[])())
    line(`first load of ${path}, gzip`, `${kb.toFixed(1)} kB`, `bound ${mostKb} kB`);
  for (const stage of STAGES) {
    const kb = await fetchedKb(browser, address, `/bike?id=${BIKE}&stage=${stage}`, 'main h2');
    line(
      `bicycle at ${stage}, until its view stands`,
      `${kb.toFixed(0)} kB`,
      'no bound: with its records and its view',
    );
  }
}

async function firstAnswer(browser: Browser, address: string): Promise<void> {
  const times: number[] = [];
  for (let i = 0; i < RUNS; i++) {
    const context = await fresh(browser);
    const page = await context.newPage();
    await page.goto(`${address}/practice?workshop=demo`);
    await page.getByRole('button', { name: 'Spin it' }).waitFor();
    times.push((await watched(page)).answers[0]!);
    await context.close();
  }
  line('worker: started to first answer', `${median(times).toFixed(0)} ms`, 'aim under 150 ms');
}

/** Sixty tasks over sixty sessions, asked of the page's own worker while nothing else runs. */
async function planInWorker(browser: Browser, address: string, slow: number): Promise<void> {
  const context = await fresh(browser);
  const page = await context.newPage();
  await page.goto(`${address}/practice?workshop=demo`);
  await page.getByRole('button', { name: 'Spin it' }).waitFor();
  const times: number[] = [];
  for (const seed of [1, 2, 3, 4, 5, 6, 7, 8])
    times.push(
      await page.evaluate(
        (question) =>
          new Promise<number>((resolve) => {
            const worker = (globalThis as unknown as { watched: Watched }).watched.workers[0]!;
            const from = performance.now();
            const id = `bench ${from}`;
            worker.addEventListener('message', ({ data }: MessageEvent<{ id?: string } | null>) => {
              if (data?.id === id) resolve(performance.now() - from);
            });
            const argumentList = ['plan.sessions', question, 'long'].map((value) => ({ type: 'RAW', value }));
            worker.postMessage({ id, type: 'APPLY', path: ['reckon'], argumentList });
          }),
        JSON.parse(JSON.stringify(madeUpPlan(seed, 60, 60))) as object,
      ),
    );
  line(
    'plan of 60 tasks over 60 sessions in the worker, slowest of 8',
    `${(Math.max(...times) / slow).toFixed(0)} ms, median ${(median(times) / slow).toFixed(0)} ms`,
    'aim under 2000 ms',
  );
  await context.close();
}

const counted = (asked: string[]) =>
  [...new Set(asked)].map((id) => `${id} ${asked.filter((each) => each === id).length}`).join(', ');

/** A floor of two dozen, each of which has to be worked out. */
async function asks(browser: Browser, address: string): Promise<void> {
  const context = await fresh(browser);
  const page = await context.newPage();
  const rows = floorBicycles()
    .slice(0, 24)
    .map((bicycle) => ({
      ...bicycle,
      appraisal: { ...bicycle.appraisal, asking: 9000, resale: { low: 9000, likely: 12000, high: 16000 } },
    }));
  await seed(page, address, rows, 0);
  await page.goto(address);
  await page.waitForTimeout(6000);
  line('a floor of 24: questions asked, each once a row', counted((await watched(page)).asked), 'aim 24 of each');
  await context.close();
}

async function search(browser: Browser, address: string, slow: number): Promise<void> {
  const context = await fresh(browser);
  const page = await context.newPage();
  await seed(page, address, floorBicycles(), 0);
  await page.goto(address);
  const field = page.locator('input[type="search"]');
  await field.waitFor();
  await page.waitForTimeout(4000);
  const strokes: number[] = [];
  await field.focus();
  for (const word of ['boathouse', 'mixte 12', 'bicycle 4'])
    for (const letter of [...Array.from(word), ...Array.from(word, () => 'Backspace')]) {
      await forget(page);
      await page.keyboard.press(letter === ' ' ? 'Space' : letter);
      await page.waitForTimeout(60);
      strokes.push(await longest(page));
    }
  line(
    `search on 500: longest task after a keystroke, of ${strokes.length}`,
    `${(Math.max(...strokes) / slow).toFixed(0)} ms, median ${(median(strokes) / slow).toFixed(0)} ms (under 50 is not told)`,
    'aim: none over 50 ms',
  );
  await context.close();
}

/** The longest task while a page loads, and after each of some taps, median of five. */
async function tasks(browser: Browser, address: string, slow: number): Promise<void> {
  const loads: number[] = [];
  const taps: number[] = [];
  for (let i = 0; i < RUNS; i++) {
    const context = await fresh(browser);
    const page = await context.newPage();
    await page.goto(`${address}/?workshop=demo`);
    await page.locator('main ul li').first().waitFor();
    await page.goto(`${address}/bike?id=${BIKE}&stage=look-over`);
    await page.getByRole('heading', { name: 'Front to back' }).waitFor();
    await page.waitForTimeout(3500);
    loads.push(await longest(page));
    let most = 0;
    const after = async (act: () => Promise<unknown>) => {
      await forget(page);
      await act();
      await page.waitForTimeout(500);
      most = Math.max(most, await longest(page));
    };
    for (const stage of ['Strip', 'Overhaul', 'Rebuild', 'Prove', 'Look over'])
      await after(() => page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage }).click());
    await after(() => page.locator('main button[aria-expanded]', { hasText: 'Handlebar' }).click());
    await after(() => page.keyboard.press('f'));
    taps.push(most);
    await context.close();
  }
  const words = (ms: number[]) => {
    const middle = median(ms) / slow;
    return middle < 50 ? 'none over 50 ms' : `${middle.toFixed(0)} ms`;
  };
  line('longest task while a bicycle loads, median of 5', words(loads), 'aim under 100 ms');
  line('longest task after a tap or a key, median of 5', words(taps), 'aim: none over 50 ms');
}

export async function measureSpeed(browser: Browser, address: string): Promise<void> {
  const slow = slowness();
  line(
    'a fixed loop, against the machine of the aims',
    `${slow.toFixed(2)} times as long`,
    'figures below are divided by it',
  );
  await weights(browser, address);
  await firstAnswer(browser, address);
  await planInWorker(browser, address, slow);
  await asks(browser, address);
  await search(browser, address, slow);
  await tasks(browser, address, slow);
}
