import { expect, test, type Browser, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sameAsFolder, shareLine, stripOneStep } from './bench';

const PORT = 4746;
const ADDRESS = `http://127.0.0.1:${PORT}`;

/** Ergasto with a folder of its own, as `npm run demo -- --share FOLDER` starts it. */
async function withFolder(work: (folder: string) => Promise<void>): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'shared-'));
  const server = spawn(process.execPath, ['scripts/server.mjs', String(PORT)], {
    env: { ...process.env, ERGASTO_SHARE: folder },
    stdio: 'ignore',
  });
  try {
    await expect(async () => expect((await fetch(ADDRESS)).ok).toBe(true)).toPass();
    await work(folder);
  } finally {
    server.kill('SIGKILL');
    rmSync(folder, { recursive: true, force: true });
  }
}

async function device(browser: Browser, called: string): Promise<Page> {
  const page = await (await browser.newContext({ baseURL: ADDRESS })).newPage();
  await page.goto('/records?workshop=own');
  await page.getByRole('button', { name: /^Use “shared-.*” of this machine$/ }).click();
  await sameAsFolder(page);
  await page.getByLabel('This device is called').fill(called);
  await page.keyboard.press('Enter');
  await sameAsFolder(page);
  return page;
}

test('the folder of the running Ergasto: names lead nowhere else, links are no files, other sites may not ask', async () => {
  await withFolder(async (folder) => {
    const at = (query: string) => `${ADDRESS}/api/share?${query}`;
    const put = (name: string, body: string, part = 'changes') =>
      fetch(at(new URLSearchParams({ part, name }).toString()), { method: 'PUT', body });
    expect((await put('a.1.b00000001.json', 'x')).status).toBe(204);
    expect(await (await fetch(at('part=changes&name=a.1.b00000001.json'))).text()).toBe('x');
    expect((await put('picture', 'y', 'photographs')).status).toBe(204);
    for (const name of ['../x.json', '/etc/x.json', '.x.json', 'x.txt', 'a/b.json', 'seal-x.json', ''])
      expect((await put(name, 'z')).status, name).toBe(400);
    symlinkSync('/etc/hostname', join(folder, 'link.json'));
    writeFileSync(join(folder, 'other.txt'), 'not ours');
    expect((await fetch(at('part=changes&name=link.json'))).status).toBe(404);
    expect((await fetch(at('part=changes&name=other.txt'))).status).toBe(404);
    expect(await (await fetch(at('part=changes'))).json()).toMatchObject({ names: ['a.1.b00000001.json'] });
    expect((await fetch(at('part=elsewhere'))).status).toBe(400);
    for (const headers of [
      ['origin', 'http://elsewhere.example'],
      ['sec-fetch-site', 'cross-site'],
    ] as const)
      expect((await fetch(at('part=changes'), { headers: [[...headers]] })).status).toBe(403);
    expect((await fetch(at('part=changes&name=a.1.b00000001.json'), { method: 'DELETE' })).status).toBe(204);
    expect((await fetch(at('part=changes&name=a.1.b00000001.json'))).status).toBe(404);
    expect((await fetch(at('part=changes'), { method: 'POST' })).status).toBe(405);
    expect(readdirSync(folder).filter((name) => name.startsWith('.'))).toEqual([]);
  });
});

test('three hands, one bicycle: two strip it, the third is away for the middle and proves it; each is told of the others, and no second pair of eyes is asked in vain', async ({
  browser,
}) => {
  test.slow();
  await withFolder(async (folder) => {
    const [a, b, c] = [
      await device(browser, 'bench laptop'),
      await device(browser, 'stand laptop'),
      await device(browser, 'hall phone'),
    ];
    // Who works here is put down once, and known to all; each device says once who is at it.
    await a.goto('/settings');
    for (const name of ['Ada', 'Bo', 'Cleo']) {
      await a.getByLabel('One more').fill(name);
      await a.keyboard.press('Enter');
      await expect(a.getByRole('button', { name: `Take out ${name}` })).toBeVisible();
    }
    await a
      .getByRole('button', { name: 'A second person too' })
      .or(a.getByRole('radio', { name: 'A second person too' }))
      .first()
      .click();
    for (const [page, name] of [
      [a, 'Ada'],
      [b, 'Bo'],
      [c, 'Cleo'],
    ] as const) {
      await page.goto('/records#folder');
      await page.getByLabel('At the bench').click({ timeout: 30_000 });
      await page.getByRole('option', { name }).click();
    }
    await a.goto('/?workshop=own');
    await a.getByRole('button', { name: 'Add a bicycle' }).first().click();
    await a.getByLabel(/What is it/).fill('Slip mixte');
    await a.getByRole('button', { name: 'Put it on the floor' }).click();
    await expect(a).toHaveURL(/bike\?id=/);
    const id = new URL(a.url()).searchParams.get('id')!;
    for (const page of [b, c]) {
      await page.goto('/?workshop=own');
      await expect(page.getByRole('link', { name: /^Slip mixte/ })).toBeVisible({ timeout: 20_000 });
    }

    // The third goes away with what it has, and works on.
    await c.goto(`/bike?id=${id}&stage=prove`);
    await expect(c.getByRole('button', { name: /^Passed: / }).first()).toBeVisible({ timeout: 30_000 });
    await c.context().setOffline(true);
    await expect(shareLine(c).getByText(/The folder is not there/)).toBeVisible({ timeout: 20_000 });
    await c.getByRole('button', { name: /^Passed: Brakes hold/ }).click();
    await expect(shareLine(c).getByText(/The folder is not there; (one change waits|\d+ changes wait)/)).toBeVisible({
      timeout: 20_000,
    });

    // Two strip it in bench mode, at two places at once.
    for (const [page, place] of [
      [a, 'hub.front'],
      [b, 'hub.rear'],
    ] as const) {
      await stripOneStep(page, id, place);
    }
    for (const [page, other] of [
      [a, 'Bo (stand laptop)'],
      [b, 'Ada (bench laptop)'],
    ] as const) {
      await expect(shareLine(page).getByText(`On the bench with ${other}`)).toBeVisible({ timeout: 30_000 });
      await page.goto(`/bike?id=${id}&stage=strip`);
      await expect(page.getByRole('main').getByText(/^1 of \d+ steps$/)).toHaveCount(2, { timeout: 30_000 });
    }

    // It comes back: what it proved is everywhere, and what the others did is here.
    await c.context().setOffline(false);
    await sameAsFolder(c);
    await c.goto(`/bike?id=${id}&stage=strip`);
    await expect(c.getByRole('main').getByText(/^1 of \d+ steps$/)).toHaveCount(2, { timeout: 30_000 });
    await expect(shareLine(c).getByText(/^(Ada|Bo).* changed \d+ things: /)).toBeVisible();
    await a.goto(`/bike?id=${id}&stage=prove`);
    await expect(a.getByRole('listitem').filter({ hasText: 'Brakes hold' }).getByText(/Cleo/)).toBeVisible({
      timeout: 30_000,
    });
    // The law is the same on each, and none of them calls it ready.
    for (const page of [a, b, c]) {
      await page.goto(`/bike?id=${id}&stage=prove`);
      await expect(page.getByText('Not ready', { exact: true })).toBeVisible({ timeout: 30_000 });
    }
    // A second pair of eyes is asked of the others, and not of whoever signed.
    await a.goto('/?workshop=own');
    await expect(
      a.getByRole('list', { name: 'For your eyes' }).getByText(/Ada, look and sign too: Slip mixte/),
    ).toBeVisible({
      timeout: 30_000,
    });
    await c.goto('/?workshop=own');
    await expect(c.getByRole('link', { name: /^Slip mixte/ })).toBeVisible();
    await expect(c.getByRole('list', { name: 'For your eyes' })).toHaveCount(0);
    expect(readdirSync(folder).length).toBeGreaterThan(5);
  });
});
