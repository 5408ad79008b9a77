import { repairAccess } from '@/core/diagnosis/knowledge';
import { accessPath } from '@/core/diagnosis/accessCosts';
import type { Kind } from '@/core/diagnosis/knowledge';
import { moneyText } from '@/core/money/currency';
import { divided } from '@/core/money/rounded';
import { itemWork, WAY_FURTHER, wayTo } from '@/core/agree/offers';
import { addDays } from '@/core/service/days';
import { bestBundle, type Bundle, type BundleStep, type ExtraJob } from '@/core/strip/bundle';
import type { Procedure, StripStep } from '@/core/strip/procedure';
import { stepsToOpen } from '@/core/strip/reach';
import { chargesOf, taxesOf } from '@/core/money/terms';
import type { JobState } from '@/data/jobState';
import { faultById, faultLabel } from '@/knowledge';
import { ideaAnswered } from '@/knowledge/ownersIdea';
import { repairNeeds } from '@/knowledge/repairWork';
import { isSafetyFault } from '@/knowledge/safetyFaults';
import { followed, schools, schoolsOf, type SchoolChoices } from '@/knowledge/schools';
import type { JobFacts } from '../jobView/dto';
import { procedureOf } from '../jobView/procedureOf';
import type { ExtraView, ProposalView } from './dto';
import { labour, partsMinor, priced, repairLines, type Line } from './offerLines';
import { pastDue, pastSince, reachedBy, renewalLines, renewalsPast, wornLines } from './itemLines';
import { changedSince, extraSteps, extrasOf, machineAge, minutesOf, wearOf } from './wearExtras';
import { triedInVain } from '@/core/diagnosis/triedInVain';

/** Proofs take so long each, and together no longer than this. Common practice, no source. */
const PROOF_MINUTES = 2;
const MOST_PROOF_MINUTES = 15;
/** What is unlikely within a year, and what is likely within two. Common practice, no source. */
const [UNLIKELY, SOON_YEARS] = [0.15, 2];
/** An unlikely extra that does not pay is not worth a word. */
const MOST_LEFT = 4;
const DAY_YEARS = 1 / 365.25;

export interface ProposalGiven {
  kind: Kind;
  state: JobState;
  facts: JobFacts;
  today: string;
  replacement: { newMinor: number | null; usedMinor: number | null } | null;
  /** Fault → how likely it is there already, by the finder; empty when nobody knows. */
  present?: Readonly<Record<string, number>>;
  /** Chooses among the extras; what pays without any limit by default. */
  choose?: (jobs: readonly ExtraJob[], steps: readonly BundleStep[]) => Bundle;
}

/** What would be offered, from what was found: the lines with their groups, what pays while it is open, and what wears. */
export function proposalOf({
  kind,
  state,
  facts,
  today,
  replacement,
  present = {},
  choose = bestBundle,
}: ProposalGiven): ProposalView {
  const { shop, customer } = state;
  const charges = chargesOf(shop.charges);
  const money = (minor: number) => moneyText(minor, shop.currency, shop.locale);
  const perMinute = (minutes: number) =>
    Number(divided(BigInt(Math.round(minutes * 10)) * BigInt(shop.labourMinor ?? 0), 600n));
  const { must, besides } = foundFaults(facts);
  const procedure = procedureOf(kind, state);
  const way = wayFor(procedure, kind, state);
  const taken = new Set<string>();
  const lines: Line[] = must.flatMap((f) =>
    repairLines(f, kind, facts, taken, { group: 'must', reason: mustReason(f, facts) }),
  );
  const reached = way(must);
  const mustMinutes = minutesOf(reached);
  if (mustMinutes > 0) lines.push(labour('way-must', 'must', 'Opened to get there, and closed again', mustMinutes));
  const proofs = facts.proofs.filter((p) => p.required).length;
  if (must.length > 0)
    lines.push(
      labour(
        'proof',
        'must',
        'Proved: run, measured, looked over',
        Math.min(MOST_PROOF_MINUTES, proofs * PROOF_MINUTES),
      ),
    );
  if (charges.materialsMinor > 0 && must.some((f) => (repairNeeds(f).materials ?? []).length > 0))
    lines.push(priced('materials', 'must', 'material', 'Cleaner, grease, sealant', charges.materialsMinor));

  for (const fault of besides) {
    const dear = partsMinor(fault, kind, facts, taken) > (shop.labourMinor ?? 0) / 2;
    lines.push(
      ...repairLines(fault, kind, facts, taken, {
        group: dear ? 'wait' : 'now',
        reason: dear
          ? 'A second weakness: said before money is spent on the first, with what it does to the worth of the repair.'
          : 'Found besides: not what it came for.',
      }),
    );
  }
  // Nobody owes a wrong guess; but what it put in, or cleaned, is there, and the shop may have agreed it.
  for (const fault of triedInVain(facts).filter((f) => leavesSomething(f)))
    lines.push(
      ...repairLines(fault, kind, facts, taken, {
        group: 'not',
        reason: 'Tried on suspicion, and it was not it: it is not charged.',
      }),
    );
  lines.push(...wornLines(facts));
  const wear = wearOf(kind, state, facts, must, { way, perMinute, leastMinor: charges.leastMinor });
  const open = new Set(reached.map((s) => s.id));
  const extras = extrasOf(wear, {
    present,
    kind,
    facts,
    must: [...must, ...besides],
    way,
    open,
    perMinute,
    taken,
  });
  const steps = extraSteps(
    procedure,
    extras.flatMap((e) => e.steps),
    perMinute,
  );
  const choices: SchoolChoices = shop.schools as SchoolChoices;
  const jobChoices = state.job.schools as SchoolChoices;
  const bundles =
    followed(
      schools.find((s) => s.id === 'while-open')!,
      choices,
      jobChoices,
    ) === 'a';
  const bundle =
    bundles && must.length > 0
      ? choose(
          extras.map((e) => e.job),
          steps,
        )
      : { jobs: [], steps: [], worthMinor: 0 };
  const chosen = new Set(bundle.jobs);
  const overdue = (fault: string) => {
    const since = pastSince(fault, facts);
    return since ? `Service past due since ${since}. ` : '';
  };
  for (const e of extras.filter((x) => chosen.has(x.wear.fault)))
    lines.push(
      ...repairLines(e.wear.fault, kind, facts, taken, {
        group: 'now',
        reason: `${overdue(e.wear.fault)}Open anyway. ${Math.round(100 * e.chance)} % to fail within a year, and ${money(e.wear.thenMinor)} then.`,
      }),
    );
  const further = way([...must, ...besidesNow(lines), ...bundle.jobs]).filter((s) => !open.has(s.id));
  if (further.length > 0) lines.push(labour(WAY_FURTHER, 'now', 'A little further in, and back', minutesOf(further)));
  const left = extras.filter((e) => !chosen.has(e.wear.fault)).sort((a, b) => b.chance - a.chance);
  const cleanings = must.length === 0 ? [] : pastDue(kind, facts);
  const putOff = new Set(cleanings.flatMap((c) => c.putsOff));
  // Nothing is open yet while nothing is found: then nobody is told what could be done besides.
  const waiting = (must.length === 0 ? [] : left)
    .filter((e) => e.remaining <= SOON_YEARS && e.chance >= UNLIKELY)
    .filter((e) => overdue(e.wear.fault) || !e.places.some((place) => putOff.has(place)))
    .slice(0, MOST_LEFT);
  const bare = new Set([...open, ...further.map((s) => s.id)]);
  const walked = new Set(bare);
  // The way to what can wait, once, where it is not gone already.
  const openFor = (of: string, faults: readonly string[], label: string) => {
    const more = way(faults).filter((s) => !walked.has(s.id));
    for (const s of more) walked.add(s.id);
    if (more.length === 0) return;
    const told = `Opened for it, and closed again: ${label.toLowerCase()}`;
    lines.push(labour(wayTo(of), 'wait', told, minutesOf(more)));
  };
  for (const e of waiting) {
    const late = overdue(e.wear.fault);
    lines.push(
      ...repairLines(e.wear.fault, kind, facts, taken, {
        group: 'wait',
        reason: `${late}Doing it now saves ${money(Math.round(e.chance * e.wear.thenMinor))} on the average and costs ${money(e.nowMinor)}.`,
        // What its service is late with is not said to have time.
        ...(late ? {} : { until: addDays(today, Math.round(e.remaining / DAY_YEARS)).slice(0, 7) }),
      }),
    );
    openFor(e.wear.fault, [e.wear.fault], e.wear.label);
  }
  // It was said at the counter that its service is past due: here is where it is offered, while the machine is open.
  for (const line of must.length === 0 ? [] : renewalsPast(facts, cleanings)) {
    const work = renewalLines(line, facts, taken);
    if (work.length === 0) continue;
    const isFurther = way(reachedBy(kind, line)).some((s) => !bare.has(s.id));
    const dear = work.some((l) => (l.eachMinor ?? 0) > (shop.labourMinor ?? 0) / 2);
    lines.push(...work.map((l) => ({ ...l, group: isFurther || dear ? ('wait' as const) : ('now' as const) })));
    openFor(itemWork(line.item), reachedBy(kind, line), line.label);
  }
  for (const { fault, dueOn, doneBy, places } of cleanings) {
    if (lines.some((l) => l.fault !== null && doneBy.includes(l.fault))) continue;
    // Nobody washes what goes in new.
    if (places.some((place) => taken.has(place))) continue;
    const isFurther = way([fault]).some((s) => !bare.has(s.id));
    lines.push(
      ...repairLines(fault, kind, facts, taken, {
        group: isFurther ? 'wait' : 'now',
        reason: `Service past due since ${dueOn}.`,
      }),
    );
    openFor(fault, [fault], faultOf(fault).repair.label);
  }
  for (const d of facts.agree.declinedBefore.filter((x) => !lines.some((l) => l.fault === x.fault)).slice(0, MOST_LEFT))
    if (d.fault !== null && kind.id in (faultById(d.fault)?.kinds ?? {}))
      lines.push(
        ...repairLines(d.fault, kind, facts, taken, {
          group: isSafetyFault(d.fault) ? 'must' : 'wait',
          reason: `Not wanted on ${d.at.slice(0, 10)}: ${changedSince(d, wear, facts)}.`,
        }),
      );
  return {
    lines,
    extras: extras.map((e): ExtraView => ({
      fault: e.wear.fault,
      label: e.wear.label,
      chance: e.chance,
      nowMinor: e.nowMinor,
      thenMinor: e.wear.thenMinor,
      worthMinor: e.job.worthMinor,
      pays: chosen.has(e.wear.fault),
    })),
    bundleWorthMinor: bundle.worthMinor,
    wear,
    doubt: besides.find((f) => wear.some((w) => w.fault === f)) ?? null,
    machineAgeYears: machineAge(state, today),
    replacement: replacement ?? { newMinor: null, usedMinor: null },
    schools: [...new Set([...schoolsOf(must), ...schools.filter((s) => ['while-open', 'replace'].includes(s.id))])].map(
      (school) => ({ school, shop: followed(school, choices), job: jobChoices[school.id] ?? null }),
    ),
    ownersIdea: ideaOf(facts, must),
    warrantyInForce: facts.warranty.inForce,
    labourMinor: shop.labourMinor,
    charges,
    taxes: taxesOf(shop.taxes),
    currency: shop.currency,
    locale: shop.locale,
    exempt: customer.taxExempt,
    readyOn: facts.promisedOn >= today ? facts.promisedOn : addDays(today, 3),
  };
}

/** What is said of the owner's own idea; nothing while nobody knows. */
function ideaOf(
  { customerDiagnosis: idea, complaints }: JobFacts,
  must: readonly string[],
): ProposalView['ownersIdea'] {
  const became = idea === null ? 'open' : ideaAnswered(idea, must, complaints);
  return idea === null || became === 'open'
    ? null
    : { label: faultLabel(idea), right: became === 'right', found: must.map(faultLabel) };
}

const faultOf = (id: string) => faultById(id)!;

/** A setting that was tried leaves nothing that anybody could be charged for. */
const leavesSomething = (id: string) => (faultOf(id).repair.parts ?? []).length > 0 || faultOf(id).repair.minutes > 1;

/**
 * What was found here, mended or not, and what was left open before and can hurt somebody: must. What has nothing to do with
 * what the machine came for, and hurts nobody, is a weakness besides.
 */
function foundFaults(facts: JobFacts): { must: string[]; besides: string[] } {
  const before = facts.openFaults.map((f) => f.fault).filter(isSafetyFault);
  const vain = triedInVain(facts);
  const here = [
    ...new Set([
      ...facts.proved,
      ...facts.repaired.filter((f) => !vain.includes(f) && (facts.proved.includes(f) || facts.complaints.length > 0)),
    ]),
  ];
  const isAsked = (id: string) =>
    facts.complaints.length === 0 ||
    isSafetyFault(id) ||
    facts.repaired.includes(id) ||
    faultOf(id).complaints.some((c) => facts.complaints.includes(c.complaint));
  const asked = here.filter(isAsked);
  // Nothing explains the complaint yet: then all that was found is what there is to mend.
  return asked.length === 0
    ? { must: [...new Set([...here, ...before])], besides: [] }
    : { must: [...new Set([...asked, ...before])], besides: here.filter((f) => !isAsked(f)) };
}

/** What was found besides and is proposed with the rest. */
const besidesNow = (lines: readonly Line[]) => [
  ...new Set(lines.flatMap((l) => (l.group === 'now' && l.fault !== null ? [l.fault] : []))),
];

function mustReason(fault: string, facts: JobFacts): string {
  if (isSafetyFault(fault)) return 'Not safe without it.';
  if (facts.repaired.includes(fault))
    return facts.proved.includes(fault) ? 'Found, and mended already.' : 'Done already.';
  return facts.complaints.length > 0 ? 'Found: it will not work without it.' : 'Found at this visit.';
}

/** The steps into the machine that some repairs take, whether they are done already or not. */
function wayFor(procedure: Procedure, kind: Kind, state: JobState): (faults: readonly string[]) => StripStep[] {
  const absent = new Set(state.stripped.filter((s) => s.state === 'not-here').map((s) => s.step));
  return (faults) =>
    stepsToOpen(
      procedure,
      kind.access,
      faults
        .map((f) => repairAccess(kind, faultOf(f)))
        .filter((a) => accessPath(kind, a).length > 0 || a === 'outside'),
      absent,
    );
}
