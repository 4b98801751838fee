import { expect, test, type Page } from '@playwright/test';
import Papa from 'papaparse';
import { readFileSync } from 'node:fs';
import { openDemo } from './bench';

const WHEELS = 'Wheels take you more than twice as long, from five.';
const DECIDE = '/bike?id=slipway-tourer&stage=decide&workshop=demo';

/** The limit on Decide, in whole units. */
async function limit(page: Page): Promise<number> {
  const label = page.getByText(/^limit €/).first();
  await expect(label).toBeVisible();
  return Number(/€(\d+)/.exec((await label.textContent()) ?? '')?.[1]);
}

test('what it taught: said in a sentence, asked once, the next limit falls by it and says why, and one tap takes it back', async ({
  page,
}) => {
  test.slow();
  await openDemo(page, DECIDE);
  const before = await limit(page);

  await page.goto('/books?workshop=demo');
  await expect(page.getByText(WHEELS)).toBeVisible();
  await expect(page.getByRole('img', { name: /^How long jobs took/ })).toBeVisible();
  await expect(page.getByText(/“It just needs…”, said of five: it meant wheels/)).toBeVisible();
  await page.getByRole('button', { name: `Use it from now on: ${WHEELS}` }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: `Undo: ${WHEELS}` })).toBeVisible();

  await page.goto(DECIDE);
  const why = page.getByRole('list', { name: 'Learnt from finished bicycles' });
  await expect(why).toContainText(/Wheels: 2\.\d times the estimate, from five\./);
  await expect.poll(() => limit(page)).toBeLessThan(before);
  await why.getByRole('button', { name: /^Undo/ }).click();
  await expect(why).toHaveCount(0);
  await expect.poll(() => limit(page)).toBe(before);
  // It is not asked about a second time.
  await page.goto('/books?workshop=demo');
  await expect(page.getByText('Not used, 1')).toBeVisible();
});

test('a bicycle that is sold stands in the books, and the table adds up to the cent in a foreign reader', async ({
  page,
}) => {
  await openDemo(page, '/bike?id=grey-racer&stage=hand-over');
  await page.getByRole('button', { name: 'What it earned', exact: true }).click();
  const sold = page.getByRole('textbox', { name: /^Sold for/ });
  await sold.fill('290');
  await sold.press('Enter');
  await page.goto('/books?workshop=demo');
  await expect(page.getByRole('table', { name: 'Finished bicycles' })).toContainText('Grey winter racer');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'As a table' }).click(),
  ]);
  const { data, errors } = Papa.parse<Record<string, string>>(readFileSync(await download.path(), 'utf8'), {
    header: true,
    skipEmptyLines: true,
  });
  expect(errors).toEqual([]);
  expect(data).toHaveLength(9);
  for (const row of data) {
    const costs = ['bought', 'parts', 'road', 'fees_tax_comebacks'].map((name) => Number(row[`${name}_minor_EUR`]));
    expect(Number(row.price_minor_EUR) - costs.reduce((sum, each) => sum + each, 0)).toBe(Number(row.earned_minor_EUR));
  }
  const earned = data.reduce((sum, row) => sum + Number(row.earned_minor_EUR), 0) / 100;
  const shown = earned.toLocaleString('en-GB', { minimumFractionDigits: 2 });
  await expect(page.getByText(`€${shown}`, { exact: true }).first()).toBeVisible();
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test('the books by thumb: nothing is cut off, one class alone', async ({ page }) => {
    await openDemo(page, '/books');
    await expect(page.getByText(WHEELS)).toBeVisible();
    const over = () => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect(await over()).toBe(0);
    await page.getByRole('button', { name: 'City', exact: true }).tap();
    await expect(page.getByRole('table', { name: 'Finished bicycles' })).not.toContainText('Pilot tourer');
    expect(await over()).toBe(0);
  });
});
