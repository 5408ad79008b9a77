import { openJob, testShop } from '@/shop/scene.fixture';
import { up } from './011_steps';

const shop = testShop();

test('what was measured of the bristles is told as the steps tell it, on the kinds that have steps', async () => {
  const told = async (kind: string) => {
    const job = await openJob(shop.person, shop.models[kind]!, ['roll-slow']);
    const rows = [
      { value: 3.2, unit: 'mm' },
      { value: 9, unit: 'mm' },
      { value: -1, unit: 'mm' },
      { outcome: 'bristles-proud' },
      { outcome: 'bristles-short' },
    ];
    await shop.db('finding').insert(rows.map((r) => ({ job_id: job, check_id: 'bristle-height', ...r })));
    await shop.db.raw(up);
    await shop.db.raw(up);
    return shop.db('finding').where({ job_id: job }).orderBy('id').select('outcome', 'value');
  };
  expect((await told('upright-shaft-belt')).map((r) => r.outcome)).toEqual([
    'stands-right',
    'too-proud',
    'short-on-last',
    'stands-right',
    'short-on-last',
  ]);
  // A kind whose roll sits where it sits keeps its millimetres.
  expect((await told('upright-brush-motor')).map((r) => r.outcome ?? r.value)).toEqual([
    3.2,
    9,
    -1,
    'bristles-proud',
    'bristles-short',
  ]);
});
