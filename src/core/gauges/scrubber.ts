import { bladeHoursLeft, concentrateL, coverageM2h, EDGES, tankHours } from '../scrubber/scrubber';
import { shownIn } from '../units/unitSystem';
import { choice, count, quantity, rows } from './fields';
import { gauge, type GaugeAnswer, type Note } from './gauge';
import { refuse } from './readFields';

/** Turns, filling, emptying: what is left for cleaning. Common practice, no source. */
const USUAL_SHARE = 70;

const fields = {
  width: quantity('length', 'Cleaning width', [100, 3000]),
  overlap: quantity('length', 'Overlap', [0, 1000], { rare: true, hint: '50 mm is usual' }),
  pace: quantity('pace', 'Pace', [0.05, 4], { hint: 'a walk is 1.1 m/s' }),
  share: quantity('percent', 'Of the time cleaning', [10, 100], {
    rare: true,
    hint: `${USUAL_SHARE} % with turns and filling`,
  }),
  floor: quantity('area', 'Floor', [1, 1_000_000], { optional: true }),
  tank: quantity('volume', 'Solution tank', [0.5, 1000]),
  recovery: quantity('volume', 'Recovery tank', [0.5, 1000]),
  flow: quantity('flow', 'Solution flow', [0.001, 1], { unit: 'L/min', hint: 'as on the plate' }),
  picked: quantity('percent', 'Picked up again', [10, 100], { rare: true, hint: '90 % on a dry, smooth floor' }),
  parts: count('Dilution, 1 part to', [1, 1000], { hint: 'of water, as on the label' }),
  blades: rows(
    'Squeegee blades',
    {
      blade: { label: 'Blade', is: 'text' },
      edge: { label: 'Edge in use', is: 'count', min: 1, max: EDGES },
      hours: { label: 'Hours on it', is: 'duration', min: 0, max: 2000, unit: 'h', otherwise: 0 },
    },
    [1, 8],
    { hint: 'a line each: front; 2; 30 h', grid: 'A blade has edges 1 to 4; hours on the edge that is in use.' },
  ),
  edgeHours: quantity('duration', 'Hours an edge lasts', [1, 2000]),
  pressure: choice('Deck pressure', { lowest: 'Lowest step', middle: 'Middle', highest: 'Highest' }),
};

export const scrubber = gauge({
  id: 'scrubber',
  label: 'Scrubber',
  group: 'floor',
  purpose:
    'How much floor in an hour, how long the tanks last, how much concentrate, which blade edges are left, blade by blade.',
  version: 2,
  fields,
  formulas: [
    {
      text: 'Coverage = (width − overlap) × pace × share of the time cleaning.',
      source: 'Geometry; the share is common practice, no source.',
    },
    { text: 'Endurance = tank / flow; the recovery tank fills with what is picked up.', source: 'Arithmetic.' },
    { text: 'Concentrate = tank / (parts + 1).', source: 'Definition of 1 : n.' },
    {
      text: 'A blade has four edges, turned before it is replaced; blades wear together, so the squeegee lasts as long as the first of them. Deck pressure stays at its lowest step.',
      source: 'Common practice, no source.',
    },
  ],
  answers: [],
  measures: ['squeegee'],
  usual: ['overlap', 'share', 'picked'],
  example: {
    width: '700 mm',
    overlap: '50 mm',
    pace: '1.2 m/s',
    share: '70',
    floor: '1800 m2',
    tank: '90 L',
    recovery: '100 L',
    flow: '2.4 L/min',
    picked: '90',
    parts: '64',
    blades: 'front; 2; 20 h\nrear; 3; 20 h',
    edgeHours: '50 h',
    pressure: 'middle',
  },
  reckon(v, { units = 'metric' }): GaugeAnswer {
    if (v.overlap >= v.width) refuse('overlap', 'Less than the width.');
    const coverage = coverageM2h(v.width, v.overlap, v.pace, v.share / 100);
    const flowLMin = v.flow * 60;
    const solution = tankHours(v.tank, flowLMin);
    const recovery = tankHours(v.recovery, (flowLMin * v.picked) / 100);
    // The tanks run only while it cleans.
    const endurance = Math.min(solution, recovery) / (v.share / 100);
    const blades = v.blades.map((b) => ({ ...b, left: bladeHoursLeft(b.edge, b.hours, v.edgeHours) }));
    const shortest = blades.reduce((a, b) => (b.left < a.left ? b : a));
    const due = blades.filter((b) => b.hours >= v.edgeHours);
    const notes: Note[] = [];
    if (recovery < solution)
      notes.push({
        sort: 'advice',
        text: 'The recovery tank is full first: empty it at each filling, and see that the float moves.',
      });
    if (v.pressure !== 'lowest')
      notes.push({
        sort: 'advice',
        text: 'Lower the deck pressure: more crushes the bristles, slips the belt and kills bearings. The lowest step cleans a floor that is cleaned daily.',
      });
    for (const { blade, edge } of due)
      notes.push({
        sort: 'advice',
        text:
          edge === EDGES
            ? `${blade}: no edge is left. A new blade, grooves out on the outer and in on the inner one.`
            : `${blade}: edge ${edge} has done its hours, turn it to edge ${edge + 1}.`,
      });
    notes.push({
      sort: 'caution',
      text: 'Data sheet, gloves; never mix products; nothing stays in a tank over a day.',
    });
    const fills = v.floor === undefined ? null : v.floor / (coverage * endurance);
    return {
      says: `${shownIn('area', coverage, units)} an hour, ${endurance < 1 ? `${(60 * endurance).toFixed(0)} min` : `${endurance.toFixed(1)} h`} to a filling.`,
      tone: due.length > 0 || v.pressure !== 'lowest' ? 'doubt' : 'plain',
      figures: [
        { label: 'Floor in an hour', value: coverage, quantity: 'area' },
        { label: 'Floor to a filling', value: coverage * endurance, quantity: 'area' },
        { label: 'Solution lasts', value: solution, quantity: 'duration', remark: 'running' },
        { label: 'Recovery fills in', value: recovery, quantity: 'duration', remark: 'running' },
        {
          label: 'Concentrate to a filling',
          value: concentrateL(v.tank, v.parts),
          quantity: 'volume',
          remark: `1 : ${v.parts}`,
        },
        ...(v.floor === undefined
          ? []
          : [
              {
                label: 'This floor takes',
                value: v.floor / coverage,
                quantity: 'duration' as const,
                remark: `${Math.ceil(fills! - 1e-9)} filling${fills! > 1 ? 's' : ''}`,
              },
            ]),
        ...blades.map((b) => ({
          label: `${b.blade}: edges left`,
          value: EDGES - b.edge,
          quantity: 'number' as const,
          remark: `beside edge ${b.edge} in use`,
        })),
        {
          label: 'Squeegee lasts',
          value: shortest.left,
          quantity: 'duration',
          remark: `running, until ${shortest.blade} is done`,
        },
      ],
      notes,
    };
  },
});
