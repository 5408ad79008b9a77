import { expect } from '@playwright/test';
import { settled, signIn } from './bench';
import { test } from './test';

/** Pages of a PDF and their size in millimetres, from its own page objects. */
function pagesOf(pdf: Buffer): { count: number; width: number; height: number } {
  const text = pdf.toString('latin1');
  const box = /\/MediaBox\s*\[\s*0\s+0\s+([\d.]+)\s+([\d.]+)\s*\]/.exec(text)!;
  const mm = (points: string) => Math.round((Number(points) / 72) * 25.4);
  return { count: (text.match(/\/Type\s*\/Page[^s]/g) ?? []).length, width: mm(box[1]!), height: mm(box[2]!) };
}

test('tag, job sheet and care sheet each fit their paper', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  await page.goto('/');
  const job = (await page.locator('a[href^="/jobs/"]').first().getAttribute('href'))!;
  const tag = (await page.locator('a[href^="/machines/GK"]').first().getAttribute('href'))!;
  const print = async (path: string, article: RegExp) => {
    await page.goto(path);
    await expect(page.getByRole('article', { name: article })).toBeVisible();
    await settled(page);
    return pagesOf(await page.pdf({ preferCSSPageSize: true }));
  };
  expect(await print(`${tag}/tag`, /^Tag GK/)).toEqual({ count: 1, width: 62, height: 29 });
  await page.getByRole('button', { name: 'A4, to cut out' }).click();
  expect(pagesOf(await page.pdf({ preferCSSPageSize: true }))).toEqual({ count: 1, width: 210, height: 297 });
  expect(await print(`${job}/job-sheet`, /^Job sheet/)).toEqual({ count: 1, width: 210, height: 297 });
  expect(await print(`${job}/service-report`, /^Service report/)).toEqual({ count: 1, width: 210, height: 297 });
  expect(await print(`${job}/care-sheet`, /^Care sheet/)).toEqual({ count: 1, width: 210, height: 297 });
});

test('the codes of a tag are read back as the tag', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  await page.goto('/');
  const path = (await page.locator('a[href^="/machines/GK"]').first().getAttribute('href'))!;
  await page.goto(`${path}/tag`);
  const bar = page.getByRole('img', { name: /^Bar code of/ });
  await expect(bar).toBeVisible();
  const bars = await bar.evaluate(async (img: HTMLImageElement) => {
    await img.decode();
    const canvas = document.createElement('canvas');
    canvas.width = 1200;
    canvas.height = 20;
    const context = canvas.getContext('2d')!;
    context.fillStyle = '#fff';
    context.fillRect(0, 0, 1200, 20);
    context.drawImage(img, 0, 0, 1200, 20);
    const { data } = context.getImageData(0, 10, 1200, 1);
    const runs: number[] = [];
    let dark: boolean | null = null;
    for (let x = 0; x < 1200; x++) {
      const now = data[x * 4]! < 128;
      if (now === dark) runs[runs.length - 1]!++;
      else runs.push(1);
      dark = now;
    }
    return { runs, startsDark: data[0]! < 128 };
  });
  expect(readCode128(bars.startsDark ? bars.runs : bars.runs.slice(1))).toBe(path.split('/').at(-1));
});

/** Widths of the six bars and gaps of each value of Code 128 (ISO/IEC 15417, table 1: from memory, checked by the check digit). */
const WIDTHS =
  '212222 222122 222221 121223 121322 131222 122213 122312 132212 221213 221312 231212 112232 122132 122231 113222 123122 123221 223211 221132 221231 213212 223112 312131 311222 321122 321221 312212 322112 322211 212123 212321 232121 111323 131123 131321 112313 132113 132311 211313 231113 231311 112133 112331 132131 113123 113321 133121 313121 211331 231131 213113 213311 213131 311123 311321 331121 312113 312311 332111 314111 221411 431111 111224 111422 121124 121421 141122 141221 112214 112412 122114 122411 142112 142211 241211 221114 413111 241112 134111 111242 121142 121241 114212 124112 124211 411212 421112 421211 212141 214121 412121 111143 111341 131141 114113 114311 411113 411311 113141 114131 311141 411131 211412 211214 211232'.split(
    ' ',
  );

function readCode128(runs: number[]): string {
  const thin = runs.slice(0, 6).reduce((a, b) => a + b, 0) / 11;
  const values: number[] = [];
  for (let i = 0; i + 6 <= runs.length; i += 6) {
    const widths = runs
      .slice(i, i + 6)
      .map((r) => Math.round(r / thin))
      .join('');
    const value = WIDTHS.indexOf(widths);
    if (value < 0) break;
    values.push(value);
  }
  const check = values.pop()!;
  const sum = values.reduce((total, v, i) => total + v * Math.max(1, i), 0) % 103;
  expect(sum).toBe(check);
  let set = values[0] === 105 ? 'C' : 'B';
  let text = '';
  for (const v of values.slice(1)) {
    // Within the set of pairs of figures it is such a pair itself.
    if (v === 99 && set !== 'C') set = 'C';
    else if (v === 100) set = 'B';
    else text += set === 'C' ? String(v).padStart(2, '0') : String.fromCharCode(v + 32);
  }
  return text;
}

test('letters of other alphabets stand on every paper in typefaces of ours', async ({ page, baseURL }) => {
  await signIn(page, baseURL!);
  const name = 'Łukasz Dvořák Ελένη Ирина 10 Ω';
  const { rows } = await (await page.request.get('/api/v1/models')).json();
  const taken = await page.request.post('/api/v1/jobs', {
    headers: { origin: baseURL! },
    data: {
      key: crypto.randomUUID(),
      newMachine: { modelId: rows[0].id, serial: 'Ω-7', pets: false, hoursPerWeek: 1 },
      newCustomer: { name, kind: 'household', phone: '', email: '', address: 'ул. Мира' },
      words: name,
      complaints: ['squeal'],
      openedBefore: false,
      arrivalSigns: [],
      promisedOn: '2199-01-01',
    },
  });
  expect(taken.status()).toBe(201);
  const { job, tag } = await taken.json();
  for (const path of [`/jobs/${job}/job-sheet`, `/jobs/${job}/care-sheet`, `/machines/${tag}/tag`]) {
    await page.goto(path);
    await settled(page);
    const shown = await page.getByRole('article').first().innerText();
    expect(shown.includes('Ирина'), `${path} does not name the owner`).toBe(true);
    // Every letter is there in a typeface that came from here: none is left to what the machine happens to have.
    const loaded = await page.evaluate(() =>
      [...document.fonts].filter((f) => f.status === 'loaded').map((f) => `${f.family} ${f.unicodeRange}`),
    );
    expect(
      loaded.some((f) => f.includes('Noto Sans') && /U\+370/i.test(f)),
      `${path}: Greek`,
    ).toBe(true);
    expect(
      loaded.some((f) => f.includes('Noto Sans') && /U\+400/i.test(f)),
      `${path}: Cyrillic`,
    ).toBe(true);
  }
  const book = await page.request.get(`/api/v1/machines/${tag}/book.pdf`);
  const text = (await book.body()).toString('latin1');
  expect(text).toMatch(/\/BaseFont \/[A-Z]{6}\+NotoSans/);
});
