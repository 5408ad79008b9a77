import { fanVacuumKPa, workingPoint, type Fan, type Section } from '../air/airPath';
import { airPowerW, airWattsF558 } from '../air/airPower';
import { ductLossKPa } from '../air/friction';
import { HEALTHY, healthySections, SECTION_IDS, SECTION_LABELS, type MachineSort } from '../air/healthyMachines';
import { locateBlockage, type AirFinding, type FaultFound, type VacuumReading } from '../air/locateBlockage';
import type { Station } from '../air/ownMachine';
import {
  coolingOf,
  flowFromTrip,
  motorTemperatureC,
  recoveryMinutes,
  tripMinutes,
  USUAL_MOTOR,
} from '../air/motorHeat';
import { fromBase } from '../units/units';
import { shownIn, type UnitSystem } from '../units/unitSystem';
import { choice, quantity, type ValuesOf } from './fields';
import { gauge, type Drawing, type Figure, type GaugeAnswer, type Note, type Surroundings } from './gauge';
import { refuse } from './readFields';

/** Below this a fault is not named for sure. */
const SURE = 0.8;

const clog = { when: { field: 'asks', is: ['clog'] } } as const;
const reading = { ...clog, optional: true } as const;
const filter = { when: { field: 'asks', is: ['filter'] } } as const;
const power = { when: { field: 'asks', is: ['power'] } } as const;

/** Ribs of a stretch hose, mm. Common practice, no source. */
const HOSE_ROUGHNESS_MM = 0.8;
const path = { optional: true, rare: true, when: { field: 'asks', is: ['clog', 'filter'] } } as const;

const fields = {
  asks: choice('What is asked', {
    clog: 'Clog or leak?',
    filter: 'A blocked part',
    power: 'Air power',
  }),
  machine: choice('Machine', sorts()),
  sealed: quantity('pressure', 'Sealed suction, healthy', [1, 60], {
    optional: true,
    rare: true,
    hint: 'of a twin or the plate; else as usual for the sort',
  }),
  free: quantity('flow', 'Free flow, healthy', [2, 200], { optional: true, rare: true }),
  bore: quantity('length', 'Hose bore', [10, 120], { ...path, hint: 'with its length: the hose by its own friction' }),
  hoseLength: quantity('length', 'Hose length', [100, 30_000], { ...path, unit: 'm' }),
  meter: quantity('pressure', 'Gauge good to', [0.01, 3], { ...clog, rare: true }),
  open0: quantity('pressure', 'All on, at the neck', [0, 60], reading),
  open1: quantity('pressure', 'All on, wand’s upper end', [0, 60], reading),
  open2: quantity('pressure', 'All on, machine’s inlet', [0, 60], reading),
  open3: quantity('pressure', 'All on, before the filter', [0, 60], reading),
  open4: quantity('pressure', 'All on, at the motor', [0, 60], reading),
  off4: quantity('pressure', 'Hose off, at the motor', [0, 60], { ...reading, hint: 'inlet open' }),
  sealedInlet: quantity('pressure', 'Inlet sealed, behind bin', [0, 60], reading),
  sealedHose: quantity('pressure', 'Hose sealed, at the inlet', [0, 60], reading),
  sealedHead: quantity('pressure', 'Head sealed, at the motor', [0, 60], reading),
  part: choice('Blocked part', partsOf(), filter),
  blocked: quantity('percent', 'Blocked', [0, 98], { ...filter, hint: 'of its open area' }),
  room: quantity('temperature', 'Room', [-10, 45], filter),
  tripped: quantity('time', 'Cut out after', [0.2, 240], { ...filter, optional: true, hint: 'from cold' }),
  flow: quantity('flow', 'Flow', [0.1, 300], power),
  vacuum: quantity('pressure', 'Vacuum at that flow', [0.01, 60], power),
};

type Values = ValuesOf<typeof fields>;

function sorts() {
  return Object.fromEntries(Object.entries(HEALTHY).map(([id, h]) => [id, h.label])) as Record<MachineSort, string>;
}

function partsOf() {
  return SECTION_LABELS;
}

/** Which station each field is read at. */
const READINGS = {
  open0: { setUp: { from: 0, sealed: false }, after: 0 },
  open1: { setUp: { from: 0, sealed: false }, after: 1 },
  open2: { setUp: { from: 0, sealed: false }, after: 2 },
  open3: { setUp: { from: 0, sealed: false }, after: 3 },
  open4: { setUp: { from: 0, sealed: false }, after: 4 },
  off4: { setUp: { from: 3, sealed: false }, after: 4 },
  sealedInlet: { setUp: { from: 3, sealed: true }, after: 3 },
  sealedHose: { setUp: { from: 2, sealed: true }, after: 2 },
  sealedHead: { setUp: { from: 0, sealed: true }, after: 4 },
} satisfies Partial<Record<keyof typeof fields, Station>>;
type StationField = keyof typeof READINGS;
const STATION_FIELDS = Object.keys(READINGS) as StationField[];

export const airPath = gauge({
  id: 'air-path',
  label: 'Air path',
  group: 'air',
  purpose: 'Where the clog or the leak sits, what a blocked filter does, and how much air power there is.',
  version: 2,
  heavy: true,
  fields,
  formulas: [
    {
      text: 'The fan: vacuum falls from sealed suction to nothing at free flow, between a line and a square. Usual figures per sort of machine.',
      source: 'Common practice, no source.',
    },
    {
      text: 'The path: each part loses vacuum with the square of the flow (felt: power 1.2); it works where the curves meet.',
      source: 'Any handbook of fluid mechanics; shares per part are common practice, no source.',
    },
    {
      text: 'A hose by its bore and length: Darcy–Weisbach with the friction factor of Colebrook–White, ribs of 0.8 mm.',
      source: 'Any handbook of fluid mechanics; the ribs are common practice, no source.',
    },
    {
      text: 'Clog, leak or weak motor: every single fault, every pair of clogs and every clog with a leak, in every size, against the readings, by Bayes’ rule. Healthy parts differ by 15 %, fans by 6 and 8 %, and in the bend of their curve.',
      source:
        'Bayes’ rule; a linear model is learned reading by reading (Kalman 1960); how machines differ is common practice, no source.',
    },
    {
      text: 'Whether the readings fit one machine at all: chi-squared, at one in a thousand.',
      source: 'Wilson & Hilferty 1931 for its cube root.',
    },
    {
      text: 'Loss of each part: over all explanations by their odds.',
      source: 'Bayes’ rule; its 95 % hold in 90 to 98 of 100 simulated machines.',
    },
    {
      text: 'Motor: one exponential, cooling with the flow to the power 0.8.',
      source: 'Lumped heating; Dittus–Boelter exponent; the figures of a usual motor are common practice, no source.',
    },
    {
      text: 'Air power: flow × vacuum. ASTM F558: 0.117354 · cfm · inH₂O.',
      source: 'ASTM F558, constant from memory: its inch of water is one at room temperature.',
    },
  ],
  answers: ['inlet-vacuum', 'trip-time'],
  opens: { 'inlet-vacuum': { asks: 'clog' }, 'trip-time': { asks: 'filter' } },
  usual: ['meter', 'room', 'blocked'],
  example: {
    asks: 'clog',
    machine: 'canister',
    meter: '0.2 kPa',
    open1: '1.7 kPa',
    open2: '9.1 kPa',
    open3: '9.8 kPa',
    open4: '10.8 kPa',
    off4: '2.9 kPa',
    sealedInlet: '23.8 kPa',
    sealedHose: '23.9 kPa',
    part: 'filter',
    blocked: '50',
    room: '22 °C',
    flow: '32 L/s',
    vacuum: '6.9 kPa',
  },
  reckon(v, around) {
    if (v.asks === 'power') return airPower(v);
    const usual = HEALTHY[v.machine].fan;
    const fan = { ...usual, sealedKPa: v.sealed ?? usual.sealedKPa, freeLs: v.free ?? usual.freeLs };
    const workingLs = (HEALTHY[v.machine].workingLs / usual.freeLs) * fan.freeLs;
    const sections = healthySections(v.machine, fan).map((s) =>
      s.id === 'hose' && v.bore !== undefined && v.hoseLength !== undefined
        ? { ...s, loss: ductLossKPa(workingLs, v.bore, v.hoseLength, HOSE_ROUGHNESS_MM) / workingLs ** s.exponent }
        : s,
    );
    const notes: Note[] =
      v.sealed === undefined || v.free === undefined
        ? [{ sort: 'range', text: 'The healthy machine is the usual one of its sort: measure a twin to be surer.' }]
        : [];
    return v.asks === 'clog'
      ? whereIsIt(v, fan, sections, notes, around)
      : whatIf(v, fan, sections, notes, around.units ?? 'metric');
  },
});

function airPower(v: Values): GaugeAnswer {
  const [q, p] = [v.flow!, v.vacuum!];
  const [cfm, inches] = [fromBase('flow', q, 'cfm'), fromBase('pressure', p, 'inH2O')];
  const f558 = airWattsF558(cfm, inches);
  return {
    says: `${airPowerW(q, p).toFixed(0)} W of air; ${f558.toFixed(0)} air watts by ASTM F558.`,
    tone: 'plain',
    figures: [
      { label: 'Air power', value: airPowerW(q, p), quantity: 'power' },
      {
        label: 'Air watts, ASTM F558',
        value: f558,
        quantity: 'number',
        remark: `${cfm.toFixed(1)} cfm at ${inches.toFixed(1)} inH₂O`,
      },
    ],
  };
}

const times = (x: number) => (x < 10 ? x.toFixed(1) : x.toFixed(0));

/** One thing that is wrong, in words, and how much of it. */
function namedOne({ fault, low, high }: FaultFound): { label: string; detail: string } {
  switch (fault.sort) {
    case 'fan':
      return {
        label: 'motor or fan weak, or air let in behind the filter',
        detail: `${Math.round(100 * low)} to ${Math.round(100 * high)} % of its vacuum left`,
      };
    case 'clog':
      return {
        label: `clog: ${SECTION_LABELS[SECTION_IDS[fault.section]!]}`,
        detail: `${times(low)} to ${times(high)} times the healthy loss`,
      };
    case 'leak':
      return {
        label: `leak after the ${SECTION_LABELS[SECTION_IDS[fault.section]!]}`,
        detail: `${Math.round(100 * low)} to ${Math.round(100 * high)} % of the air comes in there`,
      };
  }
}

function named({ faults }: AirFinding): { label: string; detail: string } {
  if (faults.length === 0) return { label: 'nothing wrong with the air', detail: '' };
  const each = faults.map(namedOne);
  return { label: each.map((e) => e.label).join(' and '), detail: each.map((e) => e.detail).join('; ') };
}

/** What is wrong, each with its size. */
function toldWhole({ faults }: AirFinding): string {
  if (faults.length === 0) return 'Nothing wrong with the air';
  return capital(
    faults
      .map(namedOne)
      .map(({ label, detail }) => `${label}, ${detail}`)
      .join('; and '),
  );
}

/** Of two readings that cannot both be: how far beyond what the gauge may be off. */
const BEYOND = 3;

/**
 * The vacuum grows from the mouth to the motor; taking the hose off lets more air through, and sealing stops it: whatever is
 * wrong with a machine, these hold.
 */
function refuseImpossible(v: Values): void {
  const off = BEYOND * v.meter!;
  const kPa = (field: StationField) => v[field] as number | undefined;
  const open = ['open0', 'open1', 'open2', 'open3', 'open4'] as const;
  const label = (field: StationField) => `“${fields[field].label}”`;
  open.forEach((later, i) => {
    for (const earlier of open.slice(0, i))
      if (kPa(later)! < kPa(earlier)! - off)
        refuse(later, `Less than at ${label(earlier)}: towards the motor the vacuum grows. Read both again.`);
  });
  if (kPa('off4')! > kPa('open4')! + off)
    refuse(
      'off4',
      `More than at ${label('open4')}: with the hose off more air comes and the vacuum falls. Read both again.`,
    );
  for (const sealed of ['sealedInlet', 'sealedHose', 'sealedHead'] as const)
    for (const flowing of [...open, 'off4'] as const)
      if (kPa(sealed)! < kPa(flowing)! - off)
        refuse(sealed, `Less than at ${label(flowing)}, where air flows: sealed, it must be more. Read both again.`);
}

function whereIsIt(v: Values, fan: Fan, sections: Section[], notes: Note[], { progress }: Surroundings): GaugeAnswer {
  const readings = STATION_FIELDS.flatMap((field): VacuumReading[] => {
    const kPa = v[field];
    return kPa === undefined ? [] : [{ ...READINGS[field], kPa }];
  });
  if (readings.length < 2) refuse('open4', 'Two readings at least; the more stations, the surer.');
  refuseImpossible(v);
  const unread = STATION_FIELDS.filter((field) => v[field] === undefined);
  const { findings, losses, isMisfit, next } = locateBlockage(fan, sections, readings, v.meter!, {
    known: { sealed: v.sealed === undefined ? 'usual' : 'measured', free: v.free === undefined ? 'usual' : 'measured' },
    stations: unread.map((field) => READINGS[field]),
    ...(progress ? { progress } : {}),
  });
  const first = findings[0]!;
  const second = findings[1]!;
  const sure = first.probability >= SURE && !isMisfit;
  const nextField = unread.find((field) => READINGS[field] === next?.station);
  const advice: Note[] = isMisfit
    ? [
        {
          sort: 'advice',
          text: 'Read the stations again, one after another: one may be from another set-up, or the machine is of another sort.',
        },
      ]
    : [];
  const readNext = nextField
    ? `Read next: “${fields[nextField].label}”.`
    : 'No other station would tell these apart: look into the likeliest first.';
  const clogged = new Map(first.faults.flatMap((f) => (f.fault.sort === 'clog' ? [[f.fault.section, f.size]] : [])));
  const figures: Figure[] = [
    {
      label: 'Flow left at the head',
      value: 100 * first.flowLeft,
      quantity: 'percent',
      remark: `with ${named(first).label}`,
    },
    ...losses.map((l, i): Figure => ({
      label: `Loss, ${SECTION_LABELS[SECTION_IDS[i]!]}`,
      value: l.ratio,
      quantity: 'number',
      plusMinus: l.sigma,
      remark: 'times healthy',
    })),
  ];
  return {
    says: isMisfit
      ? 'These readings do not fit one machine.'
      : sure
        ? `${toldWhole(first)}.`
        : `Not sure: ${percent(first.probability)} ${named(first).label}, ${percent(second.probability)} ${named(second).label}. ${readNext}`,
    tone: !sure ? 'doubt' : first.faults.length === 0 ? 'good' : 'bad',
    figures,
    likely: findings
      .filter((f) => f.probability > 0.01)
      .slice(0, 6)
      .map((f) => ({ label: capital(named(f).label), probability: f.probability, detail: named(f).detail })),
    notes: [...advice, ...notes],
    drawings: [
      {
        draw: 'bars',
        label: 'Loss of each part against a healthy machine',
        y: 'times healthy',
        limit: 1,
        bars: losses.map((l, i) => ({
          name: SECTION_LABELS[SECTION_IDS[i]!],
          value: l.ratio,
          odd: sure && clogged.has(i),
        })),
      },
      curves(
        fan,
        sections,
        sections.map((s, i) => ({ ...s, loss: s.loss * (clogged.get(i) ?? 1) })),
      ),
    ],
    feeds: inletFinding(v, findings, isMisfit),
  };
}

/** What lets the sealed suction at the machine fall: whatever is wrong before its inlet does not. */
const lowersSealed = ({ fault }: FaultFound) =>
  fault.sort === 'fan' || (fault.sort === 'leak' && fault.section >= READINGS.sealedInlet.setUp.from);

/** The sealed suction at the inlet answers the finder's own check, and its own line of the proof. */
function inletFinding(v: Values, findings: AirFinding[], isMisfit: boolean): GaugeAnswer['feeds'] {
  if (v.sealedInlet === undefined) return {};
  const low = findings.filter((f) => f.faults.some(lowersSealed)).reduce((sum, f) => sum + f.probability, 0);
  const known = !isMisfit && (low > SURE || low < 1 - SURE);
  return {
    finding: { check: 'inlet-vacuum', value: v.sealedInlet, unit: 'kPa', condition: 'machine' },
    // What is not known is neither passed nor failed.
    ...(known
      ? {
          proof: {
            item: 'sealed-vacuum',
            result: low > SURE ? 'fail' : 'pass',
            after: v.sealedInlet,
            note: `by the gauge: ${named(findings[0]!).label}`,
          },
        }
      : {}),
  };
}

function whatIf(v: Values, fan: Fan, sections: Section[], notes: Note[], units: UnitSystem): GaugeAnswer {
  // Loss goes with the square of the speed through what is still open; through felt a little less.
  const at = SECTION_IDS.indexOf(v.part!);
  const left = 1 - v.blocked! / 100;
  const worse = sections.map((s, i) => (i === at ? { ...s, loss: s.loss / left ** s.exponent } : s));
  const open = { from: 0, sealed: false };
  const [healthy, now] = [sections, worse].map((s) => workingPoint(fan, s, open)) as [
    ReturnType<typeof workingPoint>,
    ReturnType<typeof workingPoint>,
  ];
  const motor = { ...USUAL_MOTOR, roomC: v.room! };
  const flow = now.mouthLs / healthy.mouthLs;
  const trip = tripMinutes(motor, flow);
  const figures: Figure[] = [
    {
      label: 'Flow',
      value: now.mouthLs,
      quantity: 'flow',
      remark: `${Math.round(100 * flow)} % of ${shownIn('flow', healthy.mouthLs, units)}`,
    },
    {
      label: 'Vacuum at the motor',
      value: now.vacuumKPa.at(-1)!,
      quantity: 'pressure',
      remark: `healthy ${shownIn('pressure', healthy.vacuumKPa.at(-1)!, units)}`,
    },
    {
      label: 'Suction at the neck',
      value: now.vacuumKPa[0]!,
      quantity: 'pressure',
      remark: `healthy ${shownIn('pressure', healthy.vacuumKPa[0]!, units)}`,
    },
    {
      label: 'Air power at the neck',
      value: airPowerW(now.mouthLs, now.vacuumKPa[0]!),
      quantity: 'power',
      remark: `healthy ${airPowerW(healthy.mouthLs, healthy.vacuumKPa[0]!).toFixed(0)} W`,
    },
    { label: 'Cooling left', value: 100 * coolingOf(flow), quantity: 'percent' },
    { label: 'Motor after an hour', value: motorTemperatureC(motor, flow, 60), quantity: 'temperature' },
    { label: 'Cuts out after', value: trip, quantity: 'time', remark: trip === null ? 'never' : 'from cold' },
    {
      label: 'Comes back after',
      value: trip === null ? null : recoveryMinutes(motor),
      quantity: 'time',
      remark: 'standing',
    },
  ];
  if (v.tripped !== undefined) {
    const air = flowFromTrip(motor, v.tripped);
    figures.push({
      label: 'Air left, by the time to the trip',
      value: air === null ? null : 100 * air,
      quantity: 'percent',
    });
    if (air === null)
      notes.push({
        sort: 'advice',
        text: 'It cut out sooner than without any air at all: a jam, a bad bearing or the winding, not the air.',
      });
  }
  notes.push({ sort: 'range', text: 'A usual motor and cut-out: the times are good to a third at best.' });
  return {
    says: `${Math.round(100 * flow)} % of the flow is left; ${trip === null ? 'the motor does not cut out.' : `the motor cuts out after about ${trip.toFixed(0)} min.`}`,
    tone: trip !== null ? 'bad' : flow < 0.8 ? 'doubt' : 'good',
    figures,
    notes,
    drawings: [curves(fan, sections, worse), heatCurve(motor, flow)],
    feeds: v.tripped === undefined ? {} : { finding: { check: 'trip-time', value: v.tripped, unit: 'min' } },
  };
}

/** The fan's curve with the path's, healthy and now, and where they meet. */
function curves(fan: Fan, healthy: Section[], now: Section[]): Drawing {
  const flows = Array.from({ length: 41 }, (_, i) => (fan.freeLs * i) / 40);
  const path = (s: Section[]) =>
    flows
      .map((q): [number, number] => [q, s.reduce((sum, x) => sum + x.loss * q ** x.exponent, 0)])
      .filter(([, p]) => p <= fan.sealedKPa * 1.1);
  const open = { from: 0, sealed: false };
  const meet = (s: Section[]): [number, number] => {
    const p = workingPoint(fan, s, open);
    return [p.mouthLs, p.vacuumKPa.at(-1)!];
  };
  return {
    draw: 'chart',
    label: 'Fan and path: where they meet',
    x: 'flow',
    y: 'pressure',
    series: [
      { name: 'fan', as: 'line', points: flows.map((q) => [q, fanVacuumKPa(fan, q)]) },
      { name: 'path, healthy', as: 'limit', points: path(healthy) },
      { name: 'path, now', as: 'line', points: path(now) },
      { name: 'works here', as: 'points', points: [meet(healthy), meet(now)] },
    ],
  };
}

function heatCurve(motor: typeof USUAL_MOTOR & { roomC: number }, flow: number): Drawing {
  const minutes = Array.from({ length: 61 }, (_, i) => i);
  const run = (f: number) => minutes.map((m): [number, number] => [m, motorTemperatureC(motor, f, m)]);
  return {
    draw: 'chart',
    label: 'Motor temperature from cold',
    x: 'time',
    y: 'temperature',
    series: [
      { name: 'healthy', as: 'limit', points: run(1) },
      { name: 'now', as: 'line', points: run(flow) },
      {
        name: 'cuts out',
        as: 'limit',
        points: [
          [0, motor.opensC],
          [60, motor.opensC],
        ],
      },
    ],
  };
}

function percent(p: number): string {
  return `${Math.round(100 * p)} %`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
