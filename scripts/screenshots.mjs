// Takes the pictures of docs/screenshots from a running demonstration: node scripts/screenshots.mjs [address]
import { chromium } from '@playwright/test';

const base = process.argv[2] ?? 'http://127.0.0.1:4310';
const folder = 'docs/screenshots';
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});

async function open(colorScheme, width = 1280, height = 800) {
  const context = await browser.newContext({ viewport: { width, height }, colorScheme });
  const page = await context.newPage();
  await page.goto(`${base}/sign-in`);
  const shot = (name) => page.screenshot({ path: `${folder}/${name}.png` });
  const enter = async () => {
    await page.getByLabel('Name').fill('demo');
    await page.getByLabel('Passphrase').fill('salt marsh bench');
    await page.getByRole('button', { name: 'Open the shop' }).click();
    await page.waitForURL(`${base}/`);
  };
  const go = async (path) => {
    await page.goto(base + path);
    await page.waitForLoadState('networkidle');
    await page.waitForTimeout(250);
  };
  return { page, shot, enter, go };
}

const day = await open('light');
await day.enter();
await day.go('/');
await day.shot('bench');
const job = async (words) => {
  await day.go('/');
  const row = day.page.locator('[data-strip]').filter({ hasText: words }).first();
  return row.locator('[data-start]').getAttribute('href');
};
const fitting = await job('Rebuild:');
const proving = await job('Prove:');
const handing = await job('Call the owner');
const wet = await job('Signs of water');
const visit = await job('Service:');
// A job that stands in Find with a proposed check.
const find = day.page.getByRole('region', { name: 'Check on the bench' });
let finding;
for (const row of await day.page
  .locator('[data-strip] [data-start]')
  .evaluateAll((links) => links.map((a) => a.getAttribute('href')))) {
  await day.go(`${row}/find`);
  if (row !== wet && (await find.isVisible())) {
    finding = row;
    break;
  }
}

await day.go('/take-in');
await day.page.getByLabel('Tag, serial, owner, phone or words').fill('kennel');
await day.page.getByRole('option').first().waitFor();
await day.page.keyboard.press('Enter');
await day.page.getByLabel('In their own words').fill('It screams, the brush has no bite, and it stinks of dog.');
await day.page.waitForTimeout(400);
await day.page.keyboard.press('Alt+1');
await day.page.getByRole('button', { name: /^housing/ }).click();
await day.page.getByRole('button', { name: 'cracked', exact: true }).click();
await day.page.waitForTimeout(900);
await day.shot('take-in');
await day.go('/take-in');
await day.page.getByRole('button', { name: 'Start afresh' }).click();

await day.go(`${finding}/find`);
await day.shot('find');
const agreeing = await job('Ask the owner');
await day.go(`${agreeing}/agree`);
await day.page.waitForTimeout(1500);
await day.shot('agree');
await day.page.getByRole('region', { name: 'Papers' }).getByRole('link').first().click();
await day.page.getByRole('article').waitFor();
await day.shot('estimate');
await day.go('/shop/messages');
const address = /\/o\/[\w-]+/.exec(await day.page.locator('main').innerText())[0];
await day.go(`${visit}/find`);
await day.shot('service');
await day.page.getByRole('link', { name: 'Operator’s sheet' }).click();
await day.page.getByRole('article', { name: 'Operator’s sheet' }).waitFor();
await day.shot('operator-sheet');
const stripping = await job('Strip: Foot cover');
await day.go(`${stripping}/strip`);
await day.shot('strip');
await day.go(`${fitting}/fit`);
await day.shot('fit');
await day.go(`${proving}/prove`);
await day.shot('prove');
await day.go(`${handing}/hand-back`);
await day.shot('hand-back');
await day.go('/machines/GK-0034');
await day.shot('machine-card');
await day.go('/shop');
await day.shot('shop');
await day.go('/shop/lives');
await day.page.getByRole('img', { name: /^Share still whole/ }).waitFor();
await day.page.waitForTimeout(900);
await day.shot('lives');
const gauge = async (name, picture) => {
  await day.go(`/gauges/${name}`);
  await day.page.getByRole('button', { name: 'Fill in the worked example' }).click();
  await day.page.getByRole('region', { name: 'Result' }).waitFor();
  await day.page.waitForTimeout(900);
  await day.page.evaluate(() => window.scrollTo(0, 0));
  await day.shot(picture);
  await day.page.getByRole('button', { name: 'Clear' }).click();
  await day.page.waitForTimeout(300);
};
await gauge('belt', 'gauge-belt');
await day.go('/machines/GK-0034');
await day.page.locator('a[href$="/hand-back"]').first().click();
await day.page.getByRole('link', { name: 'Care sheet' }).click();
await day.page.getByRole('article', { name: 'Care sheet' }).waitFor();
await day.shot('care-sheet');

const night = await open('dark');
await night.enter();
await night.go(`${wet}/find`);
await night.shot('find-wet-night');

const phone = await open('light', 390, 844);
await phone.enter();
await phone.go(`${finding}/find`);
await phone.shot('find-phone');
await phone.go(address);
await phone.shot('owners-page');
await browser.close();
