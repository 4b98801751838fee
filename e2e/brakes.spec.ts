import { expect, test } from '@playwright/test';
import { openDemo, reload } from './bench';

const AT = '/bike?id=slipway-tourer&stage=rebuild&tray=';

test('the cut list: old outers win, two get longer, one brake inner is to be bought; by keys', async ({ page }) => {
  await openDemo(page, `${AT}cables.brake`);
  const type = async (piece: string, mm: string) => {
    await page.getByRole('group', { name: piece }).getByLabel('Old one').focus();
    await page.keyboard.type(mm);
    await page.keyboard.press('Enter');
  };
  await type('Front brake, outer', '505');
  await type('Rear brake, lever to frame', '480');
  const front = page.getByRole('listitem').filter({ hasText: 'Front brake, outer' }).first();
  await front.getByRole('checkbox', { name: 'Pulled tight at full lock' }).focus();
  await page.keyboard.press('Space');
  await expect(front).toContainText('545 mm');
  const cuts = page.getByRole('list', { name: 'Cuts' });
  await expect(cuts).toContainText('Coil of brake outer');
  await expect(cuts).toContainText('Front brake, outer, 545 mm');
  await expect(cuts).not.toContainText('index');
  await expect(page.getByText('1 of 5 is wanting.')).toBeVisible();
  await expect(page.getByText('Front brake, inner: what there is of brake inner goes to other pieces.')).toBeVisible();
  await expect(page.getByText('The height of the bar is not settled: nothing is cut yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Print it' }).click();
  await expect(page.getByRole('dialog')).toContainText('Slipway tourer: cut list');
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await reload(page);
  await expect(page.getByText('545 mm').first()).toBeVisible();
});

test('the yoke is drawn down under the finger: more force, more cable; and it is put down only when it stands so', async ({
  page,
}) => {
  await openDemo(page, `${AT}brake.rear`);
  await page.getByText('Yoke and arms: force and travel').click();
  await page.getByRole('button', { name: 'Show a usual one to try with' }).click();
  const status = page.getByRole('status', { name: 'Force and travel' });
  const force = async () => Number.parseFloat((await status.getByText(/\sN$/).textContent())!);
  const before = await force();
  const yoke = page.getByRole('slider', { name: 'Height of the yoke' });
  await yoke.scrollIntoViewIfNeeded();
  const box = (await yoke.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 90, { steps: 6 });
  await page.mouse.up();
  await expect.poll(force).toBeGreaterThan(before + 0.1);
  await page.getByRole('button', { name: 'It stands so' }).click();
  await expect(page.getByLabel('Yoke over pivots')).not.toHaveValue('');
});

/** Kinds of brake by the words of “What it is”, how each is worked, and a step that is its own. */
const KINDS = [
  ['Caliper', null, 'The recess nut holds by six turns'],
  ['Cantilever', null, 'Cable clamped with both pads held on the rim'],
  ['Direct pull', null, 'Arms upright when the brake is on'],
  ['Disc', 'Cable', 'Fixed pad close, moving pad set'],
  ['Disc', 'Hose', 'Caliper centred over its disc'],
  ['Drum', null, 'Reaction arm in its strap'],
  ['Back-pedal, caliper in front', null, 'Bites within a sixth of a turn back'],
] as const;

test('each kind of brake is set up at the bench by the space bar', async ({ page }) => {
  test.slow();
  await openDemo(page, '/bike?id=harbour-mixte&stage=rebuild');
  for (const [kind, pulled, step] of KINDS) {
    await page.getByRole('button', { name: 'What it is', exact: true }).click();
    const panel = page.getByRole('dialog');
    await panel.getByRole('combobox', { name: 'Brakes', exact: true }).click();
    await page.getByRole('option', { name: kind, exact: true }).click();
    await panel.getByText(/^Finer/).click();
    if (pulled) {
      await panel.getByRole('combobox', { name: 'Front worked by' }).click();
      await page.getByRole('option', { name: pulled, exact: true }).click();
    }
    await page.keyboard.press('Escape');
    await page.goto(`/bench?id=harbour-mixte&task=set-up&place=brake.${kind.startsWith('Back') ? 'rear' : 'front'}`);
    const heading = page.getByRole('main').getByRole('heading').first();
    await expect(heading).toBeVisible();
    const told: string[] = [];
    for (let i = 0; i < 12 && page.url().includes('/bench'); i++) {
      const words = await heading.textContent();
      told.push(words!);
      await page.keyboard.press('Space');
      await expect
        .poll(async () => page.url().includes('/bench') && (await heading.textContent()) === words)
        .toBe(false);
    }
    expect(told).toContain(step);
    await expect(page).toHaveURL(/stage=rebuild/);
    await page.goto('/bike?id=harbour-mixte&stage=rebuild');
  }
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test('a brake is set up by thumb, and its cables are measured', async ({ page }) => {
    await openDemo(page, `${AT}brake.rear`);
    await page.getByRole('checkbox', { name: 'Both pads come off together' }).tap();
    await expect(page.getByRole('checkbox', { name: 'Both pads come off together' })).toBeChecked();
    await page.goto(`${AT}cables.gear`);
    const loop = page.getByRole('group', { name: 'Gears, last loop at the derailleur' });
    await loop.getByLabel('Old one').fill('290');
    await loop.getByLabel('Old one').press('Enter');
    await expect(page.getByText('290 mm').first()).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBe(
      0,
    );
  });
});
