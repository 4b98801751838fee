import { expect, test } from '@playwright/test';
import { complaints, go, openDemo, read, toStage, placeRow } from './bench';

const STAGES = ['buy', 'look-over', 'decide', 'strip', 'clean', 'overhaul', 'rebuild', 'prove', 'hand-over'] as const;

test('the own workshop starts empty, helps, and is never touched by the demonstration', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'The stand is empty' })).toBeVisible();
  await page.getByRole('link', { name: 'Look round a made-up workshop' }).click();
  await expect(page.getByRole('heading', { name: 'On the floor' })).toBeVisible();
  await page.goto('/?workshop=own');
  await expect(page.getByRole('heading', { name: 'The stand is empty' })).toBeVisible();
  await page.getByRole('button', { name: 'Add a bicycle' }).click();
  await page.getByRole('button', { name: 'Put it on the floor' }).click();
  await expect(page.getByText('Give it a name first.')).toBeVisible();
  await page.getByLabel(/What is it/).fill('Red mixte');
  await page.getByRole('button', { name: 'Put it on the floor' }).click();
  await expect(page.getByRole('heading', { name: 'Red mixte' })).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('link', { name: /Red mixte/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Green tourer/ })).toHaveCount(0);
});

test('a reading that cannot be is refused beside its field and what was saved stays', async ({ page }) => {
  await openDemo(page, '/bike?id=ferry-staff-7&stage=look-over');
  await placeRow(page, 'Chain').click();
  const length = page.getByLabel('Length over them');
  for (const [typed, words] of [
    ['254', /count the pitches again: 254\smm over 24 pitches/],
    ['-306', /never negative/],
    ['about 306', /is no reading: type digits/],
  ] as const) {
    await read(length, typed);
    await expect(page.getByText(words)).toBeVisible();
  }
  await length.press('Escape');
  await expect(length).toHaveValue('307.4');
  await page.goto('/bike?id=green-tourer&stage=buy');
  await read(page.getByLabel('May fetch, low'), '900');
  await expect(page.getByText('low is over likely: put them in order')).toBeVisible();
  await read(page.getByLabel('Asked for it'), '12.345');
  await expect(page.getByText(/is no amount/)).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('May fetch, low')).toHaveValue('260');
  await expect(page.getByLabel('Asked for it')).toHaveValue('140');
});

test('unknown pages and bicycles show a way back, an unknown stage opens the first', async ({ page }) => {
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible();
  await page.goto('/bike?id=%3Cscript%3E&stage=buy');
  await expect(page.getByRole('heading', { name: 'There is no such bicycle here' })).toBeVisible();
  await page.getByRole('link', { name: 'Back to the floor' }).click();
  await expect(page).toHaveURL(/\/$/);
  await openDemo(page);
  const heard = complaints(page);
  for (const name of ['constructor', '__proto__', 'toString', 'hasOwnProperty']) {
    await go(page, `/bike?id=${name}&stage=buy`);
    await expect(page.getByRole('heading', { name: 'There is no such bicycle here' })).toBeVisible();
  }
  for (const name of ['constructor', '__proto__']) {
    await page.goto(`/bench?id=${name}&task=${name}`);
    await expect(page.getByRole('heading').first()).toBeVisible();
    for (const stage of ['strip', 'overhaul', 'buy']) {
      await go(page, `/bike?id=ferry-staff-7&stage=${stage}&part=${name}&tray=${name}&place=${name}&show=${name}`);
      await expect(page.getByRole('main').getByRole('heading', { level: 2 }).first()).toBeVisible();
    }
  }
  await go(page, '/bike?id=green-tourer&stage=polish');
  await expect(page.getByRole('heading', { name: 'What may it cost?' })).toBeVisible();
  expect(heard).toEqual([]);
});

test('two tabs stay in step and neither overwrites the other', async ({ context, page }) => {
  await openDemo(page, '/bike?id=green-tourer&stage=buy');
  const other = await context.newPage();
  await other.goto('/bike?id=green-tourer&stage=prove');
  await read(page.getByLabel('Paid for it'), '95');
  // The list stands where it stays once the law above it is told.
  await expect(other.getByText('Not ready', { exact: true })).toBeVisible();
  await other.getByRole('button', { name: 'Passed: Cables and hoses hold' }).click();
  await expect(other.getByText('paid €95')).toBeVisible();
  await toStage(page, 'prove');
  await expect(page.getByRole('button', { name: 'Passed: Cables and hoses hold' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('a change that was only journalled when the tab died is there afterwards', async ({ page }) => {
  await openDemo(page);
  await page.evaluate(() => {
    const sent = {
      id: 'left-behind',
      bicycle: 'green-tourer',
      at: new Date().toISOString(),
      command: { type: 'renameBicycle', name: 'Green tourer, boathouse' },
    };
    localStorage.setItem('ergasto:demo:journal:left-behind', JSON.stringify(sent));
  });
  await page.reload();
  await expect(page.getByRole('link', { name: /Green tourer, boathouse/ })).toBeVisible();
  await page.waitForFunction(() => localStorage.getItem('ergasto:demo:journal:left-behind') === null);
});

test('nothing is cut off on a phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page);
  const overflow = () =>
    page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  const drawn = () =>
    page.evaluate(async () => {
      await document.fonts.ready;
      for (let frames = 0; frames < 3; frames++) await new Promise(requestAnimationFrame);
    });
  expect(await overflow()).toBe(0);
  await page.goto('/bike?id=ferry-staff-7&stage=buy');
  for (const stage of STAGES) {
    await toStage(page, stage);
    await expect(page.getByRole('main').getByRole('heading', { level: 2 }).first()).toBeVisible();
    if (stage === 'prove') await expect(page.getByLabel('What was left as it is')).toBeVisible();
    await drawn();
    expect(await overflow(), stage).toBe(0);
  }
  for (const path of [
    '/bench?id=ferry-staff-7&task=strip',
    '/bench?id=ferry-staff-7&task=torque',
    '/records',
    '/gallery',
    '/settings',
    '/bike?id=green-tourer&stage=buy&part=lead',
    '/bike?id=green-tourer&stage=buy&part=figures',
    '/bike?id=green-tourer&stage=buy&part=age',
    '/bike?id=grey-racer&stage=look-over',
    '/bike?id=harbour-mixte&stage=decide',
    '/bike?id=green-tourer&stage=strip&tray=pedal.left',
    '/bike?id=ferry-staff-7&stage=strip&tray=hub.front',
    '/bike?id=ferry-staff-7&stage=overhaul&tray=hub.front&show=look.measure.set.round.after.next',
    '/bike?id=ferry-staff-7&stage=overhaul&tray=headset&show=look.measure.set.round.after.next',
    '/practice',
    '/stock',
  ]) {
    await go(page, path);
    await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible();
    await drawn();
    expect(await overflow(), path).toBe(0);
  }
});
