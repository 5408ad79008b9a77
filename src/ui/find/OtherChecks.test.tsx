/** @jest-environment jsdom */
import { jobInFind } from '../job/job.fixture';
import { furnishBrowser, stand } from '../testBench.fixture';
import { OtherChecks } from './OtherChecks';

beforeEach(() => furnishBrowser());

const said = ({ facts, odds }: ReturnType<typeof jobInFind>) => {
  document.body.innerHTML = '';
  stand(<OtherChecks job={facts} odds={odds.assessment} current={null} onPick={() => {}} />);
  return document.querySelector('li')!.textContent!;
};

test('a check is worth the minutes to the end; after a proved cause, those of a comeback that it spares', () => {
  const first = jobInFind();
  const [next] = first.odds.assessment.next;
  expect(said(first)).toContain(`end in ${Math.round(next!.total)}`);

  const proved = jobInFind([
    { check_id: 'finger-turn', outcome: 'stuck' },
    { check_id: 'sole-plate-look', outcome: 'object' },
  ]);
  expect(proved.odds.assessment.causes).toEqual(['roll-jammed-by-object']);
  const [second] = proved.odds.assessment.next;
  proved.odds.assessment.next = [{ ...second!, informs: 12.4, total: 0.3 }];
  expect(said(proved)).toMatch(/spares 12$/);
});
