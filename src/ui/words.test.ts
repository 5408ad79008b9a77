import { kinds } from '@/knowledge/kinds';
import { knowledge } from '@/knowledge';
import { checksOf } from '@/core/diagnosis/knowledge';
import './job/everyKind';
import { ageWords, stationSentence } from './board/stationState';
import { doingOf, evidenceWords, findingWords, outcomeLabel } from './job/labels';
import { dayWords } from './parts/dayWords';
import { percent } from './parts/Reading';
import { leftWords } from './parts/useNow';
import { day, night, type BenchColours } from './theme/palette';

describe('what the screen says', () => {
  test.each([
    ['2026-11-25', 'today'],
    ['2026-11-26', 'tomorrow'],
    ['2026-11-28', 'Sat 28 Nov'],
    ['2026-11-24', 'Tue 24 Nov'],
    ['2027-01-01', 'Fri 1 Jan 2027'],
  ])('%s is %s on 25 November 2026', (date, words) => expect(dayWords(date, '2026-11-25')).toBe(words));

  test('never a false certainty', () => {
    expect(percent(1)).toBe('>99 %');
    expect(percent(0.9951)).toBe('>99 %');
    expect(percent(0.62)).toBe('62 %');
    expect(percent(0.004)).toBe('<1 %');
  });

  test.each([
    [0, 'new'],
    [12, '12 d'],
    [95, '3 mo'],
    [700, '23 mo'],
    [1096, '3.0 y'],
  ])('%d days old is %s', (days, words) => expect(ageWords(days)).toBe(words));

  test('what is left of a wait', () => {
    const now = Date.parse('2026-11-25T12:00:00Z');
    expect(leftWords('2026-11-25T11:59:00Z', now)).toBe('ready');
    expect(leftWords('2026-11-25T12:20:00Z', now)).toBe('20 min');
    expect(leftWords('2026-11-26T03:30:00Z', now)).toBe('15 h 30 min');
    expect(leftWords('2026-11-29T12:00:00Z', now)).toBe('4 days');
  });

  test('a station in a sentence: proof before odds, what is open, how old', () => {
    expect(stationSentence('flat belt', { odds: 0.4, looked: true })).toBe(
      'flat belt, 40 per cent suspected, the proposed check looks here',
    );
    expect(stationSentence('flat belt', { odds: 1, proved: true, open: true, ageDays: 60 })).toBe(
      'flat belt, proved at fault, open, replaced 2 mo ago',
    );
    expect(stationSentence('hose', { odds: 0.001, ruledOut: true })).toBe('hose, ruled out');
  });
});

describe('findings in words', () => {
  const K2 = 'upright-brush-motor';
  test('an outcome, a reading, a repair', () => {
    expect(findingWords(K2, { check: 'finger-turn', outcome: 'stiff', value: null, condition: null })).toEqual({
      what: 'Turn the roll by hand',
      answer: 'stiff',
    });
    expect(findingWords(K2, { check: 'head-socket-volts', outcome: null, value: 117, condition: 'roll-on' })).toEqual({
      what: 'Volts at the head socket, roll on',
      answer: '117 V',
    });
    expect(
      findingWords(K2, { check: 'tilt-switch-ohms', outcome: null, value: 1e8, condition: 'leaned-back' }).answer,
    ).toBe('OL');
    expect(
      findingWords(K2, { check: 'repair:belt-broken', outcome: 'gone', value: null, condition: null }).answer,
    ).toBe('complaint gone');
  });

  test('evidence of every form', () => {
    expect(evidenceWords(K2, 'roll-not-turning')).toBe('Complaint: roll does not turn');
    expect(evidenceWords(K2, 'finger-turn=stuck')).toBe('Turn the roll by hand: stuck');
    expect(evidenceWords(K2, 'head-socket-volts@roll-on')).toBe('Volts at the head socket, roll on: the reading');
    expect(evidenceWords(K2, 'arrival:wet-signs')).toBe('On arrival: has been wet');
  });

  test('no check, outcome or repair of any kind is shown by its bare id', () => {
    for (const kind of kinds)
      for (const check of checksOf(knowledge, kind.id)) {
        expect(doingOf(kind.id, check.id)!.how).toHaveLength(3);
        for (const o of check.aspects.flatMap((a) => a.outcomes))
          expect(outcomeLabel(kind.id, check.id, o.id)).toBe(o.label);
      }
    for (const fault of knowledge.faults)
      for (const kind of Object.keys(fault.kinds))
        expect(doingOf(kind, `repair:${fault.id}`)!.label).toMatch(new RegExp(`^${fault.repair.label}(, run it)?$`));
    expect(doingOf(K2, 'nothing-such')).toBeNull();
  });
});

// WCAG 2.2, relative luminance and contrast ratio; 4.5 : 1 for text, 3 : 1 for marks that carry meaning.
describe.each([
  ['day', day],
  ['night', night],
] as [string, BenchColours][])('contrast of the %s bench', (_, c) => {
  const channel = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
  const luminance = (hex: string) => {
    const [r, g, b] = [1, 3, 5].map((i) => channel(Number.parseInt(hex.slice(i, i + 2), 16) / 255)) as [
      number,
      number,
      number,
    ];
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const contrast = (a: string, b: string) => {
    const [hi, lo] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
    return (hi + 0.05) / (lo + 0.05);
  };
  test('text on every ground', () => {
    for (const ground of [c.paper, c.sheet, c.well]) {
      expect(contrast(c.ink, ground)).toBeGreaterThan(7);
      expect(contrast(c.soft, ground)).toBeGreaterThan(4.5);
      expect(contrast(c.brass, ground)).toBeGreaterThan(4.5);
    }
    expect(contrast(c.onAction, c.action)).toBeGreaterThan(4.5);
    expect(contrast(c.hazard, c.hazardWash)).toBeGreaterThan(4.5);
    expect(contrast(c.ink, c.hazardWash)).toBeGreaterThan(7);
  });
  test('the lines of the board', () => {
    for (const colour of Object.values(c.lines)) expect(contrast(colour, c.paper)).toBeGreaterThan(4.5);
  });
});
