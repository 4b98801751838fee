/** `npm run bench`: each figure beside what it is compared with. Measured on the built application where a page is meant. */
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import { bearingsAdjustCone } from '../src/core/bearings/adjustCone';
import { answer } from '../src/core/calculator';
import { moneyAppraise } from '../src/core/money/appraise';
import { USUAL_COSTS } from '../src/model/fresh';
// @ts-expect-error -- a plain script without types, shared with the demo
import { build, chromium as chromiumPath, serve } from '../scripts/setup.mjs';
import { setHubs } from './hubs';
import { measureRecords } from './records';

const HUBS = 200;
const ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

function line(what: string, measured: string, compared: string): void {
  console.log(`${what.padEnd(58)} ${measured.padStart(22)}   ${compared}`);
}

function median(times: number[]): number {
  return [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;
}

function timed(runs: number, work: () => void): number {
  work();
  return median(
    Array.from({ length: runs }, () => {
      const from = performance.now();
      work();
      return performance.now() - from;
    }),
  );
}

const appraisal = {
  currency: 'EUR',
  asking: 14000,
  resale: { low: 26000, likely: 30000, high: 34000 },
  target: { kind: 'hourly', amount: 1500 },
  costs: USUAL_COSTS.map(({ label, kind, chance, parts, minutes }) => ({ label, kind, chance, parts, minutes })),
};
const trials = (['tight', 'tight', 'loose', 'tick', 'tight', 'tick', 'smooth', 'tick'] as const).map((feel, i) => ({
  turnDeg: i === 0 ? 0 : feel === 'tight' ? -30 : 14,
  feel,
  clamped: i > 4,
}));

line(
  'appraisal, 20,000 trials, Node',
  `${timed(15, () => answer(moneyAppraise, appraisal)).toFixed(0)} ms`,
  'aim under 150 ms',
);
line(
  'cone advice after 8 trials, Node',
  `${timed(15, () => answer(bearingsAdjustCone, { pitchMm: 1, allowanceDeg: 12, trials })).toFixed(0)} ms`,
  'aim under 50 ms',
);

const usual = { dragMeanDeg: 5, dragSdDeg: 4, bandScale: 1, allowanceDeg: 0 };
const truths = {
  'as believed': usual,
  'with a skewer, 12°': { ...usual, allowanceDeg: 12 },
  'drag 9±6': { ...usual, dragMeanDeg: 9, dragSdDeg: 6 },
  'bands a third narrower': { ...usual, bandScale: 2 / 3 },
  'bands a third wider': { ...usual, bandScale: 4 / 3 },
};
// `--page` leaves out what is measured without a browser, which takes a minute.
for (const [name, truth] of process.argv.includes('--page') ? [] : Object.entries(truths)) {
  const show = (run: ReturnType<typeof setHubs>) =>
    `${run.meanTrials.toFixed(2)} trials (p90 ${run.p90Trials}), ${(run.shareRight * 100).toFixed(1)} % right`;
  line(
    `${HUBS} hidden hubs, ${name}`,
    show(setHubs(HUBS, truth, 'adviser')),
    `fixed steps, same stop: ${show(setHubs(HUBS, truth, 'fixed'))}`,
  );
}

await (build as () => Promise<void>)();
const { child, address } = (await (serve as (port: number) => Promise<unknown>)(4737)) as {
  child: { kill(): void };
  address: string;
};
const browser = await chromium.launch({ executablePath: await (chromiumPath as () => Promise<string>)(), args: ARGS });
try {
  const page = await browser.newPage();
  const html = await (await fetch(address)).text();
  // Scripts marked for browsers without modules are never fetched by a present one.
  const named = [...html.matchAll(/<script[^>]*src="([^"]+\.js)"[^>]*>/g)]
    .filter(([tag]) => !/nomodule/i.test(tag))
    .map(([, src]) => src!);
  const sizes = await Promise.all(
    [...new Set(named)].map(
      async (src) => gzipSync(Buffer.from(await (await fetch(address + src)).arrayBuffer())).length,
    ),
  );
  line(
    'first-load JavaScript of the first screen, gzip',
    `${(sizes.reduce((sum, size) => sum + size, 0) / 1000).toFixed(0)} kB`,
    'aim under 300 kB',
  );

  await measureRecords(browser, address, line);

  await page.goto(`${address}/?workshop=demo`, { waitUntil: 'networkidle' });
  await page.addInitScript(() => {
    const seen: number[] = [];
    (window as unknown as { longTasks: number[] }).longTasks = seen;
    new PerformanceObserver((list) => list.getEntries().forEach((entry) => seen.push(entry.duration))).observe({
      type: 'longtask',
      buffered: false,
    });
  });
  await page.goto(`${address}/bike?id=green-tourer&stage=buy`, { waitUntil: 'networkidle' });
  await page.getByText('the most to pay').waitFor();
  const ceiling = page.getByText('the most to pay').locator('xpath=preceding-sibling::*');
  await page.evaluate(() => void ((window as unknown as { longTasks: number[] }).longTasks.length = 0));
  const taps: number[] = [];
  for (let i = 0; i < 11; i++) {
    const before = (await ceiling.textContent())!;
    const chance = page
      .getByRole('group', { name: /How sure is: Tyres cracked/ })
      .getByRole('button', { name: ['No', 'Surely', 'Perhaps', 'Likely', 'Unlikely'][i % 5]!, exact: true });
    const shown = await ceiling.elementHandle();
    taps.push(
      await chance.evaluate(
        (button, { shown: number, before: was }) =>
          new Promise<number>((resolve) => {
            const from = performance.now();
            const watch = new MutationObserver(() => {
              if (number.textContent === was) return;
              watch.disconnect();
              resolve(performance.now() - from);
            });
            watch.observe(number, { subtree: true, childList: true, characterData: true });
            (button as HTMLElement).click();
          }),
        { shown, before },
      ),
    );
    await page.waitForTimeout(200);
  }
  const longest = await page.evaluate(() => Math.max(0, ...(window as unknown as { longTasks: number[] }).longTasks));
  line('tap to new ceiling on the page, worker, median of 11', `${median(taps).toFixed(0)} ms`, 'aim under 150 ms');
  line(
    'longest task on the page meanwhile',
    longest ? `${longest.toFixed(0)} ms` : 'none over 50 ms',
    'aim: none over 50 ms',
  );
} finally {
  await browser.close();
  child.kill();
}
