import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { go, openDemo, placeRow, toStage } from './bench';

const STAGES = ['buy', 'look-over', 'decide', 'strip', 'clean', 'overhaul', 'rebuild', 'prove', 'hand-over'] as const;
const STAFF = '/bike?id=ferry-staff-7&stage=';

/** What a failure does not need is not made: names of the elements in three forms, style sheets read anew. */
const QUICK: Parameters<AxeBuilder['options']>[0] = {
  resultTypes: ['violations'],
  selectors: false,
  preload: false,
  iframes: false,
};

/** The sheet with the whole bicycle on it. */
const DRAWING = 'svg[data-drawing]';

type Look = (view: string) => Promise<void>;

async function everyStage(page: Page, look: Look, phone: boolean): Promise<void> {
  await page.goto('/?workshop=own');
  await expect(page.getByRole('heading', { name: 'The stand is empty' })).toBeVisible();
  await look('empty floor');
  await openDemo(page);
  await look('floor');
  await page.goto(`${STAFF}buy`);
  if (!phone)
    await expect(page.getByRole('list', { name: 'What the signs on the drawing mean' })).toContainText('Unsafe');
  for (const stage of STAGES) {
    await toStage(page, stage);
    await expect(page.getByRole('main').getByRole('heading', { level: 2 }).first()).toBeVisible();
    if (stage === 'look-over') await placeRow(page, 'Chain').click();
    await look(stage);
  }
}

/** The other views that differ in what they are built of, each in the state in which it holds most. */
async function otherViews(page: Page, look: Look): Promise<void> {
  for (const part of ['lead', 'door', 'age']) {
    await go(page, `/bike?id=green-tourer&stage=buy&part=${part}`);
    await expect(page.getByRole('main').getByRole('heading', { level: 2 }).first()).toBeVisible();
    if (part === 'door') await expect(page.getByRole('group', { name: 'Seat post' })).toBeVisible();
    await look(part);
  }
  await go(page, '/bike?id=grey-racer&stage=look-over');
  await expect(page.getByRole('list', { name: 'Likeliest causes' })).toBeVisible();
  await look('complaint');
  await go(page, '/bike?id=harbour-mixte&stage=decide');
  await expect(page.getByText('Estimate: Harbour mixte')).toBeVisible();
  await look('estimate');
  await go(page, `${STAFF}strip&tray=hub.front`);
  await page.getByRole('button', { name: 'It will not move' }).click();
  await page.getByRole('button', { name: 'Yes, it is stuck' }).click();
  await expect(page.getByRole('list', { name: /The ladder/ })).toBeVisible();
  await look('tray');
  for (const place of ['hub.front', 'headset', 'pedal.left']) {
    await go(page, `${STAFF}overhaul&tray=${place}&show=look.measure.set.round.after.next`);
    await expect(page.getByRole('heading', { name: 'Next service' })).toBeVisible();
    await look(`overhaul ${place}`);
  }
  await go(page, '/practice');
  await expect(page.getByRole('button', { name: 'Lock it' })).toBeVisible();
  await look('practice');
  await go(page, '/settings');
  await expect(page.getByRole('heading', { name: 'Money and hours' })).toBeVisible();
  await look('house rules');
  await go(page, `${STAFF}prove`);
  await page.locator('[data-place="crank.left"]').press('Enter');
  await expect(page.getByRole('region', { name: 'Crank arm, left' })).toBeVisible();
  await look('a place');
  await go(page, '/gallery');
  await expect(page.getByRole('heading', { name: 'Signs' })).toBeVisible();
  await look('pieces');
  await go(page, '/bench?id=ferry-staff-7&task=strip');
  await expect(page.getByRole('heading', { level: 2 })).toBeVisible();
  await look('bench');
}

/** Everything that lies over a page: menus, dialogs, the palette, the page of keys, the drawer of gauges. */
async function whatOpens(page: Page, look: Look, phone: boolean): Promise<void> {
  await openDemo(page);
  if (phone) {
    await page.getByRole('button', { name: 'More' }).click();
    await expect(page.getByRole('menuitem', { name: 'Records' })).toBeVisible();
    await look('more');
    await page.keyboard.press('Escape');
  }
  await page.getByRole('button', { name: 'Add a bicycle' }).click();
  await expect(page.getByLabel(/What is it/)).toBeVisible();
  await look('add a bicycle');
  await page.keyboard.press('Escape');
  await page.goto(`${STAFF}strip`);
  await page.getByRole('button', { name: /logged.*correct it/ }).click();
  await expect(page.getByRole('menuitem').first()).toBeVisible();
  await look('the clock');
  await page.keyboard.press('Escape');
  await page.keyboard.press('g');
  await page.getByRole('textbox', { name: 'Diameter' }).fill('35');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'What it may be' })).toBeVisible();
  await look('gauges');
  await page.keyboard.press('Escape');
  await page.goto('/stock');
  await expect(page.getByRole('table', { name: 'Parts in stock' })).toBeVisible();
  await look('stock');
  await page
    .getByRole('button', { name: /Put .*in|Add/ })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await look('a part goes in');
  await page.keyboard.press('Escape');
  await page.goto('/books');
  await expect(page.getByRole('table', { name: 'Finished bicycles' })).toBeVisible();
  await look('books');
  await page.goto('/plan');
  await expect(page.getByRole('group', { name: 'The plan, session by session' })).toBeVisible();
  await look('plan');
  await page.goto('/records');
  await expect(page.getByRole('heading', { name: 'Room in this browser' })).toBeVisible();
  await look('records');
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible();
  await look('keys');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: 'Find anything and go there' })).toBeVisible();
  await look('palette');
}

for (const width of ['laptop', 'phone'] as const)
  test(`no rule of accessibility is broken, light or dark, on a ${width}`, async ({ page }) => {
    test.setTimeout(540_000);
    await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
    if (width === 'phone') await page.setViewportSize({ width: 390, height: 844 });
    const broken = async (rules: AxeBuilder) =>
      (await rules.setLegacyMode().analyze()).violations.map(({ id, nodes }) => [
        id,
        nodes.slice(0, 2).map((node) => node.html.slice(0, 160)),
      ]);
    let drawn = false;
    const look: Look = async (view) => {
      const rules = new AxeBuilder({ page }).options(QUICK);
      // The drawing is the same at every stage, and looked at with the first.
      if (drawn) rules.exclude(DRAWING);
      drawn ||= (await page.locator(DRAWING).count()) > 0;
      const found = await broken(rules);
      // The dark sheet differs in its colours alone.
      await page.emulateMedia({ colorScheme: 'dark' });
      await expect(page.locator('html')).toHaveAttribute('data-dark', '');
      found.push(...(await broken(new AxeBuilder({ page }).options(QUICK).withRules(['color-contrast']))));
      await page.emulateMedia({ colorScheme: 'light' });
      await expect(page.locator('html')).not.toHaveAttribute('data-dark');
      expect.soft([view, found]).toEqual([view, []]);
    };
    await whatOpens(page, look, width === 'phone');
    await everyStage(page, look, width === 'phone');
    await otherViews(page, look);
  });
