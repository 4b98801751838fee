import { expect, type BrowserContext, type Page } from '@playwright/test';

const BICYCLE = '/bike?id=green-tourer&stage=prove';
const PLACES = ['chain', 'saddle'] as const;

export interface Storm {
  acknowledged: number;
  kills: number;
  undone: number;
  /** Acknowledged and not there in the end. */
  lost: string[];
  /** There in the end, though nobody entered it or it was taken back. */
  foreign: string[];
}

/** A small generator, so that a storm that failed can be had again. */
function dice(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    return state / 4_294_967_296;
  };
}

async function openAt(context: BrowserContext, place: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(BICYCLE);
  await page.locator(`[data-place="${place}"]`).first().press('Enter');
  await expect(page.getByLabel('Note, then Enter')).toBeVisible();
  return page;
}

const noted = (page: Page) => page.getByRole('list', { name: 'Notes' }).locator('li > div > div:first-child');

/** Ends a tab as a crash does: nothing of it runs any more. */
async function kill(page: Page): Promise<void> {
  const session = await page.context().newCDPSession(page);
  void session.send('Page.crash').catch(() => undefined);
  await page.waitForEvent('crash', { timeout: 5000 }).catch(() => undefined);
  await page.close();
}

/** Every note of the bicycle as it lies in the database, those that were taken back left out. */
async function kept(page: Page): Promise<string[]> {
  await page.waitForFunction(() => Object.keys(localStorage).every((key) => !key.includes(':journal:')));
  return page.evaluate(
    () =>
      new Promise<string[]>((resolve) => {
        const open = indexedDB.open('ergasto-demo');
        open.onsuccess = () => {
          const asked = open.result.transaction('bicycles').objectStore('bicycles').get('green-tourer');
          asked.onsuccess = () => {
            open.result.close();
            const { bicycle } = asked.result as { bicycle: { notes: { text: string; withdrawn: boolean }[] } };
            resolve(bicycle.notes.filter((note) => !note.withdrawn).map((note) => note.text));
          };
        };
      }),
  );
}

/**
 * Two tabs of one bicycle, in which notes are entered and taken back while they are killed again and again, right after a
 * change was shown. What was shown must be there in the end, and nothing else.
 */
export async function storm(context: BrowserContext, address: string, changes: number, seed: number): Promise<Storm> {
  const roll = dice(seed);
  const first = await context.newPage();
  await first.goto(`${address}/?workshop=demo`);
  await expect(first.getByRole('heading', { name: 'On the floor' })).toBeVisible();
  await first.close();
  const tabs = await Promise.all(PLACES.map((place) => openAt(context, place)));
  const stands = PLACES.map(() => new Set<string>());
  const told: Storm = { acknowledged: 0, kills: 0, undone: 0, lost: [], foreign: [] };
  while (told.acknowledged < changes) {
    const i = roll() < 0.5 ? 0 : 1;
    const page = tabs[i]!;
    const own = stands[i]!;
    const chance = roll();
    if (chance < 0.8 || own.size === 0) {
      const words = `note ${told.acknowledged} ${PLACES[i]}`;
      const field = page.getByLabel('Note, then Enter');
      await field.fill(words);
      await field.press('Enter');
      await noted(page).getByText(words, { exact: true }).waitFor();
      own.add(words);
      told.acknowledged++;
    } else {
      // The button of a note takes it back in words of its own; what goes is what was pressed.
      const row = page.getByRole('list', { name: 'Notes' }).locator('li').last();
      const words = (await row.locator('div > div').first().textContent())!;
      await row.getByRole('button', { name: 'Undo' }).click();
      await noted(page).getByText(words, { exact: true }).waitFor({ state: 'detached' });
      own.delete(words);
      told.acknowledged++;
      if (roll() < 0.6) {
        await page.keyboard.press('Control+z');
        await noted(page).getByText(words, { exact: true }).waitFor();
        own.add(words);
        told.acknowledged++;
      }
      told.undone++;
    }
    if (roll() < 0.08) {
      await kill(page);
      told.kills++;
      tabs[i] = await openAt(context, PLACES[i]);
    }
  }
  const last = await openAt(context, PLACES[0]);
  const there = new Set(await kept(last));
  const wanted = new Set([...stands[0]!, ...stands[1]!]);
  told.lost = [...wanted].filter((words) => !there.has(words));
  told.foreign = [...there].filter((words) => !wanted.has(words));
  for (const page of [...tabs, last]) await page.close();
  return told;
}
