import { expect, test, type Page } from '@playwright/test';
import { openDemo, placeRow } from './bench';

const title = (page: Page, name: string | RegExp) => page.getByRole('heading', { level: 2, name });

test('a job by a foot switch: Space goes on, a count is waited for, a crash loses nothing, and back it goes in reverse', async ({
  page,
  context,
}) => {
  await openDemo(page, '/bench?id=green-tourer&task=strip');
  await expect(title(page, 'Photograph both ends of the axle')).toBeVisible();
  await page
    .locator('#bench-photo')
    .setInputFiles({ name: 'axle.png', mimeType: 'image/png', buffer: await page.screenshot() });
  await expect(page.getByRole('button', { name: /^Photograph of/ })).toBeVisible();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Space');
  await expect(title(page, 'Hold the left cone, undo the left locknut')).toBeVisible();
  await expect(page.getByText('Anticlockwise, right-hand thread')).toBeVisible();
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowRight');
  await expect(title(page, 'Lift the left balls out and count them')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('Count them out first.').first()).toBeVisible();
  await expect(title(page, 'Lift the left balls out and count them')).toBeVisible();
  for (let i = 0; i < 9; i++) await page.keyboard.press('+');
  await page.keyboard.press('-');
  await page.keyboard.press('+');

  // The tab is gone in the middle of it; in the evening the bench opens where it stood.
  await page.close({ runBeforeUnload: false });
  const later = await context.newPage();
  await later.goto('/bench?id=green-tourer');
  await expect(title(later, 'Lift the left balls out and count them')).toBeVisible();
  await expect(later.getByLabel('out, left: how many')).toHaveValue('9');
  await later.keyboard.press('Space');
  await later.keyboard.press('Space');
  for (let i = 0; i < 9; i++) await later.keyboard.press('+');
  await later.keyboard.press('Space');
  await later.keyboard.press('Space');
  await expect(later).toHaveURL(/stage=strip/);

  await later.goto('/bench?id=green-tourer&task=put-back');
  await expect(title(later, 'Put back: hub shell with cups')).toBeVisible();
  await later.keyboard.press('Space');
  await expect(title(later, 'Put back: balls, right')).toBeVisible();
  await expect(later.getByText('9 balls')).toBeVisible();
  await later.keyboard.press('Space');
  await expect(later.getByText('Count them in first.').first()).toBeVisible();
  for (let i = 0; i < 9; i++) await later.keyboard.press('+');
  await later.keyboard.press('Space');
  await expect(title(later, 'Put back: axle with its cone and nuts, right')).toBeVisible();
});

test('a torque round from two metres: the band is large, a reading under it is said while it is typed', async ({
  page,
}) => {
  await openDemo(page, '/bench?id=ferry-staff-7&task=torque');
  await expect(title(page, 'Stem expander bolt')).toBeVisible();
  const size = await page
    .getByText('16 to 24 N·m')
    .evaluate((element) => parseFloat(getComputedStyle(element).fontSize));
  expect(size).toBeGreaterThan(60);
  await page.getByLabel('Torque reading').fill('12');
  await expect(page.getByText('under its band')).toBeVisible();
  await page.getByLabel('Torque reading').fill('20');
  await expect(page.getByText('within its band')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/signed: 20\sN·m/)).toBeVisible();
});

test('the drawing by keyboard: a place is found by letters, gone on from by arrows, and opened', async ({ page }) => {
  await openDemo(page, '/bike?id=ferry-staff-7&stage=prove');
  await expect(page.getByRole('heading', { name: 'May it go out?' })).toBeVisible();
  await page.keyboard.press('/');
  await expect(page.getByRole('combobox', { name: 'Find a place' })).toBeFocused();
  await page.keyboard.type('left ped');
  await expect(page.getByRole('option')).toHaveCount(1);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Pedal, left' })).toBeVisible();
  await expect(page.getByText('Clockwise, left-hand thread')).toBeVisible();
  // Its part fills the sheet; Z brings the whole bicycle back.
  await expect(page.getByRole('img', { name: /^Pedal, two rows on a sleeve, left, cut along its axle/ })).toBeVisible();
  await page.keyboard.press('z');
  const place = page.locator('[data-place="pedal.left"]');
  await place.focus();
  await page.keyboard.press('ArrowRight');
  const focused = await page.evaluate(() => document.activeElement?.getAttribute('data-place'));
  expect(focused).not.toBe('pedal.left');
  expect(focused).toBeTruthy();
  await page.keyboard.press('Enter');
  await page.keyboard.press('n');
  await page.keyboard.type('Bearing rumbles.');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Notes' })).toContainText('Bearing rumbles.');
  await page.getByRole('button', { name: 'Hold to speak a note' }).focus();
  const held = page.keyboard.press('Space', { delay: 1500 });
  await expect(page.getByRole('button', { name: /^Speaking/ })).toBeVisible();
  await held;
  await expect(page.locator('audio')).toHaveCount(1);
  await page.getByRole('button', { name: 'Loose for now' }).click();
  await page.keyboard.press('Escape');
  await page.goto('/bike?id=ferry-staff-7&stage=prove');
  await expect(page.getByText(/together only for now/)).toBeVisible();
});

test('digits that come in with no field open are held and asked about; keys are told and can be quietened', async ({
  page,
}) => {
  await openDemo(page, '/bike?id=grey-racer&stage=look-over');
  await page.getByRole('button', { name: /^Full/ }).click();
  await placeRow(page, 'Chain').click();
  // The made-up caliper of the demonstration types as a real one does, with no field under the focus.
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: 'Find anything and go there' })).toBeFocused();
  await page.keyboard.type('caliper');
  await page.keyboard.press('Enter');
  const caliper = page.getByRole('region', { name: 'Made-up caliper' });
  await caliper.getByRole('combobox').click();
  await page.getByRole('option', { name: 'a worn chain, 24 pitches' }).click();
  await page.getByText('Clamp the stand').click();
  await caliper.getByRole('button', { name: 'Send' }).click();
  await expect(page.getByRole('heading', { name: /^306\.\d\d$/ })).toBeVisible();
  await page.getByRole('dialog').getByRole('button', { name: 'Length over them' }).click();
  await expect(page.getByText(/0\.(68|69|7)\s%/).first()).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/^Taken back: chain 0\.\d\d\s%$/)).toBeVisible();
  await page.locator('body').click({ position: { x: 5, y: 300 } });
  await page.keyboard.press('?');
  await page.getByLabel('Single-letter keys').click();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.keyboard.press('b');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: 'Find anything and go there' })).toBeFocused();
  await page.keyboard.type('bench prove');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/bench\?id=grey-racer&task=prove/);
});
