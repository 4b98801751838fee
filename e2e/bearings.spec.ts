import { readFileSync } from 'node:fs';
import { expect, test, type Locator, type Page } from '@playwright/test';
import ICAL from 'ical.js';
import { complaints, openDemo, openPart, reckoned } from './bench';

const group = (page: Page, name: string | RegExp) => page.getByRole('group', { name, exact: typeof name === 'string' });

/** Opens one bearing of the grey racer from the list of them, as a person does. */
async function toBearing(page: Page, place: string, choose?: RegExp): Promise<void> {
  await page.goto('/bike?id=grey-racer&stage=overhaul');
  await expect(page.getByRole('main').getByRole('listitem').first()).toBeVisible();
  // What no job asks for, and what is left alone, lies folded.
  for (const fold of await page.getByRole('main').locator('summary').all()) await fold.click();
  await page.getByRole('listitem').filter({ hasText: place }).first().getByRole('button').click();
  await expect(page.getByRole('heading', { level: 2, name: place })).toBeVisible();
  if (choose) {
    await page.getByLabel(/^What was found/).click();
    await page.getByRole('option', { name: choose }).click();
  }
}

/** Puts the made-up caliper on the page and chooses what lies between its jaws. */
async function caliper(page: Page): Promise<(thing: string, into: Locator) => Promise<void>> {
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: 'Find anything and go there' })).toBeFocused();
  await page.keyboard.type('caliper');
  await page.keyboard.press('Enter');
  const panel = page.getByRole('region', { name: 'Made-up caliper' });
  return async (thing, into) => {
    await panel.getByRole('combobox').click();
    await page.getByRole('option', { name: thing }).click();
    await into.focus();
    await panel.getByRole('button', { name: 'Send' }).click();
  };
}

/** Feels as the hand of a person who follows the advice: tight, a tick, then smooth until it is done. */
async function setIt(page: Page): Promise<void> {
  const feel = group(page, 'How does it feel?');
  const done = page.getByText(/Done in \d/);
  const script = [/^Tight/, /^A tick/];
  for (let trials = 1; trials <= 8 && !(await done.isVisible()); trials++) {
    await expect(feel.getByRole('button', { name: /^Smooth/ })).toBeEnabled();
    const skewer = group(page, 'Felt with the skewer');
    if (await skewer.isVisible())
      await skewer.getByRole('button', { name: trials > script.length ? /Closed/ : 'Open' }).click();
    if (trials > script.length) await group(page, 'Turned').getByRole('button', { name: 'Not turned' }).click();
    await feel.getByRole('button', { name: script[trials - 1] ?? /^Smooth/ }).click();
    await expect(page.getByText(new RegExp(`${trials === 1 ? '1 trial' : `${trials} trials`} ·`))).toBeVisible();
    await expect(page.getByText('Show the working').first()).toBeVisible();
    await reckoned(page);
  }
  await expect(done).toBeVisible();
}

async function note(page: Page, which: 'first' | 'last', feel: string, play: string): Promise<void> {
  const at = (name: string) => group(page, name)[which]();
  await at('Feel').getByRole('button', { name: feel, exact: true }).click();
  await at('Play').getByRole('button', { name: play, exact: true }).click();
}

test('a rear hub, from its feel before to its feel after, and when it is due again', async ({ page }) => {
  test.setTimeout(180_000);
  const heard = complaints(page);
  await openDemo(page);
  await toBearing(page, 'Rear hub');
  await note(page, 'first', 'Gritty', 'Slight');
  await page.getByRole('button', { name: 'Done, next' }).click();
  await expect(page.getByRole('button', { name: /^Before gritty, slight play/ })).toBeVisible();
  await openPart(page, /^Look/);
  await expect(page.getByText('Look inside', { exact: true })).toBeVisible();
  // Discs on this one: they come first.
  await expect(page.getByText('Take the disc off, or bag it, before grease comes near')).toBeVisible();
  for (const part of ['Cup, left side', 'Cone, left side', 'Cone, right side'])
    await group(page, part).getByRole('button', { name: 'Bright' }).click();
  await group(page, 'Cup, right side').getByRole('button', { name: 'Pitted' }).click();
  await expect(page.getByText('New unit', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'No spare to be had: run it on' }).click();
  await expect(page.getByRole('img', { name: /right cup pitted/ })).toBeVisible();

  await openPart(page, /^Balls/);
  const send = await caliper(page);
  for (let i = 0; i < 3; i++) await send('a ball, 1/4 in', page.getByLabel('One ball'));
  await expect(page.getByText('1/4 in', { exact: true })).toBeVisible();
  await expect(page.getByText('in size', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Put the caliper away' }).click();
  for (let i = 0; i < 9; i++)
    await page
      .getByRole('button', { name: 'holds, left side: one more' })
      .or(page.getByRole('button', { name: 'holds, left: one more' }))
      .click();
  for (let i = 0; i < 8; i++) await page.getByRole('button', { name: 'in, left: one more' }).click();
  await expect(page.getByText('8 went in where 9 belong. What happened?')).toBeVisible();
  await page.getByRole('button', { name: 'in, left: one more' }).click();
  await expect(page.getByText('What happened?')).toBeHidden();
  await expect(page.getByRole('img', { name: /Left side: 9 of 9\sin/ })).toBeVisible();

  await openPart(page, /^Set the cone/);
  await setIt(page);
  await openPart(page, /^Feel at four points/);
  for (const [point, feel] of [
    ['12', 'Smooth'],
    ['3', 'Tick'],
    ['6', 'Smooth'],
    ['9', 'Smooth'],
  ] as const)
    await group(page, `Valve at ${point} o'clock`).getByRole('button', { name: feel }).click();
  await expect(page.getByText(/a little play elsewhere/)).toBeVisible();
  await openPart(page, /^After/);
  await note(page, 'last', 'Light rumble', 'No play');
  await expect(page.getByRole('table', { name: 'Before and after' })).toContainText('gritty');
  await openPart(page, /^Next service/);
  await expect(page.getByText('look at it again, in 6 months')).toBeVisible();

  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Into the calendar' }).click(),
  ]);
  const calendar = new ICAL.Component(ICAL.parse(readFileSync(await file.path(), 'utf8')) as unknown[]);
  const [event] = calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  expect(event!.summary).toBe('Rear hub: look at it again (Grey winter racer)');
  expect(event!.startDate.isDate).toBe(true);
  const ahead = (event!.startDate.toJSDate().getTime() - Date.now()) / 86_400_000;
  expect(ahead).toBeGreaterThan(175);
  expect(ahead).toBeLessThan(186);
  expect(event!.component.getAllSubcomponents('valarm')).toHaveLength(1);

  await page.goto('/bike?id=grey-racer&stage=hand-over');
  await expect(page.locator('#sheet')).toContainText('A cup is pitted and runs on');
  await expect(page.locator('#sheet')).toContainText('After: feel light rumble, play none');
  await page.goto('/bike?id=grey-racer&stage=overhaul');
  await expect(page.locator('[data-place="hub.rear"]')).toHaveAttribute('aria-label', /done/i);
  expect(heard).toEqual([]);
});

test('a headset: retainers, the adjustable cup, felt before and after', async ({ page }) => {
  test.setTimeout(120_000);
  await openDemo(page);
  await toBearing(page, 'Headset', /retainers/);
  await note(page, 'first', 'Notchy', 'Clear');
  await openPart(page, /^Balls/);
  const send = await caliper(page);
  for (let i = 0; i < 2; i++) await send('a ball, 5/32 in', page.getByLabel('One ball'));
  await expect(page.getByText('5/32 in', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Put the caliper away' }).click();
  await page.getByText(/^All \d+ steps/).click();
  await expect(page.getByText('Retainers in: open side, balls bare, to the cup', { exact: true })).toBeVisible();
  await openPart(page, /^Set the adjustable cup/);
  await group(page, 'How does it feel?')
    .getByRole('button', { name: /^Tight/ })
    .click();
  await expect(page.getByText('at the tip of a 250 mm headset spanner')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await setIt(page);
  await openPart(page, /^After/);
  await note(page, 'last', 'Smooth', 'No play');
  await expect(page.getByRole('table', { name: 'Before and after' })).toContainText('notchy');
});

test('a bottom bracket of cup and cone, and a pedal of two rows', async ({ page }) => {
  test.setTimeout(180_000);
  await openDemo(page);
  await toBearing(page, 'Bottom bracket', /cup and cone/);
  await note(page, 'first', 'Gritty', 'Clear');
  await openPart(page, /^Balls/);
  const send = await caliper(page);
  await send('a ball, 1/4 in', page.getByLabel('One ball'));
  await expect(page.getByText('1/4 in', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Put the caliper away' }).click();
  await openPart(page, /^Set the adjustable cup/);
  await setIt(page);
  await openPart(page, /^After/);
  await note(page, 'last', 'Smooth', 'No play');
  await expect(page.getByRole('table', { name: 'Before and after' })).toContainText('clear');

  await toBearing(page, 'Pedal, left', /two rows on a sleeve/);
  await note(page, 'first', 'Gritty', 'Slight');
  await openPart(page, /^Balls/);
  const again = await caliper(page);
  await again('a ball, 3/32 in', page.getByLabel('One ball'));
  await expect(page.getByText('3/32 in', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Put the caliper away' }).click();
  await page.getByText(/^All \d+ steps/).click();
  await expect(page.getByText('Washer on, its convex side outwards', { exact: true })).toBeVisible();
  await openPart(page, /^Set the cone/);
  await setIt(page);
  await openPart(page, /^After/);
  await note(page, 'last', 'Smooth', 'No play');
  await page.goto('/bike?id=grey-racer&stage=overhaul');
  await expect(page.getByText(/2 of \d done/)).toBeVisible();
});

test('cartridges of a front hub by the caliper: which they are and how many are bought', async ({ page }) => {
  await openDemo(page);
  await toBearing(page, 'Front hub', /on cartridges/);
  await openPart(page, /^Cartridges/);
  const send = await caliper(page);
  for (const side of ['left side', 'right side']) {
    const one = group(page, `Cartridge, ${side}`);
    for (const [thing, field] of [
      ['a cartridge, its bore', 'Bore'],
      ['a cartridge, its outside', 'Outside'],
      ['a cartridge, its width', 'Width'],
    ] as const)
      await send(thing, one.getByLabel(field));
    await expect(one.getByText('identified')).toBeVisible();
    await one.getByRole('button', { name: 'New one' }).click();
  }
  await expect(page.getByText('2 × 6902')).toBeVisible();
});

test('the practice room by the adviser, and by hand without a mouse', async ({ page }) => {
  test.setTimeout(120_000);
  const heard = complaints(page);
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto('/practice?workshop=demo');
  await page.getByRole('button', { name: 'A good hub with a skewer' }).click();
  await page.getByLabel('Adviser').click();
  await page.getByRole('button', { name: 'Let it set this one' }).click();
  await expect(page.getByText('of 100', { exact: true })).toBeVisible({ timeout: 60_000 });
  const total = page.getByText('of 100', { exact: true }).locator('xpath=preceding-sibling::*');
  expect(Number(await total.textContent())).toBeGreaterThan(40);

  await page.getByRole('button', { name: 'A good hub with nuts' }).click();
  await page.getByLabel('Adviser').click();
  await expect(page.getByText('Turn the cone, lock it, then rock and spin.')).toBeVisible();
  const told = page.getByRole('main').getByRole('status');
  await page.locator('body').click({ position: { x: 5, y: 700 } });
  await page.keyboard.press('l');
  for (let locks = 1; locks <= 12; locks++) {
    await page.keyboard.press('r');
    await expect(told).toContainText(/ock/);
    const words = (await told.textContent())!;
    const rocks = Number(/rocks ([\d.]+)\smm/.exec(words)?.[1] ?? 0);
    const drags = words.includes('It drags');
    if (rocks < 0.05 && !drags) break;
    await page.keyboard.press('l');
    if (drags) for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowLeft');
    else for (let i = 0; i < Math.min(15, Math.ceil(rocks * 12)); i++) await page.keyboard.press('ArrowRight');
    await page.keyboard.press('l');
  }
  await page.keyboard.press('Enter');
  await expect(page.getByText('of 100', { exact: true })).toBeVisible();
  expect(Number(await total.textContent())).toBeGreaterThan(30);
  await page.reload();
  await expect(page.getByRole('button', { name: /^A good hub with nuts \d+/ })).toBeVisible();
  await page.getByLabel('Sound').click();
  await page.getByRole('button', { name: 'Lock it' }).click();
  await page.getByRole('button', { name: 'Spin it' }).click();
  await expect(told).toContainText(/A push runs \d+\ss/);
  expect(heard).toEqual([]);
});

test('a headset on the bench, one step at a time: felt, waited for, set', async ({ page }) => {
  test.setTimeout(120_000);
  await openDemo(page, '/bike?id=grey-racer&stage=overhaul&tray=headset');
  await page.getByRole('link', { name: /bench/i }).last().click();
  await expect(page.getByRole('heading', { level: 2, name: 'Feel it and note it as it is' })).toBeVisible();
  await group(page, 'Feel').getByRole('button', { name: 'Notchy' }).click();
  await page.locator('body').click({ position: { x: 640, y: 60 } });
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { level: 2 })).not.toHaveText('Feel it and note it as it is');
  const title = () => page.getByRole('heading', { level: 2 }).textContent();
  for (let i = 0; i < 20 && !(await group(page, 'How does it feel?').isVisible()); i++) {
    const before = await title();
    await page.keyboard.press('Space');
    await expect.poll(title).not.toBe(before);
  }
  await group(page, 'How does it feel?')
    .getByRole('button', { name: /^Tight/ })
    .click();
  await expect(page.getByText(/at the tip of a/).first()).toBeVisible();
  await page.reload();
  await expect(page.getByText(/1 trial ·/)).toBeVisible();
});
