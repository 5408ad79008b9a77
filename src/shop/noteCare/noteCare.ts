import { putOperatorCare } from '@/data/jobs';
import { operatorItemsOn } from '@/knowledge/operatorCare';
import { everyone } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf, type FieldProblem } from '../problem';
import { NoteCareDto } from './dto';

/** Takes down how often the operator did what is theirs, by their own sheet: it explains the wear, and it blames nobody. */
export const noteCare = jobDeed({
  name: 'note-care',
  roles: everyone,
  summary: 'Take down the operator’s daily care',
  dto: NoteCareDto,
  async work({ db, jobId, person, kind, state, tell }, { care }) {
    const own = operatorItemsOn(kind.id, state.model.sealed_battery);
    const problems: FieldProblem[] = care.flatMap((c, i) => [
      ...(own.some((o) => o.id === c.item)
        ? []
        : [{ field: `care[${i}].item`, message: 'The operators of this kind have no such item.' }]),
      ...(c.doneDays > c.ofDays ? [{ field: `care[${i}].doneDays`, message: 'More days than there were.' }] : []),
    ]);
    if (new Set(care.map((c) => c.item)).size < care.length)
      problems.push({ field: 'care', message: 'One item stands twice.' });
    refuseIf(problems);
    await putOperatorCare(
      db,
      jobId,
      person.id,
      care.map((c) => ({ item: c.item, done_days: c.doneDays, of_days: c.ofDays })),
    );
    tell(
      'serviced',
      care.length === 0
        ? 'Operator’s care: taken back'
        : `Operator’s care: ${care.map((c) => `${own.find((o) => o.id === c.item)!.label.toLowerCase()} on ${c.doneDays} of ${c.ofDays} days`).join('; ')}`,
    );
  },
});
