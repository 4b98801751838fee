import { expect, test, type Browser, type Page } from '@playwright/test';

/** A device of its own: a fresh profile whose folder lies in its own private file system, since a picker cannot be tapped here. */
async function device(browser: Browser): Promise<Page> {
  const page = await (await browser.newContext()).newPage();
  await page.addInitScript(() => {
    Object.assign(globalThis, {
      showDirectoryPicker: async () =>
        (await navigator.storage.getDirectory()).getDirectoryHandle('shared', { create: true }),
    });
  });
  await page.goto('/records?workshop=own');
  await page.getByRole('button', { name: 'Choose a folder' }).click();
  await same(page);
  return page;
}

const same = (page: Page) => expect(page.getByText('Same as the folder')).toBeVisible();

/** In the stead of whatever keeps the folder alike: every file of one to the other. */
async function carry(from: Page, to: Page): Promise<void> {
  const files = await from.evaluate(async () => {
    const root = await (await navigator.storage.getDirectory()).getDirectoryHandle('shared', { create: true });
    const found: [string, string][] = [];
    for await (const [name, handle] of root as unknown as AsyncIterable<[string, FileSystemFileHandle]>)
      found.push([name, await (await handle.getFile()).text()]);
    return found;
  });
  await to.evaluate(async (all) => {
    const root = await (await navigator.storage.getDirectory()).getDirectoryHandle('shared', { create: true });
    for (const [name, text] of all) {
      const stream = await (await root.getFileHandle(name, { create: true })).createWritable();
      await stream.write(text);
      await stream.close();
    }
  }, files);
}

/** How many files a device has in its folder. */
const files = (page: Page) =>
  page.evaluate(async () => {
    const root = await (await navigator.storage.getDirectory()).getDirectoryHandle('shared', { create: true });
    let count = 0;
    for await (const _ of root as unknown as AsyncIterable<unknown>) count += 1;
    return count;
  });

test('three devices on one folder: a bicycle is added on one and seen on the others, one part taken off by each, and one is away for the middle', async ({
  browser,
}) => {
  test.slow();
  const [a, b, c] = [await device(browser), await device(browser), await device(browser)];
  await a.goto('/?workshop=own');
  await a.getByRole('button', { name: 'Add a bicycle' }).first().click();
  await a.getByLabel(/What is it/).fill('Slip mixte');
  await a.getByRole('button', { name: 'Put it on the floor' }).click();
  await expect(a).toHaveURL(/bike\?id=/);
  const id = new URL(a.url()).searchParams.get('id')!;
  await expect.poll(() => files(a)).toBeGreaterThan(0);
  await carry(a, b);
  await b.goto('/?workshop=own');
  await expect(b.getByText('Slip mixte')).toBeVisible({ timeout: 15_000 });

  // Both strip, at two places, while the third is away.
  for (const [page, place] of [
    [a, 'hub.front'],
    [b, 'hub.rear'],
  ] as const) {
    await page.goto(`/bike?id=${id}&stage=strip&tray=${place}`);
    const before = await files(page);
    await page.getByRole('button', { name: 'Done, next step' }).click();
    await expect(page.getByRole('button', { name: /^Undo/ }).first()).toBeVisible();
    await expect.poll(() => files(page), { timeout: 15_000 }).not.toBe(before);
  }
  await carry(a, b);
  await carry(b, a);
  for (const page of [a, b]) {
    await page.goto(`/bike?id=${id}&stage=strip`);
    await expect(page.getByRole('main').getByText(/^1 of \d+ steps$/)).toHaveCount(2, { timeout: 20_000 });
  }
  // The third comes back, and has it all at once.
  await carry(a, c);
  await carry(b, c);
  await c.goto(`/?workshop=own`);
  await expect(c.getByText('Slip mixte')).toBeVisible({ timeout: 15_000 });
  await c.goto(`/bike?id=${id}&stage=strip`);
  await expect(c.getByRole('main').getByText(/^1 of \d+ steps$/)).toHaveCount(2);
  await c.goto('/records');
  await same(c);
  await c.getByRole('button', { name: 'Leave the folder' }).click();
  await expect(c.getByText('No folder chosen')).toBeVisible();
});
