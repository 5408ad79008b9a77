import type { AssessmentView } from '@/shop/finding/dto';
import { whatIsNext } from './whatIsNext';

type Step = AssessmentView['next'][number];
const step = (check: string, informs: number) => ({ check, informs, heldBackBy: [], asGood: false }) as unknown as Step;
const odds = (next: Step[], finished = false) => ({ next, finished }) as unknown as AssessmentView;
const job = { firstChecks: [], complaints: [{}], proved: [] } as unknown as Parameters<typeof whatIsNext>[0];

test('the best look stands first, also one that tells little, where something is complained of', () => {
  expect(whatIsNext(job, odds([step('a', 0.4), step('b', 0.5)]))).toEqual({ proposed: 'a', finished: false });
  expect(whatIsNext(job, odds([step('a', 0.001)]))).toEqual({ proposed: 'a', finished: false });
});

test('without a complaint a look that tells next to nothing is not asked for; what is proved ends it then', () => {
  const quiet = { ...job, complaints: [] };
  expect(whatIsNext(quiet, odds([step('a', 0.001)]))).toEqual({ proposed: null, finished: false });
  expect(whatIsNext({ ...quiet, proved: ['belt-worn'] }, odds([step('a', 0.001)]))).toEqual({
    proposed: null,
    finished: true,
  });
  // But for what comes first because of how it arrived.
  expect(whatIsNext({ ...quiet, firstChecks: ['a'] }, odds([step('a', 0.001)])).proposed).toBe('a');
});

test('nothing left: nothing proposed; and the finder’s own end is the end', () => {
  expect(whatIsNext(job, odds([]))).toEqual({ proposed: null, finished: false });
  expect(whatIsNext(job, odds([step('a', 0.4)], true)).finished).toBe(true);
});
