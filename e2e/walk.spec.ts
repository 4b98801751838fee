import { expect, test } from '@playwright/test';
import { openDemo, read, toStage } from './bench';

test.describe('a phone at the door, one thumb', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('every tap moves the ceiling, and a locked phone loses nothing', async ({ page }) => {
    await openDemo(page);
    await page.getByRole('link', { name: /Green tourer/ }).tap();
    const ceiling = page.getByText('the most to pay').locator('xpath=preceding-sibling::*');
    const amount = async () => Number((await ceiling.textContent())!.replace(/[^\d.]/g, ''));
    const say = async (fault: RegExp, chance: string) => {
      const before = await ceiling.textContent();
      await page.getByRole('group', { name: fault }).getByRole('button', { name: chance, exact: true }).tap();
      await expect(ceiling).not.toHaveText(before!);
    };
    await say(/seized/, 'Surely');
    await say(/Hubs rough/, 'Surely');
    await say(/Tyres cracked/, 'Surely');
    expect(await amount()).toBeLessThan(140);
    await expect(page.getByText(/^(Haggle|Walk away)$/)).toBeVisible();
    await expect(page.getByText(/weighs most: without it/)).toBeVisible();
    const stuck = await amount();
    await say(/seized/, 'No');
    expect(await amount()).toBeGreaterThan(stuck);
    const left = await ceiling.textContent();
    await page.reload();
    await expect(ceiling).toHaveText(left!);
  });

  test('every control of the look-over is large enough for a thumb', async ({ page }) => {
    await openDemo(page);
    await page.goto('/bike?id=grey-racer&stage=look-over');
    await page.locator('button[aria-expanded]').filter({ hasText: 'Front hub' }).tap();
    const small = await page
      .getByRole('main')
      .locator('button:visible, input:visible')
      .evaluateAll(
        (controls) =>
          controls.map((control) => control.getBoundingClientRect()).filter((box) => box.height < 40 || box.width < 40)
            .length,
      );
    expect(small).toBe(0);
  });
});

test('ten minutes at the stand: readings, verdicts and what was skipped', async ({ page }) => {
  await openDemo(page);
  await page.goto('/bike?id=grey-racer&stage=look-over');
  const check = (name: string) => page.locator('button[aria-expanded]').filter({ hasText: name });
  await check('Braking surface').click();
  await read(page.getByLabel('Disc, on the track', { exact: true }), '1.52');
  await read(page.getByLabel('Stamped minimum'), '1.5');
  await expect(check('Braking surface')).toContainText('Watch');
  await expect(page.getByText('0.02 mm is left over the minimum of 1.5 mm')).toBeVisible();
  await check('Frame and fork').click();
  await page.getByRole('button', { name: 'Carbon sounds dull' }).click();
  await expect(page.getByText(/is not ridden until a qualified person has looked/)).toBeVisible();
  await check('Chain').click();
  await read(page.getByLabel('Length over them'), '306.9');
  await expect(check('Chain')).toContainText('Watch');
  await page.getByText('What it is').click();
  await page.getByRole('combobox', { name: 'Chain' }).click();
  await page.getByRole('option', { name: '11 at the back' }).click();
  await expect(check('Chain')).toContainText('Replace');
  await expect(page.getByText('9 not looked at, which is not fine')).toBeVisible();
  await toStage(page, 'prove');
  await expect(page.getByText('Frame and fork: unsafe as last seen')).toBeVisible();
  await page.getByText(/more to ask about/).click();
  await expect(page.getByText('Tyres: not looked at')).toBeVisible();
});

test('hours keep themselves: a long quiet is asked about once, and what counts falls on the stage at hand', async ({
  page,
}) => {
  await openDemo(page);
  await page.clock.install();
  await page.goto('/bike?id=ferry-staff-7&stage=overhaul');
  await expect(page.getByRole('button', { name: /put down, the clock runs/ }).first()).toBeVisible();
  await page.clock.runFor('08:00');
  await page.getByRole('heading', { name: 'Set the cone' }).click();
  await page.clock.runFor('12:00');
  await expect(page.getByRole('heading', { name: /It has been quiet since/ })).toBeVisible();
  await page.getByRole('button', { name: /^Count until/ }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await toStage(page, 'hand-over');
  await page.getByText(/in \d entries/).click();
  await expect(page.getByRole('main')).toContainText(/8 min\s*Overhaul/);
  await page
    .getByRole('button', { name: /put down/ })
    .first()
    .click();
  await page.getByRole('menuitem', { name: '15 min more on Hand over' }).click();
  await expect(page.getByRole('main')).toContainText(/15 min\s*Hand over/);
});
