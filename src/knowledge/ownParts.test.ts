import { checksOf, stationsOf } from '@/core/diagnosis/knowledge';
import { isKey, ofStations, stationKeys } from '@/core/diagnosis/ofStations';
import { knowledge } from '.';
import { careLines } from './bench';
import { doneWords, repairNeeds, repairWorkOf, waitAfter } from './repairWork';
import { repairTexts } from './strip/repairs';

/**
 * Words of a text → what the id of a station that is meant by them has in it. Written down by itself, not taken from the keys
 * by which the texts are split.
 */
const MEANS: [RegExp, RegExp][] = [
  [/\bbelts?\b/i, /belt/],
  [/\bclutch\b/i, /clutch/],
  [/\bgears?\b/i, /gear|drive/],
  [/\bhose\b/i, /hose/],
  [/\bwand\b/i, /wand/],
  [/\bbag\b/i, /bag/],
  [/\bbin\b/i, /bin/],
  [/\bdrum\b/i, /drum/],
  [/\bcones?\b/i, /cyclone/],
  [/\bshroud\b/i, /mesh|cyclone/],
  [/\bfilter\b/i, /filter|foam|felt|central-unit/],
  [/(?<!any )\bfoam\b(?! up)/i, /foam|filter/],
  [/\bbag chamber\b/i, /(^| )(bag|bin-or-bag)( |$)/],
  [/\bfilter bay\b/i, /(pre|breather|vac)-(filter|foam)/],
  [/\btanks?\b/i, /tank/],
  [/\bsqueegee\b/i, /squeegee/],
  [/\bturbine\b/i, /turbine/],
  [/\bpedal\b/i, /pedal/],
  [/\bcarbon brush/i, /carbon|motor/],
  [/\bwheels?\b/i, /wheel/],
  [/\blatch(es)?\b/i, /latch|lock|detent/],
  [/\bcord\b/i, /cord/],
];

describe.each(knowledge.kinds.map((k) => [k.id, k] as const))(
  '%s is spoken of by the parts that it has',
  (id, kind) => {
    const own = kind.lines.flatMap((l) => l.stations.map((s) => s.id)).join(' ');
    const strange = (texts: string[]) =>
      texts.filter((t) => /[{}]/.test(t) || MEANS.some(([word, part]) => word.test(t) && !part.test(own)));

    test('in its checks', () => {
      expect(strange(checksOf(knowledge, id).flatMap((c) => c.how))).toEqual([]);
    });

    test('in what its owner is told', () => {
      const told = careLines
        .filter((l) => l.kinds.includes(id))
        .map((l) => ofStations(l.text, new Set(own.split(' '))));
      expect(strange(told)).toEqual([]);
    });

    test('in its repairs', () => {
      const faults = knowledge.faults.filter((f) => id in f.kinds);
      expect(strange(faults.flatMap((f) => repairWorkOf(id, f.id).steps.map((s) => s.label)))).toEqual([]);
    });
  },
);

test('every key by which a text of a repair or of the owner’s care is split means a part of some kind', () => {
  const anywhere = new Set(knowledge.kinds.flatMap((k) => [...stationsOf(k)]));
  const texts = [
    ...Object.values(repairTexts).flatMap((r) => [...r.steps, ...(r.renewed ?? [])]),
    ...careLines.map((l) => l.text),
  ];
  const keys = texts.flatMap(stationKeys);
  expect(keys.length).toBeGreaterThan(5);
  expect(keys.filter((k) => !isKey(k, anywhere))).toEqual([]);
});

test('where it smelled it is disinfected before it dries, and before a new part covers it', () => {
  const smelling = knowledge.faults.filter((f) => f.complaints.some((c) => c.complaint === 'bad-smell'));
  expect(smelling.length).toBeGreaterThan(10);
  for (const fault of smelling)
    for (const [kind, { station }] of Object.entries(fault.kinds))
      for (const group of [null, ...(fault.repair.parts ?? [])]) {
        const { steps } = repairWorkOf(kind, fault.id, ['bad-smell'], group === null ? [] : [{ station, group }]);
        const clean = steps.findIndex((s) => s.id === 'disinfect');
        const closes = steps.findIndex((s) => /\bdr(y|ied)\b|\bNew\b/.test(s.label));
        expect([fault.id, clean >= 0 && (closes < 0 || clean < closes)]).toEqual([fault.id, true]);
      }
});

test('a repair that may be done with a new part or without says which it was', () => {
  const on = (group: string, station = 'pre-filter') =>
    doneWords('stick-cordless', 'filter-clogged', [{ station, group }]);
  expect(doneWords('stick-cordless', 'filter-clogged', [])).toBe('Pre-motor filter washed');
  expect(on('filter')).toBe('New pre-motor filter');
  // Another filter, or another part in its place, is not this one.
  expect([on('filter', 'exhaust-foam'), on('seal')]).toEqual(Array(2).fill('Pre-motor filter washed'));
  expect(doneWords('stick-cordless', 'roll-bound-by-hair', [])).toBe('Cut the hair off roll and caps');
  expect(waitAfter('stick-cordless', 'filter-clogged', [])).toMatchObject({ kind: 'drying' });
  expect(waitAfter('stick-cordless', 'filter-clogged', [{ station: 'pre-filter', group: 'filter' }])).toBeUndefined();
  // A new motor in a wet head dries nothing.
  expect(waitAfter('stick-cordless', 'water-in-head', [{ station: 'brush-motor', group: 'motor' }])).toBeDefined();
  const open = knowledge.faults.filter(
    (f) => / (or|and) (renew|replace|fit)\b/i.test(f.repair.label) && f.repair.parts,
  );
  expect(open.filter((f) => !repairNeeds(f.id).did).map((f) => f.id)).toEqual([]);
});
