/** `npm run bench`: each figure beside what it is compared with; `-- --only <part>` for one part, `-- --page` for the browser's. */
import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
// @ts-expect-error -- a plain script without types, shared with the demo
import { build, chromium as chromiumPath, serve } from '../scripts/setup.mjs';
import { measureBooks } from './books';
import { measureCalculators, measureDiagnosis, measureHubs } from './core';
import { measureDerailleurs } from './derailleurs';
import { line } from './line';
import { measurePlan } from './plan';
import { measurePage } from './page';
import { measureProperties } from './properties';
import { measureRecords } from './records';
import { measureResilience } from './resilience';
import { measureShare, measureShareInPage } from './share';
import { measureSpeed } from './speed';
import { measureWheels } from './wheels';

const ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

const WITHOUT_BROWSER = {
  calculators: measureCalculators,
  hubs: measureHubs,
  derailleurs: measureDerailleurs,
  wheels: measureWheels,
  books: measureBooks,
  plan: measurePlan,
  diagnosis: measureDiagnosis,
  properties: measureProperties,
  share: measureShare,
};
const IN_BROWSER = ['page', 'speed', 'records', 'resilience', 'folder'] as const;

const at = process.argv.indexOf('--only');
const only = at < 0 ? null : process.argv[at + 1];
const known = [...Object.keys(WITHOUT_BROWSER), ...IN_BROWSER];
if (only !== null && !known.includes(only ?? '')) throw new Error(`--only takes one of ${known.join(', ')}`);
const withoutBrowser = !process.argv.includes('--page');
for (const [part, measure] of Object.entries(WITHOUT_BROWSER))
  if (only === null ? withoutBrowser : only === part) await measure();

if (only === null || IN_BROWSER.some((part) => part === only)) {
  await (build as () => Promise<void>)();
  const { child, address } = (await (serve as (port: number) => Promise<unknown>)(4737)) as {
    child: { pid: number; kill(): void };
    address: string;
  };
  const memoryMb = () =>
    Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'))?.[1] ?? 0) / 1000;
  const browser = await chromium.launch({
    executablePath: await (chromiumPath as () => Promise<string>)(),
    args: ARGS,
  });
  try {
    if (only === null || only === 'page') await measurePage(browser, address);
    if (only === null || only === 'speed') await measureSpeed(browser, address);
    if (only === null || only === 'records') await measureRecords(browser, address, line);
    if (only === null || only === 'folder') await measureShareInPage(browser);
    if (only === null || only === 'resilience') await measureResilience(browser, address, memoryMb, line);
  } finally {
    await browser.close();
    child.kill();
  }
}
