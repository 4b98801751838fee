import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { copies, openDemo, read } from './bench';
import { storm } from './storm';

const asked = (page: Page) => page.getByLabel('Asked for it');

test('acknowledged changes in two tabs that are killed again and again: all are there', async ({ context }) => {
  const told = await storm(context, '', 24, 7);
  expect(told).toMatchObject({ lost: [], foreign: [] });
  expect(told.kills).toBeGreaterThan(0);
});

test('the database deleted under an open page is told at once, and written again', async ({ page, context }) => {
  // The second visit: while a database is first made there is nothing yet that listens.
  await openDemo(page);
  await page.goto('/bike?id=green-tourer&stage=buy');
  await expect(asked(page)).toHaveValue('140');
  const other = await context.newPage();
  await other.goto('/icon.svg');
  await other.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const gone = indexedDB.deleteDatabase('ergasto-demo');
        gone.onsuccess = () => resolve();
        gone.onerror = () => reject(new Error('it is not deleted'));
      }),
  );
  await expect(page.getByText(/has taken this workshop’s records away/)).toBeVisible();
  await read(asked(page), '77');
  const journal = () =>
    page.evaluate(() => Object.keys(localStorage).filter((key) => key.includes(':journal:')).length);
  await expect(page.getByText(/has taken this workshop’s records away/)).toBeVisible();
  expect(await journal()).toBe(1);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText(/has taken this workshop’s records away/)).toHaveCount(0);
  await expect.poll(journal).toBe(0);
  await page.reload();
  await expect(asked(page)).toHaveValue('77');
});

test('a database that never answers says so after five seconds', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => new EventTarget() as unknown as IDBOpenDBRequest;
  });
  const from = Date.now();
  await page.goto('/?workshop=own');
  await expect(page.getByText(/database does not answer/)).toBeVisible();
  expect(Date.now() - from).toBeGreaterThan(4500);
  expect(Date.now() - from).toBeLessThan(9000);
});

test('without localStorage the demonstration stays the demonstration', async ({ page }) => {
  await page.addInitScript(() => {
    for (const name of ['localStorage', 'sessionStorage'])
      Object.defineProperty(window, name, {
        get() {
          throw new DOMException('forbidden', 'SecurityError');
        },
      });
  });
  await openDemo(page, '/bike?id=green-tourer&stage=buy');
  await expect(asked(page)).toHaveValue('140');
  await page.reload();
  await expect(asked(page)).toHaveValue('140');
  await read(asked(page), '88');
  await expect(page.getByRole('button', { name: 'Undo: asked 88' })).toBeVisible();
});

test('a bicycle that a newer release has raised takes no more changes here, and what was entered waits', async ({
  page,
  context,
}) => {
  await openDemo(page, '/bike?id=green-tourer&stage=buy');
  await expect(asked(page)).toHaveValue('140');
  const other = await context.newPage();
  await other.goto('/icon.svg');
  const version = (by: number) =>
    other.evaluate(
      (by) =>
        new Promise<void>((resolve) => {
          const open = indexedDB.open('ergasto-demo');
          open.onsuccess = () => {
            const store = open.result.transaction('bicycles', 'readwrite').objectStore('bicycles');
            const asking = store.get('green-tourer');
            asking.onsuccess = () => {
              const stored = asking.result as { schemaVersion: number; bicycle: { schemaVersion: number } };
              stored.schemaVersion += by;
              stored.bicycle.schemaVersion += by;
              store.put(stored, 'green-tourer').onsuccess = () => (open.result.close(), resolve());
            };
          };
        }),
      by,
    );
  await version(1);
  await read(asked(page), '66');
  await expect(page.getByText(/A newer Ergasto has brought this bicycle up to date/)).toBeVisible();
  await version(-1);
  await page.reload();
  await expect(asked(page)).toHaveValue('66');
});

test('a page that dies while it takes in: the next start says so, and it is finished or all taken back', async ({
  browser,
}) => {
  const elsewhere = await browser.newContext();
  const full = await elsewhere.newPage();
  await copies(full, 150);
  await full.goto('/records');
  const downloading = full.waitForEvent('download');
  await full.getByRole('button', { name: 'Export everything' }).click();
  const buffer = readFileSync(await (await downloading).path());
  await elsewhere.close();
  for (const way of ['Finish it', 'Take it all back']) {
    const context = await browser.newContext();
    const page = await context.newPage();
    await page.goto('/?workshop=own');
    await page.goto('/records');
    await page
      .getByLabel('Choose a file to import')
      .setInputFiles({ name: 'workshop.zip', mimeType: 'application/zip', buffer });
    await expect(page.getByText('150 bicycles new.')).toBeVisible();
    await page.getByRole('button', { name: 'Import it' }).click();
    await page.waitForFunction(() => /(^|\D)([2-9]\d|1[0-3]\d) of 150/.test(document.body.innerText), null, {
      polling: 5,
    });
    await page.close({ runBeforeUnload: false });
    const next = await context.newPage();
    await next.goto('/records');
    await expect(next.getByText(/when the page closed: \d+ of 150 bicycles are in/)).toBeVisible();
    await next.getByRole('button', { name: way }).click();
    await expect(next.getByText(/when the page closed/)).toHaveCount(0, { timeout: 60_000 });
    const count = next.getByText(/^bicycles?$/).locator('xpath=preceding-sibling::*');
    await expect(count).toHaveText(way === 'Finish it' ? '150' : '0');
    await next.reload();
    await expect(count).toHaveText(way === 'Finish it' ? '150' : '0');
    await context.close();
  }
});
