import { chromium } from 'playwright';
// node look.tmp.mjs out.png url [--phone] [--dark] [--own] [--full] [click:text|fill:label=value|...]
const [out, url, ...rest] = process.argv.slice(2);
const has = (f) => rest.includes(f);
const steps = rest.filter((r) => !r.startsWith('--'));
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell' });
const ctx = await browser.newContext({ viewport: has('--phone') ? { width: 390, height: 844 } : { width: 1280, height: 800 }, hasTouch: has('--phone'), colorScheme: has('--dark') ? 'dark' : 'light', serviceWorkers: 'block', reducedMotion: 'reduce' });
const page = await ctx.newPage();
page.on('pageerror', (e) => console.log('ERR', e.message));
page.on('console', (m) => m.type() === 'error' && console.log('CON', m.text().slice(0, 200)));
await page.goto('http://127.0.0.1:4751/?workshop=' + (has('--own') ? 'own' : 'demo'));
await page.waitForTimeout(1500);
await page.goto('http://127.0.0.1:4751' + url);
await page.waitForTimeout(1500);
for (const s of steps) {
  const [k, ...r] = s.split(':'); const v = r.join(':');
  if (k === 'click') await page.getByText(v, { exact: false }).first().click();
  if (k === 'button') await page.getByRole('button', { name: v }).first().click();
  if (k === 'check') await page.getByRole('checkbox', { name: v }).first().click();
  if (k === 'fill') { const [l, val] = v.split('='); const f = page.getByRole('textbox', { name: l, exact: true }).first(); await f.fill(val); await f.press('Enter'); }
  if (k === 'scroll') await page.getByText(v).first().scrollIntoViewIfNeeded();
  if (k === 'top') await page.evaluate((t) => { const e = [...document.querySelectorAll('*')].filter((x) => x.textContent.includes(t)).at(-1); e?.scrollIntoView({ block: 'start' }); }, v);
  if (k === 'key') await page.keyboard.press(v);
  if (k === 'js') await page.evaluate(v);
  if (k === 'wait') await page.waitForTimeout(Number(v));
  await page.waitForTimeout(350);
}
await page.waitForTimeout(500);
await page.screenshot({ path: out, fullPage: has('--full') });
if (has('--text')) console.log((await page.locator('main').innerText()).slice(0, 4000));
await browser.close();
