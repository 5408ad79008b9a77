import { expect, type Page } from '@playwright/test';
import { putOnBench, settled, signIn, takeInStranger } from './bench';
import { test } from './test';

/** The press reaches the server, its answer is lost on the way back: so often as told, then the line is whole again. */
async function loseAnswers(page: Page, url: string, times: number): Promise<{ lost: number }> {
  const seen = { lost: 0 };
  await page.route(url, async (route) => {
    if (seen.lost >= times) return route.continue();
    seen.lost++;
    await route.fetch();
    await route.abort('connectionreset');
  });
  return seen;
}

/** The press never reaches the server. */
async function losePresses(page: Page, url: string, times: number): Promise<void> {
  let lost = 0;
  await page.route(url, (route) => (lost++ < times ? route.abort('connectionreset') : route.continue()));
}

const stranger = { model: /Ardlow Stave/, name: 'Senna Brock', words: 'Squeals.', complaints: ['Squeals'] };
const findings = (page: Page) => page.getByRole('region', { name: 'Findings so far' }).getByRole('listitem');

test('an answer that is lost on its way: the finding is there once, and the next check is not answered by it', async ({
  page,
  baseURL,
}) => {
  await signIn(page, baseURL!);
  await takeInStranger(page, stranger);
  await putOnBench(page, 'Bag or bin');
  const seen = await loseAnswers(page, '**/record-findings', 1);
  const sent: { key: string; shown: string }[] = [];
  page.on('request', (r) => r.url().endsWith('/record-findings') && sent.push(r.postDataJSON()));
  // The server is asked, and takes as long to answer as it takes to look.
  let looked = () => {};
  const untilLooked = new Promise<void>((done) => (looked = done));
  await page.route('**/api/v1/deeds/**', async (route) => {
    await untilLooked;
    await route.continue();
  });
  await page.keyboard.press('1');
  await expect(page.getByText('Whether your last press was saved is not known')).toBeVisible();
  // Impatient hands: nothing that is pressed now falls on anything.
  await page.keyboard.press('1');
  await page.keyboard.press('2');
  looked();
  await expect(page.getByText('Whether your last press was saved is not known')).toBeHidden();
  expect(seen.lost).toBe(1);
  await expect(findings(page)).toHaveCount(1);
  await expect(
    page.getByRole('region', { name: 'Check on the bench' }).getByRole('heading', { level: 2 }),
  ).toBeVisible();
  await settled(page);
  expect(new Set(sent.map((s) => s.key)).size).toBe(1);
  expect(sent.every((s) => s.shown === 'bag-or-bin')).toBe(true);
  await page.reload();
  await expect(findings(page)).toHaveCount(1);
});

test('a press that never arrived is called so, and goes under the same key', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  await takeInStranger(page, stranger);
  await putOnBench(page, 'Bag or bin');
  await losePresses(page, '**/record-findings', 1);
  await page.keyboard.press('1');
  await expect(page.getByText('1 of your answers is not saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Save them now' }).click();
  await expect(findings(page)).toHaveCount(1);
  await expect(page.getByText('not saved')).toBeHidden();
});

test('a machine is taken in once, however often the answer is lost', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  const seen = await loseAnswers(page, '**/api/v1/jobs', 2);
  await takeInStranger(page, { ...stranger, name: 'Odile Marrack' });
  expect(seen.lost).toBe(2);
  const { rows } = await (await page.request.get('/api/v1/customers?q=Odile%20Marrack')).json();
  expect(rows.filter((r: { name: string }) => r.name === 'Odile Marrack')).toHaveLength(1);
});
