import { fanVacuumKPa, type Fan, type Section } from './airPath';

/** Parts of the air path, from the floor to the motor. */
export const SECTION_IDS = ['head', 'wand', 'hose', 'bin', 'filter'] as const;
export type SectionId = (typeof SECTION_IDS)[number];

export const SECTION_LABELS: Record<SectionId, string> = {
  head: 'head and neck',
  wand: 'wand or lower duct',
  hose: 'hose',
  bin: 'bag, bin or cyclone',
  filter: 'pre-motor filter',
};

/** Share of the vacuum that each part takes at the working flow of a healthy machine. */
interface Healthy {
  label: string;
  fan: Fan;
  workingLs: number;
  shares: Record<SectionId, number>;
}

/** Half way between a line and a square: fans differ, see `ownMachine`. Common practice, no source. */
const USUAL_SHAPE = 0.5;

/** Healthy machines by sort. Common practice, no source: the fan and the flow are to be measured on a twin where there is one. */
export const HEALTHY = {
  upright: {
    label: 'Upright',
    fan: { sealedKPa: 20, freeLs: 40, shape: USUAL_SHAPE },
    workingLs: 28,
    shares: { head: 0.3, wand: 0.1, hose: 0.25, bin: 0.15, filter: 0.2 },
  },
  canister: {
    label: 'Canister',
    fan: { sealedKPa: 24, freeLs: 45, shape: USUAL_SHAPE },
    workingLs: 32,
    shares: { head: 0.3, wand: 0.1, hose: 0.3, bin: 0.12, filter: 0.18 },
  },
  stick: {
    label: 'Cordless stick',
    fan: { sealedKPa: 18, freeLs: 22, shape: USUAL_SHAPE },
    workingLs: 14,
    shares: { head: 0.3, wand: 0.15, hose: 0.1, bin: 0.25, filter: 0.2 },
  },
  backpack: {
    label: 'Backpack',
    fan: { sealedKPa: 25, freeLs: 55, shape: USUAL_SHAPE },
    workingLs: 40,
    shares: { head: 0.25, wand: 0.15, hose: 0.3, bin: 0.15, filter: 0.15 },
  },
  wet: {
    label: 'Scrubber or wet machine',
    fan: { sealedKPa: 18, freeLs: 50, shape: USUAL_SHAPE },
    workingLs: 32,
    shares: { head: 0.4, wand: 0.05, hose: 0.3, bin: 0.15, filter: 0.1 },
  },
} as const satisfies Record<string, Healthy>;

export type MachineSort = keyof typeof HEALTHY;

/** The chain of a healthy machine with this fan: each part takes its share at the working flow of such a fan. */
export function healthySections(sort: MachineSort, fan: Fan): Section[] {
  const { workingLs, shares, fan: usual } = HEALTHY[sort];
  const flow = (workingLs / usual.freeLs) * fan.freeLs;
  const vacuum = fanVacuumKPa(fan, flow);
  return SECTION_IDS.map((id) => {
    const exponent = id === 'filter' ? 1.2 : 2;
    return { id, label: SECTION_LABELS[id], loss: (shares[id] * vacuum) / flow ** exponent, exponent };
  });
}
