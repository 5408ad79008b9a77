import { database } from '@/data/database';
import { confirmedFaultsOf, jobById } from '@/data/jobs';
import { machineById } from '@/data/machines';
import { plansOf } from '@/data/plans';
import { shopSettings } from '@/data/shopSettings';
import { inWordsOf, stationsOf } from '@/core/diagnosis/knowledge';
import { ofStations } from '@/core/diagnosis/ofStations';
import { faultLabel, holdsBackPower, kindById, knowledge } from '@/knowledge';
import { arrivalSigns, endings } from '@/knowledge/counter';
import { ideaAnswered } from '@/knowledge/ownersIdea';
import { careLines } from '@/knowledge/bench';
import { planItem } from '@/knowledge/plans';
import { doneWords } from '@/knowledge/repairWork';
import type { JobFacts } from '../jobView/dto';
import { jobFacts } from '../jobView/jobFacts';
import type { CareSheetView } from './dto';
import { notFound } from '../problem';
import { dayInZone } from '../settings/day';
import { triedInVain } from '@/core/diagnosis/triedInVain';

/** How the visit ended, or would end by now. */
function endingOf(job: JobFacts): CareSheetView['ending'] {
  const ending = endings.find((e) => e.id === (job.ending ?? 'repaired'))!;
  return { says: ending.says, tested: ending.tested };
}

/** What became of the owner's own idea; nothing is said of one that nobody answered. */
function guessOf(job: JobFacts, faults: string[]): CareSheetView['customerGuess'] {
  const idea = job.customerDiagnosis;
  const became = idea === null ? 'open' : ideaAnswered(idea, faults, job.complaints);
  return idea === null || became === 'open' ? null : { said: faultLabel(idea), right: became === 'right' };
}

function notWantedOf({ agree: { notWanted } }: JobFacts, left: readonly string[]): string {
  if (notWanted.length === 0) return '';
  return left.every((f) => notWanted.includes(f))
    ? 'It was offered, and not wanted.'
    : `Offered, and not wanted: ${notWanted.map(faultLabel).join(', ').toLowerCase()}.`;
}

const IN_ORDER = ['fault', 'item', 'check', '', 'step'];

/** What was found goes before what was read and how it lay on the way in. */
function foundFirst({ photographs }: JobFacts): JobFacts['photographs'] {
  const place = ({ shows }: JobFacts['photographs'][number]) => IN_ORDER.indexOf(shows.split(':', 1)[0]!);
  return [...photographs].sort((a, b) => place(a) - place(b) || a.id - b.id);
}

/** The sheet that goes home with the machine. @throws ProblemError 404 */
export async function careSheet(jobId: number): Promise<CareSheetView> {
  const db = database();
  const row = await jobById(db, jobId);
  if (!row) throw notFound('This job');
  const [job, plans, shop, machine] = await Promise.all([
    jobFacts(jobId, db),
    plansOf(db, row.machine_id),
    shopSettings(db),
    machineById(db, row.machine_id),
  ]);
  const confirmed = await confirmedFaultsOf(db, jobId);
  const faults = confirmed.length > 0 ? confirmed : job.proved;
  const vain = triedInVain(job);
  const fitted = job.fitted.map((f) => ({ ...f, group: job.parts.find((p) => p.code === f.code)?.group ?? null }));
  const kind = kindById(job.machine.kind);
  const stations = stationsOf(kind);
  const left = [
    ...new Set([
      ...job.leftOpen,
      ...faults.filter((f) => !job.repaired.includes(f)),
      ...job.openFaults.map((f) => f.fault),
    ]),
  ];
  return {
    shop: shop.name,
    paper: shop.paper,
    today: dayInZone(new Date(), shop.zone),
    job: { ...job, photographs: foundFirst(job) },
    found: [...faults.map(faultLabel), ...(job.foundWords ? [job.foundWords] : [])],
    ending: endingOf(job),
    leftOpen: left.map(faultLabel),
    notWanted: notWantedOf(job, left),
    leftUndone: job.service.flatMap((l) => (l.said === 'left' ? [{ label: l.label, why: l.words }] : [])),
    ownersWord: job.ownersWord,
    notToBeUsed: job.cautions.filter(holdsBackPower).map((id) => knowledge.cautions.find((c) => c.id === id)!.label),
    onArrival: job.arrivalSigns.flatMap((id) => {
      const sign = arrivalSigns.find((s) => s.id === id);
      return sign ? [`${sign.label}. ${sign.note}`] : [];
    }),
    mended: job.repaired.filter((id) => !vain.includes(id)).map((id) => doneWords(job.machine.kind, id, fitted)),
    fitted: job.fitted.map((f) => (f.quantity > 1 ? `${f.quantity} × ${f.label}` : f.label)),
    proved: job.proofs
      .filter((p) => p.result === 'pass')
      .map((p) => ({
        label: p.gone ?? p.label,
        text:
          p.after === null
            ? [p.gone === null ? 'passed' : 'gone', p.details.rules, p.details.readings, p.details.tester]
                .filter(Boolean)
                .join('; ')
            : `${p.before ?? '–'} → ${p.after} ${p.unit}`,
      })),
    advice: job.advice,
    care: careLines
      .filter(
        (l) =>
          l.kinds.includes(job.machine.kind) &&
          !(l.flooded && job.machine.sealedBattery === true) &&
          (!l.afterFaults || l.afterFaults.some((f) => faults.includes(f))),
      )
      .map((l) => inWordsOf(kind.supply, ofStations(l.text, stations))),
    due: (machine ? plans : [])
      .flatMap((p) =>
        p.due_on === null
          ? []
          : [{ label: planItem(p.item)?.label ?? p.item, dueOn: p.due_on, byYou: p.by_its_people }],
      )
      .slice(0, 6),
    customerGuess: guessOf(job, faults),
  };
}
