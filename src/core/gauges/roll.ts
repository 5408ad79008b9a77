import { bristleWear, dayAtStandOut } from '../drive/bristleWear';
import { count, quantity, rows } from './fields';
import { gauge, type Figure, type GaugeAnswer, type Note } from './gauge';
import { refuse } from './readFields';

const DAY_MS = 86_400_000;
const dayText = (day: number) => new Date(day * DAY_MS).toISOString().slice(0, 10);
/** Beyond this a forecast is a guess. */
const FAR_DAYS = 3 * 365;
/** A forecast further ahead than so many times the days that were measured is a guess. Common practice, no source. */
const FAR_SPANS = 4;
/** Beyond this no day is named: nobody keeps a roll so long. */
const NEVER_DAYS = 15 * 365;

const fields = {
  readings: rows(
    'Bristle stand-out, day by day',
    { day: { label: 'Day', is: 'date' }, standOut: { label: 'Stand-out', is: 'length', min: 0, max: 40 } },
    [1, 60],
    { hint: 'a line each: 2026-03-14 8.5 mm' },
  ),
  reach: quantity('length', 'Still reaches, down to', [0, 40], {
    hint: 'stand-out at this cam step; below it the roll misses the carpet',
  }),
  step: quantity('length', 'A cam step lowers it by', [0, 10], { hint: '0 when there is no cam' }),
  steps: count('Cam steps still left', [0, 12]),
  worn: quantity('length', 'Replace below', [0.2, 30], { hint: 'hard against the wear mark' }),
};

export const roll = gauge({
  id: 'roll',
  label: 'Roll',
  group: 'drive',
  purpose: 'How fast the bristles wear, when to turn the cam a step, when the roll is done.',
  version: 3,
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
      text: 'Further ahead than four times the days that were measured, a day is a guess and makes no plan.',
      source: 'Common practice, no source.',
    },
    {
      text: 'The roll is done when no step is left and it no longer reaches, or at the wear mark, whichever comes first.',
      source: 'Common practice, no source.',
    },
  ],
  answers: ['bristle-height'],
  measures: ['roll'],
  usual: [],
  example: {
    readings: '2026-01-10 9.6 mm\n2026-03-14 8.9 mm\n2026-06-02 8.1 mm\n2026-09-20 7.0 mm',
    reach: '6.5 mm',
    step: '1.5 mm',
    steps: '2',
    worn: '4 mm',
  },
  reckon(v, { today }): GaugeAnswer {
    const now = Date.parse(`${today}T00:00:00Z`) / DAY_MS;
    const readings = v.readings
      .map((r) => ({ day: r.day / DAY_MS, standOutMm: r.standOut }))
      .sort((a, b) => a.day - b.day);
    const last = readings.at(-1)!;
    if (last.day > now) refuse('readings', `${dayText(last.day)} is still to come.`);
    const finding = { check: 'bristle-height', value: last.standOutMm, unit: 'mm' };
    if (readings[0]!.day === last.day) return byOne(last.standOutMm, v, finding);
    const wear = bristleWear(readings);
    const figures: Figure[] = [
      {
        label: 'Wear in 100 days',
        value: 100 * wear.perDayMm,
        quantity: 'length',
        plusMinus: (100 * (wear.highMm - wear.lowMm)) / 3.92,
      },
      { label: 'Stand-out today, by the line', value: Math.max(0, wear.at(now)), quantity: 'length' },
    ];
    const points = readings.map((r): [number, number] => [r.day * DAY_MS, r.standOutMm]);
    const days = dayAtStandOut(wear, Math.max(v.worn, v.reach - v.step * v.steps));
    if (days === null || days - now > NEVER_DAYS) {
      const { says, tone } = byOne(last.standOutMm, v, finding);
      return {
        says: tone === 'good' ? 'Hardly any wear can be seen in these readings: no day can be told.' : says,
        tone,
        figures,
        notes: [
          {
            sort: 'range',
            text: 'Nothing can be forecast from bristles that do not wear: measure at the same place each time.',
          },
        ],
        feeds: { finding },
      };
    }
    const end = Math.max(v.worn, v.reach - v.step * v.steps);
    const stepDay = v.steps > 0 && v.step > 0 ? dayAtStandOut(wear, Math.max(v.reach, v.worn)) : null;
    const doneDay = dayAtStandOut(wear, end)!;
    const notes: Note[] = [];
    if (readings.length < 3)
      notes.push({ sort: 'range', text: 'Two readings make a line but no certainty: it may be off by half.' });
    const span = last.day - readings[0]!.day;
    const next = stepDay !== null && stepDay < doneDay ? stepDay : doneDay;
    const isGuess = next > now && next - last.day > FAR_SPANS * span;
    if (isGuess)
      notes.push({
        sort: 'range',
        text: `${span === 1 ? 'One day' : `${span} days`} of wear ${span === 1 ? 'tells' : 'tell'} little of ${Math.round(next - last.day)} days to come: measure again in some weeks.`,
      });
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
    const about = isGuess ? 'perhaps' : 'about';
    const first = Math.min(...points.map((p) => p[0]));
    const until = Math.max(doneDay, last.day + 1) * DAY_MS;
    return {
      says:
        doneDay <= now
          ? 'The roll is done: replace it.'
          : due !== null && due <= now
            ? `Turn the cam a step now; a new roll about ${dayText(doneDay)}.`
            : `${due === null ? '' : `Next cam step ${about} ${dayText(due)}, a `}${due === null ? 'A ' : ''}new roll ${about} ${dayText(doneDay)}.`,
      tone: doneDay <= now ? 'bad' : (due !== null && due <= now) || isGuess ? 'doubt' : 'good',
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
              points: [first, until].map((x): [number, number] => [x, wear.at(x / DAY_MS)]),
            },
            { name: 'measured', as: 'points', points },
            { name: 'still reaches', as: 'limit', points: [first, until].map((x): [number, number] => [x, v.reach]) },
            { name: 'replace', as: 'limit', points: [first, until].map((x): [number, number] => [x, v.worn]) },
          ],
        },
      ],
      feeds: {
        finding,
        // A guess is no date for a plan.
        ...(!isGuess && { plan: { item: 'bristles', dueOn: dayText(Math.max(now, due ?? doneDay)) } }),
      },
    };
  },
});

/** What the bristles say as they stand now, without a line through the days. */
function byOne(
  standOutMm: number,
  v: { reach: number; step: number; steps: number; worn: number },
  finding: NonNullable<NonNullable<GaugeAnswer['feeds']>['finding']>,
): GaugeAnswer {
  const canStep = v.steps > 0 && v.step > 0;
  const reaches = standOutMm >= v.reach;
  // Steps that are needed at once, so that it reaches again.
  const needed = reaches ? 0 : Math.ceil((v.reach - standOutMm) / v.step - 1e-9);
  const answer =
    standOutMm < v.worn || (!reaches && (!canStep || needed > v.steps))
      ? { says: 'The roll is done: replace it.', tone: 'bad' as const }
      : reaches
        ? { says: 'It reaches: measure again after some weeks, and the wear can be told.', tone: 'good' as const }
        : { says: `Turn the cam ${needed === 1 ? 'a step' : `${needed} steps`} now.`, tone: 'doubt' as const };
  return { ...answer, figures: [], feeds: { finding } };
}
