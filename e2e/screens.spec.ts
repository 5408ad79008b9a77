import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { settled, signIn } from './bench';
import { test } from './test';

// None of them changes anything: they may stand beside each other.
test.describe.configure({ mode: 'parallel' });

/** The screens by their place in the shop, with jobs in each of their stages from the demonstration. */
const PLACES = ['counter and bench', 'a job', 'gauges', 'the shop'] as const;
type Place = (typeof PLACES)[number];

async function screens(page: Page, place: Place): Promise<string[]> {
  await page.goto('/');
  await page.locator('a[href^="/jobs/"]').first().waitFor();
  const jobs = await page
    .locator('a[href^="/jobs/"]')
    .evaluateAll((links) => [...new Set(links.map((a) => a.getAttribute('href')!))]);
  const tag = (await page.locator('a[href^="/machines/"]').first().getAttribute('href'))!;
  const job = jobs[0]!;
  const rooms: Record<Place, string[]> = {
    'counter and bench': [
      '/',
      '/take-in',
      '/machines',
      '/machines?q=nobody-has-this-name',
      tag,
      `${tag}/tag`,
      `${tag}/operator-sheet`,
      '/machines/GK-9999',
      '/rounds',
      '/wall',
      '/customers',
      '/customers/1',
    ],
    'a job': [
      ...[
        'take-in',
        'find',
        'agree',
        'strip',
        'fit',
        'prove',
        'hand-back',
        'care-sheet',
        'job-sheet',
        'tray-card',
        'service-report',
      ].map((s) => `${job}/${s}`),
      ...jobs.slice(1, 3).map((j) => `${j}/find`),
    ],
    gauges: [
      '/gauges',
      ...['belt', 'air-path', 'safety-test', 'pack'].map((g) => `/gauges/${g}`),
      `/gauges/bearing?job=${job.split('/')[2]}`,
      '/specimen',
    ],
    'the shop': [
      '/shop',
      ...['settings', 'models', 'people', 'learning', 'audit', 'data', 'money', 'messages', 'lives'].map(
        (s) => `/shop/${s}`,
      ),
      '/papers/1',
    ],
  };
  return rooms[place];
}

/** What is wrong with a page as it stands. @param rules only these; the colours are all that differs by night */
async function violations(page: Page, rules?: string[]): Promise<string[]> {
  const axe = new AxeBuilder({ page });
  const { violations: found } = await (rules ? axe.withRules(rules) : axe).analyze();
  return found.map(
    (v) =>
      `${v.id}: ${v.nodes
        .map((n) => n.target.join(' '))
        .slice(0, 3)
        .join(', ')}`,
  );
}

/** A page by day, and the same page by night: nothing but its colours is another. */
async function byDayAndNight(page: Page): Promise<string[]> {
  const day = await violations(page);
  await page.emulateMedia({ colorScheme: 'dark' });
  await expect(page.locator('html')).toHaveAttribute('data-bench', 'dark');
  const night = await violations(page, ['color-contrast', 'link-in-text-block']);
  await page.emulateMedia({ colorScheme: 'light' });
  await expect(page.locator('html')).toHaveAttribute('data-bench', 'light');
  return [...day, ...night.map((v) => `by night, ${v}`)];
}

for (const place of PLACES)
  test(`axe finds nothing on any screen of ${place}, by day and by night`, async ({ browser, baseURL }) => {
    test.setTimeout(600_000);
    const context = await browser.newContext({ baseURL: baseURL!, colorScheme: 'light', reducedMotion: 'reduce' });
    const page = await context.newPage();
    const trouble: string[] = [];
    page.on('pageerror', (e) => trouble.push(e.message));
    page.on('console', (m) => m.type() === 'error' && !m.text().includes('404') && trouble.push(m.text()));
    await page.goto('/sign-in');
    const found: Record<string, string[]> = { '/sign-in': await byDayAndNight(page) };
    await signIn(page, baseURL!);
    for (const path of await screens(page, place)) {
      await page.goto(path);
      await settled(page);
      found[path] = await byDayAndNight(page);
    }
    expect(Object.fromEntries(Object.entries(found).filter(([, v]) => v.length > 0))).toEqual({});
    expect(trouble).toEqual([]);
    await context.close();
  });

for (const place of PLACES)
  test(`on a phone nothing of ${place} is wider than the screen`, async ({ browser, baseURL }) => {
    test.setTimeout(400_000);
    const context = await browser.newContext({
      baseURL: baseURL!,
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      isMobile: true,
    });
    const page = await context.newPage();
    await signIn(page, baseURL!);
    const wide: string[] = [];
    for (const path of await screens(page, place)) {
      await page.goto(path);
      await settled(page);
      const width = await page.evaluate(() => document.documentElement.scrollWidth);
      if (width > 390) wide.push(`${path} is ${width} px wide`);
    }
    expect(wide).toEqual([]);
    await context.close();
  });

test('labels of the line board do not touch, drawn by the real browser', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  for (const width of [1280, 820, 390]) {
    await page.setViewportSize({ width, height: 800 });
    await page.goto('/specimen');
    await settled(page);
    const overlaps = await page.evaluate(() => {
      const texts = [...document.querySelectorAll<SVGTextElement>('svg[role=group] text')].map((t) => ({
        text: t.textContent,
        box: t.getBoundingClientRect(),
      }));
      return texts.flatMap((a, i) =>
        texts
          .slice(i + 1)
          .filter(
            (b) =>
              a.box.left < b.box.right - 1 &&
              b.box.left < a.box.right - 1 &&
              a.box.top < b.box.bottom - 3 &&
              b.box.top < a.box.bottom - 3,
          )
          .map((b) => `${a.text} / ${b.text}`),
      );
    });
    expect(overlaps, `at ${width} px`).toEqual([]);
  }
});

test('the board is walked by keyboard', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  await page.goto('/specimen');
  await page.getByRole('button', { name: /^outlet/ }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: /^cord grip, 12 per cent suspected/ })).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('g:focus')).toHaveAttribute('aria-label', /^(motor shaft|flat belt)/);
});

test('the bench tells what each machine waits for, and one key press away is its work', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Drying rack' })).toContainText(/drying, foam filter, washed, until/);
  await expect(page.getByRole('region', { name: 'Parts shelf' })).toContainText('toothed belt');
  await expect(page.getByRole('region', { name: 'Bench 2' })).toContainText('late, was promised for');
  await expect(page.getByRole('region', { name: 'Door shelf' })).toContainText('Call the owner');
  await page.keyboard.press('g');
  await page.keyboard.press('m');
  await expect(page).toHaveURL(/\/machines$/);
  await page.keyboard.press('/');
  // As fingers type: a burst would be a scanner, and open the machine itself.
  await page.keyboard.type('GK-0001', { delay: 90 });
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Machines found' }).getByRole('row')).toHaveCount(2);
});
