import { expect, type Page } from '@playwright/test';
import { photograph, settled, signIn } from './bench';
import { test } from './test';

test.beforeEach(async ({ page, baseURL }) => signIn(page, baseURL!));

/** The visit of the scrubber that the demonstration has on the premises. */
async function scrubbersVisit(page: Page): Promise<{ job: number; tag: string }> {
  for (let at = 0; at < 4; at++) {
    const { rows } = (await (await page.request.get(`/api/v1/machines?page=${at}`)).json()) as {
      rows: { tag: string; kind: string; openJob: number | null }[];
    };
    for (const { tag, kind, openJob } of rows) {
      if (kind !== 'scrubber-walk-behind' || openJob === null) continue;
      const facts = await (await page.request.get(`/api/v1/jobs/${openJob}/facts`)).json();
      if (facts.visit === 'service') return { job: openJob, tag };
    }
  }
  throw new Error('No scrubber is here.');
}

test('a planned service goes line by line in one order, ends in a report, and leaves a sheet for the operator', async ({
  page,
}) => {
  const { job, tag } = await scrubbersVisit(page);
  await page.goto(`/jobs/${job}/find`);
  await settled(page);
  const list = page.getByRole('region', { name: 'Service', exact: true });
  const said = page.getByRole('region', { name: 'Said at this visit' });
  // What opens the machine stands before what is done there.
  const order = await list.innerText();
  expect(order.indexOf('Four blades out')).toBeLessThan(order.indexOf('Turn or renew the squeegee blades'));
  expect(order.indexOf('Float housing off') === -1 ? order.indexOf('float housing off') : -1).toBeLessThan(
    order.indexOf('Float out, ball and cage rinsed'),
  );
  await list.getByRole('button', { name: 'Opened: Key out, charger off' }).click();
  await expect(list.getByRole('button', { name: 'Opened: Key out, charger off' })).toHaveCount(0);
  await list.getByRole('button', { name: 'Opened: Both tanks drained and rinsed' }).click();
  await expect(list.getByRole('button', { name: 'Opened: Both tanks drained and rinsed' })).toHaveCount(0);

  await list.getByRole('button', { name: 'Done: Float out, ball and cage rinsed' }).click();
  await expect(said).toContainText('Float out, ball and cage rinsed: done');
  await said.getByLabel('Photograph', { exact: true }).setInputFiles(await photograph());
  await expect(said.getByRole('img')).toHaveCount(1);

  // Read place by place; what no blade has is refused at its field, and stays typed.
  await list.getByRole('button', { name: 'Done: Turn or renew the squeegee blades' }).click();
  const blades = list.getByRole('region', { name: 'Turn or renew the squeegee blades' });
  await blades.getByLabel('Edge in use, of four, front').fill('7');
  await blades.getByLabel('Edge in use, of four, rear').fill('3');
  await blades.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(blades.getByText('A whole number, 1 to 4.')).toBeVisible();
  await expect(blades.getByLabel('Edge in use, of four, rear')).toHaveValue('3');
  await blades.getByLabel('Edge in use, of four, front').fill('2');
  await blades.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(said).toContainText('front 2, rear 3');

  // Left without a reason it is not.
  await list.getByRole('button', { name: 'Leave it: Vacuum screen brushed dry' }).click();
  const screen = list.getByRole('region', { name: 'Vacuum screen brushed dry' });
  await screen.getByRole('button', { name: 'Leave it', exact: true }).click();
  await expect(screen.getByText('Say why it is left.')).toBeVisible();
  await screen.getByLabel('Why it is left').fill('No water at the site');
  await screen.getByRole('button', { name: 'Leave it', exact: true }).click();
  await expect(said).toContainText('No water at the site');

  // A look that finds something opens the search for its cause.
  await list.getByRole('button', { name: 'Worn: Squeegee inlets cleared' }).click();
  const inlets = list.getByRole('region', { name: 'Squeegee inlets cleared' });
  await inlets.getByRole('combobox', { name: 'What was found' }).click();
  await page
    .getByRole('option', { name: /blocked/ })
    .first()
    .click();
  await inlets.getByRole('button', { name: 'Found worn' }).click();
  await expect(said).toContainText('Squeegee inlets cleared: found worn');
  await expect(page.getByRole('region', { name: 'Findings so far' })).toContainText('Squeegee inlets');
  await expect(page.getByRole('button', { name: 'To Agree' }).first()).toBeVisible();

  await page.getByText('What the operator did').click();
  await page.getByLabel('Working days since').fill('20');
  await page.getByLabel('Clear the deck while it is wet').fill('3');
  await page.getByRole('button', { name: 'Take it down' }).click();
  await expect(page.getByText('over 20 working days')).toBeVisible();

  await page.getByRole('link', { name: 'Service report' }).click();
  const report = page.getByRole('article', { name: 'Service report' });
  await expect(report).toContainText('on 3 of 20 days');
  await expect(report).toContainText('No water at the site');
  await expect(report.getByRole('row', { name: /Float out, ball and cage rinsed/ })).toContainText('photograph 1');
  await expect(report.getByRole('img', { name: /^1 +Float out/ })).toBeVisible();
  const pdf = await page.request.get(`/api/v1/jobs/${job}/service-report.pdf`);
  expect([pdf.status(), (await pdf.body()).subarray(0, 5).toString()]).toEqual([200, '%PDF-']);

  await page.goto(`/machines/${tag}/operator-sheet`);
  const sheet = page.getByRole('article', { name: 'Operator’s sheet' });
  await expect(sheet).toContainText('Last time: 3 of 20 days');
  const pages = async () =>
    (await page.pdf({ preferCSSPageSize: true })).toString('latin1').match(/\/Type\s*\/Page[^s]/g)!.length;
  expect(await pages()).toBe(1);
  await page.getByRole('button', { name: 'Card for the machine' }).click();
  await expect(sheet).not.toContainText('Tick what was done');
  expect(await pages()).toBe(1);
});

test('the card says within which days and by what; a plate of the model holds for all its machines', async ({
  page,
}) => {
  const { tag } = await scrubbersVisit(page);
  await page.goto(`/machines/${tag}`);
  const plans = page.getByRole('region', { name: 'Plans' });
  await expect(plans).toContainText('the bench: 30 days or 50 h');
  await expect(page.getByRole('region', { name: 'Read at services' })).toContainText('replaced at 10 mm');
  await expect(page.getByRole('region', { name: 'Hour meter' })).toContainText(/it runs about .* h a week/);

  const card = (await plans.getByRole('row', { name: /^Look at the skirts/ }).innerText()).replace(/\s+/g, ' ');
  expect(card).toContain('365 days or 100 h');
  await page.goto('/shop/models');
  await settled(page);
  const model = await page.request.get(`/api/v1/machines?q=${tag}`);
  const { rows } = (await model.json()) as { rows: { maker: string; model: string }[] };
  await page.getByRole('button', { name: `Change ${rows[0]!.maker} ${rows[0]!.model}` }).click();
  await page.getByLabel('What its plate says of its service').fill('skirts-look: 45 days');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(async () => {
    await page.goto(`/machines/${tag}`);
    await expect(plans.getByRole('row', { name: /^Look at the skirts/ })).toContainText('the plate: 45 days', {
      timeout: 2000,
    });
    await expect(plans.getByRole('row', { name: /^Look at the skirts/ })).toContainText('by its plate', {
      timeout: 2000,
    });
  }).toPass({ timeout: 30_000 });
});

test('the owner sees how long parts last, and takes an interval over only by a press', async ({ page }) => {
  await page.goto('/shop/lives?kind=upright-shaft-belt');
  await settled(page);
  const life = page.getByRole('region', { name: 'Belt slipping, stretched or glazed' });
  await expect(life).toContainText(/\d+ failed, \d+ were whole when last seen/);
  await expect(life.getByRole('img', { name: /^Share still whole/ })).toBeVisible();
  // A failure that costs twenty times as much is worth a plan.
  await life.getByLabel('When it fails').fill('400.00');
  await expect(life).toContainText(/Replaced at \d+ days a year costs/);
  await expect(page.getByRole('region', { name: 'Intervals of the shop’s own' })).toHaveCount(0);
  await life.getByRole('button', { name: /^New flat belt: every \d+ days/ }).click();
  const own = page.getByRole('region', { name: 'Intervals of the shop’s own' });
  await expect(own).toContainText(/New flat belt: every \d+ days; Least cost: \d+ failures/);
  await own.getByRole('button', { name: 'the bench’s habit again' }).click();
  await expect(own).toHaveCount(0);
});

test('the rounds tell what to have ready, and print a letter to everybody who wants one', async ({ page }) => {
  await page.goto('/rounds');
  await settled(page);
  await page.getByText('Parts to have ready').click();
  await expect(page.getByText(/if as many come as came lately/)).toBeVisible();
  const letters = await page.request.get('/api/v1/rounds/letters.pdf?ahead=30');
  const pdf = (await letters.body()).toString('latin1');
  expect([letters.status(), pdf.slice(0, 5)]).toEqual([200, '%PDF-']);
  const groups = (
    (await (await page.request.get('/api/v1/rounds?ahead=30')).json()) as {
      groups: { customer: { noLetters: boolean } }[];
    }
  ).groups;
  const wanted = groups.filter((g) => !g.customer.noLetters).length;
  expect(Number(/\/Count (\d+)/.exec(pdf)![1])).toBeGreaterThanOrEqual(wanted);

  await page.goto('/shop/messages');
  await settled(page);
  await page.getByRole('button', { name: 'Change the words' }).click();
  await page.getByLabel('Words').fill('Dear {owner}, {price}');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('There is no {price}')).toBeVisible();
  await page.getByLabel('Words').fill('Dear {owner}, come by: {machines}');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('region', { name: 'Letters about what falls due' })).toContainText(
    'Dear {owner}, come by',
  );
});
