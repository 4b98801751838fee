import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Browser, type Page } from '@playwright/test';
import { sameAsFolder, shareLine, stripOneStep } from './bench';

/** A fresh profile whose folder lies in its own private file system, since a picker cannot be tapped here. */
async function member(browser: Browser): Promise<Page> {
  const page = await (await browser.newContext()).newPage();
  await page.addInitScript(() => {
    Object.assign(globalThis, {
      showDirectoryPicker: async () =>
        (await navigator.storage.getDirectory()).getDirectoryHandle('shared', { create: true }),
    });
  });
  return page;
}

/** A device of its own that takes part in the folder. */
async function device(browser: Browser, called: string): Promise<Page> {
  const page = await member(browser);
  await page.goto('/records?workshop=own');
  await page.getByRole('button', { name: 'Choose a folder' }).click();
  await sameAsFolder(page);
  await page.getByLabel('This device is called').fill(called);
  await page.keyboard.press('Enter');
  await sameAsFolder(page);
  return page;
}

/** In the stead of whatever keeps the folder alike: every file of one to the other. */
async function carry(from: Page, to: Page): Promise<void> {
  const files = await from.evaluate(async () => {
    const root = await (await navigator.storage.getDirectory()).getDirectoryHandle('shared', { create: true });
    const found: [string, string, number[]][] = [];
    const walk = async (directory: FileSystemDirectoryHandle, path: string): Promise<void> => {
      for await (const [name, handle] of directory as unknown as AsyncIterable<
        [string, FileSystemFileHandle | FileSystemDirectoryHandle]
      >)
        if (handle.kind === 'directory') await walk(handle, name);
        else found.push([path, name, [...new Uint8Array(await (await handle.getFile()).arrayBuffer())]]);
    };
    await walk(root, '');
    return found;
  });
  await to.evaluate(async (all) => {
    const root = await (await navigator.storage.getDirectory()).getDirectoryHandle('shared', { create: true });
    for (const [path, name, bytes] of all) {
      const directory = path === '' ? root : await root.getDirectoryHandle(path, { create: true });
      const stream = await (await directory.getFileHandle(name, { create: true })).createWritable();
      await stream.write(new Uint8Array(bytes));
      await stream.close();
    }
  }, files);
}

/** The names in a device's folder. */
const names = (page: Page) =>
  page.evaluate(async () => {
    const root = await (await navigator.storage.getDirectory()).getDirectoryHandle('shared', { create: true });
    const found: string[] = [];
    for await (const name of (root as unknown as { keys(): AsyncIterable<string> }).keys()) found.push(name);
    return found;
  });
const files = async (page: Page) => (await names(page)).length;

async function addBicycle(page: Page, name: string): Promise<string> {
  await page.goto('/?workshop=own');
  await page.getByRole('button', { name: 'Add a bicycle' }).first().click();
  await page.getByLabel(/What is it/).fill(name);
  await page.getByRole('button', { name: 'Put it on the floor' }).click();
  await expect(page).toHaveURL(/bike\?id=/);
  return new URL(page.url()).searchParams.get('id')!;
}

test('three devices on one folder: a bicycle is added on one and seen on the others, one part taken off by each, and one is away for the middle', async ({
  browser,
}) => {
  test.slow();
  const [a, b, c] = [
    await device(browser, 'bench laptop'),
    await device(browser, 'phone of Bo'),
    await device(browser, 'hall'),
  ];
  const first = await files(a);
  const id = await addBicycle(a, 'Slip mixte');
  await expect.poll(() => files(a), { timeout: 15_000 }).toBeGreaterThan(first);
  await sameAsFolder(a);
  await carry(a, b);
  await b.goto('/?workshop=own');
  await expect(b.getByText('Slip mixte', { exact: true })).toBeVisible({ timeout: 15_000 });

  // Both strip in bench mode, at two places, while the third is away.
  for (const [page, place] of [
    [a, 'hub.front'],
    [b, 'hub.rear'],
  ] as const) {
    const before = await files(page);
    await stripOneStep(page, id, place);
    await expect.poll(() => files(page), { timeout: 20_000 }).not.toBe(before);
  }
  await carry(a, b);
  await carry(b, a);
  // Who is at it is told beside the bicycle, and what they changed since it was looked at here.
  await b.goto('/?workshop=own');
  await expect(b.getByRole('main').getByText(/On the bench with The mechanic \(bench laptop\), just now/)).toBeVisible({
    timeout: 15_000,
  });
  await expect(b.getByRole('main').getByText(/changed .* since you looked/)).toBeVisible();
  await b.goto(`/bike?id=${id}&stage=strip`);
  await expect(shareLine(b).getByText(/The mechanic changed .*: front hub/)).toBeVisible({ timeout: 15_000 });
  await shareLine(b).getByRole('button', { name: 'Seen' }).click();
  await expect(shareLine(b).getByText(/changed/)).toHaveCount(0);
  for (const page of [a, b]) {
    await page.goto(`/bike?id=${id}&stage=strip`);
    await expect(page.getByRole('main').getByText(/^1 of \d+ steps$/)).toHaveCount(2, { timeout: 20_000 });
  }
  // The third comes back, and has it all at once.
  await carry(a, c);
  await carry(b, c);
  await c.goto(`/?workshop=own`);
  await expect(c.getByText('Slip mixte', { exact: true })).toBeVisible({ timeout: 15_000 });
  await c.goto(`/bike?id=${id}&stage=strip`);
  await expect(c.getByRole('main').getByText(/^1 of \d+ steps$/)).toHaveCount(2);
  await c.goto('/records');
  await sameAsFolder(c);
  await c.getByRole('button', { name: 'Leave the folder' }).click();
  await expect(c.getByRole('main').getByText('No folder chosen')).toBeVisible();
  await expect(shareLine(c)).toHaveCount(0);
});

test('a house rule entered differently on two devices is asked about once, and the answer goes to both', async ({
  browser,
}) => {
  const [a, b] = [await device(browser, 'laptop'), await device(browser, 'phone')];
  for (const [page, price] of [
    [a, '30'],
    [b, '36'],
  ] as const) {
    await page.goto('/settings');
    await sameAsFolder(page);
    const before = await files(page);
    await page.getByLabel('A customer pays an hour').fill(price);
    await page.keyboard.press('Enter');
    await expect.poll(() => files(page), { timeout: 15_000 }).toBeGreaterThan(before);
  }
  await carry(a, b);
  await carry(b, a);
  for (const page of [a, b])
    await expect(shareLine(page).getByText('One thing differs: choose')).toBeVisible({ timeout: 15_000 });
  await a.goto('/records#folder');
  const asked = a.getByRole('list', { name: 'Entered differently on two devices' });
  await asked.getByRole('button', { name: /€30/ }).waitFor();
  expect((await new AxeBuilder({ page: a }).analyze()).violations.map(({ id }) => id)).toEqual([]);
  await asked.getByRole('button', { name: /€30/ }).click();
  await expect(asked).toHaveCount(0);
  await expect(shareLine(a).getByText('One thing differs: choose')).toHaveCount(0, { timeout: 15_000 });
  await carry(a, b);
  await expect(shareLine(b).getByText('One thing differs: choose')).toHaveCount(0, { timeout: 15_000 });
  await b.goto('/settings');
  await expect(b.getByLabel('A customer pays an hour')).toHaveValue(/30/);
});

test('sealed with a passphrase: names say nothing, another device is asked for it, a wrong one is refused', async ({
  browser,
}) => {
  test.slow();
  const [a, b] = [await device(browser, 'laptop'), await device(browser, 'phone')];
  await addBicycle(a, 'Slip mixte');
  await a.goto('/records#folder');
  await a.getByLabel('Seal it with a passphrase').fill('grease and patience');
  await a.getByRole('button', { name: 'Seal it' }).click();
  await expect(a.getByText(/^Sealed\. Without the passphrase/)).toBeVisible({ timeout: 20_000 });
  await expect
    .poll(async () => (await names(a)).filter((name) => !/^(seal-.*\.json|.*\.sealed)$/.test(name)), {
      timeout: 20_000,
    })
    .toEqual([]);
  await carry(a, b);
  await expect(shareLine(b).getByText('The folder is sealed: give its passphrase')).toBeVisible({ timeout: 30_000 });
  await b.goto('/records#folder');
  await b.getByLabel('Passphrase of the folder').fill('patience and grease');
  await b.getByRole('button', { name: 'Open it' }).click();
  await expect(b.getByText('It is sealed with another passphrase.')).toBeVisible({ timeout: 15_000 });
  await b.getByLabel('Passphrase of the folder').fill('grease and patience');
  await b.getByRole('button', { name: 'Open it' }).click();
  await sameAsFolder(b);
  await b.goto('/?workshop=own');
  await expect(b.getByText('Slip mixte', { exact: true })).toBeVisible({ timeout: 15_000 });
});

test('a folder of a workshop that was never met is asked about before the two are one', async ({ browser }) => {
  const a = await device(browser, 'laptop');
  const first = await files(a);
  await addBicycle(a, 'Slip mixte');
  await expect.poll(() => files(a), { timeout: 15_000 }).toBeGreaterThan(first);
  const b = await member(browser);
  await addBicycle(b, 'Harbour roadster');
  await carry(a, b);
  await b.goto('/records#folder');
  await b.getByRole('button', { name: 'Choose a folder' }).click();
  await expect(
    b.getByText(/holds one bicycle of a workshop that this browser never met, and here is one bicycle/),
  ).toBeVisible();
  await b.getByRole('button', { name: 'Leave it' }).click();
  await expect(shareLine(b)).toHaveCount(0);
  await b.getByRole('button', { name: 'Choose a folder' }).click();
  await b.getByRole('button', { name: 'Make them one' }).click();
  await sameAsFolder(b);
  await b.goto('/?workshop=own');
  for (const name of ['Slip mixte', 'Harbour roadster'])
    await expect(b.getByText(name, { exact: true })).toBeVisible({ timeout: 15_000 });
});

test('two tabs of one browser: one looks after the folder, the other says so, and takes over when it is gone', async ({
  browser,
}) => {
  const a = await device(browser, 'laptop');
  const second = await a.context().newPage();
  await second.goto('/?workshop=own');
  await expect(shareLine(second).getByText('Another tab looks after the folder')).toBeVisible();
  await second.goto('/settings');
  const before = await files(a);
  await second.getByLabel('A customer pays an hour').fill('42');
  await second.keyboard.press('Enter');
  // What is entered in the one goes out by the other.
  await expect.poll(() => files(a), { timeout: 20_000 }).toBeGreaterThan(before);
  await a.close();
  await sameAsFolder(second);
});

test('without a folder the same goes by hand as a zip, and anything else that is given is refused in words', async ({
  browser,
}) => {
  const context = await browser.newContext();
  const a = await context.newPage();
  await addBicycle(a, 'Slip mixte');
  await a.goto('/records#folder');
  const download = a.waitForEvent('download');
  await a.getByRole('button', { name: 'Save it as a zip' }).click();
  const path = await (await download).path();
  const b = await (await browser.newContext()).newPage();
  await b.goto('/records?workshop=own#folder');
  const input = b.getByLabel('A folder as a zip');
  await input.setInputFiles({ name: 'x.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip at all') });
  await expect(b.getByText(/cannot be opened: it is damaged/)).toBeVisible();
  // A workshop of its own is asked about first.
  await addBicycle(b, 'Harbour roadster');
  await b.goto('/records#folder');
  await input.setInputFiles(path);
  await b.getByRole('button', { name: 'Make them one' }).click();
  await expect(b.getByText(/^Taken in\./)).toBeVisible();
  await b.goto('/?workshop=own');
  await expect(b.getByText('Slip mixte', { exact: true })).toBeVisible();
});
