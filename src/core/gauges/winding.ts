import { brushHoursLeft } from '../motor/brushLife';
import { oddBars, twoSorts } from '../motor/commutatorBars';
import { atTemperature, windingTemperatureC, type Conductor } from '../motor/winding';
import { formatQuantity, OVER_RANGE_OHM } from '../units/units';
import { choice, quantity, rows, type ValuesOf } from './fields';
import { gauge, type Figure, type GaugeAnswer, type Note } from './gauge';
import { refuse } from './readFields';

/** Less than this to the frame or the shaft is a path that must not be there: no power. Common practice, no source. */
const LEAST_TO_FRAME_OHM = 2e6;
/** Twins of one make differ by so much. Common practice, no source. */
const TWINS_DIFFER = 0.05;
/** From bar to bar no armature of a floor machine reads as much: the probes do not touch. Common practice, no source. */
const MOST_BAR_TO_BAR_OHM = 500;
/** More than ten times the median is told as "open", not as a number. */
const MOST_SPREAD_PERCENT = 1000;

const coil = { when: { field: 'asks', is: ['winding'] } } as const;
const bars = { when: { field: 'asks', is: ['bars'] } } as const;
const brush = { when: { field: 'asks', is: ['brush'] } } as const;

const fields = {
  asks: choice('What is asked', {
    bars: 'Commutator, bar to bar',
    winding: 'Winding against a twin',
    brush: 'Carbon brush',
  }),
  readings: rows('Bar-to-bar readings, all round', { ohm: { label: 'Reading', is: 'resistance', min: 0 } }, [5, 120], {
    ...bars,
    flat: true,
    hint: 'in ohms, in order, blanks between: paste a row',
  }),
  toShaft: quantity('resistance', 'Bar to shaft', [0, 1e12], {
    unit: 'MΩ',
    ...bars,
    optional: true,
    hint: 'the least of all bars, 500 V DC; OL is over range',
  }),
  which: choice(
    'Which',
    { brush: 'Brush or drive motor', suction: 'Suction motor', field: 'Field of a motor', other: 'Another' },
    coil,
  ),
  metal: choice('Wound of', { copper: 'Copper', aluminium: 'Aluminium' }, coil),
  ohm: quantity('resistance', 'Measured', [0.001, 1e8], coil),
  at: quantity('temperature', 'Its temperature', [-20, 180], coil),
  twinOhm: quantity('resistance', 'Twin or nameplate', [0.001, 1e8], coil),
  twinAt: quantity('temperature', 'At', [-20, 180], coil),
  meter: quantity('percent', 'Meter good to', [0.1, 20], { ...coil, rare: true }),
  toFrame: quantity('resistance', 'Winding to frame', [0, 1e12], {
    unit: 'MΩ',
    ...coil,
    optional: true,
    hint: '500 V DC; OL is over range',
  }),
  newMm: quantity('length', 'Brush new', [4, 80], brush),
  nowMm: quantity('length', 'Brush now', [1, 80], brush),
  leastMm: quantity('length', 'Replace at', [1, 60], { ...brush, hint: 'a third of new, or the mark' }),
  hours: quantity('duration', 'Hours run on it', [1, 100_000], brush),
  turns: choice('Commutator passes from', { 'a-to-b': 'edge A to edge B', 'b-to-a': 'edge B to edge A' }, brush),
  burnt: choice('Burnt edge', { none: 'Neither', a: 'Edge A', b: 'Edge B', both: 'Both' }, brush),
};

type Values = ValuesOf<typeof fields>;

export const winding = gauge({
  id: 'winding',
  label: 'Winding and commutator',
  group: 'motor',
  purpose: 'Which bars stand out, whether a winding agrees with its twin, how long a carbon brush lasts.',
  version: 4,
  fields,
  formulas: [
    {
      text: 'Odd bars: modified z-score 0.6745·(x − median)/MAD over 3.5; high is an open coil or a bad joint, low shorted turns.',
      source: 'Iglewicz & Hoaglin 1993; NIST/SEMATECH e-Handbook 1.3.5.17.',
    },
    {
      text: 'Resistance in proportion to temperature + 234.5 °C for copper, + 225 °C for aluminium.',
      source: 'IEC 60335-1, method of resistance; IEC 60034-1; from memory.',
    },
    {
      text: 'Twins agree within 5 % and what the meters cannot tell; up to twice as far it is a doubt.',
      source: 'Common practice, no source.',
    },
    {
      text: 'Sound: bar to bar alike, of one sort, none over 500 Ω, and no path to the shaft. Under 2 MΩ to frame or shaft: no power.',
      source: 'Common practice, no source.',
    },
    { text: 'Brush hours: wear in proportion to running.', source: 'Common practice, no source.' },
    {
      text: 'The burnt edge of a carbon brush is the trailing one, where the bars leave: it goes back that way round.',
      source: 'Common practice, no source.',
    },
  ],
  answers: ['bar-to-bar-ohms', 'motor-winding-ohms', 'suction-motor-ohms', 'field-ohms', 'carbon-brush-length'],
  measures: ['carbon', 'motor'],
  opens: {
    'bar-to-bar-ohms': { asks: 'bars' },
    'motor-winding-ohms': { asks: 'winding', which: 'brush' },
    'suction-motor-ohms': { asks: 'winding', which: 'suction' },
    'field-ohms': { asks: 'winding', which: 'field' },
    'part/carbon': { asks: 'brush' },
    'part/motor': { asks: 'winding', which: 'other' },
    'carbon-brush-length': { asks: 'brush' },
  },
  usual: ['meter'],
  example: {
    asks: 'bars',
    readings: '1.21 1.20 1.22 1.21 1.19 1.20 2.95 1.21 1.22 1.20 1.21 0.62 1.20 1.21 1.22 1.20',
    toShaft: '200 Mohm',
    which: 'brush',
    metal: 'copper',
    ohm: '3.1 ohm',
    at: '21 °C',
    twinOhm: '3.6 ohm',
    twinAt: '21 °C',
    meter: '1',
    newMm: '32 mm',
    nowMm: '21 mm',
    leastMm: '11 mm',
    hours: '420 h',
    turns: 'a-to-b',
    burnt: 'b',
  },
  reckon(v) {
    return v.asks === 'bars' ? commutator(v) : v.asks === 'winding' ? twin(v) : carbonBrush(v);
  },
});

function commutator(v: Values): GaugeAnswer {
  const ohms = v.readings!.map((r) => r.ohm);
  const { median, spread, odd } = oddBars(ohms);
  if (!(median > 0)) refuse('readings', 'Half of them are nothing: a shorted commutator, or the meter’s leads.');
  // Alike they may be, but alike open: never "sound".
  if (median > MOST_BAR_TO_BAR_OHM)
    refuse(
      'readings',
      `Half of them read ${formatQuantity('resistance', median)} or more, which no armature does from bar to bar: clean the bars, press the probes on, and measure again.`,
    );
  const opens = odd.filter((o) => o.ohm >= OVER_RANGE_OHM);
  const highest = Math.max(...ohms.filter((x) => x < OVER_RANGE_OHM));
  const spreadPercent = Math.min(MOST_SPREAD_PERCENT, 100 * spread);
  const pair = (b: [number, number]) => `${b[0]}–${b[1]}`;
  const sorts = odd.length === 0 ? twoSorts(ohms) : null;
  const leaks = v.toShaft !== undefined && v.toShaft < LEAST_TO_FRAME_OHM;
  const words = odd.map(
    (o) => `${o.is === 'open' ? 'Open coil or bad joint' : 'Shorted turns'} at bars ${pair(o.bars)}`,
  );
  return {
    says: leaks
      ? `A path to the shaft: ${formatQuantity('resistance', v.toShaft!)}. No power.`
      : odd.length > 0
        ? `${words.slice(0, 3).join('. ')}${words.length > 3 ? `, and ${words.length - 3} more` : ''}.`
        : sorts
          ? `Two sorts of readings: ${sorts.lower.count} near ${formatQuantity('resistance', sorts.lower.ohm)}, ${sorts.upper.count} near ${formatQuantity('resistance', sorts.upper.ohm)}. Not sound.`
          : v.toShaft === undefined
            ? `All ${ohms.length} alike from bar to bar. Bar to shaft is still to be measured.`
            : `All ${ohms.length} alike, and none to the shaft: the armature winding is sound.`,
    tone: leaks || odd.length > 0 || sorts ? 'bad' : v.toShaft === undefined ? 'doubt' : 'good',
    figures: [
      ...(v.toShaft === undefined
        ? []
        : [{ label: 'Bar to shaft', value: v.toShaft, quantity: 'resistance' as const }]),
      { label: 'Median', value: median, quantity: 'resistance' },
      {
        label: 'Furthest from it',
        value: opens.length > 0 ? null : 100 * spread,
        quantity: 'percent',
        ...(opens.length > 0 && { remark: `open at bars ${opens.map((o) => pair(o.bars)).join(', ')}` }),
      },
      ...odd.map((o): Figure => ({
        label: `Bars ${pair(o.bars)}`,
        value: o.ohm,
        quantity: 'resistance',
        remark: o.ohm >= OVER_RANGE_OHM ? o.is : `${o.is}, score ${o.score.toFixed(1)}`,
      })),
    ],
    notes: [
      ...(leaks ? [FRAME] : []),
      ...(sorts
        ? [
            {
              sort: 'advice' as const,
              text: 'Half of it reads otherwise than the other: a joint or a coil shared by many bars, or the probes were set further apart. Measure again from one bar to the next, all round.',
            },
          ]
        : []),
      {
        sort: 'advice',
        text: 'Turn the odd pair under the probes again before it is believed: dirt between bars reads low, a poor contact high.',
      },
      ...(ohms.length < 8
        ? [{ sort: 'range' as const, text: 'Fewer than eight bars: one odd reading weighs much.' }]
        : []),
    ],
    drawings: [
      {
        draw: 'bars',
        label: 'Resistance from bar to bar',
        y: 'Ω',
        limit: median,
        bars: ohms.map((ohm, i) => ({
          name: String(i + 1),
          // An open pair at its hundred million would press all others flat.
          ...(ohm >= OVER_RANGE_OHM ? { value: 1.3 * highest, over: 'OL' } : { value: ohm }),
          odd: odd.some((o) => o.bars[0] === i + 1),
        })),
      },
    ],
    feeds: { finding: { check: 'bar-to-bar-ohms', value: spreadPercent, unit: '%' } },
  };
}

const FRAME: Note = {
  sort: 'caution',
  text: 'Under 2 MΩ to the frame or the shaft: no power until it is dried and measured again, or replaced.',
};

function twin(v: Values): GaugeAnswer {
  const metal: Conductor = v.metal!;
  const leaks = v.toFrame !== undefined && v.toFrame < LEAST_TO_FRAME_OHM;
  if (v.twinOhm! >= OVER_RANGE_OHM) refuse('twinOhm', 'The twin is open itself: it is no measure.');
  const isOpen = v.ohm! >= OVER_RANGE_OHM;
  const expected = atTemperature(v.twinOhm!, v.twinAt!, v.at!, metal);
  const off = v.ohm! / expected - 1;
  const sigma = Math.hypot(TWINS_DIFFER, (Math.SQRT2 * v.meter!) / 100);
  const agrees = Math.abs(off) <= sigma;
  const isNear = !agrees && Math.abs(off) <= 2 * sigma;
  const means = off < 0 ? 'shorted turns' : 'a bad joint, or a coil gone';
  const notes: Note[] = [];
  if (leaks) notes.push(FRAME);
  if (isNear && !isOpen)
    notes.push({
      sort: 'advice',
      text: 'Twins may differ by as much: compare with another one, both at room temperature.',
    });
  const ofTwin = isOpen
    ? 'Open: nothing goes through the winding.'
    : agrees
      ? `Agrees with its twin: ${(100 * off).toFixed(1)} %.`
      : `${Math.abs(100 * off).toFixed(0)} % too ${off < 0 ? 'low' : 'high'}: ${isNear ? 'perhaps ' : ''}${means}.`;
  return {
    // Whatever the twin says, a path to the frame comes first: it can kill.
    says: leaks ? `A path to the frame: ${formatQuantity('resistance', v.toFrame!)}. No power. ${ofTwin}` : ofTwin,
    tone: leaks || isOpen ? 'bad' : agrees ? 'good' : isNear ? 'doubt' : 'bad',
    figures: [
      {
        label: 'Expected',
        value: expected,
        quantity: 'resistance',
        plusMinus: sigma * expected,
        remark: `the twin at ${v.at!.toFixed(0)} °C`,
      },
      ...(isOpen ? [] : [{ label: 'Off by', value: 100 * off, quantity: 'percent' as const }]),
      // Only a reading that is too high can be a warm winding.
      ...(off > 0 && !isOpen
        ? [
            {
              label: 'Or it is warmer',
              value: windingTemperatureC(v.twinOhm!, v.twinAt!, v.ohm!, metal),
              quantity: 'temperature' as const,
              remark: 'if it is sound',
            },
          ]
        : []),
      ...(v.toFrame === undefined
        ? []
        : [{ label: 'To the frame', value: v.toFrame, quantity: 'resistance' as const }]),
    ],
    notes,
    feeds: windingFinding(v, leaks),
  };
}

const CHECKS = { brush: 'motor-winding-ohms', suction: 'suction-motor-ohms' } as const;

/** The check that was asked is answered, and no other motor's. */
function windingFinding(v: Values, leaks: boolean): GaugeAnswer['feeds'] {
  if (v.which === 'other') return {};
  if (v.which === 'field') return leaks ? {} : { finding: { check: 'field-ohms', value: v.ohm!, unit: 'Ω' } };
  const check = CHECKS[v.which!];
  return {
    finding: leaks
      ? { check, value: v.toFrame!, unit: 'Ω', condition: 'frame' }
      : { check, value: v.ohm!, unit: 'Ω', condition: 'winding' },
  };
}

function carbonBrush(v: Values): GaugeAnswer {
  if (v.nowMm! > v.newMm!) refuse('nowMm', 'Longer than new: measure again.');
  if (v.leastMm! >= v.newMm!) refuse('leastMm', 'Shorter than new.');
  const hours = v.nowMm! < v.newMm! ? brushHoursLeft(v.newMm!, v.nowMm!, v.leastMm!, v.hours!) : null;
  const trailing = v.turns === 'a-to-b' ? 'b' : 'a';
  const notes: Note[] = [{ sort: 'advice', text: `Edge ${trailing.toUpperCase()} trails: the bars leave there.` }];
  if (v.burnt === 'both')
    notes.push({
      sort: 'advice',
      text: 'Both edges burnt: it has run both ways round, or the commutator is out of round.',
    });
  const reversed = (v.burnt === 'a' || v.burnt === 'b') && v.burnt !== trailing;
  if (reversed)
    notes.push({
      sort: 'advice',
      text: 'The burnt edge leads now: it was put back the other way round. Turn it, or bed in a new pair.',
    });
  const done = v.nowMm! <= v.leastMm!;
  return {
    says: done
      ? 'Worn: replace the pair.'
      : `${hours === null ? 'No wear yet.' : `About ${hours.toFixed(0)} h left.`}${reversed ? ' It sits the wrong way round.' : ''}`,
    tone: done || reversed ? 'bad' : 'good',
    figures: [
      { label: 'Hours left', value: done ? 0 : hours, quantity: 'duration' },
      {
        label: 'Worn',
        value: (100 * (v.newMm! - v.nowMm!)) / (v.newMm! - v.leastMm!),
        quantity: 'percent',
        remark: 'of what may be worn',
      },
    ],
    notes: [
      ...notes,
      {
        sort: 'range',
        text: 'Carbon wears faster on a rough commutator and near its end: check again at half of these hours.',
      },
    ],
    feeds: { finding: { check: 'carbon-brush-length', value: v.nowMm!, unit: 'mm' } },
  };
}
