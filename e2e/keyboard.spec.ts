import { expect, test, type Locator, type Page } from '@playwright/test';
import { complaints, openDemo, placeRow } from './bench';

const MOST_TABS = 400;

/** Presses Tab until the wanted control has the focus; a control that no Tab reaches fails the test. */
async function tabTo(page: Page, wanted: Locator): Promise<void> {
  await expect(wanted).toBeVisible();
  const handle = await wanted.elementHandle();
  for (let presses = 0; presses < MOST_TABS; presses++) {
    if (await page.evaluate((element) => document.activeElement === element, handle)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`no Tab reaches ${String(wanted)}`);
}

async function press(page: Page, wanted: Locator, key = 'Enter'): Promise<void> {
  await tabTo(page, wanted);
  await page.keyboard.press(key);
}

async function type(page: Page, field: Locator, digits: string): Promise<void> {
  await tabTo(page, field);
  await page.keyboard.press('Control+a');
  await page.keyboard.type(digits);
  await page.keyboard.press('Enter');
}

async function stage(page: Page, name: string): Promise<void> {
  await press(page, page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: new RegExp(name) }));
  await expect(page).toHaveURL(new RegExp(`stage=${name.toLowerCase().replace(' ', '-')}$`));
}

test('a second bicycle is added and taken through all nine stages without a mouse', async ({ page }) => {
  test.setTimeout(300_000);
  const heard = complaints(page);
  await openDemo(page);
  const button = (name: string | RegExp) => page.getByRole('button', { name }).first();

  await press(page, button('Add a bicycle'));
  await expect(page.getByLabel(/What is it/)).toBeFocused();
  await page.keyboard.type('Blue shopper with a basket');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Blue shopper with a basket' })).toBeVisible();

  await test.step('Buy', async () => {
    await type(page, page.getByLabel('Asked for it'), '40');
    await type(page, page.getByLabel('May fetch, low'), '120');
    await expect(page.getByLabel('May fetch, likely')).toBeFocused();
    await page.keyboard.type('150\n190\n');
    await expect(page.getByText('your limit', { exact: true })).toBeVisible();
    await expect(page.getByLabel('May fetch, high')).toHaveValue('190');
    await type(page, page.getByLabel('Paid for it'), '35');
  });

  await test.step('Look over', async () => {
    await stage(page, 'Look over');
    await press(page, placeRow(page, 'Handlebar'));
    const open = page.locator('button[aria-expanded="true"]');
    for (const place of ['Handlebar', 'Stem']) {
      await expect(open).toContainText(place);
      await page.keyboard.press('f');
    }
    await expect(open).toContainText('Brake lever, left');
    await page.keyboard.press('x');
    await expect(open).toContainText('Brake lever, right');
    await page.keyboard.press('Enter');
    await expect(open).toContainText('Grip or tape, left');
    await expect(page.getByText('41 of 43 places still to check')).toBeVisible();
    await press(page, placeRow(page, 'Chain'));
    await type(page, page.getByLabel('Length over them'), '309.2');
    await expect(page.getByText(/past 1\.25\s%/).first()).toBeVisible();
  });

  await test.step('Decide', async () => {
    await stage(page, 'Decide');
    await expect(page.getByRole('list', { name: 'Needed' }).getByText('Renew the cogs', { exact: true })).toBeVisible();
    await press(page, button(/Keep all \d/));
    await expect(page.getByText('3 jobs kept').first()).toBeVisible();
  });

  await test.step('Strip', async () => {
    await stage(page, 'Strip');
    await press(page, page.getByText(/^The other \d+/));
    await press(page, button(/^Front hub, cup and cone/));
    const next = button('Done, next step');
    for (let i = 0; i < 5; i++) await press(page, next);
    for (let i = 0; i < 10; i++) await press(page, button('out, left side: one more'), 'Space');
    await press(page, next);
    await expect(page.getByText('All 9 steps, 6 done')).toBeVisible();
    await expect(button(/^Balls, left · 10 counted out/)).toBeVisible();
    await press(page, next);
    for (let i = 0; i < 10; i++) await press(page, button('out, right side: one more'), 'Space');
    await press(page, next);
    await press(page, next);
  });

  await test.step('Clean', async () => {
    await stage(page, 'Clean');
    await press(page, button(/^Start Tank, warm/));
    await page.keyboard.press('Escape');
    await expect(page.getByRole('timer')).toBeVisible();
    await press(page, button('It is out'));
    await expect(page.getByText('Nothing is running.')).toBeVisible();
  });

  await test.step('Overhaul', async () => {
    await stage(page, 'Overhaul');
    await press(page, button(/^Front hub/));
    await press(page, button(/^Balls/));
    await type(page, page.getByLabel('One ball'), '4.76');
    await page.keyboard.type('4.765\n4.755\n');
    await expect(page.getByText('in size', { exact: true })).toBeVisible();
    for (let i = 0; i < 9; i++) await press(page, button('in, left: one more'), 'Space');
    await expect(page.getByText('9 went in where 10 belong. What happened?')).toBeVisible();
    await press(page, button('One was lost'));
    await expect(button('One was lost')).toHaveAttribute('aria-pressed', 'true');
    await press(page, button(/^Set the cone/));
    await press(page, button(/^Tight drags/), 'Space');
    await expect(page.getByText(/1 trial ·/)).toBeVisible();
    await press(page, page.getByRole('button', { name: 'Undo' }).last());
    await expect(page.getByText(/0 trials ·/)).toBeVisible();
  });

  await test.step('Rebuild', async () => {
    await stage(page, 'Rebuild');
    await type(page, page.getByLabel('Torque reading').first(), '20');
    await expect(page.getByText('within its band').first()).toBeVisible();
    await expect(page.getByText(/^1 of \d+ signed/)).toBeVisible();
  });

  await test.step('Prove', async () => {
    await stage(page, 'Prove');
    await press(page, button('Passed: Cables and hoses hold'));
    await expect(button('Passed: Cables and hoses hold')).toHaveAttribute('aria-pressed', 'true');
    await expect(page.getByText('Not ready')).toBeVisible();
  });

  await test.step('Hand over', async () => {
    await stage(page, 'Hand over');
    // One stop for the whole row; the arrows go along it.
    await tabTo(page, page.getByRole('button', { name: 'Going out' }));
    const earned = page.getByRole('button', { name: 'What it earned' });
    for (let i = 0; i < 8 && !(await earned.evaluate((each) => each === document.activeElement)); i++)
      await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Enter');
    await type(page, page.getByLabel('Sold for'), '150');
    await expect(page.getByText('€115', { exact: true }).first()).toBeVisible();
    await tabTo(page, earned);
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Enter');
    await expect(page.locator('#sheet')).toContainText('Not to be ridden until they are closed');
  });

  expect(heard).toEqual([]);
});
