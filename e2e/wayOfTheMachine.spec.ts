import { expect } from '@playwright/test';
import { agreed, freeMachine, putOnBench, signIn, signInByForm, stripByKey, takeInStranger } from './bench';
import { test } from './test';

test('a stranger’s upright with a dead roll: taken in, found, fitted, proved, handed back, due again', async ({
  page,
}) => {
  await signInByForm(page);
  await takeInStranger(page, {
    model: /Hollin Drayman 40/,
    name: 'Osric Vintry',
    words: 'The brush just sits there. Surely the motor?',
    complaints: ['Roll does not turn'],
    guess: 'Roll bearing rough',
  });

  // Find: the proposed check is answered by its key; the board is shaded at once.
  const card = page.getByRole('region', { name: 'Check on the bench' });
  await expect(card.getByRole('heading', { name: 'Turn the roll by hand' })).toBeVisible();
  await expect(card).toContainText('Why this one');
  await page.keyboard.press('2');
  await expect(page.getByRole('region', { name: 'Findings so far' })).toContainText('no resistance at all');
  await expect(page.getByRole('button', { name: /^flat belt, \d+ per cent suspected/ })).toBeVisible();

  // Why opens the evidence; undo takes it back; the key gives it again.
  await page.getByRole('button', { name: 'Why Belt broken' }).click();
  await expect(page.getByRole('region', { name: 'Odds of the faults' })).toContainText(
    'Turn the roll by hand: no resistance at all',
  );
  await page.keyboard.press('u');
  await expect(
    page.getByRole('region', { name: 'Findings so far' }).locator('li').first().locator('p').first(),
  ).toHaveCSS('text-decoration-line', 'line-through');
  await expect(page.getByRole('region', { name: 'Check on the bench' })).toContainText('Turn the roll by hand');
  await page.keyboard.press('2');
  await expect(page.getByRole('region', { name: 'Findings so far' }).getByRole('listitem')).toHaveCount(2);

  await putOnBench(page, 'Sole plate off, look');
  await page.getByRole('button', { name: /missing or in pieces/ }).click();
  await expect(page.getByText('Cause proved: Belt broken.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^flat belt, proved at fault, open/ })).toBeVisible();
  await agreed(page, 'To Strip');

  // Strip: one key for each step, the screws into their cups, one of them missing.
  await expect(page.getByRole('heading', { name: 'Strip', exact: true })).toBeVisible();
  await stripByKey(page, 'Enter');
  await expect(page.getByText('What the repair needs lies open.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Tray' }).getByRole('img', { name: /cup 1 full/ })).toBeVisible();
  await page.keyboard.press('Backspace');
  const step = page.getByRole('region', { name: 'Step on the bench' });
  await expect(step.getByRole('heading', { name: 'End caps off, left and right kept apart' })).toBeVisible();
  await page.keyboard.press('Shift+Equal');
  await page.getByRole('button', { name: 'Was missing when it came' }).click();
  await expect(page.getByText('1 missing on arrival: owed to the owner')).toBeVisible();
  await page.getByRole('button', { name: 'Replaced' }).click();
  await expect(page.getByText('1 missing on arrival: owed to the owner; replaced')).toBeVisible();
  await stripByKey(page, 'PageDown');
  await page.getByRole('button', { name: 'To Fit' }).click();

  // Fit.
  await expect(page.getByRole('heading', { name: 'Fit', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Fit Flat belt 10 × 300 mm at flat belt' }).click();
  await expect(page.getByRole('region', { name: 'Parts' })).toContainText('FB-10-300');
  await page.getByRole('button', { name: 'To Prove' }).click();
  await expect(page.getByText(/^Not done:/).first()).toBeVisible();
  const steps = page.getByRole('region', { name: 'Rebuild' }).getByRole('checkbox');
  for (let i = 0; i < (await steps.count()); i++) {
    await steps.nth(i).click();
    await expect(steps.nth(i)).toHaveAttribute('aria-checked', 'true');
  }
  await page.getByRole('button', { name: 'To Prove' }).click();

  // Prove.
  await expect(page.getByRole('heading', { name: 'Prove', exact: true })).toBeVisible();
  await expect(page.getByText('local rules win')).toBeVisible();
  for (const item of [
    'Electrical check by local rules',
    'Roll free by hand',
    'Gone: roll does not turn',
    'Three minutes’ run, sound and smell clean',
  ]) {
    const row = page.getByRole('group', { name: item });
    await row.getByRole('button', { name: 'Passed' }).click();
    if (item.startsWith('Electrical')) {
      // Never passed blank: by which rules, with which readings, by whom.
      await expect(row.getByText('By which rules: the edition in force here.')).toBeVisible();
      await expect(row.getByLabel('Tested by')).toHaveValue('Wren Ostrey');
      await row.getByLabel('By which rules').fill('Rules in force here');
      await row.getByLabel('Readings').fill('Insulation 50 MΩ');
      await row.getByRole('button', { name: 'Passed' }).click();
    }
    await expect(row).toContainText('passed');
  }
  const speed = page.getByRole('form', { name: 'Roll speed' });
  await speed.getByLabel(/Before/).fill('0');
  await speed.getByLabel(/After/).fill('3580 rpm');
  await speed.getByRole('button', { name: 'Keep' }).click();
  await expect(speed).toContainText('0 → 3580 r/min');
  await page.getByRole('button', { name: 'To Hand back' }).click();

  // Hand back; the customer's own diagnosis stands beside the finding.
  await expect(page.getByText('It was not that; say what it was.')).toBeVisible();
  await page.getByLabel('What to watch, for the owner').fill('Lift it off the fringe of the rug.');
  await page.getByRole('button', { name: 'Hand back and close' }).click();
  await expect(page.getByText(/^Handed back \d{4}-/)).toBeVisible();
  const due = await page.getByText(/^Next due:/).textContent();
  expect(due).toMatch(/\d{4}-\d{2}-\d{2}/);

  await page.getByRole('link', { name: 'Care sheet' }).click();
  const sheet = page.getByRole('article', { name: 'Care sheet' });
  await expect(sheet).toContainText('Belt broken');
  await expect(sheet).toContainText('Lift it off the fringe of the rug.');
  await expect(sheet).toContainText('Due again');

  // The machine's card shows it all.
  await page.getByLabel('Find a machine').fill('Osric Vintry');
  await page.getByLabel('Find a machine').press('Enter');
  await page.getByRole('region', { name: 'Machines found' }).getByRole('link').first().click();
  await expect(page.getByRole('region', { name: 'Timeline' })).toContainText('Handed back. Found: Belt broken.');
  await expect(page.getByRole('region', { name: 'Plans' })).toContainText('New flat belt');
  await expect(page.getByRole('img', { name: /^flat belt, replaced new ago|^flat belt.*replaced/ })).toBeVisible();
});

test('a known machine is taken in by its tag, as a scanner types it', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  await page.goto('/take-in');
  const { tag } = await freeMachine(page, 'upright-shaft-belt');
  await page.getByLabel('Tag, serial, owner, phone or words').fill(tag);
  await page.keyboard.press('Enter');
  await expect(page.getByText(new RegExp(`^${tag} `))).toBeVisible();
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByText('Pick at least one complaint, or a reason for the visit.')).toBeVisible();
  await page.getByRole('button', { name: 'Rattles', exact: true }).click();
  await expect(page.getByText('Pick at least one complaint, or a reason for the visit.')).toBeHidden();
  // The board shows where the complaint points, before anything is checked.
  await expect(page.getByRole('button', { name: /end caps, \d+ per cent suspected/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page).toHaveURL(/\/jobs\/\d+\/find$/);
  await expect(page.getByRole('complementary')).toContainText('Rattles');

  // Another one, found by its owner and chosen by the arrows.
  await page.goto('/take-in');
  await page.getByLabel('Tag, serial, owner, phone or words').fill('library');
  await expect(page.getByRole('option').first()).toContainText('town library');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Orrin Quay town library, 555 \d+, (last|first)/)).toBeVisible();
  await page
    .getByRole('button', { name: 'Start afresh' })
    .or(page.getByRole('button', { name: 'Another' }))
    .first()
    .click();
});

test('supply at the head but no motion leads to the tilt switch', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  await takeInStranger(page, {
    model: /Tussock Rake/,
    name: 'Ulla Mewslade',
    words: 'Sucks, does not brush.',
    complaints: ['Roll does not turn'],
  });
  await putOnBench(page, 'Turn the roll by hand');
  await page.keyboard.press('1');
  await expect(page.getByRole('region', { name: 'Findings so far' })).toContainText('turns with an even drag');

  await putOnBench(page, 'Volts at the head socket');
  const reading = page.getByLabel('Roll on (V)');
  await reading.fill('400');
  await reading.press('Enter');
  await expect(page.getByText('More than a 120 V machine can show.')).toBeVisible();
  await reading.fill('118 V');
  await expect(page.getByText('Read as 118 V')).toBeVisible();
  await reading.press('Enter');
  await expect(page.getByRole('region', { name: 'Findings so far' })).toContainText('read as supply >99 %');

  await putOnBench(page, 'Run it for seconds');
  await page.getByRole('button', { name: /^\w does not turn$/ }).click();
  await expect(page.getByRole('region', { name: 'Odds of the faults' }).getByRole('listitem').first()).toContainText(
    'Tilt switch failed',
  );

  await page.keyboard.press('Escape');
  await putOnBench(page, 'Tilt switch');
  await page.getByLabel('Leaned back (Ω)').fill('OL');
  await expect(page.getByText('Read as over range: an open circuit')).toBeVisible();
  await page.getByLabel('Leaned back (Ω)').press('Enter');
  await expect(page.getByText('Cause proved: Tilt switch failed.')).toBeVisible();
});

test('a wet machine is offered no power until it is cleared by name', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  await takeInStranger(page, {
    model: /Pellstreet Lantern/,
    name: 'Hale Ormsay',
    words: 'It stood in the tide.',
    complaints: ['Roll does not turn'],
    signs: ['Wet, mud or rust'],
  });
  await expect(page.getByText('Nothing that needs power is offered or taken.')).toBeVisible();
  const card = page.getByRole('region', { name: 'Check on the bench' });
  // What was seen on arrival is looked at first.
  await expect(card.getByRole('heading', { name: 'Signs of water' })).toBeVisible();
  const findings = page.getByRole('region', { name: 'Findings so far' }).getByRole('listitem');
  await card.getByRole('button', { name: /no mud$/ }).click();
  await expect(findings).toHaveCount(1);
  await putOnBench(page, 'Turn the roll by hand');
  await page.keyboard.press('1');
  await expect(findings).toHaveCount(2);
  await putOnBench(page, 'Run it for seconds');
  await expect(card).toContainText('Held back: Has been wet');
  await expect(card.getByRole('button', { name: 'turns normally' })).toBeDisabled();

  await page.getByRole('button', { name: 'Made safe: clear it under my name' }).click();
  await page.getByRole('button', { name: 'Clear', exact: true }).click();
  await expect(page.getByText('Say how it was made safe').first()).toBeVisible();
  await page.getByLabel('How was it made safe?').fill('Opened, dried two days, insulation above 20 MΩ.');
  await page.getByRole('button', { name: 'Clear', exact: true }).click();
  await expect(page.getByText(/cleared by Wren Ostrey/)).toBeVisible();
  await expect(card.getByRole('button', { name: 'turns normally' })).toBeEnabled();
});

test('a half-typed take-in survives a reload and another browser', async ({ page, baseURL, browser }) => {
  await signIn(page, baseURL!);
  await page.goto('/take-in');
  const kept = page.waitForResponse((r) => r.url().includes('/drafts/') && r.request().method() === 'PUT');
  await page.getByRole('textbox', { name: 'In their own words' }).fill('It hums, then it does not.');
  await kept;
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'In their own words' })).toHaveValue('It hums, then it does not.');
  const other = await browser.newContext({ baseURL: baseURL! });
  const second = await other.newPage();
  await signIn(second, baseURL!);
  await second.goto('/take-in');
  await expect(second.getByRole('textbox', { name: 'In their own words' })).toHaveValue('It hums, then it does not.');
  await second.getByRole('button', { name: 'Start afresh' }).click();
  await expect(second.getByRole('textbox', { name: 'In their own words' })).toHaveValue('');
  await other.close();
});

test('another browser’s old state is refused with both versions, and nothing is lost', async ({
  page,
  baseURL,
  browser,
}) => {
  await signIn(page, baseURL!);
  await takeInStranger(page, {
    model: /Mirefield Bellows/,
    name: 'Runa Draycote',
    words: 'Weak.',
    complaints: ['Weak suction'],
  });
  // A browser whose line is cut does not hear what the first one does.
  const elsewhere = await browser.newContext({ baseURL: baseURL! });
  const second = await elsewhere.newPage();
  await second.route('**/api/v1/live*', (route) => route.abort());
  await signIn(second, baseURL!);
  await second.goto(page.url());
  await putOnBench(page, 'Bag or bin');
  await page.keyboard.press('1');
  await expect(page.getByRole('region', { name: 'Findings so far' })).toContainText('below the line');
  await putOnBench(second, 'Bag or bin');
  await second.getByRole('region', { name: 'Check on the bench' }).getByRole('button', { name: 'over full' }).click();
  await expect(second.getByText('Somebody changed this job meanwhile', { exact: false })).toBeVisible();
  const both = second.getByRole('region', { name: 'Both versions' }).getByRole('row', { name: /Found out/ });
  await expect(both).toContainText('none');
  await expect(both).toContainText('below the line');
  await expect(second.getByRole('region', { name: 'Findings so far' })).toContainText('below the line');
  // What was pressed is not lost either: it can be done on the job as it is now.
  await second.getByRole('button', { name: 'It still holds: do it now' }).click();
  await expect(second.getByRole('region', { name: 'Findings so far' })).toContainText('over full');
  await elsewhere.close();
});
