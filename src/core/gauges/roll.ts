import { bristleWear, dayAtStandOut } from '../drive/bristleWear';
import { count, quantity, rows } from './fields';
import { gauge, type Figure, type GaugeAnswer, type Note } from './gauge';
import { refuse } from './readFields';

const DAY_MS = 86_400_000;
const dayText = (day: number) => new Date(day * DAY_MS).toISOString().slice(0, 10);
/** Beyond this a forecast is a guess. */
const FAR_DAYS = 3 * 365;

const fields = {
  readings: rows(
    'Bristle stand-out, day by day',
    { day: { label: 'Day', is: 'date' }, standOut: { label: 'Stand-out', is: 'length', min: 0, max: 40 } },
    [2, 60],
    { hint: 'a line each: 2026-03-14 8.5 mm' },
  ),
  reach: quantity('length', 'Stand-out that still reaches, this cam step', [0, 40], {
    hint: 'below it the roll misses the carpet',
  }),
  step: quantity('length', 'One cam step lowers the roll by', [0, 10], { hint: '0 when there is no cam' }),
  steps: count('Cam steps still left', [0, 12]),
  worn: quantity('length', 'Replace below', [0.2, 30], { hint: 'hard against the wear mark' }),
};

export const roll = gauge({
  id: 'roll',
  label: 'Roll',
  purpose: 'How fast the bristles wear, when to turn the cam a step, when the roll is done.',
  version: 1,
  fields,
  formulas: [
    {
      text: 'Wear: the median of the slopes between all pairs of readings (Theil–Sen), with a 95 % interval.',
      source: 'Theil 1950; Sen 1968.',
    },
    {
      text: 'Next step on the day the line reaches the stand-out that still reaches; each step gains its own height.',
      source: 'Geometry.',
    },
    {
      text: 'The roll is done when no step is left and it no longer reaches, or at the wear mark, whichever comes first.',
      source: 'Common practice, no source.',
    },
  ],
  answers: ['bristle-height'],
  usual: [],
  example: {
    readings: '2026-01-10 9.6 mm\n2026-03-14 8.9 mm\n2026-06-02 8.1 mm\n2026-09-20 7.0 mm',
    reach: '6.5 mm',
    step: '1.5 mm',
    steps: '2',
    worn: '4 mm',
  },
  reckon(v, { today }): GaugeAnswer {
    const readings = v.readings.map((r) => ({ day: r.day / DAY_MS, standOutMm: r.standOut }));
    if (new Set(readings.map((r) => r.day)).size < 2) refuse('readings', 'Readings of two different days are needed.');
    const wear = bristleWear(readings);
    const now = Date.parse(`${today}T00:00:00Z`) / DAY_MS;
    const figures: Figure[] = [
      {
        label: 'Wear in 100 days',
        value: 100 * wear.perDayMm,
        quantity: 'length',
        plusMinus: (100 * (wear.highMm - wear.lowMm)) / 3.92,
      },
      { label: 'Stand-out today, by the line', value: wear.at(now), quantity: 'length' },
    ];
    const points = readings.map((r): [number, number] => [r.day * DAY_MS, r.standOutMm]);
    if (wear.perDayMm <= 0)
      return {
        says: 'No wear can be seen in these readings.',
        tone: 'good',
        figures,
        notes: [
          {
            sort: 'range',
            text: 'Nothing can be forecast from bristles that do not wear: measure at the same place each time.',
          },
        ],
      };
    const end = Math.max(v.worn, v.reach - v.step * v.steps);
    const stepDay = v.steps > 0 && v.step > 0 ? dayAtStandOut(wear, Math.max(v.reach, v.worn)) : null;
    const doneDay = dayAtStandOut(wear, end)!;
    const notes: Note[] = [];
    if (readings.length < 3)
      notes.push({ sort: 'range', text: 'Two readings make a line but no certainty: it may be off by half.' });
    if (doneDay - now > FAR_DAYS) notes.push({ sort: 'range', text: 'More than three years ahead: a guess.' });
    if (stepDay !== null)
      figures.push({
        label: 'Days to the next cam step',
        value: Math.max(0, stepDay - now),
        quantity: 'number',
        remark: dayText(stepDay),
      });
    figures.push({
      label: 'Days to a new roll',
      value: Math.max(0, doneDay - now),
      quantity: 'number',
      remark: dayText(doneDay),
    });
    const due = stepDay !== null && stepDay < doneDay ? stepDay : null;
    const first = Math.min(...points.map((p) => p[0]));
    const last = doneDay * DAY_MS;
    return {
      says:
        doneDay <= now
          ? 'The roll is done: replace it.'
          : due !== null && due <= now
            ? `Turn the cam a step now; a new roll about ${dayText(doneDay)}.`
            : `${due === null ? '' : `Next cam step about ${dayText(due)}, a `}${due === null ? 'A ' : ''}new roll about ${dayText(doneDay)}.`,
      tone: doneDay <= now ? 'bad' : due !== null && due <= now ? 'doubt' : 'good',
      figures,
      notes,
      drawings: [
        {
          draw: 'chart',
          label: 'Bristle stand-out against time',
          x: 'date',
          y: 'length',
          series: [
            {
              name: 'by the line',
              as: 'line',
              points: [first, last].map((x): [number, number] => [x, wear.at(x / DAY_MS)]),
            },
            { name: 'measured', as: 'points', points },
            { name: 'still reaches', as: 'limit', points: [first, last].map((x): [number, number] => [x, v.reach]) },
            { name: 'replace', as: 'limit', points: [first, last].map((x): [number, number] => [x, v.worn]) },
          ],
        },
      ],
      feeds: {
        finding: { check: 'bristle-height', value: readings.at(-1)!.standOutMm, unit: 'mm' },
        plan: { item: 'bristles', dueOn: dayText(Math.max(now, due ?? doneDay)) },
      },
    };
  },
});
