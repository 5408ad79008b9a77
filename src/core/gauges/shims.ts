import { missingWasher, shimStacks, type ShimStacks, type ShimWish, type WantedWasher } from '../motor/shimStacks';
import { shownIn } from '../units/unitSystem';
import { quantity, rows } from './fields';
import { gauge, type GaugeAnswer } from './gauge';
import { refuse } from './readFields';

const fields = {
  washers: rows(
    'Washers at hand',
    {
      thickness: { label: 'Thickness', is: 'length', min: 0.02, max: 5 },
      count: { label: 'How many', is: 'count', min: 1, max: 40, otherwise: 1 },
    },
    [1, 12],
    { hint: 'a line each: 0.2 mm × 4' },
  ),
  gap: quantity('length', 'Float without washers', [0.01, 12], { hint: 'how far the shaft moves end to end' }),
  floatLeast: quantity('length', 'Float wanted, least', [0, 5]),
  floatMost: quantity('length', 'Float wanted, most', [0, 5]),
  standOff: quantity('length', 'Stand-off without washers', [-5, 20], { hint: 'of the fan' }),
  standOffLeast: quantity('length', 'Stand-off wanted, least', [-5, 20]),
  standOffMost: quantity('length', 'Stand-off wanted, most', [-5, 20]),
};

export const shims = gauge({
  id: 'shims',
  label: 'Shims',
  group: 'motor',
  purpose: 'Which washers go at which end for the right float and the right stand-off of the fan.',
  version: 2,
  heavy: true,
  fields,
  formulas: [
    { text: 'Float = gap − all washers; stand-off = gap at the fan + washers at the fan’s end.', source: 'Geometry.' },
    {
      text: 'Every mix of washers for both ends, fewest first; when both wishes cannot be met, the smallest miss.',
      source: 'Exact search.',
    },
    { text: 'Sleeve bearings want 0.1 to 0.3 mm of float.', source: 'Common practice, no source.' },
  ],
  answers: ['end-float'],
  usual: [],
  example: {
    washers: '0.1 mm × 3\n0.2 mm × 4\n0.5 mm × 2\n1.0 mm × 1',
    gap: '1.65 mm',
    floatLeast: '0.1 mm',
    floatMost: '0.25 mm',
    standOff: '0.8 mm',
    standOffLeast: '1.4 mm',
    standOffMost: '1.6 mm',
  },
  reckon(v, { progress, units = 'metric' }): GaugeAnswer {
    const size = (x: number) => shownIn('length', x, units);
    if (v.floatLeast > v.floatMost) refuse('floatMost', 'Not less than the least.');
    if (v.standOffLeast > v.standOffMost) refuse('standOffMost', 'Not less than the least.');
    const washers = v.washers.map((w) => ({ thicknessMm: w.thickness, count: w.count }));
    const wish: ShimWish = {
      gapMm: v.gap,
      floatMm: [v.floatLeast, v.floatMost],
      standOffMm: v.standOff,
      standOffWantedMm: [v.standOffLeast, v.standOffMost],
    };
    const stacks = search(() => shimStacks(washers, wish, progress));
    const listed = (s: number[]) => (s.length === 0 ? 'none' : s.map(size).join(' + '));
    const met = stacks.missMm === 0;
    const why = [
      ...(stacks.floatMm < v.floatLeast - 1e-9 || stacks.floatMm > v.floatMost + 1e-9
        ? [`the float comes to ${size(stacks.floatMm)}, wanted ${size(v.floatLeast)} to ${size(v.floatMost)}`]
        : []),
      ...(stacks.standOffMm < v.standOffLeast - 1e-9 || stacks.standOffMm > v.standOffMost + 1e-9
        ? [
            `the stand-off comes to ${size(stacks.standOffMm)}, wanted ${size(v.standOffLeast)} to ${size(v.standOffMost)}`,
          ]
        : []),
    ];
    return {
      says: met
        ? `Fan’s end ${listed(stacks.fan)}; commutator’s end ${listed(stacks.commutator)}.`
        : `Nearest miss: ${why.join(', and ')}.`,
      tone: met ? 'good' : 'doubt',
      figures: [
        { label: 'Float', value: stacks.floatMm, quantity: 'length' },
        { label: 'Fan stand-off', value: stacks.standOffMm, quantity: 'length' },
        { label: 'Washers used', value: stacks.washers, quantity: 'number' },
        {
          label: 'At the fan’s end',
          value: stacks.fan.reduce((a, b) => a + b, 0),
          quantity: 'length',
          remark: listed(stacks.fan),
        },
        {
          label: 'At the commutator’s end',
          value: stacks.commutator.reduce((a, b) => a + b, 0),
          quantity: 'length',
          remark: listed(stacks.commutator),
        },
      ],
      notes: [
        ...(met ? [] : [{ sort: 'advice' as const, text: wantedInWords(missingWasher(washers, wish), size) }]),
        {
          sort: 'advice',
          text: 'Washers go back at the end they came from; turn the shaft by hand before the screws are tight.',
        },
      ],
      drawings: [
        {
          draw: 'shims',
          fan: stacks.fan,
          commutator: stacks.commutator,
          floatMm: stacks.floatMm,
          standOffMm: stacks.standOffMm,
        },
      ],
      feeds: { finding: { check: 'end-float', value: stacks.floatMm, unit: 'mm' } },
    };
  },
});

function wantedInWords(wanted: WantedWasher | null, size: (mm: number) => string): string {
  if (!wanted) return 'No single washer more would do it: measure gap and stand-off again, or get an assortment.';
  const { end, leastMm, mostMm, with: others } = wanted;
  const listed = (s: number[]) => (s.length === 0 ? 'none' : s.map(size).join(' + '));
  const range = mostMm - leastMm < 5e-4 ? size(leastMm) : `${size(leastMm)} to ${size(mostMm)}`;
  return `One washer more would do it, at the ${end === 'fan' ? 'fan’s' : 'commutator’s'} end: ${range}, beside ${listed(others.fan)} at the fan’s and ${listed(others.commutator)} at the commutator’s end.`;
}

/** Too many to try is said at the field. */
function search(work: () => ShimStacks): ShimStacks {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return refuse('washers', error.message);
  }
}
