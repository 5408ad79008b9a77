import { defineConfig } from '@playwright/test';

/** End-to-end tests: the real interface on a production build, a real database, Debian's Chromium. */
export default defineConfig({
  testDir: './e2e',
  // Files side by side, each worker on a server of its own (e2e/test.ts); the tests of a file one after the other.
  fullyParallel: false,
  workers: (JSON.parse(process.env.E2E_STANDS ?? '[]') as unknown[]).length || 1,
  // Patience for a slow machine: no test asks how long a thing takes.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  retries: 0,
  reporter: [['list'], ['json', { outputFile: process.env.E2E_JSON ?? '.gritkeeper/e2e.json' }]],
  outputDir: '.gritkeeper/e2e-results',
  use: {
    viewport: { width: 1280, height: 800 },
    // As for somebody who wants nothing to move: what opens is there at once.
    contextOptions: { reducedMotion: 'reduce' },
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // A camera over the bench that shows a test picture.
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
      ],
    },
  },
});
