import { readdirSync } from 'node:fs';
import { join, sep } from 'node:path';
import { bodyLimitBytes } from '../doors/bodyLimits';
import {
  customerDeeds,
  jobDeeds,
  instrumentDeeds,
  learningDeeds,
  messageDeeds,
  machineDeeds,
  modelDeeds,
  personDeeds,
  shopDeeds,
} from '../deeds';
import { openapi } from './openapi';

const document = openapi() as unknown as {
  paths: Record<string, Record<string, { 'x-max-body-bytes'?: number; requestBody?: object }>>;
};

/** Paths of the route handlers in the source; those of deeds as the table of deeds has them. */
function routes(): string[] {
  const root = join(__dirname, '../../app/api/v1');
  const deeds: Record<string, readonly { spec: { name: string } }[]> = {
    jobs: jobDeeds,
    machines: machineDeeds,
    customers: customerDeeds,
    models: modelDeeds,
    people: personDeeds,
    learning: learningDeeds,
    instruments: instrumentDeeds,
    messages: messageDeeds,
  };
  return readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((f) => f.endsWith('route.ts'))
    .flatMap((file) => {
      const path = `/${file.split(sep).slice(0, -1).join('/')}`.replace(/\[(\w+)\]/g, '{$1}');
      if (path === '/me/{deed}' || path === '/shop/{deed}')
        return Object.keys(shopDeeds)
          .map((d) => `/${d}`)
          .filter((d) => d.startsWith(path.replace('{deed}', '')));
      if (path === '/gauges/{name}') return [];
      if (path === '/export/{what}')
        return [
          'customers.csv',
          'machines.csv',
          'documents.csv',
          'payments.csv',
          'customers.vcf',
          'finder-learning.json',
        ].map((f) => `/export/${f}`);
      if (path === '/import/{what}')
        return ['customers.csv', 'machines.csv', 'customers.vcf'].map((f) => `/import/${f}`);
      if (!path.endsWith('/{deed}')) return [path];
      const of = path.split('/')[1]!;
      return deeds[of]!.map((d) => path.replace('{deed}', d.spec.name));
    });
}

test('every route of the service is in the published document', () => {
  const published = new Set(Object.keys(document.paths));
  expect(routes().length).toBeGreaterThan(60);
  expect(routes().filter((path) => !published.has(path))).toEqual([]);
});

test('what a body may have at most stands with every path that takes one, as the door measures it', () => {
  let bodies = 0;
  for (const [path, item] of Object.entries(document.paths))
    for (const of of Object.values(item)) {
      if (!of.requestBody) continue;
      bodies++;
      const own = path === '/sign-in' ? '/api/sign-in' : `/api/v1${path.replace(/\{\w+\}/g, '7')}`;
      expect([path, of['x-max-body-bytes']]).toEqual([path, bodyLimitBytes(own)]);
    }
  expect(bodies).toBeGreaterThan(50);
  expect(document.paths['/sign-in']!.post!['x-max-body-bytes']).toBe(4096);
});
