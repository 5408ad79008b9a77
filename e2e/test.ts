import { test as base } from '@playwright/test';

/** A server of its own with a shop of its own: each worker has one, so that they do not see each other's machines. */
export interface Stand {
  base: string;
  database: string;
  token: string;
}

export const test = base.extend<object, { stand: Stand }>({
  stand: [
    // eslint-disable-next-line no-empty-pattern -- the runner asks for the braces
    async ({}, use, info) => {
      const stands = JSON.parse(process.env.E2E_STANDS ?? '[]') as Stand[];
      const stand = stands[info.parallelIndex];
      if (!stand) throw new Error('Run these tests with ./gritkeeper test e2e: they need its servers.');
      await use(stand);
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ stand }, use) => use(stand.base),
});
