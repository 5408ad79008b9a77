import { expect } from '@playwright/test';
import { agreed, putOnBench, settled, signIn, takeInStranger } from './bench';
import { test } from './test';

test.beforeEach(async ({ page, baseURL }) => signIn(page, baseURL!));

test('the rest of a check is answered with one key, and each line can be taken back', async ({ page }) => {
  await takeInStranger(page, {
    model: /Tussock Level 2/,
    name: 'Sable Gathorne',
    words: 'Rattles.',
    complaints: ['Rattles'],
  });
  await putOnBench(page, 'Sole plate off, look');
  await page.getByRole('button', { name: /^.*little$/ }).click();
  const log = page.getByRole('region', { name: 'Findings so far' });
  await expect(log.getByRole('listitem')).toHaveCount(1);
  await expect(page.getByRole('region', { name: 'Check on the bench' }).getByRole('heading')).toHaveText(
    'Sole plate off, look',
  );
  await page.keyboard.press('0');
  await expect(log.getByRole('listitem')).toHaveCount(6);
  await expect(log).toContainText('Sole plate off, look, object: none');
  await page.getByRole('button', { name: 'Take back: Sole plate off, look, hair' }).click();
  await expect(log.getByRole('listitem').first().locator('p').first()).toHaveCSS(
    'text-decoration-line',
    'line-through',
  );
  // A station of the board narrows the list of faults to itself.
  await page.getByRole('button', { name: /^end caps/ }).click();
  await expect(page.getByRole('region', { name: 'Odds of the faults' })).toContainText('At this station');
  await page.getByRole('button', { name: 'All stations' }).click();
  await expect(page.getByRole('region', { name: 'Odds of the faults' })).toContainText('Likely faults');
});

test('a wait clock sends the machine to the rack, holds it back from Prove, and is seen on the bench', async ({
  page,
}) => {
  await takeInStranger(page, {
    model: /Mirefield Bellows/,
    name: 'Ulla Fennock',
    words: 'Weak.',
    complaints: ['Weak suction'],
  });
  await putOnBench(page, 'Pre-motor filter');
  await page.getByRole('button', { name: 'caked' }).click();
  await agreed(page, 'To Fit');
  const waits = page.getByRole('region', { name: 'Waits' });
  await waits.getByLabel('What').fill('foam, rinsed');
  await waits.getByLabel('Hours').fill('0');
  await waits.getByRole('button', { name: 'Start' }).click();
  await expect(waits.getByText('At least 0.1 h.')).toBeVisible();
  await waits.getByLabel('Hours').fill('20');
  await waits.getByRole('button', { name: 'Start' }).click();
  await expect(waits).toContainText(/Drying: foam, rinsed, (20 h 0|19 h 59) min left/);
  await page.getByRole('button', { name: 'To Prove' }).click();
  await expect(page.getByText('A wait is still running: end it first.')).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Drying rack' })).toContainText('Ulla Fennock');
});

test('the lamp stays as it was left', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Night bench' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-bench', 'dark');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-bench', 'dark');
  await page.getByRole('button', { name: 'Day bench' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-bench', 'light');
});

test('on paper the care sheet stands alone, black on white, the longest of many on one page', async ({ page }) => {
  test.setTimeout(300_000);
  // The paper less its margins.
  await page.setViewportSize({ width: 703, height: 1032 });
  await page.emulateMedia({ media: 'print' });
  const sheet = page.getByRole('article', { name: 'Care sheet' });
  const lengths: [number, job: number][] = [];
  for (let job = 1; job <= 340; job += 10) {
    await page.goto(`/jobs/${job}/care-sheet`);
    lengths.push([(await sheet.boundingBox())!.height, job]);
  }
  const [, longest] = lengths.sort((a, b) => b[0] - a[0])[0]!;
  await page.goto(`/jobs/${longest}/care-sheet`);
  await settled(page);
  await expect(page.getByRole('banner')).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(sheet).toHaveCSS('background-color', 'rgb(255, 255, 255)');
  const pdf = await page.pdf({ preferCSSPageSize: true });
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  // One page: the sheet's own page objects.
  expect(pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
});

test('the machines are paged and searched', async ({ page }) => {
  await page.goto('/machines');
  await expect(page.getByRole('status')).toHaveText(/^\d+ machines, 1 to 50 here$/);
  await page.getByRole('link', { name: 'Next page' }).click();
  await expect(page.getByRole('status')).toHaveText(/, 51 to /);
  await page.getByLabel('Search machines').fill('ferry terminal');
  await expect(page.getByRole('region', { name: 'Machines found' }).getByRole('row').nth(1)).toContainText(
    'ferry terminal',
  );
  await page.getByLabel('Search machines').fill('nothing answers to this');
  await expect(page.getByText('No machine answers to')).toBeVisible();
  // Asked at the head of the screen, the list's own box follows.
  await page.getByLabel('Find a machine or customer').fill('library');
  await page.getByLabel('Find a machine or customer').press('Enter');
  await expect(page.getByLabel('Search machines')).toHaveValue('library');
  await expect(page.getByRole('region', { name: 'Machines found' })).toContainText('town library');
});

test('a page’s own scripts tell the browser to compile them as they arrive; what is fetched later does not', async ({
  page,
}) => {
  const later: string[] = [];
  const first: string[] = [];
  for (const path of ['/', '/take-in', '/gauges/belt']) {
    const html = await (await page.request.get(path)).text();
    const named = [...html.matchAll(/src="(\/_next\/static\/chunks\/[^"]+\.js)"/g)].map((m) => m[1]!);
    expect(named.length).toBeGreaterThan(3);
    for (const url of new Set(named)) {
      const text = await (await page.request.get(url)).text();
      (text.startsWith('//# allFunctionsCalledOnLoad\n') ? first : later).push(url);
    }
  }
  // The runtime and the few that a form is preloaded with are named too; the large ones are all hinted.
  expect(first.length).toBeGreaterThan(3 * later.length);
});

test('what is not here says so, with a way on', async ({ page }) => {
  const nowhere = [
    '/machines/GK-9999',
    '/jobs/999999',
    '/jobs/abc/find',
    '/jobs/1/dreaming',
    '/customers/999999',
    '/gauges/dreaming',
    '/nowhere',
  ];
  for (const path of nowhere) {
    expect((await page.goto(path))!.status(), path).toBe(404);
    await expect(page.getByRole('heading', { name: 'Not here' })).toBeVisible();
  }
});

test('scripts and markup in every field stay words', async ({ page }) => {
  const nasty = `<img src=x onerror="window.hurt=1"> '; drop table job; -- رائحة 🧹`;
  await takeInStranger(page, { model: /Hollin Gannet/, name: nasty, words: nasty, complaints: ['Dead'] });
  await expect(page.getByRole('complementary')).toContainText(nasty);
  await page.goto(`/machines?q=${encodeURIComponent('drop table')}`);
  await expect(page.getByRole('region', { name: 'Machines found' })).toContainText(nasty);
  expect(await page.evaluate(() => 'hurt' in window)).toBe(false);
});

test('twenty presses in two seconds over a slow line are all there, in their order', async ({ page, baseURL }) => {
  test.setTimeout(300_000);
  await signIn(page, baseURL!);
  await takeInStranger(page, {
    model: /Hollin Gannet/,
    name: 'Quill Sorrel',
    words: 'It clacks.',
    complaints: ['Ratchet noise'],
  });
  await putOnBench(page, 'Sole plate off, look');
  await page.route('**/record-findings', async (route) => {
    await new Promise((done) => setTimeout(done, 250));
    await route.continue();
  });
  const keys = Array.from({ length: 20 }, (_, i) => String(1 + (i % 9)));
  for (const key of keys) await page.keyboard.press(key, { delay: 5 });
  const region = page.getByRole('region', { name: 'Findings so far' });
  const found = region.getByRole('listitem');
  // All in one look: rows that are named first and read after may have been redrawn in between by what was saved.
  const answers = () =>
    region.evaluate((list) =>
      [...list.querySelectorAll('li')].map((row) => /^.*?: (.*?)(Wren|saving|$)/.exec(row.textContent)![1]),
    );
  await expect(found).toHaveCount(20);
  const before = await answers();
  expect(before).toHaveLength(20);
  // Saved at the end of the line: the same answers in the same order, after a reload too.
  await expect(found.last()).toContainText('Wren Ostrey', { timeout: 60_000 });
  await page.reload();
  await expect(found).toHaveCount(20);
  expect(await answers()).toEqual(before);
});
