import { expect, test } from '@playwright/test';
import { openDemo, reload } from './bench';

const AT = '/bike?id=green-tourer&stage=rebuild&tray=rim.rear';

test('a wheel is spun, turned nipple by nipple by the space bar, and spun again: better', async ({ page }) => {
  test.slow();
  await openDemo(page, AT);
  await page.getByRole('button', { name: 'So it is built' }).click();
  const spin = page.getByRole('button', { name: /^Spin it past the dial gauge/ });
  await spin.click();
  const wants = page.getByRole('status', { name: 'What the wheel wants' });
  await expect(wants).toContainText('→');
  const before = Number.parseFloat((await wants.getByText(/ mm$/).first().textContent())!);
  await page.getByRole('button', { name: /^Turn \d+ nipples?$/ }).click();
  const round = page.getByRole('status', { name: 'The round' });
  const count = Number((await round.textContent())!.match(/1 of (\d+)/)![1]);
  for (let i = 0; i < count; i++) {
    await expect(round).toContainText(`${i + 1} of ${count}`);
    await expect(page.getByRole('button', { name: /^Turned/ })).toBeFocused();
    await page.keyboard.press('Space');
  }
  await expect(round).toContainText(`All ${count} are turned`);
  await reload(page);
  await expect(round).toContainText(`All ${count} are turned`);
  await spin.click();
  const after = async () => Number.parseFloat((await wants.getByText(/ mm$/).first().textContent())!);
  await expect.poll(after).toBeLessThan(before);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test('a nipple is turned by thumb', async ({ page }) => {
    await openDemo(page, AT);
    await page.getByRole('button', { name: 'So it is built' }).tap();
    await page.getByRole('button', { name: /^Spin it past/ }).tap();
    await page.getByRole('button', { name: /^Turn \d+ nipples?$/ }).tap();
    await page.getByRole('button', { name: /^Turned/ }).tap();
    await expect(page.getByRole('status', { name: 'The round' })).toContainText('2 of');
    expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBe(
      0,
    );
  });
});
