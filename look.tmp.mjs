import { chromium } from '@playwright/test';
const shots = JSON.parse(process.argv[2]);
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell' });
const page = await browser.newPage({ viewport: { width: Number(process.argv[3] ?? 1280), height: Number(process.argv[4] ?? 800) }, colorScheme: process.argv[5] ?? 'light' });
page.on('console', (m) => m.type() === 'error' && console.log('console', m.text().slice(0, 200)));
await page.goto('http://127.0.0.1:4751/');
await page.waitForTimeout(1200); await page.goto('http://127.0.0.1:4751/?workshop=demo').catch(()=>0); await page.waitForTimeout(600);
for (const [name, url, ...acts] of shots) {
  if (url) await page.goto('http://127.0.0.1:4751' + url);
  await page.waitForTimeout(1600);
  for (const act of acts) {
    const [kind, what, val] = act;
    if (kind === 'click') await page.getByText(what, { exact: false }).first().click().catch((e) => console.log('no', what, String(e).slice(0, 120)));
    if (kind === 'role') await page.getByRole(what[0], { name: what[1] }).first().click().catch((e) => console.log('no', what, String(e).slice(0, 120)));
    if (kind === 'key') await page.keyboard.press(what);
    if (kind === 'scroll') await page.mouse.move(900, 500).then(() => page.mouse.wheel(0, what));
    if (kind === 'wait') await page.waitForTimeout(what);
    await page.waitForTimeout(350);
  }
  await page.screenshot({ path: `/tmp/${name}.png` });
}
await browser.close();
