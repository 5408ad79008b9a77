import { chromium } from '@playwright/test';
const base = 'http://127.0.0.1:' + (process.env.PORT ?? 4310);
const [out, ...paths] = process.argv.slice(2);
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const width = Number(process.env.W ?? 1280);
const context = await browser.newContext({ viewport: { width, height: Number(process.env.H ?? 800) } });
const r = await context.request.post(base + '/api/sign-in', { headers: { origin: base }, data: { signIn: 'demo', passphrase: 'salt marsh bench' } });
if (!r.ok()) throw new Error('sign in ' + r.status());
const page = await context.newPage();
let i = 0;
for (const p of paths) { await page.goto(base + p); await page.waitForTimeout(1500); await page.screenshot({ path: `${out}${i++}.png`, fullPage: process.env.FULL === '1' }); }
await browser.close();
