import { expect, type Page } from '@playwright/test';
import { putOnBench, signIn, takeInStranger } from './bench';
import { test } from './test';

test.beforeEach(async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  await page.request.delete('/api/v1/drafts/take-in', { headers: { origin: baseURL! } });
});

const card = (page: Page) => page.getByRole('region', { name: 'Check on the bench' });

/** Answers a check by the names of its outcomes, the rest of it with nothing to see. */
async function answer(page: Page, check: string, outcomes: string[]): Promise<void> {
  await putOnBench(page, check);
  for (const outcome of outcomes) {
    await card(page).getByRole('button', { name: outcome }).first().click();
    await expect(page.getByRole('region', { name: 'Findings so far' })).toContainText(outcome);
  }
}

async function read(page: Page, check: string, typed: string, readAs: RegExp): Promise<void> {
  await putOnBench(page, check);
  await card(page).getByRole('textbox').fill(typed);
  await expect(card(page).getByText(readAs)).toBeVisible();
  await card(page).getByRole('button', { name: 'Keep' }).click();
}

const proved = (page: Page, cause: string) =>
  expect(page.getByText(new RegExp(`Cause proved: .*${cause}`))).toBeVisible({ timeout: 15_000 });

test('kind 3: a clutch upright with a broken first belt', async ({ page }) => {
  await takeInStranger(page, {
    model: /Tussock Heron/,
    name: 'Isolde Thwaite',
    words: 'The brush just sits there.',
    complaints: ['Roll does not turn'],
  });
  // The board knows the parts of this kind.
  await expect(page.getByRole('button', { name: /^clutch pulleys/ })).toBeVisible();
  await answer(page, 'Turn the roll by hand', ['turns with an even drag']);
  await answer(page, 'Clutch arm and setting', ['follows']);
  await answer(page, 'First belt and its pulleys', ['broken or off']);
  await proved(page, 'First belt broken');
});

test('kind 7: a tripped breaker is not the end, the jam behind it is', async ({ page }) => {
  await takeInStranger(page, {
    model: /Mirefield Sled/,
    name: 'Corwin Aske',
    words: 'The head stopped dead on the gravel.',
    complaints: ['Roll does not turn'],
  });
  await putOnBench(page, 'Cut-out or breaker');
  await card(page).getByRole('group', { name: 'In the head' }).getByRole('button', { name: 'clicked' }).click();
  await expect(page.getByRole('region', { name: 'Findings so far' })).toContainText('clicked');
  // Once the odds are there, not only before.
  await expect(card(page)).toContainText('Why this one');
  await expect(page.getByText(/Cause proved/)).toHaveCount(0);
  await answer(page, 'Turn the roll by hand', ['stuck']);
  await putOnBench(page, 'Sole plate off, look');
  await card(page).getByRole('button', { name: 'in the roll' }).click();
  await proved(page, 'Roll jammed by an object');
});

test('kind 8: an air-driven brush, its turbine jammed; nothing of a cord is asked', async ({ page }) => {
  await takeInStranger(page, {
    model: /Mirefield Whirligig/,
    name: 'Ottoline Frith',
    words: 'It went silent with a clack.',
    complaints: ['Roll does not turn'],
  });
  await page.getByRole('button', { name: /^All \d+ checks$/ }).click();
  await expect(page.getByRole('region', { name: 'Other checks' })).not.toContainText('cord');
  await answer(page, 'Turn the roll by hand', ['stuck']);
  await putOnBench(page, 'Turbine');
  await expect(card(page)).toContainText('Hose off the wall');
  await card(page).getByRole('button', { name: 'jammed' }).click();
  await proved(page, 'Turbine jammed');
});

test('kind 9: a cordless stick, its pack read under load', async ({ page }) => {
  await takeInStranger(page, {
    model: /Tussock Rush/,
    name: 'Balthazar Wray',
    words: 'Five minutes and it dies.',
    complaints: ['Runs a short time only'],
  });
  await answer(page, 'Turn the roll by hand', ['turns with an even drag']);
  await read(page, 'Pack volts under load', '15,5 V', /Read as 15.5 V/);
  await proved(page, 'Battery pack worn');
});

test('kind 12: a ride-on that squeals: its deck belts slip', async ({ page }) => {
  await takeInStranger(page, {
    model: /Hollin Quay 70/,
    name: 'Meriel Stroud',
    words: 'It squeals and the front smells.',
    complaints: ['Squeals'],
  });
  await answer(page, 'Deck pressure', ['lowest step']);
  await answer(page, 'Deck belts', ['dusty or glazed']);
  await proved(page, 'Deck belt worn or glazed');
});

test('on a practice job the instruments answer from what is hidden, and a real meter from its line', async ({
  page,
}) => {
  await takeInStranger(page, {
    model: /Mirefield Sled/,
    name: 'Sabina Holt',
    words: 'The head is dead.',
    complaints: ['Roll does not turn'],
  });
  await page.getByRole('button', { name: 'Practise on it' }).click();
  await page.getByRole('button', { name: 'Yes, practise' }).click();
  await expect(page.getByText(/practice: faults are hidden/)).toBeVisible();
  await answer(page, 'Turn the roll by hand', ['turns with an even drag']);
  await putOnBench(page, 'Volts at the head socket');
  await card(page).getByRole('button', { name: 'Measure' }).first().click();
  await expect(card(page).getByRole('status').first()).toContainText('multimeter, volts AC');
  await card(page).getByRole('button', { name: 'Keep' }).first().click();
  await expect(page.getByRole('region', { name: 'Findings so far' })).toContainText('Volts at the head socket');
});

test('a meter on a serial line fills the field, once it is switched on for this browser', async ({ page }) => {
  // A simulated port in place of the browser's own: it sends a garbled line first, then a reading.
  await page.addInitScript(() => {
    const lines = ['vol', 'tage 1*00\n', 'voltage 15.5 V*2B\n'];
    const port = {
      open: async () => {},
      close: async () => {},
      get readable() {
        return new ReadableStream<Uint8Array>({
          start: (control) => lines.forEach((l) => control.enqueue(new TextEncoder().encode(l))),
        });
      },
    };
    Object.defineProperty(navigator, 'serial', { value: { requestPort: async () => port }, configurable: true });
  });
  await page.goto('/shop/settings');
  await page.getByLabel(/take readings from a meter/).check();
  await takeInStranger(page, {
    model: /Tussock Rush/,
    name: 'Perdita Lowe',
    words: 'Five minutes.',
    complaints: ['Runs a short time only'],
  });
  await answer(page, 'Turn the roll by hand', ['turns with an even drag']);
  await putOnBench(page, 'Pack volts under load');
  await card(page).getByRole('button', { name: 'From the meter' }).click();
  await expect(card(page).getByRole('textbox')).toHaveValue('15.5 V');
  await card(page).getByRole('button', { name: 'Keep' }).click();
  await proved(page, 'Battery pack worn');
});
