import { expect, test } from '@playwright/test';
import { openDemo, placeRow, read, reckoned, reload, toStage } from './bench';

test.describe('a phone at the door, one thumb', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('the seller beside: taps, held figures, a side that may be shown, bought; a locked phone loses nothing', async ({
    page,
  }) => {
    await openDemo(page);
    await page.getByRole('link', { name: /Green tourer/ }).tap();
    const answer = (line: string, said: string) =>
      page.getByRole('group', { name: line, exact: true }).getByRole('button', { name: said }).tap();
    const hold = page.getByRole('button', { name: 'Hold to see the figures' });
    const figures = page.getByText(/^your limit/).locator('xpath=preceding-sibling::*');
    const held = async () => {
      await reckoned(page);
      await hold.scrollIntoViewIfNeeded();
      const box = (await hold.boundingBox())!;
      await page.mouse.move(box.x + 40, box.y + 20);
      await page.mouse.down();
      await expect(figures).toBeVisible();
      const text = (await figures.textContent())!;
      const top = await page
        .getByRole('list', { name: 'What lifts your limit most' })
        .getByRole('listitem')
        .allTextContents();
      await page.mouse.up();
      await expect(figures).toBeHidden();
      return { amount: Number(/€([\d.,]+)/.exec(text)![1]!.replace(',', '')), text, top };
    };
    for (const line of ['Seat post', 'Front hub', 'Tyres', 'Brakes let go']) await answer(line, 'Bad');
    await answer('Shifters', 'Fine');
    const stuck = await held();
    expect(stuck.amount).toBeLessThan(140);
    expect(stuck.text).toMatch(/Haggle|Walk away/);
    expect(stuck.top.join()).toMatch(/Tyres cracked.*Post does not move.*Front hub/);
    // Nothing on the page tells the seller what it may cost.
    await expect(page.getByText(/your limit/)).toHaveCount(0);
    await page.getByRole('button', { name: 'Show the seller' }).tap();
    const side = page.getByRole('dialog', { name: 'What I found' });
    await expect(side).toContainText('Post does not move');
    await expect(side).not.toContainText(String(stuck.amount));
    await side.getByRole('button', { name: 'Back' }).tap();
    await answer('Seat post', 'Fine');
    const moves = await held();
    expect(moves.amount).toBeGreaterThan(stuck.amount);
    await reload(page);
    await expect(
      page.getByRole('group', { name: 'Tyres', exact: true }).getByRole('button', { name: 'Bad' }),
    ).toHaveAttribute('aria-pressed', 'true');
    expect((await held()).amount).toBe(moves.amount);
    await read(page.getByLabel('Paid for it'), '60');
    await expect(page.getByText('Paid / your limit').first()).toBeVisible();
  });

  test('every control of the look-over is large enough for a thumb', async ({ page }) => {
    await openDemo(page, '/bike?id=green-tourer&stage=look-over');
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
  await openDemo(page, '/bike?id=grey-racer&stage=look-over');
  await page.getByRole('button', { name: /^Full/ }).click();
  const check = (name: string) => placeRow(page, name);
  await check('Front brake disc').click();
  await read(page.getByLabel('Disc, on the track', { exact: true }), '1.52');
  await read(page.getByLabel('Stamped minimum'), '1.5');
  await expect(check('Front brake disc')).toContainText('Watch');
  await expect(page.getByText('0.02 mm is left over the minimum of 1.5 mm')).toBeVisible();
  await check('Fork').click();
  await page.getByRole('button', { name: 'Carbon sounds dull' }).click();
  await expect(page.getByText(/is not ridden until a qualified person has looked/).first()).toBeVisible();
  await check('Chain').click();
  await read(page.getByLabel('Length over them'), '306.9');
  await expect(check('Chain')).toContainText('Watch');
  await page.getByText('What it is').click();
  await page.getByRole('combobox', { name: 'Chain' }).click();
  await page.getByRole('option', { name: '11 at the back' }).click();
  await expect(check('Chain')).toContainText('Replace');
  await page.keyboard.press('Escape');
  await expect(page.getByText('42 of 45 places still to check')).toBeVisible();
  await toStage(page, 'prove');
  const open = page.locator('#stands-open');
  await expect(open.getByText('Fork: unsafe as last seen')).toBeVisible();
  await open
    .getByText(/^and \d+ more$/)
    .first()
    .click();
  await expect(open.getByText('Front tyre: not looked at')).toBeVisible();
});

test('hours keep themselves: a long quiet is asked about once, and what counts falls on the stage at hand', async ({
  page,
}) => {
  await openDemo(page);
  await page.clock.install();
  await page.goto('/bike?id=ferry-staff-7&stage=overhaul&tray=hub.front');
  await expect(page.getByRole('button', { name: /logged, the clock runs/ }).first()).toBeVisible();
  await page.clock.runFor('08:00');
  await page.getByRole('heading', { name: 'Front hub' }).click();
  await page.clock.runFor('12:00');
  await expect(page.getByRole('heading', { name: /It has been quiet since/ })).toBeVisible();
  await page.getByRole('button', { name: /^Count until/ }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await toStage(page, 'hand-over');
  await page.getByRole('button', { name: 'What it earned' }).click();
  await page.getByText(/in \d entries/).click();
  await expect(page.getByRole('main')).toContainText(/Open and overhaul the front hub\s*8\smin/);
  await page
    .getByRole('button', { name: /logged/ })
    .first()
    .click();
  await page.getByRole('menuitem', { name: '15 min more on Hand over' }).click();
  await expect(page.getByRole('main')).toContainText(/15\smin\s*Hand over/);
});
