import { expect, test, type Page } from '@playwright/test';
import { openDemo, reload } from './bench';

const AT = '/bike?id=green-tourer&stage=rebuild&tray=rim.rear';
const wants = (page: Page) => page.getByRole('status', { name: 'What the wheel wants' });
const round = (page: Page) => page.getByRole('status', { name: 'The round' });
const turn = (page: Page) => page.getByRole('button', { name: /^Turn (\d+ nipples|one nipple)$/ });
const spin = (page: Page) => page.getByRole('button', { name: /^Spin it past the dial gauge/ });
const BEFORE = [/Bearing play out/, /Rim looked at/, /A drop of oil/, /The tightest key/];

async function press(page: Page, name: string | RegExp) {
  const button = page.getByRole('button', { name }).first();
  // What was just ticked is reckoned before it lets go.
  await expect(button).toBeEnabled();
  await button.focus();
  await page.keyboard.press('Enter');
}
async function beforeTheFirst(page: Page) {
  for (const name of BEFORE) {
    await page.getByRole('checkbox', { name }).focus();
    await page.keyboard.press('Space');
  }
}
/** The nipples of a round, one by one, by the space bar alone. */
async function bySpace(page: Page) {
  const count = Number((await round(page).textContent())!.match(/1 of (\d+)/)![1]);
  for (let i = 0; i < count; i++) {
    await expect(round(page)).toContainText(`${i + 1} of ${count}`);
    await expect(page.getByRole('button', { name: /^Turned (?!by)/ })).toBeFocused();
    await page.keyboard.press('Space');
  }
  return count;
}
const sideways = async (page: Page) =>
  Number.parseFloat(
    (await wants(page)
      .getByText(/^\d.*\smm$/)
      .first()
      .textContent())!,
  );

test('a wheel in the stand, by keys: tension first, the round, the third nipple that rounds off, again, true', async ({
  page,
}) => {
  test.slow();
  await openDemo(page, AT);
  await press(page, 'So it is built');
  for (const [where, way] of [
    ['At the valve', 'Swings left'],
    ['Opposite', 'Hops out'],
    ['A quarter on', 'Runs true'],
    ['Three quarters on', 'Runs true'],
  ] as const) {
    await press(page, where);
    await press(page, way);
  }
  await press(page, 'That is how it swings');
  await expect(wants(page)).toContainText('sideways');
  await page.getByText('Nipples that turn by finger').focus();
  await page.keyboard.press('Enter');
  for (const nipple of [5, 6, 20, 21]) await press(page, new RegExp(`^Nipple ${nipple}$`));
  // Of the wobble not a word yet.
  await expect(wants(page)).toContainText('Tension first');
  await expect(wants(page)).toContainText('4 are turned by finger');
  await expect(wants(page)).not.toContainText('sideways');
  await expect(turn(page)).toBeDisabled();
  await beforeTheFirst(page);
  await press(page, /^Turn 4 nipples$/);
  await expect(round(page)).toContainText('tighter');
  await expect(page.getByRole('img', { name: /^Seen from the tyre: the key clockwise/ })).toBeVisible();
  await press(page, 'The hub');
  await expect(page.getByRole('img', { name: /^Seen from the hub: the key anticlockwise/ })).toBeVisible();
  await page.getByRole('button', { name: /^Turned (?!by)/ }).focus();
  await bySpace(page);
  await reload(page);
  await expect(round(page)).toContainText('All 4 are turned');

  await press(page, /^Spin it past/);
  await expect(wants(page)).toContainText('→');
  await expect(wants(page)).not.toContainText('Tension first');
  const before = await sideways(page);
  await press(page, /^Turn \d+ nipples$/);
  const spoilt = page.getByRole('region', { name: 'Spoilt nipples' });
  await press(page, 'It rounds off');
  await expect(spoilt).toContainText('1 of');
  await press(page, 'It rounds off');
  await expect(spoilt).toContainText('2 of');
  await expect(spoilt).not.toContainText('One of these');
  await press(page, 'It rounds off');
  await expect(spoilt).toContainText('One of these');
  await expect(spoilt).toContainText('New nipples all round');
  await expect(spoilt).toContainText('€');
  await press(page, /^Keep: On, one nipple at a time/);
  await page.getByRole('button', { name: /^Turned (?!by)/ }).focus();
  await bySpace(page);
  // Those that were spoilt are renewed, and turn again.
  await page.getByText('Nipples that turn by finger').click();
  await page.getByRole('button', { name: 'Renewed +' }).click();
  for (let i = 0; i < 3; i++)
    await page
      .getByRole('button', { name: /^Nipple \d+, rounded off$/ })
      .first()
      .click();
  await expect(page.getByRole('button', { name: /^Nipple \d+, rounded off$/ })).toHaveCount(0);

  for (let rounds = 0; rounds < 3; rounds++) {
    await press(page, /^Spin it past/);
    await expect(wants(page)).toContainText('sideways');
    expect(await sideways(page)).toBeLessThan(before);
    if (!(await turn(page).isVisible())) break;
    await press(page, /^Turn (\d+ nipples|one nipple)$/);
    await page.getByRole('button', { name: /^Turned (?!by)/ }).focus();
    await bySpace(page);
  }
  await expect(wants(page)).toContainText('True: all that was read lies inside');
  expect(await sideways(page)).toBeLessThanOrEqual(0.5);
  await press(page, 'Note as trued');
  // The sheet knows it, and the look after fifty kilometres is dated.
  await page.goto('/bike?id=green-tourer&stage=hand-over');
  await expect(page.getByText(/Second look by .* or after fifty kilometres: spokes settle/)).toHaveCount(1);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test('spots on the drawn rim and nipples by thumb; nothing is cut off', async ({ page }) => {
    await openDemo(page, AT);
    await page.getByRole('button', { name: 'So it is built' }).tap();
    for (const [spoke, way] of [
      [1, 'Swings left'],
      [13, 'Runs true'],
      [25, 'Swings right'],
    ] as const) {
      await page.locator(`[data-spoke="${spoke}"]`).tap();
      await page.getByRole('button', { name: way }).tap();
    }
    await page.getByRole('button', { name: 'That is how it swings' }).tap();
    await expect(wants(page)).toContainText('2.0');
    for (const name of BEFORE) await page.getByRole('checkbox', { name }).tap();
    await turn(page).tap();
    await page.getByRole('button', { name: /^Turned (?!by)/ }).tap();
    await expect(round(page)).toContainText('2 of');
    const box = (await page.getByRole('button', { name: /^Turned (?!by)/ }).boundingBox())!;
    expect(box.height).toBeGreaterThanOrEqual(64);
    expect(box.y + box.height).toBeLessThanOrEqual(844);
    expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBe(
      0,
    );
  });

  test('a puncture: where to look, its cause before the tube', async ({ page }) => {
    await openDemo(page, '/bike?id=green-tourer&stage=rebuild&tray=tyre.rear');
    await page.getByRole('button', { name: 'It is flat' }).tap();
    await page.getByRole('button', { name: 'Two side by side' }).tap();
    await expect(page.getByRole('status', { name: 'Where to look' })).toContainText('Pinched');
    await expect(page.getByRole('button', { name: 'First the cause, then the tube' })).toBeDisabled();
    await page.getByRole('button', { name: 'Pinched' }).tap();
    await page.getByRole('button', { name: 'Cause seen to, tube in' }).tap();
    await expect(page.getByRole('button', { name: 'It is flat' })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBe(
      0,
    );
  });
});

test('a wheel laced from the valve hole by the space bar, left and taken up again; half laced it is no wheel to ride', async ({
  page,
}) => {
  test.slow();
  await openDemo(page, AT);
  await press(page, 'So it is built');
  await page.getByText('Spokes to buy, and lacing').click();
  await expect(page.getByText(/^19 spokes of \d{3}\smm/)).toBeVisible();
  await page.getByRole('button', { name: 'Lace it anew' }).click();
  const lacing = page.getByRole('status', { name: 'The lacing' });
  const put = page.getByRole('button', { name: 'It is in' });
  for (let i = 0; i < 20; i++) {
    await expect(lacing).toContainText(`${i + 1} of 36`);
    await expect(put).toBeFocused();
    await page.keyboard.press('Space');
  }
  await reload(page);
  await expect(lacing).toContainText('21 of 36');
  await expect(page.getByRole('img', { name: /20 spokes are in/ })).toBeVisible();
  await page.goto('/bike?id=green-tourer&stage=prove');
  await expect(page.getByText(/The rear wheel is being laced: 20 spokes are in/).first()).toBeVisible();
  await page.goto(AT);
  await put.focus();
  for (let i = 20; i < 36; i++) {
    await expect(lacing).toContainText(`${i + 1} of 36`);
    await page.keyboard.press('Space');
  }
  await expect(lacing).toContainText('All 36 are in');
  await page.getByRole('button', { name: 'Into the stand with it' }).click();
  await expect(spin(page)).toBeVisible();
});
