import { expect } from '@playwright/test';
import { settled, signIn } from './bench';
import { test } from './test';

test('a model that is in no list comes for its service, and goes home with what is open told', async ({
  page,
  baseURL,
}) => {
  await signIn(page, baseURL!);
  await page.goto('/take-in');
  await settled(page);
  await page.getByLabel('New machine').check();
  await page.getByRole('button', { name: 'It is in no list: add it from its plate' }).click();
  await page.getByLabel('Maker').fill('Hollin');
  await page.getByLabel('Model name').fill('Draymann 40');
  // What is like it is shown before it is made a second time.
  await expect(page.getByRole('button', { name: /^Hollin Drayman 40/ })).toBeVisible();
  await page.getByLabel('Model name').fill('Osprey Lift');
  await page.getByRole('radio', { name: 'Upright, motor in the head' }).click();
  await page.getByLabel('New customer').check();
  await page.getByLabel('Name', { exact: true }).fill('Lorne Askew');
  await page.getByRole('button', { name: 'Service', exact: true }).click();
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page).toHaveURL(/\/jobs\/\d+\/find$/);

  // Nothing is known of it: everything on the list asks for a look.
  const service = page.getByRole('region', { name: 'Service' });
  await expect(service).toContainText('not known when it was done last');
  await service.getByRole('button', { name: 'Done: Wash the pre-motor filter' }).click();
  await expect(service.getByRole('button', { name: 'Done: Wash the pre-motor filter' })).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Said at this visit' })).toContainText(
    'Wash the pre-motor filter: done',
  );
  // What was washed lies to dry; it is felt dry before anything goes home.
  await expect(page.getByRole('region', { name: 'Said at this visit' })).toContainText('Drying: washed filter');
  await page.getByRole('button', { name: 'To Fit' }).click();
  await page.getByRole('button', { name: 'Weighed or felt dry: end it' }).click();
  await expect(page.getByRole('region', { name: 'Waits' })).toContainText('ended');

  // A part that is on no list, with its risk.
  await page.getByRole('button', { name: 'A part that is on no list' }).click();
  const other = page.getByRole('form', { name: 'A part that is on no list' });
  await other.getByLabel('What it is').fill('Their own neck hose');
  await other.getByRole('combobox', { name: 'Where it sits' }).click();
  await page.getByRole('option', { name: 'neck hose' }).click();
  await other.getByLabel('Where from, and its risk').fill('Brought along; wall thinner than ours.');
  await other.getByRole('button', { name: 'Fit it' }).click();
  await expect(page.getByRole('region', { name: 'Parts' })).toContainText('Their own neck hose');

  // The owner changes their mind: it ends unrepaired, asks for no proof, and the sheet says so.
  await page.getByRole('navigation', { name: 'Stages of the job' }).getByRole('link', { name: 'Hand back' }).click();
  await page.getByRole('combobox', { name: 'How it ends' }).click();
  await page.getByRole('option', { name: 'Cannot be repaired' }).click();
  await page.getByRole('button', { name: 'Hand back and close' }).click();
  await expect(page.getByText('Say why, in words.').first()).toBeVisible();
  await page.getByLabel('Why it ends so').fill('The housing is cracked through.');
  await page.getByRole('button', { name: 'Hand back and close' }).click();
  await expect(page.getByText(/^Handed back: cannot be repaired \d{4}-/)).toBeVisible();
  await page.getByRole('link', { name: 'Care sheet' }).click();
  await expect(page.getByRole('article', { name: 'Care sheet' })).toContainText('Not repaired and not tested here');
  await page.getByRole('textbox', { name: 'Find a machine' }).fill('cracked through');
  await page.getByRole('textbox', { name: 'Find a machine' }).press('Enter');
  await expect(page.getByRole('region', { name: 'Machines found' })).toContainText('Osprey Lift');
});
