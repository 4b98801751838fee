import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { openDemo, read } from './bench';

async function records(page: Page, workshop = 'demo'): Promise<void> {
  await page.goto(`/?workshop=${workshop}`);
  await expect(page.getByRole('main')).toBeVisible();
  await page.goto('/records');
  await expect(page.getByRole('heading', { name: 'Export the workshop' })).toBeVisible();
}

/** Every record of a workshop as it lies in the database. */
function kept(page: Page, workshop: string): Promise<Record<string, unknown>> {
  return page.evaluate(
    (name) =>
      new Promise((resolve, reject) => {
        const open = indexedDB.open(`ergasto-${name}`);
        open.onerror = () => reject(new Error('the database does not open'));
        open.onsuccess = () => {
          const store = open.result.transaction('bicycles').objectStore('bicycles');
          const all = store.getAll();
          const keys = store.getAllKeys();
          keys.onsuccess = () => {
            open.result.close();
            const rows = all.result as { bicycle: unknown }[];
            resolve(Object.fromEntries(rows.map(({ bicycle }, i) => [keys.result[i] as string, bicycle])));
          };
        };
      }),
    workshop,
  );
}

test('out, into an empty browser, and the same is there; a second time nothing is new', async ({ page, browser }) => {
  await openDemo(page, '/bike?id=green-tourer&stage=strip&tray=hub.front');
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'axle.png', mimeType: 'image/png', buffer: await page.screenshot() });
  await expect(page.getByRole('button', { name: /^Photograph of/ })).toBeVisible();
  await records(page);
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export everything' }).click();
  const file = await (await downloading).path();
  await expect(page.getByText(/^Packed:/)).toBeVisible();
  const before = await kept(page, 'demo');

  const other = await browser.newContext();
  const empty = await other.newPage();
  await records(empty, 'own');
  const choose = () => empty.getByLabel('Choose a file to import').setInputFiles(file);
  await choose();
  await expect(empty.getByText('14 bicycles new.')).toBeVisible();
  await empty.getByRole('button', { name: 'Import it' }).click();
  await expect(empty.getByText('Imported.')).toBeVisible();
  expect(await kept(empty, 'own')).toEqual(before);
  await empty.goto('/bike?id=green-tourer&stage=strip&tray=hub.front');
  await expect(empty.getByRole('button', { name: /^Photograph of/ }).locator('img')).toBeVisible();
  await empty.goto('/records');
  await choose();
  // Looking at the strip for a while starts its clock, which is newer than the file.
  await expect(empty.getByText(/^(14 the same|1 newer here, 13 the same)\.$/)).toBeVisible();
  const damaged = readFileSync(file).subarray(0, 4000);
  await empty
    .getByLabel('Choose a file to import')
    .setInputFiles({ name: 'half.zip', mimeType: 'application/zip', buffer: damaged });
  await expect(empty.getByRole('alert').filter({ hasText: 'damaged, cut off' })).toBeVisible();
  await other.close();
});

test('from phone to laptop by a code, changed on both, and merged with what was entered twice asked about', async ({
  page,
  browser,
}) => {
  await records(page);
  const send = async (from: Page) => {
    await from.goto('/records?send=green-tourer');
    await from.getByRole('button', { name: 'By a code' }).click();
    return (await from.getByText(/^[2-9A-Z]{4} [2-9A-Z]{4}$/).textContent())!;
  };
  const fetchIt = async (to: Page, code: string) => {
    await to.goto('/records');
    await to.getByLabel('Or a code').fill(code);
    await to.getByRole('button', { name: 'Fetch' }).click();
  };
  const code = await send(page);
  const other = await browser.newContext();
  const laptop = await other.newPage();
  await records(laptop, 'own');
  await fetchIt(laptop, code);
  await laptop.getByRole('button', { name: 'Import it' }).click();
  await expect(laptop.getByText('Imported.')).toBeVisible();
  await fetchIt(laptop, code);
  await expect(laptop.getByText(/No parcel lies under that code/)).toBeVisible();

  await page.goto('/bike?id=green-tourer&stage=buy');
  await read(page.getByLabel('Asked for it'), '130');
  await laptop.goto('/bike?id=green-tourer&stage=buy');
  await read(laptop.getByLabel('Asked for it'), '120');
  await read(laptop.getByLabel('Paid for it'), '95');
  await fetchIt(page, await send(laptop));
  await expect(page.getByText('1 changed in both.')).toBeVisible();
  await page.getByRole('button', { name: 'Import it' }).click();
  await expect(page.getByText('Imported.')).toBeVisible();
  await page.goto('/bike?id=green-tourer&stage=buy');
  await expect(page.getByLabel('Paid for it')).toHaveValue('95');
  await expect(page.getByText(/Entered twice, asked for it: it stands as €120/)).toBeVisible();
  await page.getByRole('button', { name: 'Take €130' }).click();
  await expect(page.getByLabel('Asked for it')).toHaveValue('130');
  await other.close();
});

test('a browser that is full says so, keeps the change in the tab and writes it when there is room', async ({
  page,
}) => {
  await openDemo(page, '/bike?id=green-tourer&stage=buy');
  await page.evaluate(() => {
    const real = IDBObjectStore.prototype.put;
    (window as unknown as { room(): void }).room = () => (IDBObjectStore.prototype.put = real);
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
  });
  await read(page.getByLabel('Asked for it'), '111');
  await expect(page.getByText(/would not write the last change. It is kept in this tab/)).toBeVisible();
  await page.evaluate(() => (window as unknown as { room(): void }).room());
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText(/would not write/)).toHaveCount(0);
  await page.reload();
  await expect(page.getByLabel('Asked for it')).toHaveValue('111');
});

test('a page that crashes between journal and database has lost nothing, and undo reaches back over it', async ({
  page,
}) => {
  await openDemo(page, '/bike?id=green-tourer&stage=buy');
  await expect(page.getByLabel('Asked for it')).toHaveValue('140');
  // The database never answers again: what is entered now reaches the journal and nothing else.
  await page.evaluate(() => {
    IDBDatabase.prototype.transaction = () => ({ objectStore: () => ({ get: () => ({}), put: () => ({}) }) }) as never;
  });
  await read(page.getByLabel('Asked for it'), '99');
  await page.goto('about:blank');
  await page.goto('/bike?id=green-tourer&stage=buy');
  await expect(page.getByLabel('Asked for it')).toHaveValue('99');
  await page.waitForFunction(() => Object.keys(localStorage).every((key) => !key.includes(':journal:')));
  await page.reload();
  await page.getByRole('button', { name: 'Undo: asked 99' }).click();
  await expect(page.getByLabel('Asked for it')).toHaveValue('140');
  await page.reload();
  await page.getByRole('button', { name: 'Do again: asked 99' }).click();
  await expect(page.getByLabel('Asked for it')).toHaveValue('99');
});
