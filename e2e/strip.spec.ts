import { expect } from '@playwright/test';
import { agreed, pressOn, putOnBench, settled, signIn, stripByKey, takeInStranger } from './bench';
import { test } from './test';

test('a step is photographed by the camera over the bench, and its picture stands beside the way back', async ({
  page,
  baseURL,
}) => {
  await signIn(page, baseURL!);
  await takeInStranger(page, {
    model: /Ardlow Stave/,
    name: 'Petra Lunholm',
    words: 'The brush stopped.',
    complaints: ['Roll does not turn'],
  });
  await putOnBench(page, 'Sole plate off, look');
  // The way in to the look itself is told, and can be walked step by step.
  await page.getByText(/^The way in: \d steps$/).click();
  await expect(page.getByText(/Sole plate screws out, the long ones apart/).first()).toBeVisible();
  await page.getByRole('button', { name: /missing or in pieces/ }).click();
  await agreed(page, 'To Strip');
  const step = page.getByRole('region', { name: 'Step on the bench' });
  await expect(step.getByRole('heading', { name: 'Roll out: free end first, belt slipped off it' })).toBeVisible();
  await settled(page);
  await page.keyboard.press('p');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(page.getByRole('region', { name: 'Book' }).getByRole('img')).toHaveCount(1);

  // What this model has otherwise is written down here, and told at the step from then on.
  await step.getByText(/^Different on every/).click();
  await step.getByLabel('Note at this step').fill('The free end is on the left.');
  await step.getByRole('button', { name: 'Remember it' }).click();
  await expect(step.getByText('This model: The free end is on the left.')).toBeVisible();

  await stripByKey(page, 'PageDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Fit', exact: true })).toBeVisible();
  const now = page.getByRole('region', { name: 'Now' });
  await expect(now).toBeVisible();
  const line = now.locator('p').first();
  while (!(await line.textContent())!.startsWith('Roll in:')) await pressOn(page, line, 'Enter');
  await expect(now.getByAltText('As it was: Roll out: free end first, belt slipped off it')).toBeVisible();
  await expect(now.getByText('This model: The free end is on the left.')).toBeVisible();
});

test('a step done on the phone shows at the bench by itself; rusted screws are given hours', async ({
  page,
  browser,
  baseURL,
}) => {
  await signIn(page, baseURL!);
  await takeInStranger(page, {
    model: /Pellstreet Shire/,
    name: 'Ivo Marrack',
    words: 'Hard to push, it clicks.',
    complaints: ['Hard to push'],
  });
  const job = /\/jobs\/(\d+)\//.exec(page.url())![1]!;
  const way = `/jobs/${job}/strip?to=transmission`;
  await page.goto(way);
  const atBench = page.getByRole('region', { name: 'Step on the bench' });
  await expect(atBench.getByRole('heading', { name: 'Lamp hood off' })).toBeVisible();

  const context = await browser.newContext({
    baseURL: baseURL!,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
  });
  const phone = await context.newPage();
  await signIn(phone, baseURL!);
  await phone.goto(way);
  await settled(phone);
  const inHand = phone.getByRole('region', { name: 'Step on the bench' });
  // The work comes first: the step and its key are there without a scroll.
  await expect(inHand.getByRole('button', { name: /^Done/ })).toBeInViewport();
  await inHand.getByRole('button', { name: /^Done/ }).tap();
  await expect(inHand.getByRole('heading')).not.toHaveText('Lamp hood off');
  await expect(atBench.getByRole('heading')).toHaveText((await inHand.getByRole('heading').textContent())!);

  while (!(await inHand.getByRole('heading').textContent())!.startsWith('Two upper screws')) {
    const before = (await inHand.getByRole('heading').textContent())!;
    await inHand.getByRole('button', { name: /^Done/ }).tap();
    await expect(inHand.getByRole('heading')).not.toHaveText(before);
  }
  await inHand.getByRole('button', { name: /^One is wrong/ }).tap();
  await inHand.getByRole('button', { name: 'Rusted: oil it and wait' }).tap();
  await expect(phone.getByText('1 rusted fast: not forced')).toBeVisible();
  await expect(page.getByText('1 rusted fast: not forced')).toBeVisible();
  await page.goto('/');
  await expect(page.locator('[data-strip]').filter({ hasText: 'Ivo Marrack' })).toContainText(/penetrant/i);
  await context.close();
});

test('another shop’s procedure is looked at before it counts', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  await page.goto('/shop/models');
  await page.getByRole('link', { name: 'The way into Ardlow Stave' }).click();
  await expect(page.getByRole('heading', { name: 'Ardlow Stave: the way in' })).toBeVisible();
  await settled(page);
  const file = (changes: unknown[], kind = 'upright-shaft-belt') => ({
    name: 'from-the-coast.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ form: 'grit-keeper/procedure/1', kind, changes })),
  });
  const choose = page.getByLabel('File of a procedure');
  await choose.setInputFiles(file([{ sort: 'drop', step: 'gone-step' }]));
  await expect(page.getByText('It fits nothing here: There is no step gone-step.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take it over' })).toBeDisabled();
  await choose.setInputFiles(file([], 'robot'));
  await expect(page.getByText('It is for another kind of machine: robot.')).toBeVisible();
  await choose.setInputFiles(file([{ sort: 'note', step: 'plate-screws', text: 'Two are black.' }]));
  const told = page.getByRole('region', { name: 'What the file says' });
  await expect(told).toContainText('Two are black.');
  await expect(page.getByRole('region', { name: 'What differs' })).not.toContainText('Two are black.');
  await page.getByRole('button', { name: 'Take it over' }).click();
  await expect(page.getByRole('region', { name: 'What differs' })).toContainText('Two are black.');
  await expect(told).toBeHidden();
});
