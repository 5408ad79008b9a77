/** @jest-environment jsdom */
import { jobInFind } from '../job/job.fixture';
import { furnishBrowser, stand } from '../testBench.fixture';
import { StillLying } from './StillLying';

test('what was washed is told to lie while its clock runs, ready when it ran out, and not after it was ended', () => {
  furnishBrowser();
  const hours = (n: number) => new Date(Date.now() + n * 3_600_000).toISOString();
  const { facts } = jobInFind();
  const told = (endsIn: number, endedAt: string | null = null) => {
    const wait = {
      id: 1,
      kind: 'drying' as const,
      what: 'washed filter',
      startedAt: hours(-1),
      endsAt: hours(endsIn),
      endedAt,
    };
    const { container, unmount } = stand(<StillLying job={{ ...facts, waits: [wait] }} />);
    const text = container.textContent!;
    unmount();
    return text;
  };
  expect(told(23)).toMatch(/^Drying: washed filter, (22|23) h.* left\. It is ended under Fit\.$/);
  expect(told(-0.5)).toMatch(/^Drying: washed filter, ready\. It is ended under Fit\.$/);
  expect(told(23, hours(0))).toBe('');
});
