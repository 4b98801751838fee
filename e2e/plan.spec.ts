import { expect, test, type Page } from '@playwright/test';
import ICAL from 'ical.js';
import { readFileSync } from 'node:fs';
import { made, openDemo, reckoned, seeded } from './bench';

const now = (page: Page) => page.getByRole('list', { name: 'What to do now' });
const promises = (page: Page) => page.getByRole('list', { name: 'Promises' });
const moved = (page: Page) => page.getByRole('status', { name: 'What moved' });
const block = (page: Page, name: RegExp) =>
  page.getByRole('group', { name: 'The plan, session by session' }).getByRole('button', { name }).first();

async function openPlan(page: Page): Promise<void> {
  await openDemo(page, '/plan');
  await expect(promises(page)).toContainText(/\d\d:\d\d/);
  await expect(block(page, /^The ride/)).toBeVisible();
}

test('two who work here have sessions of their own: both are planned at once, each block says whose hands, and Now is mine alone', async ({
  page,
}) => {
  await openDemo(page, '/settings');
  await page.getByLabel('One more').fill('Ada');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Take out Ada' })).toBeVisible();
  // By the link: a page that is left at once may not have written her down yet.
  await page.getByRole('link', { name: /^Plan/ }).click();
  await expect(block(page, /^The ride/)).toBeVisible();
  await page.getByRole('group', { name: 'Who' }).getByRole('button', { name: 'Ada' }).click();
  for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']) {
    await page.getByRole('group', { name: 'Every' }).getByRole('button', { name: day }).click();
    await page.getByRole('button', { name: 'Add to the week' }).click();
    await expect(page.getByText(`Ada, every ${day}, 18:30 to 20:30`)).toBeVisible();
  }
  await reckoned(page);
  await expect(block(page, /, Ada$/)).toBeVisible();
  await expect(block(page, /, The mechanic$/)).toBeVisible();
  await expect(page.getByText(/no longer planned/)).toHaveCount(0);
  await page.getByText('Show the working').first().click();
  await expect(page.getByText(/2 pairs of hands/).first()).toBeVisible();
});

test('forty minutes, what is left alone and why, and a cancelled evening moves the promise before one’s eyes; by keys', async ({
  page,
}) => {
  test.slow();
  await openPlan(page);
  expect(await now(page).getByRole('listitem').count()).toBeLessThanOrEqual(3);
  await expect(page.getByRole('list', { name: 'Left alone for now' })).toContainText('Not now:');
  const dial = page.getByRole('slider', { name: 'How long have you' });
  await dial.focus();
  await page.keyboard.press('Home');
  await expect(page.getByText('10 min', { exact: true })).toBeVisible();
  await expect(page.getByText(/it cannot be closed in 10\smin/).first()).toBeVisible();
  await page.keyboard.press('End');
  await expect(page.getByText('4 h', { exact: true })).toBeVisible();

  await page.keyboard.press('Home');
  await reckoned(page);
  await page
    .getByRole('button', { name: /^Cancel: / })
    .first()
    .focus();
  await page.keyboard.press('Enter');
  await expect(moved(page)).toContainText(/moves from|is no longer planned/);
  await page.getByRole('button', { name: /^It takes place after all/ }).click();

  // A task is put a session later by its arrow, and let go of again.
  const ride = block(page, /^The ride/);
  const before = await ride.getAttribute('aria-label');
  await ride.focus();
  await page.keyboard.press('ArrowRight');
  await expect(block(page, /^The ride.*pinned/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'The task chosen' })).toContainText('The ride');
  expect(await block(page, /^The ride.*pinned/).getAttribute('aria-label')).not.toBe(before);
  await page.getByRole('button', { name: 'Let the plan decide' }).click();
  await expect(block(page, /^The ride.*pinned/)).toHaveCount(0);
});

test('a task is drawn to another session and stays there; the plan goes out and a calendar comes in', async ({
  page,
}) => {
  test.slow();
  await openPlan(page);
  const ride = block(page, /^The ride/);
  // A better plan on the way moves it away under the pointer.
  await reckoned(page);
  await ride.scrollIntoViewIfNeeded();
  const lay = await ride.getAttribute('aria-label');
  const box = (await ride.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 260, box.y + box.height / 2, { steps: 8 });
  await page.mouse.up();
  const pinned = block(page, /^The ride.*pinned/);
  await expect(pinned).toBeVisible();
  // It lies where it was tried last until the plan is made anew.
  await expect(pinned).not.toHaveAttribute('aria-label', `${lay}, pinned`);
  let label = '';
  await expect(async () => {
    label = (await pinned.getAttribute('aria-label'))!;
    await page.waitForTimeout(2500);
    await expect(pinned).toHaveAttribute('aria-label', label, { timeout: 100 });
  }).toPass();
  await reckoned(page);
  await page.waitForFunction(() => Object.keys(localStorage).every((key) => !key.includes(':journal:')));
  await page.reload();
  await reckoned(page);
  await expect(pinned).toHaveAttribute('aria-label', label);

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'For the calendar' }).click(),
  ]);
  const calendar = new ICAL.Component(ICAL.parse(readFileSync(await download.path(), 'utf8')) as unknown[]);
  const titles = calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each).summary);
  expect(titles.some((title) => title.endsWith('The ride'))).toBe(true);

  const day = new Date(Date.now() + 3 * 86_400_000).toISOString().slice(0, 10).replaceAll('-', '');
  const entry = `BEGIN:VEVENT\r\nUID:x\r\nSUMMARY:Choir\r\nDTSTART:${day}T000000Z\r\nDTEND:${day}T235900Z\r\nEND:VEVENT`;
  const choose = (name: string, text: string) =>
    page.locator('input[type="file"]').setInputFiles({ name, mimeType: 'text/calendar', buffer: Buffer.from(text) });
  await choose('choir.ics', `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//t//EN\r\n${entry}\r\nEND:VCALENDAR`);
  await expect(page.getByText('1 time is taken.')).toBeVisible();
  await choose('list.ics', 'milk, eggs');
  await expect(page.getByText(/This is no calendar file/)).toBeVisible();
});

test('the vinegar only because somebody is there in the morning to lift it out; else penetrant; by keys', async ({
  page,
}) => {
  test.slow();
  const evening = new Date(2026, 11, 2, 20, 30);
  await page.clock.setFixedTime(evening);
  await seeded(page, made('rusty', evening.toISOString()));
  await page.goto('/plan?workshop=own');
  const add = async (date: string, from: string, to: string) => {
    await page.getByLabel('Or on one day').fill(date);
    await page.getByLabel('From').fill(from);
    await page.getByLabel('To', { exact: true }).fill(to);
    await page.getByRole('button', { name: 'Add that day' }).press('Enter');
  };
  // Saturday only: nobody lifts out in time what goes in tonight.
  await add('2026-12-05', '09:00', '13:00');
  await expect(now(page)).toContainText('Penetrant, since nobody is here to lift it out of vinegar');
  await expect(block(page, /^Wipe off the penetrant.*Sat 5 Dec/)).toBeVisible();
  // Somebody is there at seven.
  await add('2026-12-03', '07:00', '07:30');
  await expect(now(page)).toContainText('Into the vinegar: one part');
  await expect(block(page, /^Lift out of the vinegar.*Thu 3 Dec, 07:00/)).toBeVisible();
  await expect(now(page).getByRole('listitem').first()).toContainText('Into the vinegar');
  await page.getByRole('button', { name: 'Cancel: Thu 3 Dec' }).press('Enter');
  await expect(now(page)).toContainText('Penetrant');
  await expect(moved(page)).toContainText(/Slip mixte/);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test('what now, by thumb: a job is begun with its clock, another is put off; nothing is cut off', async ({
    page,
  }) => {
    await openPlan(page);
    const over = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect(over).toBe(0);
    await block(page, /^The ride/).tap();
    await page.getByRole('button', { name: 'A session later' }).tap();
    await expect(page.getByRole('button', { name: 'Let the plan decide' })).toBeVisible();
    await now(page)
      .getByRole('button', { name: /^Start/ })
      .first()
      .tap();
    await expect(page).toHaveURL(/\/(bike|bench)\?id=/);
    await expect(page.getByRole('main')).toBeVisible();
  });
});
