import AxeBuilder from '@axe-core/playwright';
import { expect } from '@playwright/test';
import { putOnBench, settled, signIn, takeInStranger, photograph } from './bench';
import { test } from './test';

test('a canister that “needs a belt”: from the proof to the printed estimate in few keys, answered by the owner on a phone', async ({
  page,
  browser,
  baseURL,
}) => {
  await signIn(page, baseURL!);
  await takeInStranger(page, {
    model: /Mirefield Sled/,
    name: 'Petra Lunholm',
    words: 'It needs a belt.',
    complaints: ['Roll does not turn'],
  });
  await putOnBench(page, 'Sole plate off, look');
  await page.getByRole('group', { name: 'Roll itself' }).getByRole('button', { name: 'mouldy' }).click();
  await page.getByRole('group', { name: 'Hair' }).getByRole('button', { name: 'much' }).click();
  await expect(page.getByText(/^Cause proved:/)).toBeVisible();
  // What was found is seen: on the estimate, and on the owner's page beside the answer to their own idea.
  await page.getByLabel(/^Photograph(: roll mouldy| what was found)$/).setInputFiles(await photograph());
  await expect(page.getByRole('img', { name: 'Photograph 1' })).toBeVisible();
  await settled(page);

  // From the proof to the paper: every key is counted.
  let keys = 0;
  const press = async (key: string) => {
    keys += 1;
    await page.keyboard.press(key);
  };
  await press('Alt+a');
  await expect(page).toHaveURL(/\/agree$/);
  const put = page.getByRole('button', { name: 'Put it to the owner' });
  await expect(put).toBeEnabled();
  await settled(page);
  await press('Control+Enter');
  await expect(page.getByRole('heading', { name: /^Agree Offered\./ })).toBeVisible();
  await settled(page);
  await press('Alt+e');
  await expect(page).toHaveURL(/\/papers\/\d+$/);
  await expect(page.getByRole('article', { name: /^Estimate E-\d{4}-\d{4}$/ })).toContainText('Roll mouldy');
  expect(keys).toBeLessThanOrEqual(12);
  await expect(page.getByRole('img', { name: 'Roll mouldy' })).toBeVisible();
  const pdf = await page.request.get(`/api/v1/documents/${page.url().split('/').at(-1)}/paper.pdf`);
  expect([pdf.status(), (await pdf.body()).subarray(0, 5).toString()]).toEqual([200, '%PDF-']);
  await page.getByRole('link', { name: 'Back to the job' }).click();

  // Nothing is opened further before the answer.
  await page.getByRole('button', { name: 'To Strip' }).click();
  await expect(page.getByText(/^The owner has not agreed yet/)).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/opened no further than Find did/).nth(1)).toBeVisible();
  await page.getByRole('link', { name: 'To Agree' }).click();

  // The owner's own page, on a phone, without an account.
  await page.getByRole('button', { name: 'A page to answer on' }).click();
  const address = await page.getByLabel(/^Open for 30 days/).inputValue();
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const owner = await phone.newPage();
  await owner.goto(new URL(address).pathname.replace(/^/, baseURL!));
  await expect(owner.getByRole('heading', { name: /^Your Mirefield Sled$/ })).toBeVisible();
  await expect(owner.getByText('Roll mouldy.')).toBeVisible();
  await expect(owner.getByRole('img', { name: 'Roll mouldy' })).toBeVisible();
  const { violations } = await new AxeBuilder({ page: owner }).analyze();
  expect(violations.map((v) => v.id)).toEqual([]);
  await owner.getByLabel('Your name').fill('');
  await owner.getByRole('button', { name: /^Yes: the least/ }).click();
  await expect(owner.getByText('Your name, please.')).toBeVisible();
  await owner.getByLabel('Your name').fill('Petra Lunholm');
  await owner.getByLabel('Anything to say').fill('Only what must be.');
  await owner.getByRole('button', { name: /^Yes: the least/ }).click();
  await expect(owner.getByText(/^Thank you\. We go ahead/)).toBeVisible();
  await expect(owner.getByRole('button', { name: /^Yes:/ })).toHaveCount(0);
  await phone.close();

  // The bench hears of it at once.
  await expect(page.getByRole('heading', { name: /^Agree Agreed\. The least/ })).toBeVisible();
  await expect(page.getByText('“Only what must be.”')).toBeVisible();
});

test('a price that could be two is asked, a line moves by a key, and what is typed survives a reload', async ({
  page,
  baseURL,
}) => {
  await signIn(page, baseURL!);
  await takeInStranger(page, {
    model: /Ardlow Stave/,
    name: 'Ulla Fennock',
    words: 'The brush stopped.',
    complaints: ['Roll does not turn'],
  });
  await putOnBench(page, 'Sole plate off, look');
  await page.getByRole('button', { name: /missing or in pieces/ }).click();
  await page.getByRole('button', { name: 'To Agree' }).click();
  const lines = page.getByRole('region', { name: 'Lines of the offer' });
  const price = lines.getByLabel(/^Price: Flat belt/);
  await price.fill('1,200');
  await price.blur();
  await expect(lines.getByText('An amount, such as 12.50.')).toBeVisible();
  await price.fill('12.50');
  await price.blur();
  await expect(lines.getByText('An amount, such as 12.50.')).toBeHidden();
  const work = lines.getByRole('group').filter({ hasText: 'Proved: run, measured' });
  await work.focus();
  await page.keyboard.press('4');
  await expect(lines.getByRole('heading', { name: /^Not worth it/ })).toBeVisible();
  // Why it is not worth it is asked by the server, at the line.
  await page.getByRole('button', { name: 'Put it to the owner' }).click();
  await expect(lines.getByText('Say why it is not worth it.')).toBeVisible();
  await lines.getByLabel(/^Why not: Proved/).fill('The owner proves it.');
  await settled(page);
  await page.reload();
  await expect(lines.getByLabel(/^Price: Flat belt/)).toHaveValue('12.50');
  await expect(lines.getByLabel(/^Why not: Proved/)).toHaveValue('The owner proves it.');
  await page.getByRole('button', { name: 'Put it to the owner' }).click();
  await page.getByRole('button', { name: /^Yes: the least we stand behind/ }).click();
  await expect(page.getByRole('heading', { name: /^Agree Agreed/ })).toBeVisible();

  // Paid in cash with change, billed once, and the file for accounts is there.
  await page.getByRole('link', { name: 'Hand back' }).click();
  const payment = page.getByRole('region', { name: 'Payment' });
  await payment.getByLabel('How').click();
  await page.getByRole('option', { name: 'cash' }).click();
  await payment.getByLabel('Amount').fill('5');
  await payment.getByLabel('Handed over').fill('4');
  await payment.getByRole('button', { name: 'Taken' }).click();
  await expect(payment.getByText('Less than is paid.')).toBeVisible();
  await payment.getByLabel('Handed over').fill('20');
  await expect(payment.getByText('back: $15.00')).toBeVisible();
  await payment.getByRole('button', { name: 'Taken' }).click();
  await expect(payment.getByText(/Paid so far: \$5\.00/)).toBeVisible();
  await page.getByRole('region', { name: 'Papers' }).getByRole('button', { name: 'Invoice' }).click();
  await expect(page).toHaveURL(/\/papers\/\d+$/);
  await expect(page.getByRole('article')).toContainText('Still to pay');
  const file = await page.request.get(`/api/v1/documents/${page.url().split('/').at(-1)}/invoice.xml`);
  expect(await file.text()).toContain('<cbc:PrepaidAmount currencyID="USD">5.00</cbc:PrepaidAmount>');
});

test('the owner of the shop sets a tax, and the next offer has it', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  await page.goto('/shop/money');
  const charged = page.getByRole('region', { name: 'What is charged' });
  await charged.getByRole('button', { name: 'Change' }).click();
  const sheet = page.getByRole('dialog', { name: 'What is charged' });
  await sheet.getByLabel('IBAN').fill('DE89370400440532013001');
  await sheet.getByLabel('Tax 2').fill('Town tax');
  await sheet.getByLabel('Rate 2, %').fill('2.5');
  await sheet.getByRole('button', { name: 'Save' }).click();
  await expect(sheet.getByText('Its check digits are wrong.')).toBeVisible();
  await sheet.getByLabel('IBAN').fill('DE89 3704 0044 0532 0130 00');
  await sheet.getByRole('button', { name: 'Save' }).click();
  await expect(sheet).toBeHidden();
  await expect(charged).toContainText('Town tax 2.5 %');
});
