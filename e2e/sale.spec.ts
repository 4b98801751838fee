import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { strFromU8, unzipSync } from 'fflate';
import { openDemo, read } from './bench';

const AT = '/bike?id=lantern-commuter&stage=hand-over';
const view = (page: Page, name: string) => page.getByRole('button', { name, exact: true });

async function saved(page: Page, name: string): Promise<Buffer> {
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name }).click()]);
  return readFileSync(await download.path());
}

/** The text of a PDF, as a foreign reader has it. */
async function pdfText(file: Buffer): Promise<string> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const document = await getDocument({ data: new Uint8Array(file) }).promise;
  const pages: string[] = [];
  for (let i = 1; i <= document.numPages; i++) {
    const content = await (await document.getPage(i)).getTextContent();
    pages.push(content.items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  return pages.join('\n');
}

test('a bicycle is sold by what can be shown: listing, price, folder, sheet, passport; by keys', async ({ page }) => {
  test.slow();
  await openDemo(page, AT);
  await view(page, 'Listing').focus();
  await page.keyboard.press('Enter');
  const what = page.getByRole('textbox', { name: 'What it is' });
  await expect(what).toHaveValue(/^Steel bicycle with/);
  await expect(page.getByText('What was done: no job is finished.')).toBeVisible();
  await what.fill('A steel commuter that is like new.');
  await page.keyboard.press('Tab');
  await expect(page.getByText('a seller may not say “like new”')).toBeVisible();
  await what.fill('A steel commuter, gone through from end to end.');
  await page.keyboard.press('Tab');
  await expect(page.getByText('Your own words.')).toBeVisible();

  await view(page, 'Price').focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Ask €/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Asked', exact: true })).toBeVisible();
  await read(page.getByLabel('An offer of'), '240');
  await expect(page.getByRole('list', { name: 'Offers' })).toContainText('€240');

  await view(page, 'Listing').click();
  await expect(page.getByRole('textbox', { name: 'Price' })).toHaveValue(/^€\d/);
  const files = unzipSync(new Uint8Array(await saved(page, 'With its photographs')));
  const markdown = strFromU8(files['listing.md']!);
  expect(markdown).toContain('# Lantern commuter');
  expect(markdown).toContain('gone through from end to end');
  expect(markdown).not.toMatch(/\bsafe\b|like new/i);
  expect(strFromU8(files['listing.html']!)).toContain('<!doctype html>');

  await view(page, 'Its sheet').click();
  await expect(page.locator('#sheet')).toBeVisible();
  const text = await pdfText(await saved(page, 'As PDF'));
  expect(text).toContain('Lantern commuter');
  expect(text).toContain('Torqued');
  expect(text).toContain('The left lever works the front brake');
  expect(text).not.toContain('€');

  const passport = (await saved(page, 'Passport')).toString('utf8');
  expect(passport).toContain('<h2>Proved</h2>');
  expect(passport).not.toContain('24000');
  // It opens anywhere, with nothing of ours.
  const elsewhere = await page.context().newPage();
  await elsewhere.setContent(passport);
  await expect(elsewhere.getByRole('heading', { name: 'Lantern commuter' })).toBeVisible();
  await elsewhere.close();

  // A year on, in a workshop that never saw it: it is read in and goes on.
  await page.goto('/records?workshop=own');
  await page
    .locator('input[type="file"]')
    .first()
    .setInputFiles({
      name: 'Lantern commuter passport.html',
      mimeType: 'text/html',
      buffer: Buffer.from(passport),
    });
  await expect(page.getByText(/New:/)).toBeVisible();
  await page
    .getByRole('button', { name: /^Import it/ })
    .first()
    .click();
  await expect(page.getByText(/imported|is in/i).first()).toBeVisible();
  await page.goto('/bike?id=lantern-commuter&stage=prove&workshop=own');
  await expect(page.getByRole('main')).toContainText(/signed|passed/i);
  await page.goto('/bike?id=lantern-commuter&stage=buy&workshop=own');
  await expect(page.getByRole('main')).not.toContainText('€70');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test('listing, price and photographs by thumb; nothing is cut off', async ({ page }) => {
    await openDemo(page, AT);
    for (const name of ['Listing', 'Price', 'Photographs', 'Papers', 'What it earned', 'Its sheet']) {
      await view(page, name).tap();
      await expect(view(page, name)).toHaveAttribute('aria-pressed', 'true');
      await page.waitForTimeout(400);
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect([name, over]).toEqual([name, 0]);
    }
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Passport' }).tap(),
    ]);
    expect(readFileSync(await download.path(), 'utf8')).toContain('<h1>Lantern commuter</h1>');
    // A sentence of the listing is written over by thumb, and kept.
    await view(page, 'Listing').tap();
    const fits = page.getByRole('textbox', { name: 'Whom it fits' });
    await fits.tap();
    await fits.fill('For riders of about 1.76 m.');
    await view(page, 'Price').tap();
    await view(page, 'Listing').tap();
    await expect(fits).toHaveValue('For riders of about 1.76 m.');
  });
});
