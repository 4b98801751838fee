import { expect, test } from '@playwright/test';
import { spawn } from 'node:child_process';

const PORT = 4741;
const ADDRESS = `http://127.0.0.1:${PORT}`;
const STAGES = ['look-over', 'decide', 'strip', 'clean', 'overhaul', 'rebuild', 'prove', 'hand-over'] as const;

test('after one visit everything works with the server gone, and no rule of the policy is ever broken', async ({
  browser,
}) => {
  const server = spawn(process.execPath, ['scripts/server.mjs', String(PORT)], {
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
    stdio: 'ignore',
  });
  const context = await browser.newContext({ baseURL: ADDRESS, reducedMotion: 'reduce', serviceWorkers: 'allow' });
  try {
    await expect(async () => expect((await fetch(ADDRESS)).status).toBe(200)).toPass({ timeout: 30_000 });
    const page = await context.newPage();
    const broken: string[] = [];
    await page.exposeFunction('policyBroken', (words: string) => broken.push(words));
    await page.addInitScript(() =>
      document.addEventListener('securitypolicyviolation', (event) =>
        (window as unknown as { policyBroken(words: string): void }).policyBroken(
          `${event.violatedDirective} ${event.blockedURI}`,
        ),
      ),
    );
    const policy = (await page.goto('/?workshop=demo'))!.headers()['content-security-policy']!;
    expect(policy).toContain("script-src 'self' 'sha256-");
    expect(policy).not.toMatch(/script-src[^;]*unsafe/);
    await expect(page.getByRole('heading', { name: 'On the floor' })).toBeVisible();
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    server.kill('SIGKILL');
    await expect(async () => expect(fetch(ADDRESS)).rejects.toThrow()).toPass();

    // A deep link, straight from the address bar, with the reckoning in its worker.
    await page.goto('/bike?id=green-tourer&stage=buy');
    await expect(page.getByText('your limit', { exact: true })).toBeVisible();
    for (const stage of STAGES) {
      await page.getByRole('navigation', { name: 'Stages' }).locator(`a[href$="stage=${stage}"]`).click();
      await expect(page.getByRole('main').getByRole('heading', { level: 2 }).first()).toBeVisible();
    }
    await page.goto('/bench?id=green-tourer&task=torque');
    await expect(page.getByRole('heading', { level: 2, name: 'Stem expander bolt' })).toBeVisible();
    await page.goto('/');
    await page.getByRole('link', { name: /Grey winter racer/ }).click();
    await expect(page.getByRole('heading', { name: 'Grey winter racer' })).toBeVisible();
    for (const address of ['/nowhere', '/nowhere/at/all?x=1']) {
      await page.goto(address);
      await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible();
    }
    await page.getByRole('link', { name: 'Back to the floor' }).click();
    await expect(page.getByRole('heading', { name: 'On the floor' })).toBeVisible();
    await page.goto('/gallery');
    await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible();
    await page.goto('/records?send=green-tourer');
    await page.getByRole('button', { name: 'By a code' }).click();
    await expect(page.getByText(/Ergasto cannot be reached/)).toBeVisible();
    expect(broken).toEqual([]);
  } finally {
    server.kill('SIGKILL');
    await context.close();
  }
});
