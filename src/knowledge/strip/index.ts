import { stationsOf } from '@/core/diagnosis/knowledge';
import type { ClosingCheck, Procedure, StripStep } from '@/core/strip/procedure';
import type { KindText } from '../assemble';
import { backpack, canister, tub, turbine } from './canisters';
import { closingCheck } from './checks';
import { robot, stick } from './cordless';
import { handheld } from './handheld';
import { extractor, rideOn, walkBehind } from './scrubbers';
import { auto, baggedGear, brushMotor, clutch, directAir, selfPropelled, shaftBelt } from './uprights';
import type { AccessSteps } from './write';

const byKind: Record<string, AccessSteps> = {
  'upright-shaft-belt': shaftBelt,
  'upright-brush-motor': brushMotor,
  'upright-clutch': clutch,
  'upright-direct-air': directAir,
  'upright-self-propelled': selfPropelled,
  'upright-auto': auto,
  'canister-power-nozzle': canister,
  'central-turbine-brush': turbine,
  'stick-cordless': stick,
  'handheld-mains': handheld,
  'scrubber-walk-behind': walkBehind,
  'scrubber-ride-on': rideOn,
  'upright-bagged-brush-gear': baggedGear,
  backpack,
  'wet-dry-tub': tub,
  'carpet-extractor': extractor,
  robot,
};

/** What makes a machine dead that has no plug to pull: before anything else of it. */
const MADE_DEAD = ['key-out', 'switched-off'];

/** What is looked at last on every machine that has the part, whatever was opened. */
const FINALS = [
  'cord-clear',
  'turned-by-hand',
  'u-bend-home',
  'earth-proved',
  'handle-home',
  'squeegee-level',
  'pressure-lowest',
  // Last of all: what is left over is looked for when the rest is back.
  'nothing-left',
];

/**
 * The way into a kind: every step with its access and what must be done before it. In an access the steps follow each
 * other, after all that must be open before the access itself, unless a step says that it is free of its neighbours.
 * @throws Error for an access without steps, or steps of an access that the kind does not have
 */
export function procedureOf(kind: KindText): Procedure {
  const ways = byKind[kind.id] ?? {};
  const strange = Object.keys(ways).filter((id) => !kind.access.some((a) => a.id === id));
  if (strange.length > 0) throw new Error(`${kind.id} has no access ${strange.join()}.`);
  const stations = stationsOf(kind);
  const ofKind = (check: ClosingCheck): ClosingCheck[] => {
    const here = check.stations.filter((s) => stations.has(s));
    return here.length > 0 ? [{ ...check, stations: here }] : [];
  };
  const dead = MADE_DEAD.find((id) => Object.values(ways).some((steps) => steps.some((s) => s.id === id)));
  const ends = new Map<string, string[]>();
  const steps: StripStep[] = [];
  for (const access of kind.access) {
    const texts = ways[access.id];
    if (!texts) throw new Error(`${kind.id} does not say how ${access.label} is done.`);
    const entrance = access.needs ? ends.get(access.needs)! : [];
    let last = entrance;
    for (const { free, also, back, ...text } of texts) {
      const before = [...(free ? entrance : last), ...(also ?? [])];
      const first = dead && before.length === 0 && text.id !== dead ? [dead] : [];
      const needs = [...new Set([...before, ...first])];
      steps.push({ ...text, access: access.id, needs, back: { ...back, checks: back.checks.flatMap(ofKind) } });
      last = free ? [...last, text.id] : [text.id];
    }
    // Whatever nothing of its own access waits for is an end of it.
    const own = steps.filter((s) => s.access === access.id);
    ends.set(
      access.id,
      own.filter((s) => !own.some((o) => o.needs.includes(s.id))).map((s) => s.id),
    );
  }
  return { kind: kind.id, steps, finals: FINALS.map(closingCheck).flatMap(ofKind) };
}
