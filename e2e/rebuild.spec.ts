import { expect, test } from '@playwright/test';
import { openDemo } from './bench';

const REBUILD = '/bike?id=slipway-tourer&stage=rebuild';

test('the way back: what goes on now, what waits and for what, what is only for now', async ({ page }) => {
  await openDemo(page, REBUILD);
  await expect(page.getByRole('heading', { name: 'Goes on now' })).toBeVisible();
  const chain = page.getByRole('main').getByRole('button', { name: /^Chain All/ });
  await expect(chain).toContainText('2 in its tray');
  const cables = page.getByRole('main').getByRole('button', { name: /^Cables and hoses/ });
  await expect(cables).toContainText('the height of the bar is settled');
  await expect(page.getByRole('list', { name: 'What the signs on the drawing mean' })).toContainText('Loose for now');
  await chain.click();
  await expect(page).toHaveURL(/tray=chain/);
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'It is back in' }).click();
  await page.getByRole('button', { name: 'The whole rebuild' }).click();
  await expect(chain).toHaveCount(0);
  // The bar settled and the brake on, cables may be cut.
  await page.getByRole('button', { name: 'Settled', exact: true }).click();
  await page
    .getByRole('main')
    .getByRole('button', { name: /^Cantilever or direct-pull brake, front/ })
    .click();
  for (let i = 0; i < 7; i++) await page.getByRole('button', { name: 'It is back in' }).click();
  await page.getByRole('button', { name: 'The whole rebuild' }).click();
  const on = page
    .getByRole('listitem')
    .filter({ hasText: 'Cables and hoses' })
    .getByRole('button', { name: 'It is on' });
  await on.click();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Tape or grips' })
    .getByRole('button', { name: 'It is on' })
    .click();
  await expect(page.getByText('Everything is on it')).toBeVisible();
});

test('what goes between: planned, confirmed by a tap; grease on carbon is asked about and keeps it in', async ({
  page,
}) => {
  await openDemo(page, `${REBUILD}&tray=seat-post`);
  await expect(page.getByText('Carbon paste', { exact: true })).toBeVisible();
  await expect(page.getByText(/Never grease/)).toBeVisible();
  await page.getByRole('button', { name: 'As planned' }).click();
  await expect(page.getByText('said', { exact: true })).toBeVisible();
  await page.getByLabel('What went in').click();
  await page.getByRole('option', { name: 'Grease', exact: true }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Never grease here' })).toBeVisible();
  await page.goto('/bike?id=slipway-tourer&stage=prove');
  await expect(page.locator('#stands-open').getByText(/Seat post: grease where it is held by friction/)).toBeVisible();
});

test('the torque round by keys: done or checked, found loose, its own figure, and no bolt of 400', async ({ page }) => {
  await openDemo(page, REBUILD);
  const faceplate = page.getByRole('listitem').filter({ hasText: 'Faceplate bolts' });
  const field = faceplate.getByRole('textbox', { name: 'Torque reading' });
  await field.fill('400');
  await field.press('Enter');
  await expect(faceplate.getByText('no bolt here takes that')).toBeVisible();
  await field.fill('5');
  await field.press('Enter');
  await expect(faceplate.getByText(/5\sN·m by wrench, within its band/)).toBeVisible();
  await faceplate.getByRole('button', { name: 'Only checked: Faceplate bolts' }).press('Enter');
  await faceplate.getByRole('button', { name: 'It was loose: Faceplate bolts' }).press('Enter');
  await expect(faceplate.getByText(/checked, was found loose/)).toBeVisible();
  await faceplate.getByText('Its fastener').click();
  await expect(faceplate.getByText(/6\sN·m pull 6\.0\skN dry, 8\.0\skN greased/)).toBeVisible();
  await faceplate.getByRole('textbox', { name: 'to', exact: true }).fill('5.5');
  await faceplate.getByRole('textbox', { name: 'to', exact: true }).press('Enter');
  await expect(faceplate.getByText(/its own figure/)).toBeVisible();
});

test('the wrench clicks at its figure when it is pulled slowly, and past it when it is pulled fast', async ({
  page,
}) => {
  await openDemo(page, '/bench?id=slipway-tourer&task=torque');
  const pull = page.getByRole('button', { name: /^Pull the wrench, set to/ });
  await expect(pull).toBeVisible();
  const box = (await pull.boundingBox())!;
  await page.mouse.move(box.x + 20, box.y + 20);
  await page.mouse.down();
  await page.waitForTimeout(1600);
  await page.mouse.up();
  await expect(page.getByText(/signed: \d+(\.\d)?\sN·m, within/)).toBeVisible();
  await page.getByRole('button', { name: /^Only checked/ }).click();
  await expect(page.getByRole('button', { name: /^Only checked/ })).toHaveAttribute('aria-pressed', 'true');
  await pull.click();
  const set = Number(/set to ([\d.]+)/.exec((await pull.getAttribute('aria-label'))!)![1]);
  const clicked = page.getByText(/Clicked: .*\sN·m, pulled fast/);
  await expect(clicked).toBeVisible();
  expect(Number(/([\d.]+)\sN·m/.exec((await clicked.textContent())!)![1])).toBeGreaterThan(set * 1.1);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test('a place goes back together by thumb', async ({ page }) => {
    await openDemo(page, `${REBUILD}&tray=chain`);
    for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'It is back in' }).tap();
    await page.getByRole('button', { name: 'Loose for now' }).tap();
    await expect(page.getByRole('button', { name: 'Tightened now' })).toBeVisible();
  });
});
