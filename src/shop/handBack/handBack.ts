import { keepForecasts } from '@/data/forecasts';
import { insertConfirmedFaults, settleOpenFaults } from '@/data/jobs';
import { refreshSearch, updateMachine } from '@/data/machines';
import { countForPlan, lookAgain, putPlansDone } from '@/data/plans';
import { practiceOf } from '@/data/practice';
import { tallyJob } from '@/data/tallies';
import type { Kind } from '@/core/diagnosis/knowledge';
import { stepsApart } from '@/core/strip/wayBack';
import { faultLabel, knowledge } from '@/knowledge';
import { endings } from '@/knowledge/counter';
import { planItemsOn } from '@/knowledge/plans';
import { everyone } from '../access/roles';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import type { WrittenFacts } from '../jobView/jobFacts';
import { isDoneHere } from '../jobView/doneHere';
import { repairedIn } from '../jobView/repairsOf';
import { foretold } from '../odds/odds';
import { refreshPlans } from '../plans/refreshPlans';
import { standsInTheWay } from '../moveStage/moveStage';
import { refuseIf, type FieldProblem } from '../problem';
import { dayInZone } from '../settings/day';
import { HandBackDto } from './dto';

/**
 * Closes a job as it truly ended: history entry, plans reset by what was done, what stays open kept on the machine, the
 * finding counted for the odds. Refused while something is not proved that this ending promises, for a fault that the kind
 * does not have, without the reason that the ending asks for, and without the owner's word on what goes home open.
 */
export const handBack = jobDeed({
  name: 'hand-back',
  roles: everyone,
  summary: 'Hand the machine back',
  dto: HandBackDto,
  // What was foretold is worked out before anything is held, with the priors as they were before this job was counted.
  prepare: (state, dto) => foretold(state, dto.faults),
  async work(scene, dto, forecasts) {
    const { db, jobId, machineId, state, facts, kind, tell, change, onceWritten } = scene;
    const ending = endings.find((e) => e.id === (dto.ending ?? 'repaired'))!;
    const faults = [...new Set(dto.faults)];
    const words = dto.foundWords?.trim() ?? '';
    const ownersWord = dto.ownersWord?.trim() ?? '';
    // What is named only now counts with its fitted part as what was proved.
    const repaired = repairedIn(kind, state, new Set(foundIn(facts, faults)));
    const open = foundIn(facts, faults).filter((id) => !repaired.includes(id));
    // What the owner, asked, did not want is answered already.
    const unanswered = open.filter((id) => !facts.agree.notWanted.includes(id));
    refuseIf([
      ...endingProblems(facts, ending, faults, words),
      ...faultProblems(kind, faults),
      ...(ending.returned && unanswered.length > 0 && ownersWord.length < 2
        ? [
            {
              field: 'ownersWord',
              message: `What the owner says of what stays open: ${unanswered.map(faultLabel).join(', ')}.`,
            },
          ]
        : []),
    ]);
    await insertConfirmedFaults(db, jobId, faults);
    const practice = await practiceOf(db, jobId);
    // What was cancelled or never seen teaches nothing about causes.
    if (!practice && faults.length > 0) {
      await keepForecasts(db, jobId, forecasts);
      await tallyJob(db, kind.id, state.model.id, faults);
    }
    if (!practice && ending.id !== 'cancelled')
      await settleOpenFaults(db, { machineId, jobId }, open.filter(isOfThisJob(facts, faults)), repaired);
    const advice = dto.advice.trim();
    change({
      stage: 'closed',
      closed: true,
      advice,
      place: 'door-shelf',
      ending: ending.id,
      found_words: words,
      owners_word: ownersWord,
    });
    if (ending.id === 'scrapped')
      await updateMachine(db, machineId, { scrapped_on: dayInZone(new Date(), state.shop.zone) });
    await resetPlans(scene, { ...facts, repaired });
    if (practice) tell('note', `Practice: hidden were ${practice.faults.map(faultLabel).join(', ')}. Not counted.`);
    const found = [...faults.map(faultLabel), ...(words ? [words] : [])].join(', ');
    const isAsked = facts.complaints.length + facts.struck.length > 0;
    const nothing = isAsked ? 'No cause named.' : 'Nothing was complained of.';
    const sentences = [
      `${ending.says}. ${found ? `Found: ${found}.` : nothing}`,
      open.length > 0 && ending.id !== 'cancelled' ? `Left open: ${open.map(faultLabel).join(', ')}.` : '',
      facts.agree.notWanted.length > 0 && ending.id !== 'cancelled'
        ? `Offered, and not wanted: ${facts.agree.notWanted.map(faultLabel).join(', ')}.`
        : '',
      ownersWord ? `The owner: “${ownersWord}”` : '',
      advice ? `Advice: ${advice}` : '',
    ];
    tell('handed-back', sentences.filter(Boolean).join(' '));
    onceWritten((now) => refreshSearch(now, machineId));
  },
});

/** What was found, here or before. */
function foundIn(facts: WrittenFacts, faults: string[]): string[] {
  return [...new Set([...facts.proved, ...faults, ...facts.repaired, ...facts.openFaults.map((f) => f.fault)])];
}

function isOfThisJob(facts: WrittenFacts, faults: string[]) {
  return (id: string) => facts.proved.includes(id) || faults.includes(id);
}

function endingProblems(
  facts: WrittenFacts,
  ending: (typeof endings)[number],
  faults: string[],
  words: string,
): FieldProblem[] {
  const problems: FieldProblem[] = [];
  if (ending.tested) problems.push(...standsInTheWay(facts, 'hand-back'));
  else if (ending.returned) {
    for (const wait of facts.waits)
      if (!wait.endedAt)
        problems.push({ field: 'waits', message: 'A wait is still running: end it first, under Fit.' });
    const left = stepsApart(facts.rebuild);
    // Whoever gets it in pieces must be able to know it.
    if (left > 0 && !ending.asks && words.length < 3)
      problems.push({
        field: 'foundWords',
        message: `It is not together: ${left} step${left === 1 ? '' : 's'} of the way back still open. Put it back under Fit, or say how it goes home.`,
      });
  }
  if (ending.asks && words.length < 3) problems.push({ field: 'foundWords', message: 'Say why, in words.' });
  if (ending.id === 'not-seen' && faults.length > 0)
    problems.push({ field: 'faults', message: 'A cause was found: then the complaint was seen.' });
  return problems;
}

function faultProblems(kind: Kind, faults: string[]): FieldProblem[] {
  return faults
    .filter((id) => !knowledge.faults.some((f) => f.id === id && kind.id in f.kinds))
    .map((id) => ({ field: 'faults', message: `${kind.id} has no fault ${id}.` }));
}

/** What was done counts from today, what was found worn or left is looked at again; the rest stays as it was known. */
async function resetPlans({ db, machineId, state, kind }: DeedScene, job: WrittenFacts): Promise<void> {
  const today = dayInZone(new Date(), state.shop.zone);
  const items = planItemsOn(kind.id, job.machine.droppedStations);
  const done = items.filter((item) => isDoneHere(item, kind.id, { ...state, repaired: job.repaired }));
  await putPlansDone(
    db,
    machineId,
    done.map((i) => i.id),
    today,
  );
  for (const item of items)
    if (!done.includes(item) && done.some((d) => d.id === item.counts))
      await countForPlan(db, machineId, item.id, today);
  for (const line of job.service)
    if (line.said !== null && line.lookAgainOn !== null) await lookAgain(db, machineId, line.item, line.lookAgainOn);
  await refreshPlans(db, [machineId]);
}
