import { expect } from '@playwright/test';
import { freeMachine, settled, signIn } from './bench';
import { test } from './test';

test('two save one card: the second sees both versions and merges them', async ({ page, browser, baseURL }) => {
  await signIn(page, baseURL!);
  const { tag } = await freeMachine(page, 'upright-shaft-belt');
  const context = await browser.newContext({ baseURL: baseURL! });
  const other = await context.newPage();
  await signIn(other, baseURL!);
  for (const p of [page, other]) {
    await p.goto(`/machines/${tag}`);
    await p.getByRole('button', { name: 'Correct the card' }).click();
  }
  await other.getByRole('dialog').getByLabel('Serial').fill('THEIRS-1');
  await other.getByRole('dialog').getByLabel('For the next technician').fill('Mind the left cap.');
  await other.getByRole('button', { name: 'Save' }).click();
  await expect(other.getByRole('dialog')).toBeHidden();

  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Serial').fill('MINE-1');
  await sheet.getByLabel('Use').fill('3.5');
  await sheet.getByRole('button', { name: 'Save' }).click();
  await expect(sheet.getByText('Somebody changed this machine meanwhile.')).toBeVisible();
  const both = sheet.getByRole('table', { name: 'Both versions' });
  await expect(both.getByRole('row', { name: /Serial/ })).toContainText('both changed it');
  await expect(both.getByRole('row', { name: /Serial/ })).toContainText('MINE-1');
  await both
    .getByRole('row', { name: /Serial/ })
    .getByLabel('THEIRS-1')
    .check();
  await sheet.getByRole('button', { name: 'Save both together' }).click();
  await expect(sheet).toBeHidden();
  // Theirs as chosen, mine where only I had changed, theirs where only they had.
  await expect(page.getByText(/serial THEIRS-1/).first()).toBeVisible();
  await expect(page.getByText(/about 3.5 h a week/)).toBeVisible();
  await expect(page.getByText('For the next technician: Mind the left cap.')).toBeVisible();

  // The owner reads who changed what.
  await page.getByRole('link', { name: 'Audit' }).click();
  const row = page
    .getByRole('row')
    .filter({ hasText: 'MINE-1' })
    .or(page.getByRole('row').filter({ hasText: 'THEIRS-1' }));
  await expect(row.first()).toContainText('Wren Ostrey');
  await context.close();
});

test('a card that was closed half typed comes back as it was left', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  const { tag } = await freeMachine(page, 'upright-brush-motor');
  await page.goto(`/machines/${tag}`);
  await page.getByRole('button', { name: 'Correct the card' }).click();
  await page.getByRole('dialog').getByLabel('For the next technician').fill('Half a note');
  await page.waitForTimeout(1000);
  await page.reload();
  await page.getByRole('button', { name: 'Correct the card' }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByText('What you had typed is back.')).toBeVisible();
  await expect(sheet.getByLabel('For the next technician')).toHaveValue('Half a note');
  await sheet.getByLabel('Use').fill('500');
  await sheet.getByRole('button', { name: 'Save' }).click();
  await expect(sheet.getByText('A week has 168 hours.')).toBeVisible();
  await expect(sheet.getByLabel('For the next technician')).toHaveValue('Half a note');
  await sheet.getByRole('button', { name: 'Start afresh' }).click();
});

test('the timeline is searched and filtered; the book goes out as PDF and JSON', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  const { tag } = await freeMachine(page, 'upright-shaft-belt');
  await page.goto(`/machines/${tag}`);
  await settled(page);
  const timeline = page.getByRole('region', { name: 'Timeline' });
  await timeline.getByRole('listitem').first().waitFor();
  const all = await timeline.getByRole('listitem').count();
  expect(all).toBeGreaterThan(2);
  await timeline.getByRole('button', { name: 'findings' }).click();
  await expect(timeline.getByRole('listitem').first()).toContainText('found');
  expect(await timeline.getByRole('listitem').count()).toBeLessThan(all);
  await timeline.getByLabel('Find in the timeline').fill('nothing has these words');
  await expect(timeline.getByText('Nothing like that.')).toBeVisible();
  await timeline.getByRole('button', { name: 'findings' }).click();
  await timeline.getByLabel('Find in the timeline').fill('');
  await expect(timeline.getByRole('listitem')).toHaveCount(all);

  const pdf = await page.request.get(`/api/v1/machines/${tag}/book.pdf`);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  const book = (await (await page.request.get(`/api/v1/machines/${tag}/book.json`)).json()) as { form: string };
  const schema = (await (await page.request.get('/api/v1/schemas/machine-book.json')).json()) as {
    properties: { form: { const: string } };
  };
  expect(book.form).toBe(schema.properties.form.const);
});

test('a customer is added with contact and site, a machine changes hands to them', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  const { tag, owner } = await freeMachine(page, 'upright-brush-motor');
  await page.goto('/customers');
  await page.getByRole('button', { name: 'Add a customer' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('button', { name: 'Add them' }).click();
  await expect(sheet.getByText('The customer’s name, 200 characters at most.')).toBeVisible();
  await sheet.getByLabel('Name', { exact: true }).fill('Net Loft Two');
  await sheet.getByLabel('Phone').fill('555 0456');
  await sheet.getByLabel('Always, for this customer').fill('Mornings only.');
  await sheet.getByRole('button', { name: 'Add them' }).click();
  await expect(page.getByRole('heading', { name: 'Net Loft Two' })).toBeVisible();
  await expect(page.getByText('Always: Mornings only.')).toBeVisible();
  await page.getByRole('region', { name: 'Contacts' }).getByRole('button', { name: 'Add' }).click();
  await sheet.getByLabel('Name', { exact: true }).fill('Kit Thrale');
  await sheet.getByLabel('What for').fill('keys');
  await sheet.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('region', { name: 'Contacts' })).toContainText('Kit Thrale, keys');

  await page.goto(`/machines/${tag}`);
  await page.getByRole('button', { name: 'Another owner' }).click();
  await page.getByLabel('Name or phone').fill('net loft tw');
  await page.getByRole('option', { name: /Net Loft Two/ }).click();
  await expect(page.getByRole('link', { name: 'Net Loft Two' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Timeline' })).toContainText(`From ${owner} to Net Loft Two.`);
});

test('a model is added to the shop’s own list with what belongs to it', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  await page.goto('/shop/models');
  await page.getByRole('button', { name: 'Add a model' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Maker').fill('Tussock');
  await sheet.getByLabel('Model', { exact: true }).fill('Harrow');
  await sheet.getByLabel('Belts, one a line').fill('flat, 10 × 300\ntoothed, 90');
  await sheet.getByLabel('Parts that it has besides').fill('power, after cord: leakage switch');
  await sheet.getByLabel('Parts of the kind that it does not have').fill('squeegee');
  await sheet.getByRole('button', { name: 'Save' }).click();
  await expect(sheet.getByText('This kind has no squeegee.')).toBeVisible();
  await sheet.getByLabel('Parts of the kind that it does not have').fill('cut-out');
  await sheet.getByRole('button', { name: 'Save' }).click();
  await expect(sheet).toBeHidden();
  await expect(page.getByRole('row', { name: /Tussock Harrow/ })).toContainText('flat, 10 × 300, toothed, 90');
  // The board of such a machine has the part.
  await page.goto('/take-in');
  await page.getByLabel('New machine').check();
  await page.getByRole('combobox', { name: 'Model' }).click();
  await page.getByRole('option', { name: /Tussock Harrow/ }).click();
  await expect(page.getByRole('button', { name: 'leakage switch' })).toBeVisible();
  await page.getByRole('button', { name: 'Start afresh' }).or(page.getByLabel('New machine')).first().click();
});
