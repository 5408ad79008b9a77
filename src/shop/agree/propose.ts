import { accessPath } from '@/core/diagnosis/accessCosts';
import type { Kind } from '@/core/diagnosis/knowledge';
import type { OfferLine } from '@/core/agree/offers';
import { moneyText } from '@/core/money/currency';
import { divided } from '@/core/money/rounded';
import { addDays } from '@/core/service/days';
import { chanceWithin, meanRemainingYears } from '@/core/stats/weibull';
import { bestBundle, type Bundle, type BundleStep, type ExtraJob } from '@/core/strip/bundle';
import type { Procedure, StripStep } from '@/core/strip/procedure';
import { stepsToOpen } from '@/core/strip/reach';
import type { JobState } from '@/data/jobState';
import { knowledge } from '@/knowledge';
import { oneState } from '@/knowledge/oneState';
import { offeredParts } from '@/knowledge/offeredParts';
import { ideaAnswered } from '@/knowledge/ownersIdea';
import { repairNeeds, roleOf, takenBy } from '@/knowledge/repairWork';
import { isSafetyFault } from '@/knowledge/safetyFaults';
import { followed, schools, schoolsOf, type SchoolChoices } from '@/knowledge/schools';
import type { WearNow } from '@/knowledge/waysOn';
import { broughtWith, wearLives } from '@/knowledge/wearLives';
import type { JobFacts } from '../jobView/dto';
import { procedureOf } from '../jobView/procedureOf';
import { chargesOf, taxesOf } from '../terms/terms';
import { lifeHere } from '../plans/lifeHere';
import type { ExtraView, ProposalView } from './dto';

type Line = ProposalView['lines'][number];
type Part = JobFacts['parts'][number];

/** Proofs take so long each, and together no longer than this. Common practice, no source. */
const PROOF_MINUTES = 2;
const MOST_PROOF_MINUTES = 15;
/** What is unlikely within a year, and what is likely within two. Common practice, no source. */
const [UNLIKELY, SOON_YEARS] = [0.15, 2];
/** An unlikely extra that does not pay is not worth a word. */
const MOST_LEFT = 4;
const DAY_YEARS = 1 / 365.25;
/** A part whose age nobody knows is taken for half through its life. */
const UNKNOWN_SHARE = 0.5;

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
  for (const e of extras.filter((x) => chosen.has(x.wear.fault)))
    lines.push(
      ...repairLines(e.wear.fault, kind, facts, taken, {
        group: 'now',
        reason: `Open anyway. ${Math.round(100 * e.chance)} % to fail within a year, and ${money(e.wear.thenMinor)} then.`,
      }),
    );
  const further = way([...must, ...besidesNow(lines), ...bundle.jobs]).filter((s) => !open.has(s.id));
  if (further.length > 0) lines.push(labour('way-now', 'now', 'A little further in, and back', minutesOf(further)));
  const left = extras.filter((e) => !chosen.has(e.wear.fault)).sort((a, b) => b.chance - a.chance);
  // Nothing is open yet while nothing is found: then nobody is told what could be done besides.
  const waiting = (must.length === 0 ? [] : left)
    .filter((e) => e.remaining <= SOON_YEARS && e.chance >= UNLIKELY)
    .slice(0, MOST_LEFT);
  const walked = new Set([...open, ...further.map((s) => s.id)]);
  for (const e of waiting) {
    lines.push(
      ...repairLines(e.wear.fault, kind, facts, taken, {
        group: 'wait',
        reason: `Doing it now saves ${money(Math.round(e.chance * e.wear.thenMinor))} on the average and costs ${money(e.nowMinor)}.`,
        until: addDays(today, Math.round(e.remaining / DAY_YEARS)).slice(0, 7),
      }),
    );
    const more = way([e.wear.fault]).filter((s) => !walked.has(s.id));
    for (const s of more) walked.add(s.id);
    if (more.length > 0)
      lines.push(
        labour(
          `way-${e.wear.fault}`,
          'wait',
          `Opened for it, and closed again: ${e.wear.label.toLowerCase()}`,
          minutesOf(more),
        ),
      );
  }
  for (const d of facts.agree.declinedBefore.filter((x) => !lines.some((l) => l.fault === x.fault)).slice(0, MOST_LEFT))
    if (d.fault !== null && kind.id in (knowledge.faults.find((f) => f.id === d.fault)?.kinds ?? {}))
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
    : { label: labelOf(idea), right: became === 'right', found: must.map(labelOf) };
}

const faultOf = (id: string) => knowledge.faults.find((f) => f.id === id)!;
const labelOf = (id: string) => knowledge.faults.find((f) => f.id === id)?.label ?? id;

/**
 * What was found here, mended or not, and what was left open before and can hurt somebody: must. What has nothing to do with
 * what the machine came for, and hurts nobody, is a weakness besides.
 */
function foundFaults(facts: JobFacts): { must: string[]; besides: string[] } {
  const before = facts.openFaults.map((f) => f.fault).filter(isSafetyFault);
  const here = [
    ...new Set([
      ...facts.proved,
      ...facts.repaired.filter((f) => facts.proved.includes(f) || facts.complaints.length > 0),
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
  if (facts.repaired.includes(fault)) return 'Found, and mended already.';
  return 'Found: it will not work without it.';
}

/** The steps into the machine that some repairs take, whether they are done already or not. */
function wayFor(procedure: Procedure, kind: Kind, state: JobState): (faults: readonly string[]) => StripStep[] {
  const absent = new Set(state.stripped.filter((s) => s.state === 'not-here').map((s) => s.step));
  return (faults) =>
    stepsToOpen(
      procedure,
      kind.access,
      faults.map((f) => faultOf(f).repair.access).filter((a) => accessPath(kind, a).length > 0 || a === 'outside'),
      absent,
    );
}

const minutesOf = (steps: readonly StripStep[]) =>
  Math.round(10 * steps.reduce((sum, s) => sum + s.minutes + s.back.minutes, 0)) / 10;

const PLAIN = { thousandths: 1000, off100k: 0, fault: null, code: null, reason: '', until: '', safety: false } as const;

function labour(id: string, group: OfferLine['group'], label: string, minutes: number): Line {
  return { ...PLAIN, id, group, sort: 'labour', label, minutes, eachMinor: 0 };
}

function priced(
  id: string,
  group: OfferLine['group'],
  sort: OfferLine['sort'],
  label: string,
  eachMinor: number,
): Line {
  return { ...PLAIN, id, group, sort, label, minutes: null, eachMinor };
}

/** The work of a repair and its parts. @param taken parts that another line has already, by code and place */
function repairLines(
  fault: string,
  kind: Kind,
  facts: JobFacts,
  taken: Set<string>,
  { group, reason, until = '' }: { group: OfferLine['group']; reason: string; until?: string },
): Line[] {
  const { repair } = faultOf(fault);
  const safety = isSafetyFault(fault);
  const own = { group, fault, reason, until, safety };
  const lines: Line[] = [{ ...labour(`do-${fault}`, group, repair.label, repair.minutes), ...own }];
  for (const part of partsOf(fault, kind, facts)) {
    const keys = keysOf(part);
    if (keys.some((key) => taken.has(key))) continue;
    for (const key of keys) taken.add(key);
    lines.push({
      ...PLAIN,
      ...own,
      id: `part-${fault}-${part.group}`,
      sort: 'part',
      label: part.label,
      minutes: null,
      thousandths: 1000 * part.quantity,
      eachMinor: part.priceMinor,
      code: part.code,
      reason: part.note,
    });
  }
  return lines;
}

/** By what a part is known to be in the offer already: the part itself, and the place where it sits. */
const keysOf = (part: Chosen) => [`${part.group} ${part.station}`, ...(part.code === null ? [] : [part.code])];

interface Chosen {
  code: string | null;
  label: string;
  group: string;
  station: string;
  quantity: number;
  /** Null: its price must be asked. */
  priceMinor: number | null;
  note: string;
}

/** One part of each group that a repair cannot do without, or usually takes: what was fitted, the model’s own, the middle one. */
function partsOf(fault: string, kind: Kind, facts: Pick<JobFacts, 'parts' | 'fitted'>): Chosen[] {
  const { repair, kinds } = faultOf(fault);
  const station = kinds[kind.id]!.station;
  return (repair.parts ?? [])
    .filter((group) => roleOf([fault], group) !== 'choice')
    .map((group): Chosen => {
      const quantity = takenBy([fault], group);
      const fitted = facts.fitted.find(
        (f) => f.station === station && facts.parts.some((p) => p.code === f.code && p.group === group),
      );
      const offered = offeredParts(facts.parts, kind.id, [fault]).filter((p) => p.group === group);
      const part: Part | undefined =
        offered.find((p) => p.code === fitted?.code) ?? offered.find((p) => p.own) ?? middleOf(offered);
      if (!part)
        return {
          code: null,
          label: `${group} for it`,
          group,
          station,
          quantity,
          priceMinor: null,
          note: 'Not on our list: ask its price.',
        };
      const sizes = new Set(offered.map((p) => p.code)).size;
      return {
        code: part.code,
        label: part.label,
        group,
        station: part.station,
        quantity: fitted?.quantity ?? quantity,
        priceMinor: part.priceMinor,
        note: [
          !fitted && !part.own && sizes > 1 ? 'Its size is measured first.' : '',
          part.stock >= quantity || fitted ? '' : 'To be ordered.',
        ]
          .filter(Boolean)
          .join(' '),
      };
    });
}

const middleOf = (parts: readonly Part[]): Part | undefined =>
  [...parts].sort((a, b) => a.priceMinor - b.priceMinor)[Math.floor((parts.length - 1) / 2)];

interface Around {
  way: (faults: readonly string[]) => StripStep[];
  perMinute: (minutes: number) => number;
}

/** What has changed since the owner did not want it: found then it is so still; what wears is likelier to fail. */
function changedSince(
  { fault, at }: JobFacts['agree']['declinedBefore'][number],
  wear: readonly WearNow[],
  facts: JobFacts,
): string {
  if (facts.openFaults.some((f) => f.fault === fault)) return 'found then, and so still';
  const part = wear.find((w) => w.fault === fault);
  if (!part) return 'it is older now';
  const since = (Date.now() - Date.parse(at)) / (365.25 * 86_400_000);
  const chance = (age: number) => Math.round(100 * chanceWithin(part.life, Math.max(0, age), 1));
  return `within a year it failed with ${chance(part.ageYears - since)} % then, with ${chance(part.ageYears)} % now`;
}

/** What wears on this machine, how old it is, and what it costs when it fails by itself. */
function wearOf(
  kind: Kind,
  state: JobState,
  facts: JobFacts,
  must: readonly string[],
  { way, perMinute, leastMinor }: Around & { leastMinor: number },
): WearNow[] {
  const age = machineAge(state, new Date().toISOString().slice(0, 10));
  const dropped = new Set(facts.machine.droppedStations);
  return wearLives
    .filter(({ fault }) => {
      const station = faultOf(fault).kinds[kind.id]?.station;
      return station !== undefined && !dropped.has(station);
    })
    .map((w) => {
      const { station } = faultOf(w.fault).kinds[kind.id]!;
      const use = { kind: kind.id, hoursPerWeek: Number(state.machine.hours_per_week) };
      const life = lifeHere(w, use, state.ownLives);
      const days = facts.partAgeDays[station];
      const unknown = UNKNOWN_SHARE * life.scaleYears;
      return {
        fault: w.fault,
        label: faultOf(w.fault).repair.label,
        life,
        // A machine may have had its part replaced elsewhere: past its life nobody takes it for the first.
        ageYears: days !== undefined ? days * DAY_YEARS : age === null || age > life.scaleYears ? unknown : age,
        thenMinor: Math.max(
          leastMinor,
          perMinute(faultOf(w.fault).repair.minutes + minutesOf(way([w.fault]))) + partsMinor(w.fault, kind, facts),
        ),
      };
    })
    .map((w) => (must.includes(w.fault) ? { ...w, ageYears: 0 } : w));
}

const partsMinor = (fault: string, kind: Kind, facts: JobFacts, taken: ReadonlySet<string> = new Set()) =>
  partsOf(fault, kind, facts)
    .filter((p) => !keysOf(p).some((key) => taken.has(key)))
    .reduce((sum, p) => sum + p.quantity * (p.priceMinor ?? 0), 0);

interface Extra {
  wear: WearNow;
  chance: number;
  remaining: number;
  nowMinor: number;
  job: ExtraJob;
  steps: StripStep[];
}

/** What else could be done: not what is done anyway, nor another state of the same part, nor what cannot be bought. */
function extrasOf(
  wear: readonly WearNow[],
  {
    present,
    kind,
    facts,
    must,
    way,
    open,
    perMinute,
    taken,
  }: Around & {
    present: Readonly<Record<string, number>>;
    kind: Kind;
    facts: JobFacts;
    must: readonly string[];
    open: ReadonlySet<string>;
    taken: ReadonlySet<string>;
  },
): Extra[] {
  const states = (fault: string) => oneState.find((line) => line.includes(fault)) ?? [fault];
  const done = [...must, ...facts.repaired];
  const spoken = new Set([...done.flatMap(states), ...broughtWith(done)]);
  const placed = (fault: string) => partsOf(fault, kind, facts).flatMap(keysOf);
  const all = wear
    .filter((w) => !spoken.has(w.fault))
    .filter((w) => placed(w.fault).length > 0 && placed(w.fault).every((place) => !taken.has(place)))
    .filter((w) => partsOf(w.fault, kind, facts).every((p) => p.priceMinor !== null))
    .map((w): Extra => {
      const steps = way([w.fault]).filter((s) => !open.has(s.id));
      // It may be there already, as far as the findings tell, or come within the year.
      const chance = 1 - (1 - (present[w.fault] ?? 0)) * (1 - chanceWithin(w.life, w.ageYears, 1));
      const price = perMinute(faultOf(w.fault).repair.minutes) + partsMinor(w.fault, kind, facts);
      return {
        wear: w,
        chance,
        remaining: meanRemainingYears(w.life, w.ageYears),
        nowMinor: price + perMinute(minutesOf(steps)),
        job: {
          id: w.fault,
          worthMinor: Math.round(chance * w.thenMinor) - price,
          priceMinor: price,
          steps: steps.map((s) => s.id),
        },
        steps,
      };
    })
    .sort((a, b) => b.chance - a.chance);
  // Of the states of one part, and of the faults that one part ends, the likelier stands for both.
  const seen = new Set<string>();
  return all.filter((e) => {
    const keys = [...states(e.wear.fault), ...placed(e.wear.fault)];
    if (keys.some((k) => seen.has(k))) return false;
    for (const k of keys) seen.add(k);
    return true;
  });
}

function extraSteps(
  procedure: Procedure,
  wanted: readonly StripStep[],
  perMinute: (m: number) => number,
): BundleStep[] {
  const ids = new Set(wanted.map((s) => s.id));
  return procedure.steps
    .filter((s) => ids.has(s.id))
    .map((s) => ({
      id: s.id,
      costMinor: perMinute(s.minutes + s.back.minutes),
      needs: s.needs.filter((n) => ids.has(n)),
    }));
}

/** Years since it was made, to half a year; null when nobody knows. */
function machineAge(state: JobState, today: string): number | null {
  const made = state.machine.made_year;
  return made === null ? null : Math.max(0, Number(today.slice(0, 4)) + Number(today.slice(5, 7)) / 12 - made - 0.5);
}
