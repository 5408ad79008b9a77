import { expect, type Request } from '@playwright/test';
import { settled, signIn, takeInStranger } from './bench';
import { test } from './test';

test('what is moved at one bench is seen at the other without asking, also after the line was lost', async ({
  page,
  browser,
  baseURL,
}) => {
  await signIn(page, baseURL!);
  await takeInStranger(page, {
    model: /Ardlow Stave/,
    name: 'Runa Skerrow',
    words: 'Rattles.',
    complaints: ['Rattles'],
  });
  const tag = (await page.getByRole('heading', { level: 1 }).getByRole('link').textContent())!;
  const context = await browser.newContext({ baseURL: baseURL! });
  const other = await context.newPage();
  await signIn(other, baseURL!);
  await other.goto('/');
  await page.goto('/');
  await expect(other.getByRole('region', { name: 'Bench 1' })).toContainText(tag);
  await settled(page);
  await other.waitForTimeout(1000);

  // By keys: walk to the strip, m, the place.
  await page.locator(`[data-move]`, { hasText: 'nobody yet' }).first().waitFor();
  const strip = page.locator('[data-strip]').filter({ hasText: tag });
  await strip.locator('[data-start]').focus();
  await page.keyboard.press('m');
  await page.getByRole('menuitem', { name: 'Drying rack' }).press('Enter');
  await expect(other.getByRole('region', { name: 'Drying rack' })).toContainText(tag);
  await expect(page.getByRole('region', { name: 'Drying rack' })).toContainText(tag);

  // By hand: dragged by its grip to the second bench.
  await page.waitForTimeout(500);
  const grip = page.locator(`[data-grip="${tag}"]`);
  // Rack and benches stand far apart on a full day.
  await page.setViewportSize({ width: 1280, height: 2000 });
  const from = (await grip.boundingBox())!;
  const to = (await page.getByRole('region', { name: 'Bench 2' }).boundingBox())!;
  await page.mouse.move(from.x + 8, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(from.x + 20, from.y - 20, { steps: 4 });
  const target = (await page.getByRole('region', { name: 'Bench 2' }).boundingBox()) ?? to;
  await page.mouse.move(target.x + 200, target.y + 16, { steps: 8 });
  await page.mouse.up();
  await expect(other.getByRole('region', { name: 'Bench 2' })).toContainText(tag);

  // The other browser loses its line and gets it back: it catches up by itself.
  await context.setOffline(true);
  await expect(other.getByText('The line to the shop is lost')).toBeVisible();
  await page.waitForTimeout(300);
  await page.locator('[data-strip]').filter({ hasText: tag }).locator('[data-move]').click();
  await page.getByRole('menuitem', { name: 'Parts shelf' }).click();
  await expect(page.getByRole('region', { name: 'Parts shelf' })).toContainText(tag);
  await context.setOffline(false);
  await expect(other.getByRole('region', { name: 'Parts shelf' })).toContainText(tag, { timeout: 15_000 });
  await expect(other.getByText('The line to the shop is lost')).toBeHidden();
  await context.close();
});

test('given to me it is mine, and only mine is shown when I say so; digits start the work', async ({
  page,
  baseURL,
}) => {
  await signIn(page, baseURL!);
  await takeInStranger(page, {
    model: /Ardlow Stave/,
    name: 'Yarrow Pellan',
    words: 'Rattles.',
    complaints: ['Rattles'],
  });
  const tag = (await page.getByRole('heading', { level: 1 }).getByRole('link').textContent())!;
  await page.goto('/');
  await settled(page);
  await page.locator('[data-strip]').filter({ hasText: tag }).locator('[data-move]').click();
  await page.getByRole('menuitem', { name: 'Wren Ostrey' }).click();
  await page.keyboard.press('n');
  await expect(page.locator('[data-strip]').filter({ hasText: tag })).toBeVisible();
  await expect(page.locator('[data-strip]').filter({ hasText: 'Jory Thrale' })).toHaveCount(0);
  await page.reload();
  await expect(page.locator('[data-strip]').filter({ hasText: 'Jory Thrale' })).toHaveCount(0);
  await page.keyboard.press('n');
  await expect(page.locator('[data-strip]').filter({ hasText: 'Jory Thrale' }).first()).toBeVisible();
  const first = await page.locator('[data-start]').first().getAttribute('href');
  await page.keyboard.press('1');
  await expect(page).toHaveURL(new RegExp(`${first}/`));
});

test('a wait that runs out rings at the bench and on the wall, whoever looks', async ({
  page,
  browser,
  baseURL,
  stand,
}) => {
  await signIn(page, baseURL!);
  await takeInStranger(page, {
    model: /Mirefield Bellows/,
    name: 'Voss Quillon',
    words: 'Weak.',
    complaints: ['Weak suction'],
  });
  const job = /jobs\/(\d+)/.exec(page.url())![1]!;
  const { version } = (await (await page.request.get(`/api/v1/jobs/${job}`)).json()) as { version: number };
  const start = await page.request.post(`/api/v1/jobs/${job}/start-wait`, {
    headers: { origin: baseURL! },
    data: { key: crypto.randomUUID(), version, kind: 'glue', what: 'seam of the duct', hours: 0.1 },
  });
  expect(start.ok()).toBe(true);
  const wall = await (await browser.newContext({ baseURL: baseURL! })).newPage();
  await signIn(wall, baseURL!);
  await wall.goto('/wall');
  await expect(wall.getByText('Glue or sealant: seam of the duct')).toBeVisible();
  // Six minutes are over, as the database sees it.
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: stand.database });
  await client.connect();
  await client.query(
    `update wait set started_at = now() - interval '1 hour', ends_at = now() + interval '500 milliseconds' where job_id = $1`,
    [job],
  );
  await client.end();
  await expect(wall.getByText('Voss Quillon')).toContainText('glue or sealant is over');
  await wall.context().close();
});

test('twenty tabs of one browser hold one line to the shop, and all of them hear', async ({
  page,
  context,
  baseURL,
}) => {
  test.setTimeout(400_000);
  // Twenty of them draw at once; how long that takes is not what is asked.
  const patience = { timeout: 90_000 };
  await signIn(page, baseURL!);
  await takeInStranger(page, {
    model: /Hollin Gannet/,
    name: 'Tansy Holm',
    words: 'It rattles.',
    complaints: ['Rattles'],
  });
  const job = /jobs\/(\d+)/.exec(page.url())![1]!;
  const asked = new Set<Request>();
  context.on('request', (request) => request.url().includes('/api/v1/live') && asked.add(request));
  context.on('requestfailed', (request) => asked.delete(request));
  context.on('requestfinished', (request) => asked.delete(request));
  /** The tabs that hold a line now. */
  const holders = () => [...asked].map((request) => request.frame().page()).filter((tab) => !tab.isClosed());
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Bench', exact: true })).toBeVisible(patience);
  await expect.poll(holders, patience).toEqual([page]);
  const tabs = [];
  for (let i = 0; i < 19; i++) {
    const tab = await context.newPage();
    await tab.goto('/');
    await expect(tab.getByRole('heading', { name: 'Bench', exact: true })).toBeVisible(patience);
    tabs.push(tab);
  }
  const { version } = (await (await page.request.get(`/api/v1/jobs/${job}/facts`)).json()) as { version: number };
  const moved = await page.request.post(`/api/v1/jobs/${job}/move-job`, {
    headers: { origin: baseURL! },
    data: { key: crypto.randomUUID(), version, place: 'rack' },
  });
  expect(moved.ok()).toBe(true);
  for (const tab of [page, ...tabs])
    await expect(tab.getByRole('region', { name: 'Drying rack' })).toContainText('Tansy Holm', patience);
  // A tab that the machine left without breath for long may have lost its turn to another: still one line.
  await expect.poll(() => holders().length, patience).toBe(1);
  // The tab that held it closes: another takes over, and no more than one.
  await holders()[0]!.close();
  await expect.poll(() => holders().length, patience).toBe(1);
});
