import { dryingTime } from '../dry/dryingTime';
import { judgeWeighings } from '../dry/judgeWeighings';
import { dryingFactor, wetBulbC } from '../dry/moistAir';
import { formatQuantity } from '../units/units';
import { choice, quantity, rows, type ValuesOf } from './fields';
import { gauge, type GaugeAnswer, type Note } from './gauge';
import { refuse } from './readFields';

/** A washed part is dry when so little of its dry weight is water. Common practice, no source. */
const DRY_PERCENT = 1;
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

const weighed = { when: { field: 'asks', is: ['weighed'] } } as const;
const plain = { when: { field: 'asks', is: ['clock'] } } as const;

const fields = {
  asks: choice('How', { weighed: 'By weighing', clock: 'By the clock' }),
  weighings: rows(
    'Weighings',
    { at: { label: 'Time', is: 'clock' }, weight: { label: 'Weight', is: 'mass', min: 0.1, max: 50_000 } },
    [2, 60],
    { ...weighed, hint: 'a line each: 10:30 1250 g; past midnight goes on' },
  ),
  dryWeight: quantity('mass', 'Dry weight, if known', [0.1, 50_000], {
    ...weighed,
    optional: true,
    hint: 'of a new one; else three weighings',
  }),
  scale: quantity('mass', 'Scale good to', [0.01, 100], weighed),
  what: choice(
    'What dries',
    { filter: 'Washed filter', foam: 'Foam', roll: 'Brush roll', tank: 'Tank or bin', felt: 'Thick felt or bag' },
    plain,
  ),
  room: quantity('temperature', 'Room', [2, 45], { ...plain, hint: 'where it dries' }),
  humidity: quantity('percent', 'Relative humidity', [5, 100], {
    ...plain,
    hint: '50 % is usual; a wet day indoors 80 %',
  }),
  air: choice('Where', { still: 'On the rack', moving: 'Before a fan', warm: 'Warm and moving, under 40 °C' }, plain),
};

type Values = ValuesOf<typeof fields>;

/** Hours on the rack in still air at 20 °C; moving air takes about half, warm moving air a third. Common practice, no source. */
const HOURS = { filter: 24, foam: 24, roll: 6, tank: 3, felt: 36 } as const;
const SHARE = { still: 1, moving: 0.5, warm: 0.35 } as const;

export const dryAndWait = gauge({
  id: 'dry-and-wait',
  label: 'Dry and wait',
  group: 'waiting',
  purpose: 'When a washed part is dry: from a few weighings, or by the plain clock.',
  version: 3,
  fields,
  formulas: [
    {
      text: 'Weight = dry + water · e^(−t/τ), least squares; dry when 1 % of the dry weight is left, or what the scale can tell.',
      source: 'Falling-rate drying, any handbook; the 1 % is common practice, no source.',
    },
    {
      text: 'Equal weights are dry only when the scale would have seen what is lost in that time; at a steady rate the end cannot be told.',
      source:
        'Constant-rate and falling-rate drying, any handbook; 8 h for the slowest part, common practice, no source.',
    },
    {
      text: 'By the clock: a full day for a filter in still air of 20 °C and 50 %, half before a fan; longer and shorter as a wet surface cools less or more below the air.',
      source:
        'Hours are common practice, no source; wet bulb: ASHRAE Handbook Fundamentals, Psychrometrics (Hyland & Wexler 1983), from memory.',
    },
  ],
  answers: [],
  usual: ['scale', 'room', 'humidity'],
  example: {
    asks: 'weighed',
    weighings: '09:00 182 g\n10:30 161 g\n12:00 147 g\n13:30 138 g',
    dryWeight: '',
    scale: '0.5 g',
    what: 'filter',
    room: '20 °C',
    humidity: '50',
    air: 'still',
  },
  reckon: (v) => (v.asks === 'weighed' ? byWeighing(v) : byTheClock(v)),
});

function byTheClock(v: Values): GaugeAnswer {
  const factor = dryingFactor(v.room!, v.humidity! / 100);
  if (factor === Infinity)
    return {
      says: 'It does not dry in this air: take it where it is warmer or drier.',
      tone: 'bad',
      figures: [],
      notes: [DAMP],
    };
  const hours = HOURS[v.what!] * SHARE[v.air!] * factor;
  return {
    says: `${hours.toFixed(0)} h, and felt dry before it goes in.`,
    tone: 'plain',
    figures: [
      { label: 'Wait', value: hours, quantity: 'duration' },
      { label: 'A wet surface cools to', value: wetBulbC(v.room!, v.humidity! / 100), quantity: 'temperature' },
      {
        label: 'Against usual air',
        value: factor,
        quantity: 'number',
        remark: 'times as long as at 20 °C and 50 %',
      },
    ],
    notes: [
      { sort: 'range', text: 'A rule of thumb: weigh it twice and the forecast is its own.' },
      { sort: 'caution', text: 'A damp filter blocks, smells and wets the motor: dry first.' },
    ],
    feeds: { wait: { kind: 'drying', what: v.what!, hours } },
  };
}

function byWeighing(v: Values): GaugeAnswer {
  let shift = 0;
  let last = -Infinity;
  const at = v.weighings!.map((w) => {
    // Clock times without a day that run backwards have passed midnight.
    if (w.at + shift < last && w.at < DAY_MS) shift += DAY_MS;
    last = w.at + shift;
    return { ms: last, grams: w.weight };
  });
  const first = at[0]!.ms;
  const points = at.map((p) => ({ hours: (p.ms - first) / HOUR_MS, grams: p.grams }));
  if (points.some((p, i) => i > 0 && p.hours <= points[i - 1]!.hours))
    refuse('weighings', 'In the order of time, each later than the last.');
  if (v.dryWeight === undefined && points.length < 3)
    refuse('weighings', 'Three weighings, or the dry weight and two.');
  if (v.dryWeight !== undefined && points.at(-1)!.grams < v.dryWeight - 2 * v.scale!)
    refuse('dryWeight', 'It already weighs less than that.');
  const lightest = Math.min(...points.map((p) => p.grams));
  const allowedG = Math.max((DRY_PERCENT / 100) * (v.dryWeight ?? lightest), v.scale!);
  const verdict = judgeWeighings(points, allowedG, v.scale!);
  if (verdict.is === 'heavier')
    refuse('weighings', `Weighing ${verdict.at} is heavier than one before it: weigh again, or it has taken up water.`);
  const known = v.dryWeight === undefined ? null : points.at(-1)!.grams - v.dryWeight;
  const isDry = known !== null && known <= allowedG;
  if (verdict.is === 'still' && !isDry) return noLoss(verdict, known);
  if (verdict.is === 'steady' && !isDry) return steadily(verdict.gramsPerHour, known, allowedG);
  const probe = dryingTime(points, 1, v.scale!, v.dryWeight);
  if (!probe) return { says: 'It does not get lighter: give it air, and weigh again.', tone: 'bad', figures: [] };
  const leftG = Math.max((DRY_PERCENT / 100) * probe.dryG, v.scale!);
  const { dryG, waterG, tauHours, untilHours, between } = dryingTime(points, leftG, v.scale!, v.dryWeight)!;
  const now = points.at(-1)!.hours;
  const toGo = Math.max(0, untilHours - now);
  const [soonest, latest] = between.map((h) => Math.max(0, h - now)) as [number, number];
  const days = points.length < 4 && v.dryWeight === undefined;
  const curve = Array.from({ length: 61 }, (_, i): [number, number] => {
    const h = (i / 60) * Math.max(untilHours, now) * 1.1;
    return [h, dryG + waterG * Math.exp(-h / tauHours)];
  });
  return {
    says:
      latest === 0
        ? 'Dry.'
        : latest > UNTOLD_HOURS
          ? `Not before ${inWords(soonest)}; the end cannot be told yet. Weigh again.`
          : `Dry in ${inWords(toGo)}: 95 in 100 lie between ${inWords(soonest)} and ${inWords(latest)}.`,
    tone: latest === 0 ? 'good' : 'doubt',
    figures: [
      { label: 'Still to wait', value: toGo, quantity: 'duration' },
      { label: 'Soonest', value: soonest, quantity: 'duration', remark: 'by 95 in 100' },
      { label: 'Latest', value: latest > UNTOLD_HOURS ? null : latest, quantity: 'duration', remark: 'by 95 in 100' },
      { label: 'Water still in it', value: waterG * Math.exp(-now / tauHours), quantity: 'mass' },
      { label: 'Dry weight', value: dryG, quantity: 'mass', remark: v.dryWeight === undefined ? 'fitted' : 'given' },
      { label: 'Water falls to a third in', value: tauHours, quantity: 'duration', remark: '1/e' },
    ],
    notes: [
      ...(days
        ? [
            {
              sort: 'range' as const,
              text: 'Three weighings fit three unknowns with nothing to spare: weigh once more.',
            },
          ]
        : []),
      ...(untilHours > 5 * Math.max(now, 0.1)
        ? [{ sort: 'range' as const, text: 'Far beyond the last weighing: the forecast may be off by half.' }]
        : []),
      { sort: 'caution', text: 'A damp filter blocks, smells and wets the motor: dry first.' },
    ],
    drawings: [
      {
        draw: 'chart',
        label: 'Weight while drying',
        x: 'duration',
        y: 'mass',
        series: [
          { name: 'by the fit', as: 'line', points: curve },
          { name: 'weighed', as: 'points', points: points.map((p): [number, number] => [p.hours, p.grams]) },
          {
            name: 'dry',
            as: 'limit',
            points: [
              [0, dryG + leftG],
              [curve.at(-1)![0], dryG + leftG],
            ],
          },
        ],
      },
    ],
    // Who waits, waits until it is surely dry; where that cannot be told, until it may be.
    feeds:
      latest > 0
        ? { wait: { kind: 'drying', what: 'weighed', hours: latest > UNTOLD_HOURS ? Math.max(soonest, toGo) : latest } }
        : {},
  };
}

/** Longer than this nobody is told to wait: the weighings do not know. */
const UNTOLD_HOURS = 24 * 7;
const inWords = (hours: number) => (hours < 1.5 ? `${(60 * hours).toFixed(0)} min` : `${hours.toFixed(1)} h`);

const DAMP: Note = { sort: 'caution', text: 'A damp filter blocks, smells and wets the motor: dry first.' };

/** The weights do not fall by more than the scale can tell. */
function noLoss({ isDry, againHours }: { isDry: boolean; againHours: number }, knownG: number | null): GaugeAnswer {
  // A known dry weight is stronger than any number of equal weights: water that does not leave is still water.
  const isWet = knownG !== null;
  return {
    says: isWet
      ? `${formatQuantity('mass', knownG)} of water in it, and it does not leave: give it air.`
      : isDry
        ? 'Dry: a damp one would have lost more than the scale can miss.'
        : `No loss that this scale can see. That is no proof: weigh again in ${againHours < 20 ? `${againHours.toFixed(1)} h` : 'a day, on a finer scale'}.`,
    tone: isWet ? 'bad' : isDry ? 'good' : 'doubt',
    figures: [{ label: 'Weigh again after', value: isDry || isWet ? null : againHours, quantity: 'duration' }],
    notes: [DAMP],
  };
}

/** It loses about the same each hour: with the dry weight known so long at least, without it nobody can say. */
function steadily(gramsPerHour: number, waterG: number | null, allowedG: number): GaugeAnswer {
  const least = waterG === null ? null : Math.max(0, (waterG - allowedG) / gramsPerHour);
  return {
    says:
      least === null
        ? `Drying steadily, ${formatQuantity('mass', gramsPerHour)} an hour: the end cannot be told before it slows. Weigh again.`
        : `Dry in ${least.toFixed(1)} to ${(SLOWS * least).toFixed(1)} h: steady now, slower towards the end.`,
    tone: 'doubt',
    figures: [
      { label: 'Loses an hour', value: gramsPerHour, quantity: 'mass' },
      ...(least === null ? [] : [{ label: 'Still to wait, at least', value: least, quantity: 'duration' as const }]),
      ...(waterG === null ? [] : [{ label: 'Water still in it', value: waterG, quantity: 'mass' as const }]),
    ],
    notes: [DAMP],
    ...(least === null ? {} : { feeds: { wait: { kind: 'drying', what: 'weighed', hours: SLOWS * least } } }),
  };
}

/** The end of drying is slower than its beginning: up to so many times. Common practice, no source. */
const SLOWS = 2;
