import { createHash } from 'node:crypto';
import type { Aspect, Check, Fault, Knowledge } from '@/core/diagnosis/knowledge';
import { isTelling } from '@/core/diagnosis/lineSplit';
import { gauges } from '@/core/gauges/catalogue';
import { doorOf, type GaugeDoor } from '@/core/gauges/door';
import type { Procedure } from '@/core/strip/procedure';
import { kindById, knowledge } from '.';
import { procedures } from './kinds';
import { repairWorkOf } from './repairWork';

/** What is known of one kind, as a page of its machines needs it: a quarter of the whole, and plain data. */
export interface TradeBook {
  kind: string;
  /** Of this kind alone; all complaints and cautions. What only the finder asks (what brings on what, states of a part) is left out. */
  knowledge: Knowledge;
  /** Fault → what its repair does, step by step. */
  repairSteps: Record<string, string[]>;
  /** The way into it. */
  procedure: Procedure;
  /** All of them: what was measured may be of any. */
  gauges: GaugeDoor[];
  /** Faults that the kind does not have → what they are called: a machine's past may tell of them. */
  otherFaults: Record<string, string>;
}

/**
 * What a browser is told of a kind.
 * @throws RangeError for a kind that is not known
 */
export function tradeBook(kindId: string): TradeBook {
  const kind = kindById(kindId);
  const [own, others] = [
    knowledge.faults.filter((f) => kindId in f.kinds),
    knowledge.faults.filter((f) => !(kindId in f.kinds)),
  ];
  const checks = knowledge.checks.filter((c) => c.kinds.includes(kindId));
  const asked = new Set(checks.map((c) => c.id));
  return {
    kind: kindId,
    knowledge: {
      kinds: [kind],
      complaints: knowledge.complaints.map((c) => ({ ...c, kinds: c.kinds.includes(kindId) ? [kindId] : [] })),
      cautions: knowledge.cautions,
      checks: checks.map((c) => checkOf(c, kindId)),
      faults: own.map((f) => faultOf(f, kindId, asked)),
      oneState: [],
    },
    repairSteps: Object.fromEntries(own.map((f) => [f.id, repairWorkOf(kindId, f.id).steps.map((s) => s.label)])),
    procedure: procedures[kindId]!,
    gauges: gauges.map(doorOf),
    otherFaults: Object.fromEntries(others.map((f) => [f.id, f.label])),
  };
}

const isOf = (kindId: string) => (x: { kinds?: string[] }) => !x.kinds || x.kinds.includes(kindId);

function checkOf(check: Check, kindId: string): Check {
  const aspects = check.aspects.filter(isOf(kindId)).map(({ kinds: _, ...a }): Aspect => ({
    ...a,
    outcomes: a.outcomes.filter(isOf(kindId)).map(({ kinds: _, ...o }) => o),
  }));
  return { ...check, kinds: [kindId], aspects };
}

function faultOf({ broughtOnBy: _, ...fault }: Fault, kindId: string, asked: ReadonlySet<string>): Fault {
  return {
    ...fault,
    kinds: { [kindId]: fault.kinds[kindId]! },
    shows: fault.shows.filter((s) => asked.has(s.check) && isTelling(s)),
  };
}

const written = new Map<string, WrittenBook>();

/** A book as it is sent, and a sum of it: the same for as long as nothing in it changes. */
export interface WrittenBook {
  text: string;
  sum: string;
}

/** What a browser is told of a kind, as it is sent; written once for each kind. @throws RangeError for a kind that is not known */
export function writtenBook(kindId: string): WrittenBook {
  const known = written.get(kindId);
  if (known !== undefined) return known;
  const text = JSON.stringify(tradeBook(kindId));
  const book = { text, sum: createHash('sha256').update(text).digest('base64url').slice(0, 16) };
  written.set(kindId, book);
  return book;
}
