import { cellSpread, chargeFromGravity, chargeFromRestVolts, peukertHours } from '../battery/battery';
import { DischargeLogError, dischargeLog } from '../battery/dischargeLog';
import { choice, count, quantity, rows, type ValuesOf } from './fields';
import { gauge, type GaugeAnswer, type Note, type Surroundings } from './gauge';
import { refuse } from './readFields';

/** Cells this far apart at rest are out of balance; twice as far, one is failing. Common practice, no source. */
const SPREAD_V = 0.05;
/** Below this state of health a pack is worn out. Common practice, no source. */
const WORN_PERCENT = 70;

const cells = { when: { field: 'asks', is: ['cells'] } } as const;
const log = { when: { field: 'asks', is: ['log'] } } as const;
const lead = { when: { field: 'asks', is: ['lead-acid'] } } as const;
const run = { when: { field: 'asks', is: ['run-time'] } } as const;

const fields = {
  asks: choice('What is asked', {
    cells: 'Cell spread',
    log: 'Discharge log',
    'lead-acid': 'Lead-acid',
    'run-time': 'Run time',
  }),
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
  rated: quantity('charge', 'Rated capacity', [0.1, 1000], { when: { field: 'asks', is: ['log', 'run-time'] } }),
  restVolts: quantity('voltage', 'Voltage at rest', [0, 60], {
    ...lead,
    optional: true,
    hint: 'hours after charge and load',
  }),
  cellCount: count('Cells', [1, 30], lead),
  gravity: quantity('number', 'Specific gravity', [1, 1.4], { ...lead, optional: true }),
  acid: quantity('temperature', 'Acid temperature', [-20, 60], lead),
  ratedHours: quantity('duration', 'Rated at', [0.5, 100], { ...run, hint: 'hours: 5 or 20' }),
  current: quantity('current', 'Current', [0.05, 500], run),
  peukert: quantity('number', 'Peukert exponent', [1, 1.6], { ...run, hint: '1.2 flooded, 1.1 sealed, 1.03 lithium' }),
};

type Values = ValuesOf<typeof fields>;

export const pack = gauge({
  id: 'pack',
  label: 'Pack',
  purpose: 'How far the cells are apart, what a pack still holds, how charged a battery is, how long it runs.',
  version: 1,
  heavy: true,
  fields,
  formulas: [
    {
      text: 'Spread: highest less lowest cell; 0.05 V out of balance, 0.1 V a failing cell.',
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
    { text: 'Run time H · (C/(I·H))^k.', source: 'Peukert 1897; exponents common practice, no source.' },
  ],
  answers: ['cell-spread', 'gravity-test'],
  usual: ['acid', 'peukert', 'ratedHours'],
  example: {
    asks: 'cells',
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
        return spread(v);
      case 'log':
        return capacity(v, around);
      case 'lead-acid':
        return leadAcid(v);
      case 'run-time':
        return runTime(v);
    }
  },
});

const LITHIUM: Note = {
  sort: 'caution',
  text: 'Swollen, dented, hot or leaking: do not charge. Outside, in a fire-safe box, to a proper collection point.',
};
const ACID: Note = { sort: 'caution', text: 'Ventilate, no sparks, goggles and gloves, insulated tools, rings off.' };

function spread(v: Values): GaugeAnswer {
  const volts = v.volts!.map((r) => r.volts);
  const { spreadV, lowest, highest, meanV } = cellSpread(volts);
  return {
    says:
      spreadV < SPREAD_V
        ? `Even: ${(1000 * spreadV).toFixed(0)} mV apart.`
        : spreadV < 2 * SPREAD_V
          ? `Out of balance: cell ${lowest} is ${(1000 * spreadV).toFixed(0)} mV below cell ${highest}.`
          : `Cell ${lowest} is failing: ${(1000 * spreadV).toFixed(0)} mV below cell ${highest}.`,
    tone: spreadV < SPREAD_V ? 'good' : spreadV < 2 * SPREAD_V ? 'doubt' : 'bad',
    figures: [
      { label: 'Spread', value: spreadV, quantity: 'voltage' },
      { label: 'Mean', value: meanV, quantity: 'voltage' },
      { label: 'Pack', value: volts.reduce((a, b) => a + b, 0), quantity: 'voltage', remark: `${volts.length} cells` },
    ],
    notes: [LITHIUM],
    drawings: [
      {
        draw: 'bars',
        label: 'Voltage of each cell',
        y: 'V',
        limit: meanV,
        bars: volts.map((value, i) => ({ name: String(i + 1), value, odd: spreadV >= SPREAD_V && i + 1 === lowest })),
      },
    ],
    feeds: { finding: { check: 'cell-spread', value: spreadV, unit: 'V' } },
  };
}

function capacity(v: Values, { progress }: Surroundings): GaugeAnswer {
  let found;
  try {
    found = dischargeLog(v.file!, v.cutOff!, progress);
  } catch (error) {
    if (!(error instanceof DischargeLogError)) throw error;
    refuse('file', error.message);
  }
  const health = (100 * found.capacityAh) / v.rated!;
  const ended = found.endV <= v.cutOff!;
  return {
    says: `${found.capacityAh.toFixed(2)} Ah, ${health.toFixed(0)} % of the rating${health < WORN_PERCENT && ended ? ': worn out' : ''}.`,
    tone: !ended ? 'doubt' : health < WORN_PERCENT ? 'bad' : 'good',
    figures: [
      { label: 'Capacity', value: found.capacityAh, quantity: 'charge' },
      { label: 'State of health', value: health, quantity: 'percent' },
      { label: 'Energy', value: found.energyWh, quantity: 'number', remark: 'Wh' },
      { label: 'Ran for', value: found.hours, quantity: 'duration' },
      { label: 'Lines read', value: found.rows, quantity: 'number' },
    ],
    notes: [
      ...(ended
        ? []
        : [{ sort: 'range' as const, text: 'The log ends before the cut-off: the pack holds more than this.' }]),
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
  const byVolts = v.restVolts === undefined ? null : chargeFromRestVolts(v.restVolts, v.cellCount!);
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
    feeds: { finding: { check: 'gravity-test', value: charge, unit: '%' } },
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
