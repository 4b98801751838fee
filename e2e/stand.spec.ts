import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { complaints, openDemo, placeRow, read, reload, toStage } from './bench';

test('the whole look-over by keyboard alone', async ({ page }) => {
  test.setTimeout(300_000);
  const heard = complaints(page);
  await openDemo(page, '/bike?id=green-tourer&stage=look-over');
  await placeRow(page, 'Handlebar').focus();
  await page.keyboard.press('Enter');
  const open = page.locator('button[aria-expanded="true"]');
  const skipped = new Set(['Grip or tape, right', 'Rack', 'Bell']);
  for (let places = 0; places < 60 && (await open.count()) > 0; places++) {
    const name = (await open.locator('xpath=./*[2]/*[1]').textContent())!;
    const next = async (key: string) => {
      await page.keyboard.press(key);
      await expect(
        page.locator('button[aria-expanded="true"]').filter({ has: page.getByText(name, { exact: true }) }),
      ).toHaveCount(0);
    };
    /** What an eye cannot tell is asked for once, and may be left by the same key. */
    const looked = async () => {
      await page.keyboard.press('f');
      if ((await open.count()) > 0 && (await open.locator('xpath=./*[2]/*[1]').textContent()) === name) await next('f');
    };
    if (skipped.has(name)) await next('x');
    else if (name === 'Chain') {
      // Digits are a reading wherever they are typed.
      await expect(page.getByLabel('Length over them')).toBeFocused();
      await page.keyboard.type('306.9');
      // Pressed on the heels of Enter, the key is the place's.
      await Promise.all([page.keyboard.press('Enter'), page.keyboard.press('f')]);
      await expect(placeRow(page, 'Chainrings')).toHaveAttribute('aria-expanded', 'true');
    } else if (name === 'Front rim' || name === 'Rear rim') {
      // Digits typed anywhere in the place are a reading of it.
      await expect(page.getByRole('group', { name: `Checks: ${name}` }).locator(':scope:focus, :focus')).toHaveCount(1);
      await page.keyboard.type('0.1');
      await page.keyboard.press('Enter');
      await looked();
    } else if (name === 'Seat post') {
      await page.keyboard.press('s');
      await next('Enter');
    } else {
      // The hand of the front brake is never fine by looking alone: skip it.
      if (name === 'Brake lever, left') {
        await page.keyboard.press('f');
        await next('x');
      } else await looked();
    }
  }
  await expect(page.getByText('3 of 45 places still to check')).toBeVisible();
  await expect(placeRow(page, 'Chain')).toContainText('Watch');
  await expect(placeRow(page, 'Seat post')).toContainText('Service');
  await reload(page);
  await expect(page.getByText('3 of 45 places still to check')).toBeVisible();
  await toStage(page, 'prove');
  await page.getByText(/more to ask about/).click();
  for (const name of skipped) await expect(page.getByText(`${name}: not looked at`)).toBeVisible();
  expect(heard).toEqual([]);
});

test('“It takes several pedal turns before the gear takes” leads to its cause, and a slip to the pawls', async ({
  page,
}) => {
  await openDemo(page, '/bike?id=green-tourer&stage=look-over');
  await page.getByRole('button', { name: 'One complaint' }).click();
  await page.getByRole('button', { name: /several pedal turns/ }).click();
  const test = page.getByRole('heading', { level: 3 }).first();
  await expect(test).toHaveText(/Work the derailleur cage by hand|Gauge the chain/);
  await page.getByText('Other tests, most telling first').click();
  await page.getByRole('button', { name: /^Gauge the chain/ }).click();
  await page.getByRole('button', { name: 'Within its limit' }).click();
  await page.getByRole('button', { name: 'Slow to spring back' }).click();
  const first = page.getByRole('list', { name: 'Likeliest causes' }).getByRole('listitem').first();
  await expect(first).toContainText('Rear derailleur pivot sticky');
  await expect(page.getByText(/speaks against chain worn past its limit/)).toBeVisible();
  await page.getByText('The rider says something else besides').click();
  await page.getByRole('button', { name: 'It slips on starting off' }).click();
  await expect(first).toContainText('Pawls of the freehub stick');
  await expect(first).toContainText('unsafe');
  await page.getByRole('button', { name: 'Late, or slips' }).click();
  await expect(page.getByText(/^Settled\. Pawls of the freehub stick/)).toBeVisible();
  await page.getByRole('button', { name: 'Put it on the list of jobs' }).click();
  await reload(page);
  await expect(first).toContainText('Pawls of the freehub stick');
  await toStage(page, 'prove');
  await expect(page.getByText(/unsafe, and not settled/)).toBeVisible();
  await toStage(page, 'decide');
  await expect(
    page
      .getByRole('list', { name: 'Needed' })
      .getByText('Open, clean and grease the freehub, or renew it', { exact: true }),
  ).toBeVisible();
});

test('a customer’s estimate is approved line by line and printed', async ({ page }) => {
  await openDemo(page, '/bike?id=harbour-mixte&stage=decide');
  await page.getByRole('button', { name: 'The owner approves: New front pads, all of them' }).click();
  await page.getByRole('button', { name: 'The owner declines: Renew grips, hoods or tape' }).click();
  await expect(page.getByText('1 of 6 approved')).toBeVisible();
  await reload(page);
  await expect(page.getByText('1 of 6 approved')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('heading', { name: 'The brief' })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeHidden();
  const pdf = await page.pdf({ format: 'A4' });
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  const text = pdfText(pdf);
  for (const words of [
    'Estimate: Harbour mixte',
    'Needed',
    'New front pads, all of them',
    'Renew the chain',
    'Advised',
    'Approved',
    'Declined',
  ])
    expect(text).toContain(words.replace(/\s+/g, ''));
  expect(text).not.toContain('Thebrief');
  await page.emulateMedia({ media: 'screen' });
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it as a file' }).click();
  expect((await saved).suggestedFilename()).toBe('harbour-mixte-estimate.txt');
});

/** The words of a PDF without its spaces, read by a reader of its own that is no part of the page. */
function pdfText(pdf: Buffer): string {
  const file = join(mkdtempSync(join(tmpdir(), 'estimate-')), 'estimate.pdf');
  writeFileSync(file, pdf);
  const script = `
    import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
    const pdf = await getDocument({ url: process.argv[1], verbosity: 0 }).promise;
    let text = '';
    for (let i = 1; i <= pdf.numPages; i++)
      text += (await (await pdf.getPage(i)).getTextContent()).items.map((item) => item.str).join('');
    process.stdout.write(text);`;
  return execFileSync('node', ['--input-type=module', '-e', script, file], { encoding: 'utf8' }).replace(/\s+/g, '');
}

test('readings of the stand: hanger on its clock face, a trace of the dial gauge, squeezed spokes', async ({
  page,
}) => {
  await openDemo(page, '/bike?id=green-tourer&stage=look-over');
  await placeRow(page, 'Derailleur hanger').click();
  for (const [label, gap] of [
    ['Three', '14'],
    ['Six', '12'],
    ['Nine', '10'],
    ['Twelve', '12'],
  ] as const)
    await read(page.getByLabel(`${label} o’clock`), gap);
  await expect(page.getByRole('img', { name: /Push the hanger 2\smm towards the wheel at three/ })).toBeVisible();
  await placeRow(page, 'Rear rim').click();
  await page.getByRole('button', { name: /One turn of the dial gauge/ }).click();
  await expect(page.getByRole('img', { name: /^Runout seen at the brake, rear: from/ })).toBeVisible();
  await placeRow(page, 'Rear hub').click();
  await read(page.getByLabel('Rock at the rim'), '1.2');
  await expect(page.getByText(/1\.2\smm at the rim is about 0\.17\smm at the bearing/).first()).toBeVisible();
  await expect(placeRow(page, 'Rear hub')).toContainText('Service');
});

test('leads: the drive, the feed of sold prices, without signal the last answer stands', async ({ page, context }) => {
  await openDemo(page, '/bike?id=green-tourer&stage=buy&part=lead');
  await expect(page.getByText('Go', { exact: true }).first()).toBeVisible();
  await read(page.getByLabel('Distance, one way'), '300');
  await expect(page.getByText('Stay', { exact: true }).first()).toBeVisible();
  await expect(page.getByRole('table', { name: 'Leads side by side' })).toContainText('Grey winter racer');
  await page.getByRole('button', { name: 'Figures' }).click();
  await page.getByRole('button', { name: /Ask the feed/ }).click();
  await expect(page.getByText(/^feed of/)).toBeVisible();
  await expect(page.getByText(/left out: too far from the others/)).toBeVisible();
  await page.getByRole('button', { name: 'Take this range' }).click();
  await expect(page.getByRole('button', { name: 'Taken' })).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('button', { name: /Ask the feed/ }).click();
  await expect(page.getByText(/^No signal: the answer of/)).toBeVisible();
});
