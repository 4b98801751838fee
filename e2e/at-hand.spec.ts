import { expect, test, type Page } from '@playwright/test';
import { openDemo } from './bench';

const HUB = '/bike?id=ferry-staff-7&stage=strip&tray=hub.front';
/** Counts what is set in motion, however short. */
const countMotion = (page: Page) =>
  page.addInitScript(() => {
    const { animate } = Element.prototype;
    Element.prototype.animate = function (this: Element, ...how) {
      document.documentElement.dataset.moved = String(Number(document.documentElement.dataset.moved ?? 0) + 1);
      return animate.apply(this, how);
    };
  });
const moved = (page: Page) => page.evaluate(() => Number(document.documentElement.dataset.moved ?? 0));
const rail = 'In the tray, by the order they came off';

test.describe('the part at hand', () => {
  test('a part that comes off goes to its slot, a slot opens its line, and the bicycle leads back', async ({
    page,
  }) => {
    await page.emulateMedia({ reducedMotion: 'no-preference' });
    await countMotion(page);
    await openDemo(page, HUB);
    const slots = page.getByRole('list', { name: rail }).getByRole('button');
    await expect(slots).toHaveCount(6);
    await expect(slots.nth(2)).toHaveAccessibleName('3. Keyed washer, left: in the bath');
    await expect(page.locator('figcaption b')).toHaveText('Axle with its cone and nuts, right');
    await page.getByRole('button', { name: 'Done, next step' }).click();
    await expect(slots).toHaveCount(7);
    expect(await moved(page)).toBe(1);
    await slots.nth(3).click();
    const line = page.getByRole('button', { name: /^Cone, left/ });
    await expect(line).toHaveAttribute('aria-expanded', 'true');
    await page.getByRole('button', { name: 'Worn', exact: true }).click();
    await expect(slots.nth(3)).toHaveAccessibleName('4. Cone, left: in the tray, worn');
    // Z turns to the whole bicycle and back; the locator leads out of the place.
    await page.keyboard.press('z');
    await expect(page.getByRole('group', { name: /drawn from the drive side/ })).toBeVisible();
    await page.keyboard.press('z');
    await page.getByRole('button', { name: 'Back to the whole bicycle, from front hub' }).click();
    await expect(page.getByRole('heading', { name: 'Under way' })).toBeVisible();
    await expect(page.getByRole('group', { name: /drawn from the drive side/ })).toBeVisible();
  });

  test('who wants no motion sees none', async ({ page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await countMotion(page);
    await openDemo(page, HUB);
    const slots = page.getByRole('list', { name: rail }).getByRole('button');
    await expect(slots).toHaveCount(6);
    await page.getByRole('button', { name: 'Done, next step' }).click();
    await expect(slots).toHaveCount(7);
    expect(await moved(page)).toBe(0);
  });

  test('a place has one thread: a bead leads there, and the last Done offers the next', async ({ page }) => {
    await openDemo(page, HUB);
    const thread = page.getByRole('navigation', { name: 'Front hub, from strip to proof' });
    await expect(thread.getByRole('link')).toHaveText([
      /looked at/,
      /off 6\/9/,
      /soaking till \d\d:\d\d/,
      /inspect/,
      /set/,
      /put back/,
      /tighten/,
      /prove/,
    ]);
    await thread.getByRole('link', { name: /inspect/ }).click();
    await expect(page).toHaveURL(/stage=overhaul&tray=hub\.front/);
    await page.getByRole('button', { name: 'Go on taking it apart' }).click();
    const done = page.getByRole('button', { name: 'Done, next step' });
    await done.click();
    for (let i = 0; i < 10; i++) await page.getByRole('button', { name: 'out, right side: one more' }).click();
    await done.click();
    await done.click();
    await page.getByRole('button', { name: /^Next: soaking till/ }).click();
    await expect(page).toHaveURL(/stage=clean/);
  });

  test('the name is a switch to the other bicycles, each with its next step', async ({ page }) => {
    await openDemo(page, HUB);
    await page.getByRole('button', { name: 'Ferry staff bike 7: other bicycles' }).click();
    const other = page.getByRole('menuitem', { name: /Harbour mixte.*Make the estimate/ });
    await expect(other).toBeVisible();
    await other.click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Harbour mixte');
  });

  test.describe('on a phone', () => {
    test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
    test('one bar at the foot: Back and the one action; the drawing is a strip until more is asked for', async ({
      page,
    }) => {
      await openDemo(page, HUB);
      const action = page.getByRole('button', { name: 'Done, next step' });
      const back = page.getByRole('button', { name: 'Back', exact: true });
      for (const button of [action, back]) {
        const box = (await button.boundingBox())!;
        expect([box.height >= 64, Math.round(box.y + box.height)]).toEqual([true, 844]);
      }
      await expect(page.getByRole('list', { name: rail })).toHaveCount(0);
      await page.getByRole('button', { name: 'Draw it larger' }).tap();
      await expect(page.getByRole('list', { name: rail })).toBeVisible();
      await back.tap();
      await expect(page.getByRole('heading', { name: 'Under way' })).toBeVisible();
    });
  });
});
