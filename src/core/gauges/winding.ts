import { brushHoursLeft } from '../motor/brushLife';
import { oddBars } from '../motor/commutatorBars';
import { atTemperature, windingTemperatureC } from '../motor/winding';
import { choice, quantity, rows, type ValuesOf } from './fields';
import { gauge, type Figure, type GaugeAnswer, type Note } from './gauge';
import { refuse } from './readFields';

/** Twins of one make differ by so much. Common practice, no source. */
const TWINS_DIFFER = 0.05;

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
  ohm: quantity('resistance', 'Measured', [0.001, 1e8], coil),
  at: quantity('temperature', 'Its temperature', [-20, 180], coil),
  twinOhm: quantity('resistance', 'Twin or nameplate', [0.001, 1e8], coil),
  twinAt: quantity('temperature', 'At', [-20, 180], coil),
  meter: quantity('percent', 'Meter good to', [0.1, 20], coil),
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
  purpose: 'Which bars stand out, whether a winding agrees with its twin, how long a carbon brush lasts.',
  version: 1,
  fields,
  formulas: [
    {
      text: 'Odd bars: modified z-score 0.6745·(x − median)/MAD over 3.5; high is an open coil or a bad joint, low shorted turns.',
      source: 'Iglewicz & Hoaglin 1993; NIST/SEMATECH e-Handbook 1.3.5.17.',
    },
    {
      text: 'Copper: resistance in proportion to temperature + 234.5 °C.',
      source: 'IEC 60335-1, method of resistance, from memory.',
    },
    { text: 'Twins agree within 5 % and the meters’ uncertainty.', source: 'Common practice, no source.' },
    { text: 'Brush hours: wear in proportion to running.', source: 'Common practice, no source.' },
    {
      text: 'The burnt edge of a carbon brush is the trailing one, where the bars leave: it goes back that way round.',
      source: 'Common practice, no source.',
    },
  ],
  answers: ['bar-to-bar-ohms', 'motor-winding-ohms', 'carbon-brush-length'],
  usual: ['meter'],
  example: {
    asks: 'bars',
    readings: '1.21 1.20 1.22 1.21 1.19 1.20 2.95 1.21 1.22 1.20 1.21 0.62 1.20 1.21 1.22 1.20',
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
  const pair = (b: [number, number]) => `${b[0]}–${b[1]}`;
  const words = odd.map(
    (o) => `${o.is === 'open' ? 'Open coil or bad joint' : 'Shorted turns'} at bars ${pair(o.bars)}`,
  );
  return {
    says:
      odd.length === 0
        ? `All ${ohms.length} alike: the armature winding is sound.`
        : `${words.slice(0, 3).join('. ')}${words.length > 3 ? `, and ${words.length - 3} more` : ''}.`,
    tone: odd.length === 0 ? 'good' : 'bad',
    figures: [
      { label: 'Median', value: median, quantity: 'resistance' },
      { label: 'Furthest from it', value: 100 * spread, quantity: 'percent' },
      ...odd.map((o): Figure => ({
        label: `Bars ${pair(o.bars)}`,
        value: o.ohm,
        quantity: 'resistance',
        remark: `${o.is}, score ${o.score.toFixed(1)}`,
      })),
    ],
    notes: [
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
        bars: ohms.map((value, i) => ({ name: String(i + 1), value, odd: odd.some((o) => o.bars[0] === i + 1) })),
      },
    ],
    feeds: { finding: { check: 'bar-to-bar-ohms', value: 100 * spread, unit: '%' } },
  };
}

function twin(v: Values): GaugeAnswer {
  const expected = atTemperature(v.twinOhm!, v.twinAt!, v.at!);
  const off = v.ohm! / expected - 1;
  const sigma = Math.hypot(TWINS_DIFFER, (Math.SQRT2 * v.meter!) / 100);
  const agrees = Math.abs(off) <= 2 * sigma;
  const notes: Note[] = [];
  if (v.toFrame !== undefined && v.toFrame < 2e6)
    notes.push({
      sort: 'caution',
      text: 'Under 2 MΩ to the frame: no power until it is dried and measured again, or replaced.',
    });
  return {
    says: agrees
      ? `Agrees with its twin: ${(100 * off).toFixed(1)} %.`
      : off < 0
        ? `${(-100 * off).toFixed(0)} % too low: shorted turns.`
        : `${(100 * off).toFixed(0)} % too high: a bad joint, or a coil gone.`,
    tone: agrees ? (notes.length ? 'doubt' : 'good') : 'bad',
    figures: [
      {
        label: 'Expected',
        value: expected,
        quantity: 'resistance',
        plusMinus: sigma * expected,
        remark: `the twin at ${v.at!.toFixed(0)} °C`,
      },
      { label: 'Off by', value: 100 * off, quantity: 'percent' },
      // Only a reading that is too high can be a warm winding.
      ...(off > 0
        ? [
            {
              label: 'Or it is warmer',
              value: windingTemperatureC(v.twinOhm!, v.twinAt!, v.ohm!),
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
    feeds: { finding: { check: 'motor-winding-ohms', value: v.ohm!, unit: 'Ω', condition: 'winding' } },
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
