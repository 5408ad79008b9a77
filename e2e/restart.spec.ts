import { expect, test } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { putOnBench, signIn, takeInStranger } from './bench';

const PORT = 4398;
const BASE = `http://127.0.0.1:${PORT}`;
const root = join(import.meta.dirname, '..');

async function startServer(): Promise<ChildProcess> {
  const child = spawn('node', ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(PORT)], {
    cwd: root,
    stdio: 'ignore',
    env: { ...process.env, NODE_ENV: 'production' },
  });
  await expect(async () => expect((await fetch(`${BASE}/readyz`)).ok).toBe(true)).toPass({ timeout: 30_000 });
  return child;
}

async function kill(child: ChildProcess): Promise<void> {
  const ended = new Promise((done) => child.once('exit', done));
  child.kill('SIGKILL');
  await ended;
}

test.use({ baseURL: BASE });

test('what was taken in and found is there after the server was killed and started again', async ({ page }) => {
  let server = await startServer();
  try {
    await signIn(page, BASE);
    await takeInStranger(page, {
      model: /Ardlow Stave/,
      name: 'Perrin Skerrow',
      words: 'Before the lights went out.',
      complaints: ['Squeals'],
    });
    const job = page.url();
    await page.getByRole('region', { name: 'Check on the bench' }).waitFor();
    await page.keyboard.press('1');
    await expect(page.getByRole('region', { name: 'Findings so far' }).getByRole('listitem')).toHaveCount(1);
    await putOnBench(page, 'Bag or bin');
    await kill(server);

    // While it is away a press is not lost in silence.
    await page.keyboard.press('1');
    await expect(page.getByText('The server does not answer. Not saved')).toBeVisible();

    server = await startServer();
    await page.goto(job);
    await expect(page.getByText('“Before the lights went out.”')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Findings so far' }).getByRole('listitem')).toHaveCount(1);
  } finally {
    await kill(server);
  }
});
