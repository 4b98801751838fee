// many views with one browser: name|url|w|scheme|acts;...
import { chromium } from 'playwright-core';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell' });
const cache = {};
for (const line of process.argv.slice(2)) {
  const [name, url, w = '1280', scheme = 'light', acts = ''] = line.split('|');
  const key = w + scheme;
  cache[key] ??= await (async () => { const c = await b.newContext({ viewport: { width: +w, height: +w < 600 ? 844 : 800 }, colorScheme: scheme, serviceWorkers: 'block', reducedMotion: 'reduce', hasTouch: +w < 600 }); const p = await c.newPage(); p.on('pageerror', e => console.log('ERR', e.message)); await p.goto('http://127.0.0.1:4751/?workshop=demo'); await p.waitForTimeout(2000); return p; })();
  const p = cache[key];
  await p.goto('http://127.0.0.1:4751' + url); await p.waitForTimeout(3000);
  for (const a of acts.split(';').filter(Boolean)) {
    try {
    if (a.startsWith('key:')) await p.keyboard.press(a.slice(4));
    else if (a.startsWith('type:')) await p.keyboard.type(a.slice(5));
    else if (a.startsWith('scroll:')) await p.evaluate((y) => { const m = document.querySelector('main'); scrollTo(0, +y); if (m) m.scrollTop = +y; }, a.slice(7));
    else if (a.startsWith('css:')) await p.locator(a.slice(4)).first().click({ timeout: 4000 });
    else await p.getByRole('button', { name: new RegExp(a) }).first().click({ timeout: 4000 });
    } catch (e) { console.log(name, a, 'not found'); }
    await p.waitForTimeout(500);
  }
  await p.screenshot({ path: `/tmp/s-${name}.png`, fullPage: name.includes('full') });
}
await b.close();
