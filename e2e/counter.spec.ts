import { expect, type Page } from '@playwright/test';
import { freeMachine, settled, signIn, takeInStranger, typeDay } from './bench';
import { test } from './test';

test.beforeEach(async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  // What another test left half typed at the counter.
  await page.request.delete('/api/v1/drafts/take-in', { headers: { origin: baseURL! } });
});

/** Keys as a scanner sends them: one after the other without waiting for the page. */
async function scanLike(page: Page, code: string): Promise<void> {
  const session = await page.context().newCDPSession(page);
  // As far apart as a scanner’s keys are, however long the browser takes to hear of them.
  const started = Date.now() / 1000;
  const key = (type: 'keyDown' | 'keyUp', k: string, nth: number) =>
    session.send('Input.dispatchKeyEvent', {
      type,
      key: k,
      timestamp: started + nth * 0.01,
      ...(type === 'keyDown' ? { text: k === 'Enter' ? '\r' : k } : {}),
      ...(k === 'Enter' ? { windowsVirtualKeyCode: 13 } : {}),
    });
  await Promise.all([...code, 'Enter'].flatMap((k, i) => [key('keyDown', k, i), key('keyUp', k, i)]));
  await session.detach();
}

/** Types and presses, and counts how often a key went down. */
function keys(page: Page) {
  let count = 0;
  return {
    type: async (text: string) => {
      count += text.length;
      await page.keyboard.type(text);
    },
    press: async (key: string) => {
      count++;
      await page.keyboard.press(key);
    },
    count: () => count,
  };
}

test('a known machine is found, said, and taken in with at most twelve keys besides the customer’s words', async ({
  page,
}) => {
  const { tag } = await freeMachine(page, 'upright-shaft-belt');
  await page.goto('/');
  await settled(page);
  const hand = keys(page);
  await hand.press('g');
  await hand.press('t');
  await expect(page.getByRole('combobox', { name: 'Tag, serial, owner, phone or words' })).toBeFocused();
  // The bare number of the tag is enough.
  await hand.type(String(Number(tag.replace('GK-', ''))));
  await expect(page.getByRole('option').first()).toContainText(tag);
  await hand.press('Enter');
  await expect(page.getByRole('textbox', { name: 'In their own words' })).toBeFocused();
  const place = async () => (await page.getByRole('group', { name: 'Complaints', exact: true }).boundingBox())!.y;
  const before = await place();
  await page.keyboard.type('It smells like a wet dog');
  await expect(page.getByRole('status', { name: 'Heard in their words' })).toContainText('Smells of pet or mould');
  // What is heard moves nothing away under the finger.
  expect(await place()).toBe(before);
  await hand.press('Alt+1');
  await hand.press('Control+Enter');
  await expect(page).toHaveURL(/\/jobs\/\d+\/find$/);
  expect(hand.count()).toBeLessThanOrEqual(12);
  await expect(page.getByRole('complementary')).toContainText('Smells of pet or mould');
});

test('an owner who is mistyped is found, and a new machine of theirs is taken in on the same page', async ({
  page,
}) => {
  await page.goto('/take-in');
  await page.getByLabel('Tag, serial, owner, phone or words').fill('stathe bakry');
  const customer = page.getByRole('option', { name: /A new machine of Staithe bakery/ });
  await customer.click();
  await expect(page.getByText('Always, for Staithe bakery: Flour: open it outdoors, under extraction.')).toBeVisible();
  await page.getByRole('combobox', { name: 'Model' }).click();
  await page.getByRole('option', { name: /Mirefield Bellows/ }).click();
  const bought = new Date(Date.now() - 30 * 86_400_000).toISOString().slice(0, 10);
  await typeDay(page, 'Bought on', bought);
  await page.getByRole('textbox', { name: 'In their own words' }).fill('it leaves lines no more, and it screams');
  await page.getByRole('button', { name: /^Roll slow, leaves no lines Alt/ }).click();
  await page.getByRole('button', { name: /^Squeals Alt/ }).click();

  // On arrival: signs, marks on the board, what came with it, a photograph.
  await page.getByRole('button', { name: 'Battery swollen' }).click();
  await expect(page.getByRole('note').filter({ hasText: 'Do not charge' })).toBeVisible();
  await page.getByRole('button', { name: 'hose', exact: true }).last().click();
  await page.getByRole('button', { name: /^housing/ }).click();
  await page.getByLabel('or in words').fill('split at the latch');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^housing, marked on arrival/ })).toBeVisible();
  await page.getByRole('group', { name: 'Was it ever wet?' }).getByRole('button', { name: 'yes' }).click();
  const picture = await page.screenshot();
  await page
    .getByLabel('Photograph', { exact: true })
    .setInputFiles({ name: 'cord.png', mimeType: 'image/png', buffer: picture });
  await expect(page.getByRole('img', { name: 'Photograph 1' })).toBeVisible();
  await page
    .getByLabel('Photograph', { exact: true })
    .setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('no') });
  await expect(page.getByRole('alert').filter({ hasText: 'no photograph' })).toBeVisible();

  // Under warranty the owner must choose, and nothing of the above is lost by the refusal.
  await page.getByRole('button', { name: /Take it in/ }).click();
  await expect(page.getByText('Warranty: here, or the authorised shop?').last()).toBeInViewport();
  await page.getByRole('button', { name: 'repair it here' }).click();
  await page.getByRole('button', { name: /Take it in/ }).click();
  await expect(page).toHaveURL(/\/jobs\/\d+\/find$/);
  const side = page.getByRole('complementary');
  await expect(side).toContainText('the owner wants it repaired here');
  await expect(side).toContainText('With it: hose.');
  await expect(page.getByRole('button', { name: /^housing.*marked on arrival/ })).toBeVisible();

  // All of it stands on the sheet that goes with the machine.
  await page.getByRole('link', { name: 'Job sheet' }).click();
  const sheet = page.getByRole('article', { name: 'Job sheet' });
  for (const words of [
    'split at the latch',
    'Battery swollen',
    'came with it: hose',
    'Do not charge',
    'Has been wet',
    'it leaves lines no more',
  ])
    await expect(sheet).toContainText(words);
  await expect(sheet.getByRole('img', { name: /^Bar code of GK-/ })).toBeVisible();
});

test('what was typed at the counter survives a reload, a sign-out and another browser', async ({
  page,
  browser,
  baseURL,
}) => {
  await page.goto('/take-in');
  await page.getByRole('textbox', { name: 'In their own words' }).fill('Half a sentence that must not');
  await page.getByRole('button', { name: 'Mould', exact: true }).click();
  await page.waitForTimeout(1200);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'In their own words' })).toHaveValue('Half a sentence that must not');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(/sign-in/);
  const other = await (await browser.newContext({ baseURL: baseURL! })).newPage();
  await signIn(other, baseURL!);
  await other.goto('/take-in');
  await expect(other.getByRole('textbox', { name: 'In their own words' })).toHaveValue('Half a sentence that must not');
  await expect(other.getByRole('button', { name: 'Mould', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await other.getByRole('button', { name: 'Start afresh' }).click();
  await other.waitForTimeout(500);
  await other.context().close();
});

test('a scanner opens the machine on any screen, and what it typed into a field is taken out again', async ({
  page,
}) => {
  const { tag } = await freeMachine(page, 'upright-shaft-belt');
  const scan = () => scanLike(page, tag);
  await page.goto('/shop/settings');
  await settled(page);
  await scan();
  await expect(page).toHaveURL(new RegExp(`/machines/${tag}$`));

  await page.goto('/take-in');
  await page.getByRole('textbox', { name: 'In their own words' }).fill('It rattles');
  await page.waitForTimeout(200);
  await scan();
  await expect(page).toHaveURL(new RegExp(`/machines/${tag}$`));
  await page.goto('/take-in');
  await expect(page.getByRole('textbox', { name: 'In their own words' })).toHaveValue('It rattles');
  await page.getByRole('button', { name: 'Start afresh' }).click();
  await page.waitForTimeout(500);

  // The tag of a machine that is here opens its job.
  await page.goto('/');
  await settled(page);
  const here = (await page.locator('a[href^="/machines/GK-"]').first().textContent())!;
  await scanLike(page, here);
  await expect(page).toHaveURL(/\/jobs\/\d+\//);
});

test('what is given as dead and runs is struck for what is seen instead, and that is looked for', async ({ page }) => {
  const words = 'It is dead.';
  await takeInStranger(page, { model: /Tussock Rush/, name: 'Edda Quay', words, complaints: ['Dead'] });
  await page.getByRole('button', { name: 'Not found at the bench: Dead' }).click();
  await page.getByLabel('What was seen instead?').fill('It runs here, but it is weak and cuts out');
  const seen = page.getByRole('group', { name: 'What is seen' });
  await seen.getByRole('combobox').selectOption({ label: 'Roll cuts in and out' });
  await expect(seen.getByRole('button', { name: 'Roll cuts in and out' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Strike it' }).click();
  const beside = page.getByRole('complementary');
  await expect(beside.getByRole('button', { name: 'Not found at the bench: Roll cuts in and out' })).toBeVisible();
  await expect(beside).toContainText('“It is dead.”');
  await expect(beside.locator('s')).toHaveText('Dead');
  await expect(page.getByRole('region', { name: 'Check on the bench' })).toBeVisible();
});
