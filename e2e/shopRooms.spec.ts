import { expect } from '@playwright/test';
import { signIn } from './bench';
import { test } from './test';

test('a person is added, does what their role may, and is out at once when locked', async ({
  page,
  browser,
  baseURL,
}) => {
  await signIn(page, baseURL!);
  await page.goto('/shop/people');
  await page.getByRole('button', { name: 'Add a person' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Name', { exact: true }).fill('Hale Draycote');
  await sheet.getByLabel('Signs in as').fill('hale');
  await sheet.getByRole('combobox', { name: 'What they do' }).click();
  await page.getByRole('option', { name: /^counter/ }).click();
  await sheet.getByLabel('Passphrase').fill('short');
  await sheet.getByRole('button', { name: 'Add them' }).click();
  await expect(sheet.getByText('A passphrase has 12 characters or more.')).toBeVisible();
  await sheet.getByLabel('Passphrase').fill('a lantern on the staithe');
  await sheet.getByRole('button', { name: 'Add them' }).click();
  await expect(sheet).toBeHidden();

  const context = await browser.newContext({ baseURL: baseURL! });
  const theirs = await context.newPage();
  const entered = await theirs.request.post('/api/sign-in', {
    data: { signIn: 'hale', passphrase: 'a lantern on the staithe' },
    headers: { origin: baseURL! },
  });
  expect(entered.ok()).toBe(true);
  await theirs.goto('/shop/people');
  await expect(theirs.getByText('This is for the owner; you are signed in as counter.')).toBeVisible();
  await theirs.goto('/');
  await theirs.locator('[data-start]').first().click();
  await theirs.waitForURL(/\/jobs\/\d+\//);

  await page.reload();
  const row = page.getByRole('region', { name: 'Hale Draycote' });
  await expect(row).toContainText('a computer, since');
  await row.getByRole('button', { name: 'Change or lock' }).click();
  await page
    .getByRole('dialog')
    .getByLabel(/^Locked/)
    .check();
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(row).toContainText('locked');
  await theirs.goto('/');
  await expect(theirs).toHaveURL(/sign-in/);
  await context.close();
});

test('a file of customers is looked at row by row, mended, and written', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  await page.goto('/shop/data');
  const file = (text: string) => ({ name: 'ours.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  const choose = async (text: string) => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Customers, CSV …' }).click();
    await (await chooser).setFiles(file(text));
  };
  await choose('name,kind,phone\nAda Netmaker,household,555 7001\n,household,555 7002\n');
  await expect(page.getByText('ours.csv: 1 new, 0 known already, 1 wrong. Nothing is written yet.')).toBeVisible();
  await expect(page.getByRole('row', { name: /^3/ })).toContainText('The customer’s name');
  await expect(page.getByRole('button', { name: /^Write/ })).toBeHidden();
  await choose('name,kind,phone\nAda Netmaker,household,555 7001\nBram Netmaker,business,555 7002\n');
  await page.getByRole('button', { name: 'Write 2 rows' }).click();
  await expect(page.getByText('Written: 2 new. 0 were known already.')).toBeVisible();
  await page.goto('/customers?q=netmaker');
  await expect(page.getByRole('region', { name: 'Customers found' }).getByRole('row')).toHaveCount(3);
  const out = await page.request.get('/api/v1/export/customers.csv');
  expect(await out.text()).toContain('Bram Netmaker,business,555 7002');
  const cards = await page.request.get('/api/v1/export/customers.vcf');
  expect(await cards.text()).toContain('FN:Bram Netmaker');
});
