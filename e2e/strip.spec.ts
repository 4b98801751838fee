import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { complaints, openDemo, read, reload } from './bench';

const done = (page: Page) => page.getByRole('button', { name: 'Done, next step' });
const balls = async (page: Page, what: string, count: number) => {
  const more = page.getByRole('button', { name: `${what}: one more` });
  for (let i = 0; i < count; i++) await more.click();
};
const photograph = async (page: Page) => {
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'end.png', mimeType: 'image/png', buffer: await page.screenshot() });
  await expect(page.getByRole('button', { name: /^Photograph of/ }).first()).toBeVisible();
};
const backIn = (page: Page) => page.getByRole('button', { name: 'It is back in', exact: true });

test('a pedal and a headset: apart with counts and photographs, the browser closed, back in reverse', async ({
  page,
  context,
}) => {
  const heard = complaints(page);
  await openDemo(page);
  await test.step('the left pedal comes apart', async () => {
    await page.goto('/bike?id=green-tourer&stage=strip&tray=pedal.left');
    await expect(page.getByText('Clockwise, left-hand thread')).toBeVisible();
    await expect(page.getByText(/Spanner up: push it to the rear/)).toBeVisible();
    await done(page).click();
    await photograph(page);
    await done(page).click();
    await done(page).click();
    await expect(page.getByText('Anticlockwise, right-hand thread')).toBeVisible();
    await done(page).click();
    await done(page).click();
    await expect(done(page)).toBeDisabled();
    await balls(page, 'out, outer row', 11);
    await done(page).click();
    await photograph(page);
    await done(page).click();
    await balls(page, 'out, inner row, at the crank', 12);
    await expect(page.getByText(/They are usually alike.*What happened/)).toBeVisible();
    await page.getByRole('button', { name: 'One was lost' }).click();
    await done(page).click();
    await done(page).click();
    await expect(page.getByText('All 9 steps, 9 done')).toBeVisible();
  });
  await test.step('the headset comes apart', async () => {
    await page.getByRole('button', { name: 'All trays' }).click();
    await page.getByRole('button', { name: /^Threaded headset, loose balls/ }).click();
    await photograph(page);
    for (let i = 0; i < 2; i++) await done(page).click();
    // The stem is in the way, and it is said; whoever has it out already goes on.
    await expect(page.getByRole('note').filter({ hasText: 'The stem is in the way of the locknut.' })).toBeVisible();
    for (let i = 0; i < 2; i++) await done(page).click();
    await page.getByRole('button', { name: 'Weigh them' }).click();
    await read(page.getByRole('textbox', { name: /All of 5\/32\sin, clean/ }), '6.4');
    await done(page).click();
    await done(page).click();
    await balls(page, 'out, lower', 25);
    await done(page).click();
    await expect(page.getByText('All 7 steps, 7 done')).toBeVisible();
  });

  await page.waitForFunction(() => Object.keys(localStorage).every((key) => !key.includes(':journal:')));
  await page.close();
  const evening = await context.newPage();
  await evening.goto('/?workshop=demo');
  await test.step('the pedal goes back from its other end', async () => {
    await evening.goto('/bike?id=green-tourer&stage=strip&tray=pedal.left');
    await expect(evening.getByRole('checkbox', { name: /^Back in: / })).toHaveAccessibleName('Back in: Spindle, left');
    await backIn(evening).click();
    await expect(evening.getByText(/Balls, left · 12 belong/)).toBeVisible();
    await expect(backIn(evening)).toBeDisabled();
    await balls(evening, 'in, inner row, at the crank', 12);
    await backIn(evening).click();
    // The photograph of the washer is beside the washer.
    await expect(evening.getByText('convex side to the sleeve').first()).toBeVisible();
    await expect(evening.getByRole('button', { name: /^Photograph of .*sleeve and washer/ })).toBeVisible();
    for (let i = 0; i < 2; i++) await backIn(evening).click();
    await balls(evening, 'in, outer row', 10);
    await expect(evening.getByText('10 went in where 11 belong. What happened?')).toBeVisible();
    await balls(evening, 'in, outer row', 1);
    await expect(evening.getByText('What happened?')).toBeHidden();
    for (let i = 0; i < 5; i++) await backIn(evening).click();
    await expect(evening.getByText('All of it is back in.')).toBeVisible();
  });
  await test.step('the headset goes back, and nothing is passed over in silence', async () => {
    await evening.goto('/bike?id=green-tourer&stage=strip&tray=headset');
    await evening.getByText(/^All \d+ parts, 0 back in$/).click();
    const list = evening.getByRole('list', { name: /Put back/ });
    await list.getByRole('checkbox', { name: 'Back in: Headset locknut' }).click();
    await expect(evening.getByRole('alert').filter({ hasText: '5 parts go in before it' })).toBeVisible();
    await evening.getByRole('button', { name: 'Those first' }).click();
    await balls(evening, 'in, lower', 25);
    await backIn(evening).click();
    await backIn(evening).click();
    await balls(evening, 'in, upper', 25);
    for (let i = 0; i < 4; i++) await backIn(evening).click();
    await expect(evening.getByText('All of it is back in.')).toBeVisible();
  });
  expect(heard).toEqual([]);
});

test('a soak goes on while the page is closed, and says so when it is opened too late', async ({ page }) => {
  await page.clock.install();
  await openDemo(page, '/bike?id=ferry-staff-7&stage=clean');
  await page.getByRole('button', { name: 'It is out' }).click();
  await page.getByText('What is on them').click();
  await page
    .getByRole('combobox', { name: 'Soil of Axle nut' })
    .or(page.getByRole('combobox', { name: /Soil of Skewer/ }))
    .click();
  await page.getByRole('option', { name: 'Oil' }).click();
  await page.getByRole('button', { name: /^Start Tank, warm, 10\smin/ }).click();
  await expect(page.getByText(/take out at \d\d:\d\d/).last()).toBeVisible();
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Calendar alarm' }).click();
  const calendar = readFileSync(await (await downloading).path(), 'utf8');
  expect(calendar).toMatch(/BEGIN:VEVENT[\s\S]*BEGIN:VALARM[\s\S]*END:VCALENDAR/);
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await reload(page);
  await expect(page.getByText(/^9:\d\d left/)).toBeVisible();
  await page.clock.fastForward('11:00');
  await expect(page.getByText('Time is up', { exact: true })).toBeVisible();
  await expect(page.getByText(/Now: Rinse hot/)).toBeVisible();
  await page.clock.fastForward('06:00');
  await expect(page.getByText(/Past its longest time/)).toBeVisible();
});

test('a caliper session says what a bottom bracket is, and it goes onto the record', async ({ page }) => {
  await openDemo(page, '/bike?id=green-tourer&stage=strip&tray=bottom-bracket');
  await expect(page.getByRole('heading', { name: 'Bottom bracket, cup and cone' })).toBeVisible();
  await page.keyboard.press('g');
  await read(page.getByRole('textbox', { name: 'Diameter' }), '35.02');
  await expect(page.getByText('Read next:', { exact: false })).toBeVisible();
  await read(page.getByRole('textbox', { name: 'Thread pitch' }), '1');
  await expect(page.getByText(/do not come out alike: identify it before anyone heaves/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Onto Green tourer' })).toBeDisabled();
  await page
    .getByRole('group', { name: 'Hand of the drive-side thread' })
    .getByRole('button', { name: 'Left' })
    .click();
  await expect(page.getByRole('list', { name: 'What it may be' }).getByRole('listitem').first()).toContainText(
    'Swiss thread',
  );
  await read(page.getByRole('textbox', { name: 'Shell width' }), '68.1');
  await page.getByRole('button', { name: 'Onto Green tourer' }).click();
  await page.keyboard.press('Escape');
  // The drive-side cup is no longer unknown.
  for (let i = 0; i < 7; i++) {
    const more = page.getByRole('button', { name: /^out, .*: one more/ });
    if (await done(page).isDisabled()) await more.click();
    await done(page).click();
  }
  if (await done(page).isDisabled()) await page.getByRole('button', { name: /^out, right side: one more/ }).click();
  await done(page).click();
  await expect(page.getByText('Clockwise, left-hand thread')).toBeVisible();
});

test('stock goes out and in as a table; a part of a tray goes into the drawer and is found for a job', async ({
  page,
}) => {
  await openDemo(page, '/bike?id=ferry-staff-7&stage=strip&tray=hub.front');
  await page.getByRole('button', { name: /^Cone, left/ }).click();
  await page.getByRole('button', { name: 'Into stock' }).click();
  await page.getByRole('group', { name: 'State' }).getByRole('button', { name: 'Good' }).click();
  await page.getByRole('textbox', { name: /Size/ }).fill('5/16 in x 26');
  await page.getByRole('button', { name: 'Put it in' }).click();
  await expect(page.getByRole('button', { name: /^Cone, left · went into stock/ })).toBeVisible();
  await page.goto('/stock');
  const list = page.getByRole('table', { name: 'Parts in stock' });
  await expect(list.getByRole('row').filter({ hasText: 'Cone, left' })).toContainText('5/16 in x 26');
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export as CSV' }).click();
  const csv = readFileSync(await (await downloading).path(), 'utf8');
  expect(csv).toContain('5/16 in x 26');
  const changed = csv.replace('5/16 in x 26', '5/16 in x 26 tpi bright');
  const take = (text: string) =>
    page
      .getByLabel('Import a CSV of stock')
      .setInputFiles({ name: 'stock.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await take(changed);
  await expect(list.getByRole('row').filter({ hasText: 'bright' })).toHaveCount(1);
  await take('what,state,quantity\nBell,shiny,1\n');
  await expect(page.getByRole('alert').filter({ hasText: 'Nothing was taken in.' })).toContainText('Row 2: state');
  await take('what,place,state,quantity,cost_minor\nHub cones pair,hub.front,new,2,800\n');
  await expect(list.getByRole('row').filter({ hasText: '2 × Hub cones pair' })).toContainText('€8.00');
  await page.goto('/bike?id=ferry-staff-7&stage=decide');
  const job = page.getByRole('listitem').filter({ hasText: 'Open and overhaul the front hub' }).first();
  await expect(job).toContainText('In the drawer: Hub cones pair');
  await job.getByRole('button', { name: 'Use one' }).first().click();
  await page.goto('/stock');
  await expect(list.getByRole('row').filter({ hasText: 'Hub cones pair' })).toContainText('€4.00');
});
