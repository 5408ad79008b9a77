import { test as base } from '@playwright/test';

/** A server of its own with a shop of its own: each worker has one, so that they do not see each other's machines. */
export interface Stand {
  base: string;
  database: string;
  token: string;
}

export const test = base.extend<object, { stand: Stand }>({
  stand: [
    async ({}, give, info) => {
      const stands = JSON.parse(process.env.E2E_STANDS ?? '[]') as Stand[];
      const stand = stands[info.parallelIndex];
      if (!stand) throw new Error('Run these tests with ./gritkeeper test e2e: they need its servers.');
      await give(stand);
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ stand }, give) => give(stand.base),
});
