import type { JobState } from '@/data/jobState';
import { isOpenedLately } from './openedLately';

const job = { opened_before: false, comeback_of: null, taken_in_at: '2026-06-01T08:00:00Z' } as JobState['job'];
const fitted = (before: string | null) => ({ station: 'flat-belt', group: 'belt', at: before ?? '2026-06-02', before });

test.each([
  ['somebody else had it open', { ...job, opened_before: true }, [], true],
  ['it comes back for the same', { ...job, comeback_of: 3 }, [], true],
  ['a part went in here a month ago', job, [fitted('2024-01-01T08:00:00Z'), fitted('2026-05-01T08:00:00Z')], true],
  ['a part went in here four months ago', job, [fitted('2026-02-01T08:00:00Z')], false],
  ['a part goes in with this job', job, [fitted(null)], false],
  ['nothing is known', job, [], false],
])('%s: %#', (_, of, partAges, opened) => {
  expect(isOpenedLately({ job: of as JobState['job'], partAges })).toBe(opened);
});
