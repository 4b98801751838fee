import { expect, test, type Page } from '@playwright/test';
import { openDemo, reload } from './bench';

const AT = '/bike?id=slipway-tourer&stage=rebuild&tray=derailleur.rear';
const feel = (page: Page, name: string) =>
  page.getByRole('group', { name: 'How it took' }).getByRole('button', { name, exact: true });

/** Feels a round by keys: the key that is wanted is focused once, and the space bar says it again. */
async function round(page: Page, shifts: string[]) {
  for (const shift of shifts) {
    await feel(page, shift).focus();
    await page.keyboard.press('Space');
  }
}

test('it will not reach the larger cogs: the hanger, then half a turn at most, then crisp; by keys', async ({
  page,
}) => {
  await openDemo(page, AT);
  const told = page.getByRole('status', { name: 'What the shifts say' });
  // To larger cogs noisy at the small end, slow further on, failing on the largest; down onto the smallest two slow.
  await round(page, ['Noisy', 'Noisy', 'Crisp', 'Crisp', 'Crisp', 'Slow', 'Slow', 'Fails']);
  await round(page, ['Noisy', 'Noisy', 'Crisp', 'Crisp', 'Crisp', 'Crisp', 'Slow', 'Slow']);
  await expect(told).toContainText('Measure the hanger');
  await expect(page.getByRole('button', { name: /shift through again/ })).toHaveCount(0);
  // It is bent back and measured; indexing begins anew.
  await page.getByRole('button', { name: 'Begin anew' }).click();
  await expect(told).toHaveCount(0);
  await round(
    page,
    Array.from({ length: 8 }, () => 'Slow'),
  );
  await round(
    page,
    Array.from({ length: 8 }, () => 'Crisp'),
  );
  await expect(told).toContainText('turn of the barrel out: more tension, towards the larger cogs');
  await expect(told).not.toContainText(/\bup\b/);
  const turned = page.getByRole('button', { name: 'Turned: shift through again' });
  await turned.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('round 2')).toBeVisible();
  await round(
    page,
    Array.from({ length: 16 }, () => 'Crisp'),
  );
  await expect(told).toContainText('It is set');
  await reload(page);
  await expect(told).toContainText('It is set');
});

test('a lever for ten on nine cogs is said before the cables are bought, from Decide', async ({ page }) => {
  await openDemo(page, '/bike?id=slipway-tourer&stage=decide');
  await page.getByText('Before parts are ordered: will the drive work together?').click();
  const told = page.getByRole('status', { name: 'Will it work together' });
  await expect(told).toContainText('Works together');
  await page.getByLabel('Shifter clicks for').fill('10');
  await page.getByLabel('Shifter clicks for').press('Enter');
  await expect(told).toContainText('Does not work together');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test('slow both ways is friction, by thumb, and the barrel is left', async ({ page }) => {
    await openDemo(page, AT);
    for (let i = 0; i < 16; i++) await feel(page, 'Slow').tap();
    await expect(page.getByRole('status', { name: 'What the shifts say' })).toContainText('Friction');
    expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBe(
      0,
    );
  });

  test('a hidden derailleur is shifted and answered in the practice room', async ({ page }) => {
    await page.goto('/practice');
    await page.getByRole('combobox', { name: 'Level' }).click();
    await page.getByRole('option', { name: /seven cogs/ }).click();
    await page.getByRole('button', { name: 'To a larger cog', exact: true }).tap();
    await page.getByRole('button', { name: 'Barrel a quarter out' }).tap();
    await page.getByRole('button', { name: 'It is friction' }).tap();
    await expect(page.getByRole('status', { name: 'Score' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Another one' })).toBeVisible();
  });
});
