/** `npm run screenshots`: the pictures under docs/screenshots/, made from the demo data. */
import { mkdirSync } from 'node:fs';
import { build, chromium as chromiumPath, packages, ROOT, serve } from './setup.mjs';

const PORT = 4738;
const LAPTOP = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
const STAFF = '/bike?id=ferry-staff-7&stage=';
const TOURER = '/bike?id=green-tourer&stage=';

const place = (name) => (page) =>
  page
    .locator('button[aria-expanded]')
    .filter({ has: page.getByText(name, { exact: true }) })
    .click();
const openHanger = async (page) => {
  await place('Derailleur hanger')(page);
  for (const [label, gap] of [
    ['Three', '14'],
    ['Six', '12.5'],
    ['Nine', '10'],
    ['Twelve', '11'],
  ]) {
    await page.getByLabel(`${label} o’clock`).fill(gap);
    await page.keyboard.press('Enter');
  }
};
const atTheDoor = async (page) => {
  const bad = (line) =>
    page.getByRole('group', { name: line, exact: true }).getByRole('button', { name: 'Bad' }).click();
  for (const line of ['Seat post', 'Front hub', 'Brakes let go']) await bad(line);
  await page.getByRole('group', { name: 'Shifters' }).getByRole('button', { name: 'Fine' }).click();
  const hold = page.getByRole('button', { name: 'Hold to see the figures' });
  await hold.focus();
  await page.keyboard.down('Space');
};
async function lockAndSpin(page) {
  await page.getByRole('button', { name: 'Open by 12 degrees' }).click();
  await page.getByRole('button', { name: 'Lock it' }).click();
  await page.getByLabel('Say it in words').setChecked(true);
  await page.getByRole('button', { name: 'Rock the rim' }).click();
}

/** The gears on the ride: one ring crisp, one change slow, one that goes over. */
async function rideGears(page) {
  await page.getByRole('link', { name: 'Ride it, one at a time' }).click();
  await page.getByRole('button', { name: /^Step \d+: Shifts well/ }).click();
  await page.getByRole('button', { name: 'All crisp on ring 1' }).click();
  await page.getByRole('button', { name: /^Ring 1, cog 4, to a larger cog/ }).click();
  await page.getByText('1 not crisp').waitFor();
}

const scrollTo = (title) => (page) =>
  page.getByRole('heading', { name: title, exact: true }).evaluate((heading) => heading.scrollIntoView());
const toShifts = scrollTo('Index it by its shifts');

/** The yoke of a cantilever, tried. */
async function yoke(page) {
  await page.getByText('Yoke and arms: force and travel').click();
  await page.getByRole('button', { name: 'Show a usual one to try with' }).click();
  await page.getByRole('status', { name: 'Force and travel' }).waitFor();
  await page.getByText('Yoke and arms: force and travel').evaluate((line) => line.scrollIntoView());
}

/** A made-up wheel, spun, and the first nipple of its round. */
async function inTheStand(page) {
  await page.getByRole('button', { name: 'So it is built' }).click();
  await page.getByRole('button', { name: /^Spin it past/ }).click();
  for (const name of [/Bearing play out/, /Rim looked at/, /A drop of oil/, /The tightest key/])
    await page.getByRole('checkbox', { name }).click();
  await page.getByRole('button', { name: /^Turn \d+ nipples/ }).click();
  await page.getByRole('button', { name: /^Turned/ }).click();
  await scrollTo('The wheel in the stand')(page);
}

/** The listing as the record has it. */
async function theListing(page) {
  await page.getByRole('button', { name: 'Listing', exact: true }).click();
  await page.getByRole('textbox', { name: 'Whom it fits' }).waitFor();
}

/** The plan once it is laid out and promised. */
async function thePlan(page) {
  await page.getByRole('group', { name: 'The plan, session by session' }).waitFor();
  await page
    .getByText(/^planned for/)
    .first()
    .waitFor();
  await page.waitForTimeout(2500);
}

/** The rows have their limits, and the day its plan. */
async function theFloor(page) {
  await page.getByText(/^Next/).first().waitFor();
  await page.getByText('Ready, as far as it was signed').first().waitFor();
  await page.waitForTimeout(1000);
}

const SHOTS = [
  { name: 'floor', path: '/', act: theFloor },
  { name: 'buy', path: `${TOURER}buy` },
  { name: 'look-over', path: `${TOURER}look-over`, act: openHanger },
  { name: 'decide', path: `${STAFF}decide` },
  { name: 'books', path: '/books' },
  { name: 'plan', path: '/plan', act: thePlan },
  { name: 'clean-dark', path: `${STAFF}clean`, scheme: 'dark' },
  { name: 'overhaul', path: `${STAFF}overhaul&tray=hub.front` },
  { name: 'practice', path: '/practice', act: lockAndSpin },
  { name: 'rebuild', path: '/bike?id=slipway-tourer&stage=rebuild' },
  { name: 'prove-dark', path: '/bike?id=lantern-commuter&stage=prove', scheme: 'dark' },
  { name: 'hand-over', path: '/bike?id=lantern-commuter&stage=hand-over', act: theListing },
  { name: 'wheel', path: `${TOURER}rebuild&tray=rim.rear`, act: inTheStand },
  { name: 'bench', path: '/bench?id=ferry-staff-7&task=strip' },
  { name: 'brakes', path: '/bike?id=slipway-tourer&stage=rebuild&tray=brake.rear', act: yoke },
  { name: 'drive', path: '/bike?id=grey-racer&stage=rebuild&tray=derailleur.rear', act: toShifts },
  { name: 'floor-phone', path: '/', size: PHONE, act: theFloor },
  { name: 'door-phone', path: `${TOURER}buy`, size: PHONE, act: atTheDoor },
  { name: 'ride-phone', path: '/bike?id=slipway-tourer&stage=prove', size: PHONE, act: rideGears },
];

await packages();
const executablePath = await chromiumPath();
await build();
const { chromium } = await import('@playwright/test');
const { child, address } = await serve(PORT);
mkdirSync(`${ROOT}/docs/screenshots`, { recursive: true });
const browser = await chromium.launch({
  executablePath,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
try {
  for (const { name, path, act, size = LAPTOP, scheme = 'light' } of SHOTS) {
    const context = await browser.newContext({ viewport: size, colorScheme: scheme, reducedMotion: 'reduce' });
    const page = await context.newPage();
    await page.goto(`${address}/?workshop=demo`);
    await page.getByRole('heading', { name: 'On the floor' }).waitFor();
    await page.goto(address + path);
    await page.getByRole('main').waitFor();
    await page.waitForTimeout(1200);
    // A slow machine is still at the figures.
    await page
      .getByRole('group', { name: 'Title block' })
      .filter({ hasText: '…' })
      .first()
      .waitFor({ state: 'detached', timeout: 8000 })
      .catch(() => undefined);
    await act?.(page);
    await page.waitForTimeout(500);
    await page.screenshot({ path: `${ROOT}/docs/screenshots/${name}.png` });
    console.log(name);
    await context.close();
  }
} finally {
  await browser.close();
  child.kill();
}
