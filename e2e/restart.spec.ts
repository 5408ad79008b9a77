import { expect } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { putOnBench, settled, signIn, takeInStranger } from './bench';
import { test, type Stand } from './test';

const FIRST_PORT = 4398;
const root = join(import.meta.dirname, '..');

async function startServer({ base, database }: Stand): Promise<ChildProcess> {
  const child = spawn('node', ['.next/own/door.mjs'], {
    cwd: root,
    stdio: 'ignore',
    env: {
      ...process.env,
      DATABASE_URL: database,
      NODE_ENV: 'production',
      HOST: '127.0.0.1',
      PORT: new URL(base).port,
    },
  });
  try {
    // A machine with its hands full starts slowly.
    await expect(async () => expect((await fetch(`${base}/readyz`)).ok).toBe(true)).toPass({ timeout: 90_000 });
  } catch (error) {
    // Left behind, it would stand in the way of the next.
    await kill(child);
    throw error;
  }
  return child;
}

async function kill(child: ChildProcess): Promise<void> {
  const ended = new Promise((done) => child.once('exit', done));
  child.kill('SIGKILL');
  await ended;
}

test('what was taken in and found is there after the server was killed and started again', async ({
  browser,
  stand,
}, info) => {
  // A server that may be killed, on the shop of this worker.
  const own = { ...stand, base: `http://127.0.0.1:${FIRST_PORT + info.parallelIndex}` };
  const page = await browser.newPage({ baseURL: own.base });
  let server = await startServer(own);
  try {
    await signIn(page, own.base);
    await takeInStranger(page, {
      model: /Ardlow Stave/,
      name: 'Perrin Skerrow',
      words: 'Before the lights went out.',
      complaints: ['Squeals'],
    });
    const job = page.url();
    // Not before the check is there: a key that is pressed on nothing answers nothing.
    await page.getByRole('region', { name: 'Check on the bench' }).getByRole('button').first().waitFor();
    await page.keyboard.press('1');
    await expect(page.getByRole('region', { name: 'Findings so far' }).getByRole('listitem')).toContainText(
      'Wren Ostrey',
    );
    await putOnBench(page, 'Bag or bin');
    await kill(server);

    // While it is away a press is not lost in silence, and nobody claims to know what became of it.
    await page.keyboard.press('1');
    await expect(page.getByText('Whether your last press was saved is not known')).toBeVisible();
    await expect(page.getByText('It is not known whether this was saved')).toBeVisible();

    server = await startServer(own);
    await page.goto(job);
    await settled(page);
    await expect(page.getByText('“Before the lights went out.”')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Findings so far' }).getByRole('listitem')).toHaveCount(1);
  } finally {
    await kill(server);
    await page.close();
  }
});
