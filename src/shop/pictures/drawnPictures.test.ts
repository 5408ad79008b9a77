import { base, openJob, photographed, testShop } from '../scene.fixture';
import { removePhotograph } from '../photographs/photographs';
import { drawnPictures } from './drawnPictures';

const shop = testShop();

test('photographs go into a file in the order asked, with their words; one that was taken out of sight is left out', async () => {
  const { person, db } = shop;
  const job = await openJob(person, shop.models['upright-shaft-belt']!, ['squeal']);
  const [a, b, c] = [
    await photographed(person, job, 'fault:belt-broken'),
    await photographed(person, job, 'item:flat-belt'),
    await photographed(person, job, ''),
  ] as const;
  const asked = [c, a, b, 999_999].map((id) => ({ id, caption: `picture ${id}` }));
  const all = await drawnPictures(db, asked);
  expect(all.map((p) => p.caption)).toEqual([c, a, b].map((id) => `picture ${id}`));
  for (const p of all) expect(Buffer.from(p.jpegBase64, 'base64').subarray(0, 2)).toEqual(Buffer.from([0xff, 0xd8]));
  await removePhotograph(person, job, { ...(await base(job)), photograph: a });
  expect((await drawnPictures(db, asked)).map((p) => p.caption)).toEqual([c, b].map((id) => `picture ${id}`));
  expect(await drawnPictures(db, [])).toEqual([]);
});
