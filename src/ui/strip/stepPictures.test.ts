import { jobInFind } from '../job/job.fixture';
import { picturesOf } from './stepPictures';

const STEP = { id: 'plate-screws', label: 'Sole plate screws out' };
const { facts } = jobInFind();
const picture = (id: number, shows: string, caption = '') => ({
  id,
  shows,
  caption,
  at: '2030-03-04T09:00:00.000Z',
  width: 4,
  height: 3,
  by: null,
});
const withPictures = (own: ReturnType<typeof picture>[], model: { step: string; id: number }[] = []) => ({
  photographs: own,
  strip: { ...facts.strip, pictures: model },
});

test('of this machine first, then those that its model has; none twice', () => {
  const job = withPictures(
    [picture(1, 'step:plate-screws'), picture(2, 'step:plate-lift'), picture(3, 'fault:belt-broken', STEP.label)],
    [
      { step: 'plate-screws', id: 1 },
      { step: 'plate-screws', id: 9 },
      { step: 'plate-lift', id: 10 },
    ],
  );
  expect(picturesOf(job, STEP)).toEqual([
    { id: 1, of: 'this machine' },
    { id: 9, of: 'this model' },
  ]);
});

test('one of before it was kept what it shows is known by its words; other words say nothing', () => {
  const job = withPictures([
    picture(4, '', STEP.label),
    picture(5, '', 'the cord'),
    picture(6, 'item:roll-hair', STEP.label),
  ]);
  expect(picturesOf(job, STEP).map((p) => p.id)).toEqual([4]);
});
