import { chargeFromGravity, chargeFromRestVolts, LEAD_CELL_V, peukertHours } from '../battery/battery';
import { CHEMISTRIES } from '../battery/chemistry';
import { DischargeLogError, dischargeLog } from '../battery/dischargeLog';
import { choice, count, quantity, rows, type ValuesOf } from './fields';
import { gauge, type GaugeAnswer, type Surroundings } from './gauge';
import { ACID, judgedCells, LITHIUM } from './packCells';
import { refuse } from './readFields';

/** Below this state of health a pack is worn out. Common practice, no source. */
const WORN_PERCENT = 70;

const cells = { when: { field: 'asks', is: ['cells'] } } as const;
const log = { when: { field: 'asks', is: ['log'] } } as const;
const lead = { when: { field: 'asks', is: ['lead-acid'] } } as const;
const run = { when: { field: 'asks', is: ['run-time'] } } as const;

const flooded = { when: { field: 'sort', is: ['flooded'], and: lead.when } } as const;
const logOrRun = { when: { field: 'asks', is: ['log', 'run-time'] } } as const;

const fields = {
  asks: choice('What is asked', {
    cells: 'Cell spread',
    log: 'Discharge log',
    'lead-acid': 'Lead-acid',
    'run-time': 'Run time',
  }),
  chemistry: choice('Its cells', Object.fromEntries(CHEMISTRIES.map((c) => [c.id, c.label])), cells),
  volts: rows('Cell voltages', { volts: { label: 'Voltage', is: 'voltage', min: 0, max: 5 } }, [2, 60], {
    ...cells,
    flat: true,
    hint: 'in order, blanks between',
  }),
  file: {
    sort: 'file',
    label: 'Discharge log',
    maxLength: 12_000_000,
    hint: 'CSV: time, volts, amperes',
    when: log.when,
  } as const,
  cutOff: quantity('voltage', 'Ends at', [0, 100], { ...log, hint: 'the pack’s lowest voltage' }),
  rated: quantity('charge', 'Rated capacity', [0.1, 1000], logOrRun),
  sort: choice('Sort', { flooded: 'Flooded', agm: 'Sealed, AGM', gel: 'Sealed, gel' }, lead),
  restVolts: quantity('voltage', 'Voltage at rest', [0, 60], {
    ...lead,
    optional: true,
    hint: 'hours after charge and load',
  }),
  cellCount: count('Cells', [1, 30], lead),
  gravity: quantity('number', 'Specific gravity', [1, 1.4], { ...flooded, optional: true }),
  acid: quantity('temperature', 'Acid temperature', [-20, 60], flooded),
  ratedHours: quantity('duration', 'Rated at', [0.5, 100], { ...logOrRun, hint: 'hours: 5 or 20; 5 or 1 for lithium' }),
  current: quantity('current', 'Current', [0.05, 500], run),
  peukert: quantity('number', 'Peukert exponent', [1, 1.6], {
    ...logOrRun,
    hint: '1.2 flooded, 1.1 sealed, 1.03 lithium',
  }),
};

type Values = ValuesOf<typeof fields>;

export const pack = gauge({
  id: 'pack',
  label: 'Pack',
  group: 'battery',
  purpose: 'How far the cells are apart, what a pack still holds, how charged a battery is, how long it runs.',
  version: 3,
  heavy: true,
  fields,
  formulas: [
    {
      text: 'Balance: highest and lowest 0.05 V apart is out of it, 0.1 V a failing cell; the middle of all tells which.',
      source: 'Common practice, no source.',
    },
    {
      text: 'Capacity: the log’s current integrated by trapezoids until the cut-off; health against the rating, worn at 70 %.',
      source: 'Definition; the 70 % is common practice, no source.',
    },
    {
      text: 'Charge of flooded lead-acid from rest voltage, and from gravity corrected to 26.7 °C.',
      source: 'Handbook figures, from memory.',
    },
    {
      text: 'Least and most a cell may stand at, by its chemistry, before anything is said of balance.',
      source: 'Makers’ sheets, from memory: the maker’s own win.',
    },
    { text: 'Run time H · (C/(I·H))^k.', source: 'Peukert 1897; exponents common practice, no source.' },
  ],
  answers: ['cell-spread', 'gravity-test'],
  measures: ['battery'],
  opens: {
    'cell-spread': { asks: 'cells' },
    'gravity-test': { asks: 'lead-acid' },
  },
  usual: ['acid', 'peukert', 'ratedHours'],
  example: {
    asks: 'cells',
    chemistry: 'li-ion',
    sort: 'flooded',
    volts: '3.92 3.91 3.92 3.74 3.92 3.91',
    cutOff: '18 V',
    rated: '2.5 Ah',
    restVolts: '24.7 V',
    cellCount: '12',
    gravity: '1.22',
    acid: '18 °C',
    ratedHours: '5 h',
    current: '2 A',
    peukert: '1.2',
  },
  reckon(v, around) {
    switch (v.asks) {
      case 'cells':
        return judgedCells(
          v.volts!.map((r) => r.volts),
          v.chemistry!,
        );
      case 'log':
        return capacity(v, around);
      case 'lead-acid':
        return leadAcid(v);
      case 'run-time':
        return runTime(v);
    }
  },
});

function capacity(v: Values, { progress }: Surroundings): GaugeAnswer {
  let found;
  try {
    found = dischargeLog(v.file!, v.cutOff!, progress);
  } catch (error) {
    if (!(error instanceof DischargeLogError)) throw error;
    refuse('file', error.message);
  }
  // What a new one gives at this current, by Peukert's law: a rating at another rate is no measure by itself.
  const currentA = found.capacityAh / Math.max(found.hours - found.cut.gapHours - found.cut.chargedHours, 1e-9);
  if (!(currentA > 0)) refuse('file', 'No current flows in this log.');
  const newAh = currentA * peukertHours(v.rated!, v.ratedHours!, currentA, v.peukert!);
  const health = (100 * found.capacityAh) / newAh;
  const { gaps, gapHours, chargedHours } = found.cut;
  const ended = found.endV <= v.cutOff!;
  return {
    says: `${found.capacityAh.toFixed(2)} Ah, ${health.toFixed(0)} % of a new one at this current${health < WORN_PERCENT && ended ? ': worn out' : ''}.`,
    tone: !ended ? 'doubt' : health < WORN_PERCENT ? 'bad' : 'good',
    figures: [
      { label: 'Capacity', value: found.capacityAh, quantity: 'charge' },
      { label: 'State of health', value: health, quantity: 'percent' },
      { label: 'A new one at this current', value: newAh, quantity: 'charge', remark: `${currentA.toPrecision(3)} A` },
      { label: 'Energy', value: found.energyWh, quantity: 'number', remark: 'Wh' },
      { label: 'Ran for', value: found.hours, quantity: 'duration' },
      { label: 'Lines read', value: found.rows, quantity: 'number' },
    ],
    notes: [
      ...(ended
        ? []
        : [{ sort: 'range' as const, text: 'The log ends before the cut-off: the pack holds more than this.' }]),
      ...(gaps > 0
        ? [
            {
              sort: 'range' as const,
              text: `${gaps} hole${gaps === 1 ? '' : 's'} in the log, ${gapHours.toFixed(2)} h together, cut out: it may hold more.`,
            },
          ]
        : []),
      ...(chargedHours > 0
        ? [
            {
              sort: 'range' as const,
              text: `It was charged for ${(60 * chargedHours).toFixed(0)} min in between: cut out.`,
            },
          ]
        : []),
      LITHIUM,
    ],
    drawings: [
      {
        draw: 'chart',
        label: 'Voltage during the discharge',
        x: 'duration',
        y: 'voltage',
        series: [
          { name: 'pack', as: 'line', points: found.picture },
          {
            name: 'ends at',
            as: 'limit',
            points: [
              [0, v.cutOff!],
              [found.hours, v.cutOff!],
            ],
          },
        ],
      },
    ],
  };
}

function leadAcid(v: Values): GaugeAnswer {
  const cellV = v.restVolts === undefined ? null : v.restVolts / v.cellCount!;
  if (cellV !== null && cellV > LEAD_CELL_V.most)
    refuse('restVolts', `${cellV.toFixed(2)} V a cell is no battery at rest: count the cells, and let it rest.`);
  if (cellV !== null && cellV < LEAD_CELL_V.least) return deadCell(cellV);
  const byVolts =
    v.restVolts === undefined ? null : chargeFromRestVolts(v.restVolts, v.cellCount!, v.sort !== 'flooded');
  const byGravity = v.gravity === undefined ? null : chargeFromGravity(v.gravity, v.acid!);
  if (byVolts === null && byGravity === null) refuse('restVolts', 'The voltage at rest, or the gravity.');
  const charge = byGravity ?? byVolts!;
  const apart = byVolts !== null && byGravity !== null && Math.abs(byVolts - byGravity) > 20;
  return {
    says: `About ${charge.toFixed(0)} % charged.`,
    tone: apart ? 'doubt' : charge < 50 ? 'bad' : 'good',
    figures: [
      { label: 'By rest voltage', value: byVolts, quantity: 'percent', plusMinus: 10 },
      { label: 'By gravity', value: byGravity, quantity: 'percent', plusMinus: 5 },
    ],
    notes: [
      ...(apart
        ? [
            {
              sort: 'range' as const,
              text: 'The two do not agree: it has not rested, or a cell is bad. Test each cell.',
            },
          ]
        : []),
      ...(charge < 50
        ? [{ sort: 'advice' as const, text: 'Charge it now: lead left flat turns hard within days.' }]
        : []),
      ACID,
    ],
    // What was measured answers its own check: a charge told from volts is no gravity.
    feeds: {
      finding:
        byGravity === null
          ? { check: 'pack-volts', value: v.restVolts!, unit: 'V' }
          : { check: 'gravity-test', value: byGravity, unit: '%' },
    },
  };
}

/** Less than any charge explains: no percentage is said. */
function deadCell(cellV: number): GaugeAnswer {
  return {
    says: `${cellV.toFixed(2)} V a cell: a dead cell, emptied too far, or the cells were counted wrong.`,
    tone: 'bad',
    figures: [{ label: 'A cell', value: cellV, quantity: 'voltage' }],
    notes: [
      {
        sort: 'caution',
        text: 'Do not charge it before each cell is tested: a dead cell boils and gases beside the good ones.',
      },
      ACID,
    ],
  };
}

function runTime(v: Values): GaugeAnswer {
  const hours = peukertHours(v.rated!, v.ratedHours!, v.current!, v.peukert!);
  return {
    says: `About ${hours < 1 ? `${(60 * hours).toFixed(0)} min` : `${hours.toFixed(1)} h`}, new and full.`,
    tone: 'plain',
    figures: [
      { label: 'Run time', value: hours, quantity: 'duration' },
      { label: 'Capacity at this current', value: hours * v.current!, quantity: 'charge' },
    ],
    notes: [{ sort: 'range', text: 'To empty, new and warm: plan with half of it for lead-acid.' }, ACID],
  };
}
