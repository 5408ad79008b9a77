import { markRepaired } from '../markRepaired/markRepaired';
import { jobFacts } from '../jobView/jobFacts';
import { base, openJob, testShop } from '../scene.fixture';
import { recordFindings } from './recordFindings';

const K1 = 'upright-shaft-belt';
const shop = testShop();

const find = async (job: number, ...findings: [check: string, outcome: string][]) =>
  recordFindings(shop.person, job, {
    ...(await base(job)),
    findings: findings.map(([check, outcome]) => ({ check, outcome })),
  });
const inForce = async (job: number) =>
  (await jobFacts(job, shop.db))!.findings
    .filter((f) => !f.revoked)
    .map((f) => `${f.check}=${f.outcome}${f.before ? ' before' : ''}`);

test('an answer is corrected while nothing was changed, and kept beside the new one once something was', async () => {
  const job = await openJob(shop.person, shop.models[K1]!, ['roll-not-turning']);
  await find(job, ['finger-turn', 'stiff']);
  await find(job, ['finger-turn', 'stuck']);
  expect(await inForce(job)).toEqual(['finger-turn=stuck']);
  await find(job, ['sole-plate-look', 'object']);
  await find(job, ['repair:roll-jammed-by-object', 'remains']);
  await find(job, ['finger-turn', 'free-no-drag']);
  expect(await inForce(job)).toEqual([
    'finger-turn=stuck before',
    'sole-plate-look=object before',
    'repair:roll-jammed-by-object=remains',
    'finger-turn=free-no-drag',
  ]);
  // What is seen now is corrected like anything else.
  await find(job, ['finger-turn', 'normal-drag']);
  expect(await inForce(job)).toContain('finger-turn=stuck before');
  expect(await inForce(job)).not.toContain('finger-turn=free-no-drag');
  expect((await jobFacts(job, shop.db))!.proved).toContain('roll-jammed-by-object');
});

test('a repair ticked in Fit divides them too', async () => {
  const job = await openJob(shop.person, shop.models[K1]!, ['roll-not-turning']);
  await find(job, ['finger-turn', 'free-no-drag'], ['sole-plate-look', 'belt-missing']);
  await markRepaired(shop.person, job, { ...(await base(job)), fault: 'belt-broken', done: true });
  await find(job, ['sole-plate-look', 'belt-whole'], ['finger-turn', 'normal-drag']);
  expect(await inForce(job)).toEqual([
    'finger-turn=free-no-drag before',
    'sole-plate-look=belt-missing before',
    'sole-plate-look=belt-whole',
    'finger-turn=normal-drag',
  ]);
  expect((await jobFacts(job, shop.db))!.proved).toEqual(['belt-broken']);
});

test('a complaint that comes late is proved longer than it took before', async () => {
  const job = await openJob(shop.person, shop.models[K1]!, ['stops-after-minutes']);
  const label = async () => (await jobFacts(job, shop.db))!.proofs.find((p) => p.item.startsWith('complaint:'))!.label;
  expect(await label()).toContain('run longer than it used to last');
  await find(job, ['finger-turn', 'normal-drag']);
  await recordFindings(shop.person, job, {
    ...(await base(job)),
    findings: [{ check: 'trip-time', value: 7, unit: 'min' }],
  });
  expect(await label()).toContain('(it took 7 min)');
});
