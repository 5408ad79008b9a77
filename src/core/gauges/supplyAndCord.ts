import {
  AWG_CONDUCTORS,
  currentOfOutputA,
  IEC_CONDUCTORS,
  MOTOR_EFFICIENCY,
  MOTOR_POWER_FACTOR,
  smallestConductor,
  voltageDropV,
} from '../power/cord';
import { RANGE_B_MOST, supplyOdds, type SupplyClass } from '../power/supplyReading';
import { choice, quantity, type ValuesOf } from './fields';
import { gauge, type Figure, type GaugeAnswer, type Note } from './gauge';

/** Readings of a class of multimeter on mains, part of the reading. From memory. */
const METER = { good: 0.005, usual: 0.01, poor: 0.03 } as const;

const SAYS: Record<SupplyClass, { label: string; means: string }> = {
  none: {
    label: 'nothing',
    means: 'The line is open before here: outlet, cord, switch, fuse or conductor. Measure nearer the wall.',
  },
  ghost: {
    label: 'a ghost',
    means:
      'Picked up from the neighbouring wire: the conductor is open before here. Measure with low impedance, or across a small lamp.',
  },
  low: {
    label: 'a low supply',
    means:
      'A live line through resistance: a bad joint, a burnt contact or a long thin cord before here. It falls further under load.',
  },
  supply: { label: 'a supply', means: 'All is well from the wall to here: the fault lies after this point.' },
  over: {
    label: 'over the mains',
    means:
      'More than the mains may be (110 %): a lost neutral or another voltage at this outlet. Plug out now, use nothing on it, and have a licensed electrician look at it.',
  },
};

const HIGH =
  'Nothing is open from the wall to here. Within 10 %, and more than the 127 V that ANSI C84.1 lets 120 V be (from memory): have it looked at when it stays.';

const volts = { when: { field: 'asks', is: ['reading'] } } as const;
const cord = { when: { field: 'asks', is: ['cord'] } } as const;
/** Asked for a cord, when its plate gives this. */
const plate = <const G extends string>(given: G) =>
  ({ when: { field: 'given', is: [given], and: cord.when } }) as const;

const fields = {
  asks: choice('What is asked', { reading: 'Is this a supply?', cord: 'Which cord?' }),
  read: quantity('voltage', 'Reading', [0, 1000], volts),
  roll: choice('Meanwhile', { on: 'Roll switched on', off: 'Roll switched off', none: 'Not at the head' }, volts),
  mains: quantity('voltage', 'Mains', [90, 260], { optional: true, hint: 'as the shop has it' }),
  meter: choice('Meter', { usual: 'Usual, 1 %', good: 'Good, 0.5 %', poor: 'Poor, 3 %' }, volts),
  impedance: choice('Its input', { high: 'High impedance', low: 'Low impedance' }, volts),
  given: choice(
    'Its plate gives',
    { watts: 'Watts taken in', amps: 'Amperes', shaft: 'Horsepower: what comes out' },
    cord,
  ),
  load: quantity('intake', 'Load', [1, 20000], plate('watts')),
  amps: quantity('current', 'Current on the plate', [0.05, 100], plate('amps')),
  output: quantity('power', 'Output', [1, 15000], plate('shaft')),
  length: quantity('length', 'Length', [100, 100_000], { ...cord, unit: 'm', hint: 'one way' }),
  standard: choice('Sizes', { iec: 'mm² (IEC 60228)', awg: 'AWG (ASTM B258)' }, cord),
  drop: quantity('percent', 'Drop allowed', [0.5, 15], { ...cord, rare: true, hint: '3 to 5 % is usual' }),
  hot: quantity('temperature', 'Conductor warm', [-10, 90], { ...cord, rare: true, hint: '60 °C under load' }),
};

type Values = ValuesOf<typeof fields>;

export const supplyAndCord = gauge({
  id: 'supply-and-cord',
  label: 'Supply and cord',
  group: 'power',
  purpose: 'Whether a voltage is a supply, a low one or a ghost; which conductor a new cord needs.',
  version: 3,
  fields,
  formulas: [
    {
      text: 'Odds of none, ghost, low, supply and over, from the reading, the meter’s class and its impedance.',
      source:
        'Mains ±10 %: EN 50160, IEC 60038; 110 to 127 V: ANSI C84.1, from memory. The rest is common practice, no source.',
    },
    { text: 'Resistance of IEC conductors per km at 20 °C.', source: 'IEC 60228, class 5.' },
    {
      text: 'AWG: d = 0.127 · 92^((36−n)/39) mm; copper 17.241 Ω·mm²/km, strands 2 % longer.',
      source: 'ASTM B258; IEC 60028; the 2 % from memory.',
    },
    {
      text: 'Drop = current × loop resistance at the conductor’s temperature (0.393 % per kelvin).',
      source: 'Ohm’s law; IEC 60028.',
    },
    {
      text: 'Most current per section.',
      source: 'IEC 60335-1 and North American practice, from memory: local rules win.',
    },
  ],
  answers: ['head-socket-volts'],
  measures: ['cord'],
  opens: {
    'part/cord': { asks: 'cord' },
    'head-socket-volts': { asks: 'reading' },
    'head-socket-volts/roll-on': { roll: 'on' },
    'head-socket-volts/roll-off': { roll: 'off' },
  },
  usual: ['drop', 'hot'],
  example: {
    asks: 'cord',
    given: 'watts',
    amps: '8.5 A',
    output: '1 hp',
    read: '38 V',
    meter: 'usual',
    impedance: 'high',
    roll: 'on',
    load: '1200 W',
    length: '15 m',
    standard: 'iec',
    drop: '3',
    hot: '60 °C',
  },
  reckon(v, { mainsV }) {
    return v.asks === 'reading' ? isItASupply(v, v.mains ?? mainsV) : whichCord(v, v.mains ?? mainsV);
  },
});

function isItASupply(v: Values, mains: number): GaugeAnswer {
  const sigma = METER[v.meter!] * v.read! + 0.002 * mains;
  const odds = supplyOdds(v.read!, mains, sigma, v.impedance === 'low');
  const first = odds[0]!;
  const sure = first.probability > 0.9;
  // Nothing is hung on a line that may be over the mains in order to find out.
  const mayBeOver = (odds.find((o) => o.is === 'over')?.probability ?? 0) > 0.05;
  const isHigh = mains < 200 && first.is === 'supply' && v.read! > RANGE_B_MOST * mains + sigma;
  if (v.roll === 'off' && first.is !== 'over') return rollOff(v.read!, first.is);
  const { label, means } = SAYS[first.is];
  return {
    says: sure
      ? `${label.charAt(0).toUpperCase()}${label.slice(1)}${first.is === 'over' ? ': danger' : ''}.`
      : `${Math.round(100 * first.probability)} % ${label}. Not sure: ${mayBeOver ? 'load nothing, measure again with another meter' : 'measure under load'}.`,
    tone: first.is === 'over' ? 'bad' : !sure || isHigh ? 'doubt' : first.is === 'supply' ? 'good' : 'bad',
    figures: [{ label: 'Of the mains', value: (100 * v.read!) / mains, quantity: 'percent', remark: `${mains} V` }],
    likely: odds
      .filter((o) => o.probability > 0.005)
      .map((o) => ({ label: SAYS[o.is].label, probability: o.probability })),
    notes: [
      { sort: first.is === 'over' ? 'caution' : 'advice', text: isHigh ? HIGH : means },
      ...(first.is === 'supply' || first.is === 'over'
        ? []
        : [
            {
              sort: 'caution' as const,
              text: 'Little or nothing is no proof of a dead line: prove the tester on a known live source before and after.',
            },
          ]),
      {
        sort: 'caution',
        text: 'Live measurement: competent persons only, insulated probes, one hand, nothing wet. The roll can start.',
      },
    ],
    feeds:
      v.roll === 'none'
        ? {}
        : { finding: { check: 'head-socket-volts', value: v.read!, unit: 'V', condition: `roll-${v.roll!}` } },
  };
}

/** With the roll switched off nothing should stand there but a few volts that the neighbouring wire lends. */
function rollOff(read: number, is: SupplyClass): GaugeAnswer {
  const isLive = is === 'supply' || is === 'low';
  return {
    says: isLive ? 'Live although the roll is switched off.' : 'Nothing but a ghost, as it must be with the roll off.',
    tone: isLive ? 'bad' : 'plain',
    figures: [],
    notes: [
      {
        sort: 'advice',
        text: isLive
          ? 'The brush switch does not part it, or it is bridged: the roll can start at any moment. Read the switch with the plug out.'
          : 'It says nothing about the line: switch the roll on and read once more.',
      },
      {
        sort: 'caution',
        text: 'Live measurement: competent persons only, insulated probes, one hand, nothing wet. The roll can start.',
      },
    ],
    feeds: { finding: { check: 'head-socket-volts', value: read, unit: 'V', condition: 'roll-off' } },
  };
}

function whichCord(v: Values, mains: number): GaugeAnswer {
  const current = v.amps ?? (v.output === undefined ? v.load! / mains : currentOfOutputA(v.output, mains));
  const lengthM = v.length! / 1000;
  const list = v.standard === 'iec' ? IEC_CONDUCTORS : AWG_CONDUCTORS;
  const found = smallestConductor(list, current, lengthM, (v.drop! / 100) * mains, v.hot!);
  const figures: Figure[] = [{ label: 'Current', value: current, quantity: 'current' }];
  const notes: Note[] = [
    {
      sort: 'caution',
      text: 'A new cord is a protective part: same type and earth as the old, strain relief, earth proved before power. Local rules win.',
    },
  ];
  if (v.output !== undefined)
    notes.push({
      sort: 'range',
      text: `Horsepower is what comes out: ${MOTOR_EFFICIENCY * 100} % of what goes in, at a power factor of ${MOTOR_POWER_FACTOR}, is assumed. The amperes on the plate are better.`,
    });
  if (found) {
    const drop = voltageDropV(found, current, lengthM, v.hot!);
    figures.push(
      {
        label: 'Drop',
        value: drop,
        quantity: 'voltage',
        remark: `${((100 * drop) / mains).toFixed(1)} % of ${mains} V`,
      },
      { label: 'One conductor, cold', value: (found.ohmPerKm * lengthM) / 1000, quantity: 'resistance' },
      { label: 'Section', value: found.areaMm2, quantity: 'section' },
      { label: 'May carry', value: found.mostA, quantity: 'current' },
    );
  }
  return {
    says: found ? `${found.id} or thicker.` : 'No size of the list does it: shorten the cord or allow more drop.',
    tone: found ? 'good' : 'bad',
    figures,
    notes,
    drawings: [
      {
        draw: 'bars',
        label: 'Drop by size of conductor',
        y: '% of the mains',
        limit: v.drop!,
        bars: list.map((c) => ({
          name: c.id,
          value: (100 * voltageDropV(c, current, lengthM, v.hot!)) / mains,
          odd: c.mostA < current || lengthM > (c.longestM ?? Infinity),
        })),
      },
    ],
  };
}
