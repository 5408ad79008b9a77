import { expect } from '@playwright/test';
import { readdirSync } from 'node:fs';
import { join, sep } from 'node:path';
import { settled, signIn } from './bench';
import { test } from './test';

/** Addresses of every page and route handler in the source, with something in place of each variable part. */
function allRoutes(): { path: string; isPage: boolean }[] {
  const root = join(import.meta.dirname, '..', 'src', 'app');
  return readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((f) => /(^|[\\/])(page\.tsx|route\.ts)$/.test(f))
    .map((file) => {
      const parts = file
        .split(sep)
        .slice(0, -1)
        .filter((p) => !p.startsWith('('));
      return { path: `/${parts.map((p) => p.replace(/^\[.*\]$/, '1')).join('/')}`, isPage: file.endsWith('page.tsx') };
    });
}

/** A long random token is their key: one that is made up opens nothing, and all of them look alike. */
const BY_TOKEN = ['/o/1', '/api/o/1', '/api/o/1/photographs/1'];
const OPEN = ['/sign-in', '/api/sign-in', '/healthz', '/readyz'];

test('every address in the source is shut but sign-in and health', async ({ playwright, baseURL }) => {
  const routes = allRoutes();
  expect(routes.length).toBeGreaterThan(18);
  const stranger = await playwright.request.newContext({ baseURL: baseURL! });
  const shut: string[] = [];
  for (const { path, isPage } of routes) {
    for (const method of isPage ? ['GET', 'POST'] : ['GET', 'POST', 'PUT', 'DELETE']) {
      const response = await stranger.fetch(path, {
        method,
        maxRedirects: 0,
        headers: { origin: baseURL! },
        ...(method === 'GET' ? {} : { data: {} }),
      });
      if (OPEN.includes(path)) {
        expect([200, 400, 405], `${method} ${path}`).toContain(response.status());
        continue;
      }
      const status = response.status();
      if (BY_TOKEN.includes(path)) {
        expect([400, 404, 405], `${method} ${path}`).toContain(status);
        continue;
      }
      if (method === 'GET' && !path.startsWith('/api/')) {
        expect(status, `${method} ${path}`).toBe(307);
        expect(response.headers().location).toContain('/sign-in');
      } else expect(status, `${method} ${path}`).toBe(401);
      shut.push(path);
    }
  }
  expect(new Set(shut)).toContain('/api/v1/finding');
  expect(new Set(shut)).toContain('/specimen');
  await stranger.dispose();
});

test('security headers stand on every answer, and the policy holds in the browser', async ({ page, request }) => {
  for (const path of ['/sign-in', '/api/v1/knowledge', '/nowhere']) {
    const headers = (await request.get(path, { maxRedirects: 0 })).headers();
    expect(headers['content-security-policy']).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/);
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
  }
  const complaints: string[] = [];
  page.on('console', (m) => m.type() === 'error' && complaints.push(m.text()));
  await page.goto('/sign-in');
  await page.evaluate(() => {
    const script = document.createElement('div');
    script.innerHTML = '<img src="x" onerror="window.broken = true">';
    document.body.append(script);
  });
  await page.waitForTimeout(300);
  expect(await page.evaluate(() => 'broken' in window)).toBe(false);
  expect(complaints.some((c) => c.includes('Content Security Policy'))).toBe(true);
});

test('a write from another site is refused; a header of the guard’s own cannot be forged', async ({
  playwright,
  baseURL,
}) => {
  const other = await playwright.request.newContext({ baseURL: baseURL! });
  const foreign = await other.post('/api/sign-in', {
    data: { signIn: 'demo', passphrase: 'salt marsh bench' },
    headers: { origin: 'http://elsewhere.test' },
  });
  expect(foreign.status()).toBe(403);
  const forged = await other.get('/api/v1/jobs/1', { headers: { 'x-gritkeeper-person': 'eyJpZCI6MX0.AAAA' } });
  expect(forged.status()).toBe(401);
  await other.dispose();
});

test('after signing in one lands where one wanted to go, never on another site', async ({ page }) => {
  await page.goto('/machines?q=library');
  await expect(page).toHaveURL(/\/sign-in\?next=/);
  await page.getByLabel('Name').fill('demo');
  await page.getByLabel('Passphrase').fill('wrong');
  await page.getByRole('button', { name: 'Open the shop' }).click();
  await expect(page.getByText('Name or passphrase is wrong.').first()).toBeVisible();
  await expect(page.getByLabel('Name')).toHaveValue('demo');
  await page.getByLabel('Passphrase').fill('salt marsh bench');
  await page.getByRole('button', { name: 'Open the shop' }).click();
  await expect(page).toHaveURL(/\/machines\?q=library/);
  await settled(page);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(/\/sign-in$/);
  for (const next of [
    '//elsewhere.test/',
    '/%09/elsewhere.test',
    '/%0a/elsewhere.test',
    '/%5celsewhere.test',
    '/\\elsewhere.test',
  ]) {
    await page.goto(`/sign-in?next=${encodeURIComponent(decodeURIComponent(next))}`);
    await page.getByLabel('Name').fill('demo');
    await page.getByLabel('Passphrase').fill('salt marsh bench');
    await page.getByRole('button', { name: 'Open the shop' }).click();
    await expect(page.getByRole('heading', { name: 'Bench', exact: true })).toBeVisible();
    await settled(page);
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page).toHaveURL(/\/sign-in$/);
  }
});

test('what nobody may send is turned away unread, by its length, its method and its address', async ({ stand }) => {
  const { base, token } = stand;
  const status = async (path: string, init: RequestInit = {}) => {
    const response = await fetch(base + path, init);
    return { status: response.status, text: await response.text(), type: response.headers.get('content-type') };
  };
  const json = { 'content-type': 'application/json', origin: base };
  // A stranger: three and a half megabytes of names once held the shop up for a minute and a half.
  const names = JSON.stringify(Object.fromEntries(Array.from({ length: 300_000 }, (_, i) => [`k${i}`, 1])));
  const large = await status('/api/sign-in', { method: 'POST', headers: json, body: names });
  expect([large.status, large.type]).toEqual([413, 'application/problem+json']);
  expect(large.text.length).toBeLessThan(500);
  const zeros = JSON.stringify({ signIn: '\0'.repeat(600), passphrase: 'x' });
  const zero = await status('/api/sign-in', { method: 'POST', headers: json, body: zeros });
  expect([zero.status, zero.text.length < 2000]).toEqual([400, true]);
  // Somebody with a key: each route has its own measure.
  const bearer = { ...json, authorization: `Bearer ${token}` };
  const body = (bytes: number) => JSON.stringify({ words: 'x'.repeat(bytes) });
  expect((await status('/api/v1/jobs', { method: 'POST', headers: bearer, body: body(70_000) })).status).toBe(413);
  expect((await status('/api/v1/jobs', { method: 'POST', headers: bearer, body: body(60_000) })).status).toBe(400);
  expect((await status('/machines/%00')).status).toBe(400);
  expect((await status('/machines?q=%E0%A4%A')).status).toBe(400);
  expect((await status('/api/v1/shop', { method: 'PATCH', headers: bearer })).status).toBe(405);
  expect((await status('/nowhere-at-all', { headers: { cookie: 'gk_session=x' }, redirect: 'manual' })).status).toBe(
    307,
  );
});

test('an unknown page is not found, and says so with its status', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  for (const path of ['/nowhere', '/machines/GK-99999', '/jobs/999999/find', '/customers/999999']) {
    const response = await page.goto(path);
    expect([path, response!.status()]).toEqual([path, 404]);
  }
});

test('a forwarded host is nobody’s word: it sets no address and passes no check', async ({ stand }) => {
  const forged = { 'x-forwarded-host': 'elsewhere.test', 'x-forwarded-proto': 'https' };
  const led = await fetch(`${stand.base}/machines`, { headers: forged, redirect: 'manual' });
  expect(new URL(led.headers.get('location')!, stand.base).origin).toBe(stand.base);
  const write = await fetch(`${stand.base}/api/sign-in`, {
    method: 'POST',
    headers: { ...forged, origin: 'https://elsewhere.test', 'content-type': 'application/json' },
    body: JSON.stringify({ signIn: 'demo', passphrase: 'salt marsh bench' }),
  });
  expect(write.status).toBe(403);
});

test('a screen that is left locks itself; what was typed is there when it is opened again', async ({
  page,
  baseURL,
}) => {
  await signIn(page, baseURL!);
  const shop = async (lockMinutes: number | null) => {
    const now = await (await page.request.get('/api/v1/shop')).json();
    const { name, zone, mainsV, paper, benches, units, version } = now;
    const saved = await page.request.post('/api/v1/shop', {
      headers: { origin: baseURL! },
      data: { name, zone, mainsV, paper, benches, units, version, key: crypto.randomUUID(), lockMinutes },
    });
    expect(saved.status()).toBe(200);
  };
  await shop(1);
  try {
    await page.clock.install();
    await page.goto('/take-in');
    await settled(page);
    await page.getByRole('textbox', { name: 'In their own words' }).fill('It hums and');
    await page.clock.fastForward(70_000);
    const lock = page.getByRole('dialog', { name: 'The screen is locked' });
    await expect(lock).toBeVisible();
    // The way around it is shut as well.
    await expect(async () => expect((await page.request.get('/api/v1/bench')).status()).toBe(423)).toPass();
    await lock.getByLabel('Passphrase').fill('wrong');
    await lock.getByRole('button', { name: 'Unlock' }).click();
    await expect(lock.getByText('This is not your passphrase.')).toBeVisible();
    await lock.getByLabel('Passphrase').fill('salt marsh bench');
    await lock.getByRole('button', { name: 'Unlock' }).click();
    await expect(lock).toBeHidden();
    await expect(page.getByRole('textbox', { name: 'In their own words' })).toHaveValue('It hums and');
  } finally {
    await shop(null);
  }
});

test('the published service answers a bearer token and names every wrong field', async ({ playwright, stand }) => {
  const api = await playwright.request.newContext({
    baseURL: stand.base,
    extraHTTPHeaders: { authorization: `Bearer ${stand.token}` },
  });
  const good = await api.post('/api/v1/finding', {
    data: {
      kind: 'upright-shaft-belt',
      mainsV: 120,
      openedBefore: false,
      complaints: ['roll-not-turning'],
      findings: [{ check: 'finger-turn', outcome: 'free-no-drag' }],
    },
  });
  expect(good.status()).toBe(200);
  const answer = await good.json();
  expect(answer.faults[0].id).toBe('belt-broken');
  expect(answer.basis.kindJobs).toBeGreaterThan(100);
  const bad = await api.post('/api/v1/finding', {
    data: {
      kind: 'upright-shaft-belt',
      mainsV: 120,
      complaints: ['sings'],
      findings: [{ check: 'roll-speed', value: 3, unit: 'V' }],
    },
  });
  expect(bad.status()).toBe(400);
  expect(bad.headers()['content-type']).toContain('application/problem+json');
  expect((await bad.json()).fields.map((f: { field: string }) => f.field)).toEqual([
    'complaints[0]',
    'findings[0].unit',
  ]);
  const document = await (await api.get('/api/v1/openapi.json')).json();
  expect(Object.keys(document.components.schemas)).toEqual(
    expect.arrayContaining(['FindingRequestDto', 'FindingAnswerDto']),
  );
  expect((await (await api.get('/api/v1/knowledge')).json()).kinds).toHaveLength(17);
  await api.dispose();
});
