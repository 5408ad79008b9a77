import { expect, type Page } from '@playwright/test';
import { settled, signIn, takeInStranger, typeDay } from './bench';
import { test } from './test';

test.beforeEach(async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  await page.request.delete('/api/v1/drafts/take-in', { headers: { origin: baseURL! } });
});

const result = (page: Page) => page.getByRole('region', { name: 'Result' });
const fill = async (page: Page, fields: Record<string, string>) => {
  for (const [label, value] of Object.entries(fields)) await page.getByLabel(label, { exact: true }).fill(value);
};

test('a worn belt is measured inside a job, found in the parts list, kept, and seen in the machine’s history', async ({
  page,
}) => {
  await takeInStranger(page, {
    model: /Tussock Level 2/,
    name: 'Pell Marram',
    words: 'The brush hardly turns.',
    complaints: ['Roll slow, leaves no lines'],
  });
  await page.getByRole('link', { name: 'Measure something with a gauge' }).click();
  await page.getByRole('link', { name: /^Belt/ }).click();
  await expect(page.getByText(/Still needed: centre distance/)).toBeVisible();
  await fill(page, {
    'Centre distance, mm': '150',
    'Drive shaft or pulley, mm': '12 mm',
    'Roll’s belt track, mm': '40 mm',
    'Free length, new, mm': '355 mm',
    'Width, mm': '3/8 in',
    'Thickness, mm': '2 mm',
  });
  await expect(page.getByText('Read as 9.52 mm')).toBeVisible();
  await expect(result(page)).toContainText('A belt of');
  // The answer follows every key.
  await page.getByLabel('Free length, worn, mm', { exact: true }).pressSequentially('368 mm');
  await expect(result(page)).toContainText('Worn out: 3.7 % longer than new');
  await expect(result(page).getByRole('img', { name: /^Belt to scale, open/ })).toBeVisible();
  const list = page.getByRole('region', { name: 'Parts of these sizes' });
  await expect(list).toContainText('FB-10-355');
  await page.getByLabel('answers “Belt against a new one” in Find').check();
  await page.getByRole('button', { name: 'Keep with job' }).click();
  await expect(page.getByRole('button', { name: /^Kept with job/ })).toBeDisabled();
  await list.getByRole('button', { name: 'Fit Flat belt 10 × 355 mm' }).click();
  await expect(list.getByRole('button', { name: 'Fit Flat belt 10 × 355 mm' })).toHaveText('Fitted');

  // In the job: the result, the check that it answered, the part.
  await page.getByRole('link', { name: /^Job \d+/ }).click();
  await expect(page.getByRole('region', { name: 'Gauges' })).toContainText('Worn out: 3.7 % longer than new');
  await expect(page.getByRole('region', { name: 'Findings so far' })).toContainText('3.66');
  // Opened again, it stands as it was typed and is reckoned anew.
  await page.getByRole('region', { name: 'Gauges' }).getByRole('link', { name: 'Belt' }).click();
  await expect(page.getByLabel('Free length, worn, mm', { exact: true })).toHaveValue('368 mm');
  await expect(result(page)).toContainText('Worn out');
  await page.getByRole('link', { name: /^Job \d+/ }).click();
  await page.getByRole('heading', { level: 1 }).getByRole('link').click();
  await expect(page.getByText('Belt: Worn out: 3.7 % longer than new. Fit a new one.')).toBeVisible();
  await expect(page.getByText('Flat belt 10 × 355 mm').first()).toBeVisible();
});

test('a pasted row of bar-to-bar readings names the bars, by keyboard alone', async ({ page }) => {
  await page.goto('/gauges');
  await page.getByRole('link', { name: /^Winding and commutator/ }).focus();
  await page.keyboard.press('Enter');
  const rows = page.getByRole('textbox', { name: 'Bar-to-bar readings, all round' });
  await rows.focus();
  await page.keyboard.insertText('1.21 1.20 1.22 1.21 1.19 1.20 2.95 1.21 1.22 1.20 1.21 0.62 1.20 1.21 1.22 1.20');
  await expect(result(page)).toContainText('Open coil or bad joint at bars 7–8. Shorted turns at bars 12–13.');
  await expect(result(page).getByRole('img', { name: /7, 12 stand out/ })).toBeVisible();
  // What is typed is still there after a reload.
  await page.waitForTimeout(1000);
  await page.reload();
  await expect(rows).toHaveValue(/2\.95/);
  await page.getByRole('button', { name: 'Clear' }).click();
  await expect(rows).toHaveValue('');
});

test('a discharge log of 100,000 lines is dropped and reckoned off the interface’s thread', async ({ page }) => {
  await page.goto('/gauges/pack');
  await page.getByRole('button', { name: 'Discharge log', exact: true }).click();
  await fill(page, { 'Ends at, V': '18', 'Rated capacity, Ah': '2.5', 'Rated at, h': '1', 'Peukert exponent': '1' });
  const lines = Array.from({ length: 100_000 }, (_, i) => {
    const part = i / 99_999;
    return `${(3600 * part).toFixed(3)},${(25 - 7 * part).toFixed(4)},2`;
  });
  const transfer = await page.evaluateHandle(
    (text) => {
      const data = new DataTransfer();
      data.items.add(new File([text], 'discharge.csv', { type: 'text/csv' }));
      return data;
    },
    `seconds,volts,amperes\n${lines.join('\n')}`,
  );
  await page.getByText('Drop it here, or choose it.').dispatchEvent('drop', { dataTransfer: transfer });
  await expect(page.getByText('discharge.csv is read.')).toBeVisible();
  await expect(result(page)).toContainText('2.00 Ah, 80 % of a new one at this current');
  await expect(result(page)).toContainText('100000');
  await expect(result(page).getByRole('img', { name: /^Voltage during the discharge/ })).toBeVisible();
});

test('a kept discharge log is opened again from its job and reckons the same', async ({ page }) => {
  await takeInStranger(page, {
    model: /Tussock Rush/,
    name: 'Bryn Tallow',
    words: 'It runs for a minute.',
    complaints: ['Runs a short time only'],
  });
  await page.getByRole('link', { name: 'Measure something with a gauge' }).click();
  await page.getByRole('link', { name: /^Pack/ }).click();
  await page.getByRole('button', { name: 'Discharge log', exact: true }).click();
  await fill(page, { 'Ends at, V': '18', 'Rated capacity, Ah': '2.5', 'Rated at, h': '1', 'Peukert exponent': '1' });
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from('0,25,2\n1800,21,2\n3600,18,2') });
  await expect(result(page)).toContainText('2.00 Ah, 80 % of a new one at this current');
  await page.getByRole('button', { name: 'Keep with job' }).click();
  await expect(page.getByRole('button', { name: /^Kept with job/ })).toBeVisible();
  await page.getByRole('link', { name: /^Job \d+/ }).click();
  await page.getByRole('region', { name: 'Gauges' }).getByRole('link', { name: 'Pack' }).click();
  await expect(result(page)).toContainText('2.00 Ah, 80 % of a new one at this current');
});

test('an inch shop reads inches, and millimetres under the pointer', async ({ page, baseURL }) => {
  const shop = async (units: 'metric' | 'inch') => {
    const now = (await (await page.request.get('/api/v1/shop')).json()) as Record<string, unknown>;
    const { name, zone, mainsV, paper, benches, version } = now;
    const answer = await page.request.post('/api/v1/shop', {
      data: { name, zone, mainsV, paper, benches, version, units, key: crypto.randomUUID() },
      headers: { origin: baseURL! },
    });
    expect(answer.ok()).toBe(true);
  };
  await shop('inch');
  try {
    await page.goto('/gauges/belt');
    await fill(page, {
      'Centre distance, in': '6',
      'Drive shaft or pulley, in': '1/2',
      'Roll’s belt track, in': '1 1/2',
      'Width, in': '3/8',
      'Thickness, in': '2 mm',
    });
    await expect(result(page)).toContainText('A belt of 14.3 in free length fits.');
    await expect(result(page).getByTitle('392 mm')).toHaveText('15.4 in');
  } finally {
    await shop('metric');
  }
});

test('the clog is named, one gauge fills another, and the example and sources are at hand', async ({ page }) => {
  await page.goto('/gauges/air-path');
  await page.getByRole('button', { name: 'Fill in the worked example' }).click();
  await expect(result(page)).toContainText('Clog: hose');
  await page.getByText('How it is reckoned, and from which source').click();
  await expect(page.getByText('Wilson & Hilferty 1931 for its cube root.')).toBeVisible();
  await page.goto('/gauges/belt');
  await page.getByRole('button', { name: 'Fill in the worked example' }).click();
  await page.getByRole('link', { name: /Put this pull into the bearing’s life/ }).click();
  await expect(page.getByLabel('Load, N', { exact: true })).toHaveValue('15.4 N');
  // What cannot be is said at its field, and nothing that was typed is lost.
  await page.getByLabel('Bore, mm', { exact: true }).fill('wide');
  await expect(page.getByText('A number in mm, cm, m, in, ".')).toBeVisible();
  await expect(page.getByLabel('Bore, mm', { exact: true })).toHaveValue('wide');
});

test('a weighed filter starts the wait clock of its job', async ({ page }) => {
  await takeInStranger(page, {
    model: /Mirefield Bellows/,
    name: 'Hale Wick',
    words: 'No pull.',
    complaints: ['Weak suction'],
  });
  await page.getByRole('link', { name: 'Measure something with a gauge' }).click();
  await page.getByRole('link', { name: /^Dry and wait/ }).click();
  await page.getByLabel('Weighings').fill('09:00 182 g\n10:30 161 g\n12:00 147 g\n13:30 138 g');
  await expect(result(page)).toContainText('Dry in 9.6 h');
  await page.getByLabel('starts the wait clock').check();
  await page.getByRole('button', { name: 'Keep with job' }).click();
  await expect(page.getByRole('button', { name: /^Kept with job/ })).toBeVisible();
  await page.goto('/');
  await expect(page.locator('[data-strip]').filter({ hasText: 'Hale Wick' })).toContainText(/[Dd]r(y|ies)/);
});

test('printed, a result fits one sheet', async ({ page }) => {
  await page.goto('/gauges/belt');
  await page.getByRole('button', { name: 'Fill in the worked example' }).click();
  await expect(result(page)).toContainText('Worn out');
  const text = (await page.pdf({ format: 'A4' })).toString('latin1');
  expect((text.match(/\/Type\s*\/Page[^s]/g) ?? []).length).toBe(1);
});

test('the service answers as the screen does, and refuses field by field', async ({ page, baseURL }) => {
  const ask = (data: object) =>
    page.request.post('/api/v1/gauges/supply-and-cord', { data, headers: { origin: baseURL! } });
  const cord = {
    asks: 'cord',
    given: 'watts',
    load: 1200,
    length: '15 m',
    standard: 'iec',
    drop: 3,
    hot: 60,
    mains: 120,
  };
  expect(await (await ask(cord)).json()).toMatchObject({ says: '2.5 mm² or thicker.' });
  const refused = await ask({ ...cord, length: '15 kPa', load: -1 });
  expect(refused.status()).toBe(400);
  expect(((await refused.json()) as { fields: { field: string }[] }).fields.map((f) => f.field).sort()).toEqual([
    'length',
    'load',
  ]);
});

test('an instrument of the shop is offered where it measures; its calibration runs out, and the limits name their edition', async ({
  page,
  baseURL,
}) => {
  await signIn(page, baseURL!);
  await page.goto('/shop/measuring');
  await settled(page);
  const list = page.getByRole('region', { name: 'Instruments' });
  await list.getByRole('button', { name: 'Add an instrument' }).click();
  await page.getByLabel('What it is called').fill('Tester of the van');
  // Half typed it is no day, and stays as it is typed.
  await typeDay(page, 'Calibrated on', '2020-02');
  await page.getByLabel('What it measures').fill('leakage');
  const calibrated = page.getByRole('group', { name: 'Calibrated on' });
  await expect(calibrated.getByRole('spinbutton', { name: 'Year' })).toHaveText('2020');
  await calibrated.getByRole('spinbutton', { name: 'Day' }).click();
  await page.keyboard.type('03');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(list.getByRole('row', { name: /Tester of the van/ })).toContainText('ran out');
  const safety = page.getByRole('region', { name: 'Safety test' });
  await safety.getByRole('textbox', { name: 'Edition, row 1' }).fill('2020+A1');
  await safety.getByRole('button', { name: 'Keep for everybody' }).click();
  await expect(safety.getByRole('button', { name: 'Keep for everybody' })).toBeDisabled();

  await page.goto('/gauges/safety-test');
  await settled(page);
  const type = (label: string, value: string) => page.getByLabel(label, { exact: true }).fill(value);
  await type('Protective earth, Ω', '0.08');
  await type('Insulation, MΩ', '45');
  await type('Touch current, mA', '0.1');
  await type('Earth-conductor current, mA', '0.4');
  for (const [field, choice] of [
    ['Looked over', 'Sound: cord, plug, housing, strain relief'],
    ['Its switch during insulation', 'On'],
  ] as const) {
    await page.getByRole('combobox', { name: field }).selectOption({ label: choice });
  }
  const result = page.getByRole('region', { name: 'Result' });
  await expect(result).toContainText('Pass by IEC (2020+A1), class I.');
  await type('With which instrument', 'Tester of the van');
  await expect(result).toContainText('the calibration of Tester of the van ran out on 2021-02-03');
  // A press on a place leads to its field; what is typed stands at its place.
  const place = page.locator('[data-place="insulation"] text');
  await expect(place).toContainText('45');
  await place.click();
  await expect(page.getByLabel('Insulation, MΩ')).toBeFocused();
});
