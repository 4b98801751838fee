import { expect, type Locator, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';

export type Stage = 'buy' | 'look-over' | 'decide' | 'strip' | 'clean' | 'overhaul' | 'rebuild' | 'prove' | 'hand-over';

/** Opens the made-up workshop in a fresh browser, at the floor or wherever is said. */
export async function openDemo(page: Page, path = '/'): Promise<void> {
  await page.goto(`${path}${path.includes('?') ? '&' : '?'}workshop=demo`);
  await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible();
}

/** Goes to an address as a link within the application does: a page that is loaded anew costs a second and a half. */
export async function go(page: Page, path: string): Promise<void> {
  if (new URL(page.url()).pathname !== path.split('?')[0]) await page.goto(path);
  else await page.evaluate((to) => window.history.pushState(null, '', to), path);
}

/** Goes to a stage by the strip, as a person does. */
export async function toStage(page: Page, stage: Stage): Promise<void> {
  await page.getByRole('navigation', { name: 'Stages' }).locator(`a[href$="stage=${stage}"]`).click();
  await expect(page).toHaveURL(new RegExp(`stage=${stage}$`));
}

/** Waits until every change has left the journal for the database, then loads the page anew. */
export async function reload(page: Page): Promise<void> {
  await page.waitForFunction(() => Object.keys(localStorage).every((key) => !key.includes(':journal:')));
  await page.reload();
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
}

/** The heading of a place in the look-over, by its name. */
export function placeRow(page: Page, name: string): Locator {
  return page.locator('button[aria-expanded]').filter({ has: page.getByText(name, { exact: true }) });
}

/** Opens one line of a bearing's card; what is at hand stands open by itself. */
export async function openPart(page: Page, title: string | RegExp): Promise<void> {
  const line = page.getByRole('main').getByRole('button', { name: title, expanded: false });
  await line.click();
  await expect(line).toHaveCount(0);
}

/** Waits until what the page advises is reckoned from what was entered last. */
export async function reckoned(page: Page): Promise<void> {
  await expect(page.locator('main [aria-busy="true"]')).toHaveCount(0);
}

/** Types a reading as a caliper does: digits, then Enter. */
export async function read(field: Locator, digits: string): Promise<void> {
  await field.fill(digits);
  await field.press('Enter');
}

/** Records anything the page complains of, so that a test can assert silence. */
export function complaints(page: Page): string[] {
  const heard: string[] = [];
  page.on('pageerror', (error) => heard.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error') heard.push(message.text());
  });
  return heard;
}

interface Seed {
  id: string;
  schemaVersion: number;
}

/** Records that the model makes: its modules are the application's, and not the test runner's. */
export function made(what: 'demo' | 'whole' | 'rusty', ...more: string[]): Seed[] {
  const printed = execFileSync('node', ['node_modules/tsx/dist/cli.mjs', 'tests/seeds.ts', what, ...more]);
  return JSON.parse(printed.toString()) as Seed[];
}

/** Lays records into the own workshop, past the interface. */
export async function seeded(page: Page, bicycles: Seed[]): Promise<void> {
  await page.goto('/?workshop=own');
  await expect(page.getByRole('main')).toBeVisible();
  // The application lets go of its database first.
  await page.goto('/icon.svg');
  await page.evaluate(async (rows) => {
    const database = await new Promise<IDBDatabase>((resolve, reject) => {
      const asking = indexedDB.open('ergasto-own');
      asking.onsuccess = () => resolve(asking.result);
      asking.onerror = () => reject(new Error('it does not open'));
    });
    const change = database.transaction('bicycles', 'readwrite');
    for (const bicycle of rows)
      change.objectStore('bicycles').put({ schemaVersion: bicycle.schemaVersion, bicycle, history: [] }, bicycle.id);
    await new Promise((resolve) => (change.oncomplete = resolve));
    database.close();
  }, bicycles);
}

/** Fills the own workshop with so many bicycles. */
export async function copies(page: Page, count: number): Promise<void> {
  const [first] = made('demo');
  await seeded(
    page,
    Array.from({ length: count }, (_, i) => ({ ...first!, id: `b${i}`, name: `Bicycle ${i}` })),
  );
}

/** The line that tells how the shared folder stands. */
export const shareLine = (page: Page): Locator => page.getByRole('complementary', { name: 'Shared folder' });
export const sameAsFolder = (page: Page): Promise<void> =>
  expect(shareLine(page).getByText('Same as the folder')).toBeVisible({ timeout: 20_000 });

/** Opens bench mode at a place and strips one step by Space. */
export async function stripOneStep(page: Page, id: string, place: string): Promise<void> {
  await page.goto(`/bench?id=${id}&task=strip&place=${place}`);
  const title = page.getByRole('heading', { level: 2 }).first();
  await expect(title).toBeVisible({ timeout: 30_000 });
  const was = (await title.textContent())!;
  await page.keyboard.press('Space');
  await expect(title).not.toHaveText(was);
}
