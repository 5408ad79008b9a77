import sharp from 'sharp';
import { closePhotographProcesses, inPhotographProcess, openPhotographProcesses } from './photographProcesses';

const FILE = 'src/workers/photographs.process.fixture.mjs';
/** Its program is compiled at its start, on a machine that may be slow: what is tried here is not how long that takes. */
const longestMs = 200_000;

const photograph = (width: number, height: number, progressive = false) =>
  sharp({
    create: {
      width,
      height,
      channels: 3,
      background: '#888',
      noise: { type: 'gaussian', mean: 128, sigma: 60 },
    },
  })
    .jpeg({ quality: 20, progressive })
    .toBuffer();

afterEach(closePhotographProcesses);

test('a photograph is made smaller in a process of its own, the same as here', async () => {
  const bytes = await photograph(2000, 1500);
  const here = await inPhotographProcess(bytes);
  openPhotographProcesses(FILE, { longestMs });
  const there = await inPhotographProcess(bytes);
  expect(there.large).toMatchObject({ width: 1600, height: 1200 });
  expect(there.large.bytes.equals(here.large.bytes)).toBe(true);
  expect(there.small.equals(here.small)).toBe(true);
});

test('a file that asks for more memory than there is for it ends its own process and nothing else', async () => {
  // All of its waves must be kept until the last of them came: six bytes a dot.
  const greedy = await photograph(4400, 4400, true);
  openPhotographProcesses(FILE, { mostMegabytes: 230, longestMs });
  // Lost, not late.
  await expect(inPhotographProcess(greedy)).rejects.not.toHaveProperty('status');
  expect((await inPhotographProcess(await photograph(800, 600))).large.width).toBe(800);
  await closePhotographProcesses();
  // With what a server grants it is a photograph like any other.
  openPhotographProcesses(FILE, { longestMs });
  expect((await inPhotographProcess(greedy)).large.width).toBe(1600);
});

test('a drawing is not even decoded there, whatever it is called; the process that asks decodes what it likes', async () => {
  const drawing = Buffer.from(
    '<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"><rect width="9" height="9"/></svg>',
  );
  openPhotographProcesses(FILE, { longestMs });
  await expect(inPhotographProcess(drawing)).rejects.toThrow(/unsupported image format/);
  // What a process blocks is for the whole of its life: had it been blocked here, nothing here could draw any more.
  expect((await sharp(drawing).metadata()).format).toBe('svg');
  expect((await inPhotographProcess(await photograph(90, 60))).large.width).toBe(90);
});

test('no more wait than may, and whoever comes then is asked to come again', async () => {
  openPhotographProcesses(FILE, { longestMs });
  const bytes = await photograph(1600, 1200);
  const told = await Promise.allSettled(Array.from({ length: 40 }, () => inPhotographProcess(bytes)));
  const refused = told.filter((t) => t.status === 'rejected');
  expect(refused.length).toBeGreaterThan(0);
  for (const { reason } of refused) expect(reason).toMatchObject({ status: 503 });
  expect(told.length - refused.length).toBeGreaterThanOrEqual(12);
});

test('what is not done in time need not be the file’s fault: it may be sent again', async () => {
  openPhotographProcesses(FILE, { longestMs: 1 });
  await expect(inPhotographProcess(await photograph(800, 600))).rejects.toMatchObject({ status: 503 });
});
