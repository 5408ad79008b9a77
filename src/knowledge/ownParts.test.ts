import { checksOf } from '@/core/diagnosis/knowledge';
import { knowledge } from '.';
import { repairWorkOf } from './repairWork';

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
  [/\bfoam\b(?! up)/i, /foam|filter|float/],
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

    test('in its repairs', () => {
      const faults = knowledge.faults.filter((f) => id in f.kinds);
      expect(strange(faults.flatMap((f) => repairWorkOf(id, f.id).steps.map((s) => s.label)))).toEqual([]);
    });
  },
);
