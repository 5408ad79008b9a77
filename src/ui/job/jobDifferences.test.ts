import './everyKind';
import type { JobFacts } from '@/shop/jobView/dto';
import { jobDifferences } from './jobDifferences';

/** As much of a job as the comparison reads. */
function job(change: Partial<JobFacts> = {}): JobFacts {
  return {
    stage: 'find',
    place: 'bench',
    benchNo: 1,
    promisedOn: '2026-12-01',
    words: 'It screams',
    machine: { kind: 'upright-shaft-belt' },
    findings: [],
    proved: [],
    standing: [],
    clearedCautions: [],
    fitted: [],
    rebuild: [],
    waits: [],
    proofs: [],
    photographs: [],
    ...change,
  } as unknown as JobFacts;
}

const finding = (outcome: string, revoked = false) =>
  ({ id: 1, check: 'finger-turn', outcome, value: null, condition: null, revoked }) as JobFacts['findings'][number];

test('the same job has no differences', () => {
  expect(jobDifferences(job(), job())).toEqual([]);
});

test('what another bench found stands beside what was seen, in words', () => {
  const [difference, ...more] = jobDifferences(job(), job({ findings: [finding('stuck')] }));
  expect(more).toEqual([]);
  expect(difference).toMatchObject({ what: 'Found out', seen: 'none' });
  expect(difference!.now).toMatch(/stuck/);
});

test('a finding that was taken back is told as gone', () => {
  const [difference] = jobDifferences(
    job({ findings: [finding('stuck')] }),
    job({ findings: [finding('stuck', true)] }),
  );
  expect(difference).toMatchObject({ what: 'Found out', now: 'none' });
});

test('several things come in the order of the way of a machine', () => {
  const moved = job({ stage: 'fit', place: 'rack', benchNo: 0, promisedOn: '2026-12-04' });
  expect(jobDifferences(job(), moved)).toEqual([
    { what: 'Stage', seen: 'Find', now: 'Fit' },
    { what: 'Place', seen: 'bench 1', now: 'rack' },
    { what: 'Promised', seen: '2026-12-01', now: '2026-12-04' },
  ]);
});
