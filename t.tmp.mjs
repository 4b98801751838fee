import { chromium } from '@playwright/test';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell' });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto('http://127.0.0.1:4741/?workshop=demo'); await page.waitForTimeout(2500);
for (let i=0;i<3;i++){ const t=Date.now(); await page.goto('http://127.0.0.1:4741/bike?id=ferry-staff-7&stage=strip'); await page.getByText('/ your limit').first().waitFor({timeout:9000}); console.log('limit', Date.now()-t); }
await page.waitForTimeout(500);
await browser.close();
