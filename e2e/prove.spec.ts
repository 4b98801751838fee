import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { openDemo, reload } from './bench';

const SIGNED = '/bike?id=lantern-commuter&stage=prove';

test('a signed bicycle: its paper, its file read back here, and a change after signing that shows', async ({
  page,
}) => {
  await openDemo(page, SIGNED);
  await expect(page.getByText('Ready, as far as it was signed')).toBeVisible();
  const table = page.getByRole('table', { name: 'Before and after, where it was worked on' });
  await expect(table.getByRole('row', { name: /Front hub/ })).toContainText('gritty, play slight, spun 11 s');
  await expect(table.getByRole('row', { name: /Front hub/ })).toContainText('smooth, play none, spun 52 s');
  await expect(page.getByText(/Signed by/)).toContainText('The mechanic');

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Its file' }).click(),
  ]);
  const text = readFileSync(await download.path(), 'utf8');
  const read = async (name: string, contents: string) => {
    await page.getByRole('button', { name: 'Check a proof file' }).click();
    await page
      .getByLabel('A proof file', { exact: true })
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(contents) });
  };
  const close = () => page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await read('proof.json', text);
  await expect(page.getByText('Its sum agrees: nothing in it was changed.')).toBeVisible();
  await expect(page.getByText('The record of this bicycle says the same.')).toBeVisible();
  await close();
  await read('proof.json', text.replace('Stem expander bolt: 20 N·m', 'Stem expander bolt: 22 N·m'));
  await expect(page.getByText(/Its sum does not agree/)).toBeVisible();
  await close();
  await read('proof.json', '[['.repeat(50_000));
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('no proof');
  await close();

  // The rear tyre goes soft: it is not ready any more, and the signature says that it was signed otherwise.
  const tyres = page.getByRole('listitem').filter({ hasText: 'Tyres seated, pressure' });
  await tyres.getByText(/^Readings, note/).click();
  const rear = tyres.getByRole('group', { name: 'Rear tyre' });
  await rear.getByLabel('Pressure').fill('2');
  await rear.getByLabel('Pressure').press('Enter');
  await expect(page.getByText('Not ready', { exact: true })).toBeVisible();
  await expect(page.getByText(/from what was signed/)).toBeVisible();
  await reload(page);
  await expect(page.getByText('Not ready', { exact: true })).toBeVisible();
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('the ride by one thumb: brakes, gears both ways, what is heard, again after ten minutes', async ({ page }) => {
    await openDemo(page, '/bike?id=slipway-tourer&stage=prove');
    await page.getByRole('link', { name: 'Ride it, one at a time' }).tap();
    await expect(page.getByRole('heading', { name: 'Brakes hold at walking pace, then hard' })).toBeVisible();
    // What is tapped lies in the reach of a thumb: large, and on the screen without scrolling.
    const passed = page.getByRole('button', { name: 'Passed', exact: true });
    const box = (await passed.boundingBox())!;
    expect(box.height).toBeGreaterThan(60);
    expect(box.y + box.height).toBeLessThan(844);
    await page.getByLabel('Speed').fill('22');
    await page.getByLabel('Stopped within').fill('4.1');
    await page.getByLabel('Stopped within').press('Enter');
    await page.getByRole('button', { name: 'Put the stop down' }).tap();
    await expect(page.getByText(/4\.6\sm\/s²/)).toBeVisible();
    await passed.tap();
    await page.getByRole('button', { name: 'Next' }).tap();
    await expect(page.getByRole('heading', { name: 'Chain stays on at both ends' })).toBeVisible();
    await page.getByRole('button', { name: 'All crisp on ring 1' }).tap();
    await page.getByRole('button', { name: /^Ring 1, cog 5, to a smaller cog/ }).tap();
    await expect(page.getByText(/changes tried, 1 not crisp/)).toBeVisible();
    for (const name of ['Next', 'Next', 'Next']) await page.getByRole('button', { name }).tap();
    await expect(page.getByRole('heading', { name: 'No noises' })).toBeVisible();
    await page.getByRole('button', { name: 'It creaks' }).tap();
    await page.getByRole('group', { name: 'Stop pedalling and roll' }).getByRole('button', { name: 'Gone' }).tap();
    await page.getByRole('link', { name: 'Find its cause' }).tap();
    await expect(page).toHaveURL(/stage=look-over/);
    await expect(page.getByRole('list', { name: 'Likeliest causes' })).toBeVisible();
    await expect(page.getByText(/Stop pedalling and roll: Gone/)).toBeVisible();
  });

  test('nothing moves under the thumb when the law answers', async ({ page }) => {
    await openDemo(page, SIGNED);
    const first = page.getByRole('button', { name: 'Passed: Cables and hoses hold' });
    await expect(first).toBeVisible();
    const top = async () => (await first.boundingBox())!.y;
    const before = await top();
    await expect(page.getByText('Ready, as far as it was signed')).toBeVisible();
    expect(Math.abs((await top()) - before)).toBeLessThan(2);
  });
});
