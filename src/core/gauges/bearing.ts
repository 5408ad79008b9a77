import { bearingOdds, ratingLifeHours, RATINGS_DIFFER } from '../drive/ballBearings';
import { choice, quantity } from './fields';
import { gauge, type Figure, type GaugeAnswer, type Note } from './gauge';

/** What fingers tell, each with points against keeping it. Common practice, no source. */
const FEEL = { smooth: 0, gritty: 2, notchy: 3, seized: 4 } as const;
const PLAY = { none: 0, 'just-felt': 1, rocks: 3 } as const;
const SOUND = { quiet: 0, dry: 1, rumbles: 3 } as const;
const SEALS = { whole: 0, weeping: 1, torn: 2 } as const;
/** From so many points on it is replaced; from half of them on it depends on the price of coming back. */
const REPLACE = 3;

const fields = {
  bore: quantity('length', 'Bore', [1, 60], { hint: 'the hole' }),
  outer: quantity('length', 'Outer diameter', [2, 120]),
  width: quantity('length', 'Width', [0.5, 40]),
  caliper: quantity('length', 'Caliper good to', [0.005, 1], {
    rare: true,
    hint: '0.05 mm is usual; more on a worn ring',
  }),
  load: quantity('force', 'Load', [0.1, 20000], { optional: true, rare: true, hint: 'the belt’s pull' }),
  speed: quantity('speed', 'Speed', [1, 60000], { optional: true, rare: true }),
  place: choice('Where it runs', { dust: 'Roll end, hair and dust', motor: 'Motor, clean air', wet: 'Near water' }),
  feel: choice('Turned by hand', { smooth: 'Smooth', gritty: 'Gritty', notchy: 'Notchy', seized: 'Seized' }),
  play: choice('Rocked', { none: 'No play', 'just-felt': 'Just felt', rocks: 'Rocks' }),
  sound: choice('Spun', { quiet: 'Quiet', dry: 'Dry hiss', rumbles: 'Rumbles' }),
  seals: choice('Seals', { whole: 'Whole', weeping: 'Grease weeping', torn: 'Torn or missing' }),
};

export const bearing = gauge({
  id: 'bearing',
  label: 'Bearing',
  group: 'drive',
  purpose: 'Which bearing it is from three caliper readings, how long it lives under the belt, keep or replace.',
  version: 2,
  fields,
  formulas: [
    {
      text: 'Designation: odds from the three sizes against a table, each reading normal with the caliper’s uncertainty.',
      source:
        'Boundary dimensions ISO 15, from memory; load ratings typical of catalogues, from memory, makers differ by 15 %.',
    },
    { text: 'Rating life L10h = 10⁶/(60 n) · (C/P)³: nine of ten reach it, clean and greased.', source: 'ISO 281.' },
    {
      text: 'Keep or replace: points for feel, play, sound and seals; 3 or more replace.',
      source: 'Common practice, no source.',
    },
    { text: 'Two contact seals in dust, shields only in clean air.', source: 'Common practice, no source.' },
  ],
  answers: [],
  measures: ['bearing'],
  usual: ['caliper'],
  example: {
    bore: '5.02 mm',
    outer: '15.96 mm',
    width: '4.98 mm',
    caliper: '0.05 mm',
    load: '60 N',
    speed: '4000',
    place: 'dust',
    feel: 'gritty',
    play: 'just-felt',
    sound: 'dry',
    seals: 'whole',
  },
  reckon(v): GaugeAnswer {
    const odds = bearingOdds({ boreMm: v.bore, outerMm: v.outer, widthMm: v.width }, v.caliper);
    const first = odds[0];
    const points = FEEL[v.feel] + PLAY[v.play] + SOUND[v.sound] + SEALS[v.seals];
    const verdict =
      points >= REPLACE
        ? 'Replace it'
        : points * 2 >= REPLACE
          ? 'Replace it if the machine must not come back'
          : 'Keep it';
    const figures: Figure[] = [
      { label: 'Points against keeping it', value: points, quantity: 'number', remark: `replace from ${REPLACE}` },
    ];
    const notes: Note[] = [
      {
        sort: 'advice',
        text:
          v.place === 'dust'
            ? 'Take it with two contact seals (rubber): shields let dust in.'
            : v.place === 'wet'
              ? 'Two contact seals, and stainless if water stands there.'
              : 'Shields do in clean air and drag less at a motor’s speed.',
      },
    ];
    if (!first)
      return {
        says: `${verdict}. These sizes are nothing standard of the table: measure again, at three places.`,
        tone: 'doubt',
        figures,
        notes,
        drawings:
          v.bore < v.outer
            ? [{ draw: 'bearing', boreMm: v.bore, outerMm: v.outer, widthMm: v.width, shielded: v.place === 'motor' }]
            : [],
      };
    const { bearing: b, probability } = first;
    figures.unshift({
      label: `${b.designation}, by the table`,
      value: b.boreMm,
      quantity: 'length',
      remark: `× ${b.outerMm} × ${b.widthMm} mm`,
    });
    if (v.load !== undefined && v.speed !== undefined) {
      const hours = ratingLifeHours(b.dynamicN, v.load, v.speed);
      figures.push(
        {
          label: 'Load rating C',
          value: b.dynamicN,
          quantity: 'force',
          remark: 'typical; makers differ by 15 %',
        },
        { label: 'Rating life', value: hours, quantity: 'duration', remark: 'nine of ten, clean and greased' },
        {
          label: 'Rating life, weakest maker',
          value: hours * (1 - RATINGS_DIFFER) ** 3,
          quantity: 'duration',
          remark: `strongest ${Math.round(hours * (1 + RATINGS_DIFFER) ** 3)} h`,
        },
      );
      if (v.load > b.dynamicN / 2)
        notes.push({
          sort: 'range',
          text: 'Over half of the rating the formula no longer holds: the balls dent their track.',
        });
      if (hours > 5000 && v.place !== 'motor')
        notes.push({
          sort: 'advice',
          text: 'By load alone it would outlive the machine: here dust and hair end it, so the seals matter more than the rating.',
        });
    }
    const sure = probability > 0.9;
    return {
      says: `${verdict}. ${sure ? '' : `${Math.round(100 * probability)} % `}${b.designation}, ${b.boreMm} × ${b.outerMm} × ${b.widthMm} mm.`,
      tone: points >= REPLACE ? 'bad' : sure && points === 0 ? 'good' : 'doubt',
      figures,
      likely: odds.slice(0, 4).map((o) => ({
        label: o.bearing.designation,
        probability: o.probability,
        detail: `${o.bearing.boreMm} × ${o.bearing.outerMm} × ${o.bearing.widthMm} mm`,
      })),
      notes,
      drawings: [
        { draw: 'bearing', boreMm: b.boreMm, outerMm: b.outerMm, widthMm: b.widthMm, shielded: v.place === 'motor' },
      ],
      feeds: {
        part: {
          group: 'bearing',
          sizes: [
            { name: 'bore', mm: b.boreMm, sigmaMm: v.caliper },
            { name: 'outer', mm: b.outerMm, sigmaMm: v.caliper },
            { name: 'width', mm: b.widthMm, sigmaMm: v.caliper },
          ],
        },
      },
    };
  },
});
