import { chromium } from '@playwright/test';
const exe = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium-headless-shell';
const b = await chromium.launch({ executablePath: exe, args: ['--no-sandbox','--disable-gpu'] });
const shots = process.argv.slice(2);
const ctx = await b.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
const p = await ctx.newPage();
p.on('pageerror', e => console.log('ERR', e.message)); p.on('console', m => m.type()==='error' && console.log('CON', m.text().slice(0,300)));
await p.goto('http://127.0.0.1:4741/?workshop=demo'); await p.getByRole('heading',{name:'On the floor'}).waitFor(); await p.waitForTimeout(2500);
await p.screenshot({path:'/tmp/t/floor.png'});
const first = p.locator('ul[aria-label="Bicycles on the floor"] a').first(); const href = await first.getAttribute('href'); console.log(href);
const id = new URL('http://x'+href).searchParams.get('id');
const ids = await p.locator('ul[aria-label="Bicycles on the floor"] a').evaluateAll(a=>a.map(x=>x.getAttribute('href')));
console.log(ids.join(' '));
for (const [n,u] of [['look',`/bike?id=${id}&stage=look-over`],['rebuild',`/bike?id=${id}&stage=rebuild`],['bench',`/bench?id=${id}&task=overhaul&place=hub.front`],['stock','/stock'],['settings','/settings']]) { await p.goto('http://127.0.0.1:4741'+u); await p.waitForTimeout(2500); await p.screenshot({path:`/tmp/t/${n}.png`}); }
await b.close();
