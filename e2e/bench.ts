import sharp from 'sharp';
import { expect, type Locator, type Page } from '@playwright/test';

/** Signs in through the real form. */
export async function signInByForm(page: Page): Promise<void> {
  await page.goto('/sign-in');
  await page.getByLabel('Name').fill('demo');
  await page.getByLabel('Passphrase').fill('salt marsh bench');
  await page.getByRole('button', { name: 'Open the shop' }).click();
  await expect(page.getByRole('heading', { name: 'Bench', exact: true })).toBeVisible();
}

/** Opens a session without the form, for tests of what lies behind it. */
export async function signIn(page: Page, baseURL: string): Promise<void> {
  const response = await page.request.post('/api/sign-in', {
    data: { signIn: 'demo', passphrase: 'salt marsh bench' },
    headers: { origin: baseURL },
  });
  expect(response.ok()).toBe(true);
}

interface KnownMachine {
  tag: string;
  serial: string;
  owner: string;
  kind: string;
  openJob: number | null;
  warrantyUntil: string | null;
  lastJobAt: string | null;
}

/** A machine of the demonstration of which something was found before and that is not here now, of this kind, under warranty or not. */
export async function freeMachine(page: Page, kind: string, underWarranty = false): Promise<KnownMachine> {
  const today = new Date().toISOString().slice(0, 10);
  for (let at = 0; at < 3; at++) {
    const answer = await page.request.get(`/api/v1/machines?page=${at}`);
    const { rows } = (await answer.json()) as { rows: KnownMachine[] };
    for (const m of rows) {
      if (m.kind !== kind || m.openJob !== null || m.lastJobAt === null) continue;
      if ((m.warrantyUntil ?? '') >= today !== underWarranty) continue;
      // One that was only ever serviced has no finding in its book.
      const found = await page.request.get(`/api/v1/machines/${m.tag}/timeline?what=found`);
      if (((await found.json()) as { rows: unknown[] }).rows.length > 0) return m;
    }
  }
  throw new Error(`No machine of the kind ${kind} is free.`);
}

interface Stranger {
  model: RegExp;
  name: string;
  words: string;
  complaints: string[];
  signs?: string[];
  guess?: string;
}

/** Takes a new machine of a new customer in, at the counter; ends in Find. */
export async function takeInStranger(page: Page, s: Stranger): Promise<void> {
  await page.goto('/take-in');
  await settled(page);
  await page.getByLabel('New machine').check();
  await page.getByRole('combobox', { name: 'Model' }).click();
  await page.getByRole('option', { name: s.model }).click();
  await page.getByLabel('Serial').fill('Z-77123');
  await page.getByLabel('New customer').check();
  await page.getByLabel('Name', { exact: true }).fill(s.name);
  await page.getByLabel('Phone', { exact: true }).fill('555 0999');
  await page.getByRole('textbox', { name: 'In their own words' }).fill(s.words);
  for (const c of s.complaints) await page.getByRole('button', { name: c, exact: true }).click();
  for (const sign of s.signs ?? []) await page.getByRole('button', { name: sign, exact: true }).click();
  if (s.guess) {
    await page.getByRole('combobox', { name: 'They think it is' }).selectOption({ label: s.guess });
  }
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page).toHaveURL(/\/jobs\/\d+\/find$/);
}

/** Brings a check onto the bench by its name. */
export async function putOnBench(page: Page, name: string): Promise<void> {
  const card = page.getByRole('region', { name: 'Check on the bench' });
  await expect(card).toBeVisible();
  if (!(await card.getByRole('heading', { name, exact: true }).isVisible())) {
    await page.getByLabel('Find a check').fill(name);
    await page.getByLabel('Find a check').press('Enter');
  }
  await expect(card.getByRole('heading', { name, exact: true })).toBeVisible();
  // The odds put their reasons above the keys: a press between its down and its up would fall beside the key that moved.
  await settled(page);
}

/**
 * Waits until a page answers to the hand: all of it has come, nothing of it is still being worked out, and every button is
 * wired, but for what sleeps out of sight. (The network is never idle for certain: the live line stays open.)
 */
export async function settled(page: Page): Promise<void> {
  await page.waitForLoadState('load');
  await page.waitForFunction(() => {
    const wired = (button: Element) => Object.keys(button).some((key) => key.startsWith('__reactFiber$'));
    return (
      document.querySelector('[aria-busy="true"]') === null &&
      [...document.querySelectorAll('button')].every((b) => wired(b) || b.closest('[data-asleep]') !== null)
    );
  });
  await page.evaluate(() => document.fonts.ready);
}

/** Presses a key and waits until what was shown is not shown any more: the next one, or none. */
export async function pressOn(page: Page, shown: Locator, key: string): Promise<void> {
  const before = await shown.textContent();
  await page.keyboard.press(key);
  await expect(async () => {
    if ((await shown.count()) > 0) expect(await shown.first().textContent()).not.toBe(before);
  }).toPass();
}

/** Every step of the way in, by one key. */
export async function stripByKey(page: Page, key: string): Promise<void> {
  const step = page.getByRole('region', { name: 'Step on the bench' }).getByRole('heading');
  await expect(step).toBeVisible();
  while ((await step.count()) > 0) await pressOn(page, step, key);
}

/** From the proved cause: the offers are put to the owner, who says yes to the smallest; then the work goes on. */
export async function agreed(page: Page, next: 'To Strip' | 'To Fit'): Promise<void> {
  await page.getByRole('button', { name: 'To Agree' }).click();
  await expect(page).toHaveURL(/\/agree$/);
  await page.getByRole('button', { name: 'Put it to the owner' }).click();
  await page.getByRole('button', { name: /^Yes: the least we stand behind/ }).click();
  await expect(page.getByRole('heading', { name: /^Agree Agreed\./ })).toBeVisible();
  await page.getByRole('button', { name: next }).click();
}

/** A small picture of its own, as a phone sends one. */
export async function photograph(): Promise<{ name: string; mimeType: string; buffer: Buffer }> {
  const noise = { type: 'gaussian' as const, mean: 128, sigma: 40 };
  const picture = sharp({ create: { width: 240, height: 180, channels: 3, background: '#888', noise } });
  return { name: 'seen.jpg', mimeType: 'image/jpeg', buffer: await picture.jpeg().toBuffer() };
}

/** Types a day into its field, figure by figure, as somebody does. @param day ISO 8601 */
export async function typeDay(page: Page, label: string, day: string): Promise<void> {
  await page.getByRole('group', { name: label }).getByRole('spinbutton').first().click();
  await page.keyboard.type(day.replaceAll('-', ''));
}
