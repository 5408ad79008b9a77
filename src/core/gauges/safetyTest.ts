import { safetyVerdicts, type SafetyItem } from '../power/safetyVerdict';
import { choice, quantity, rows } from './fields';
import { gauge, type Figure, type Note } from './gauge';
import { refuse } from './readFields';
import { formatQuantity } from '../units/units';

const LABELS = {
  earthOhm: { label: 'Protective earth', quantity: 'resistance', field: 'earth' },
  insulationOhm: { label: 'Insulation', quantity: 'resistance', field: 'insulation' },
  touchA: { label: 'Touch current', quantity: 'current', field: 'touch' },
  protectiveA: { label: 'Protective-conductor current', quantity: 'current', field: 'protective' },
} as const satisfies Record<SafetyItem['item'], object>;

/**
 * The table as shipped. IEC: earth 0.1 Ω + cord, insulation 1 and 2 MΩ, touch 0.5 mA, protective conductor 3.5 mA
 * (IEC 60335-1, EN 50678/50699). NA: leakage 0.75 mA earthed, 0.5 mA double insulated. All from memory.
 */
const SHIPPED_TABLE = [
  'IEC; I; 0.1 ohm; 1 Mohm; 0.5 mA; 3.5 mA',
  'IEC; II; -; 2 Mohm; 0.5 mA; -',
  'IEC; III; -; 0.25 Mohm; -; -',
  'NA; I; 0.1 ohm; 1 Mohm; -; 0.75 mA',
  'NA; II; -; 2 Mohm; 0.5 mA; -',
].join('\n');

const fields = {
  ruleSet: { sort: 'text', label: 'Rule-set', maxLength: 40, hint: 'its name in the table' } as const,
  protection: choice('Class', { I: 'I, earthed', II: 'II, double insulated', III: 'III, extra-low voltage' }),
  earth: quantity('resistance', 'Protective earth', [0, 1e8], {
    optional: true,
    when: { field: 'protection', is: ['I'] },
  }),
  cord: quantity('resistance', 'Of which the cord', [0, 5], {
    optional: true,
    when: { field: 'protection', is: ['I'] },
  }),
  insulation: quantity('resistance', 'Insulation', [0, 1e12], {
    unit: 'MΩ',
    optional: true,
    hint: '500 V DC; OL is over range',
  }),
  touch: quantity('current', 'Touch current', [0, 10], { unit: 'mA', optional: true }),
  protective: quantity('current', 'Protective-conductor current', [0, 10], {
    unit: 'mA',
    optional: true,
    when: { field: 'protection', is: ['I'] },
  }),
  tester: quantity('percent', 'Tester good to', [0.1, 20], { hint: '5 % is usual' }),
  table: rows(
    'Limits: rule-set; class; earth; insulation; touch; protective conductor',
    {
      ruleSet: { label: 'Rule-set', is: 'text' },
      protection: { label: 'Class', is: 'text' },
      earth: { label: 'Earth', is: 'resistance', min: 0, otherwise: NaN },
      insulation: { label: 'Insulation', is: 'resistance', min: 0, otherwise: NaN },
      touch: { label: 'Touch current', is: 'current', min: 0, otherwise: NaN },
      protective: { label: 'Protective-conductor current', is: 'current', min: 0, otherwise: NaN },
    },
    [1, 40],
    { hint: 'a line each; - for none; yours to change' },
  ),
};

export const safetyTest = gauge({
  id: 'safety-test',
  label: 'Safety test',
  purpose: 'Earth, insulation and leakage against the rule-set’s limits: pass, fail or ask.',
  version: 1,
  fields,
  formulas: [
    {
      text: 'Earth ≤ limit + cord; insulation ≥ limit; touch and protective-conductor current ≤ limit.',
      source: 'IEC 60335-1, EN 50678, EN 50699: limits from memory, in a table that the shop can change.',
    },
    {
      text: 'Ask, when something was not measured or lies within two uncertainties of its limit.',
      source: 'Common practice, no source.',
    },
  ],
  answers: ['motor-winding-ohms'],
  usual: ['ruleSet', 'tester', 'table'],
  example: {
    ruleSet: 'IEC',
    protection: 'I',
    earth: '0.21 ohm',
    cord: '0.15 ohm',
    insulation: '45 Mohm',
    touch: '',
    protective: '0.4 mA',
    tester: '5',
    table: SHIPPED_TABLE,
  },
  reckon(v) {
    const row = v.table.find(
      (r) => r.ruleSet.toLowerCase() === v.ruleSet.toLowerCase() && r.protection.toUpperCase() === v.protection,
    );
    if (!row) refuse('ruleSet', `The table has no line for ${v.ruleSet}, class ${v.protection}.`);
    const readings = { earthOhm: v.earth, insulationOhm: v.insulation, touchA: v.touch, protectiveA: v.protective };
    const items = safetyVerdicts(
      { earthOhm: row.earth, insulationOhm: row.insulation, touchA: row.touch, protectiveA: row.protective },
      readings,
      v.cord ?? 0,
      v.tester / 100,
    );
    if (items.length === 0) refuse('table', 'That line has no limit in it.');
    const failed = items.filter((i) => i.verdict === 'fail');
    const asked = items.filter((i) => i.verdict === 'ask');
    const name = (i: SafetyItem) => LABELS[i.item].label.toLowerCase();
    const figures = items.flatMap((i): Figure[] => [
      {
        label: LABELS[i.item].label,
        value: readings[i.item] ?? null,
        quantity: LABELS[i.item].quantity,
        remark: i.why ? `${i.verdict}: ${i.why}` : i.verdict,
      },
      { label: `limit, ${name(i)}`, value: i.limit, quantity: LABELS[i.item].quantity },
    ]);
    const notes: Note[] = [
      {
        sort: 'caution',
        text: 'Electrical safety tests belong to a competent person, where the law says so a licensed one. Local rules win over this table.',
      },
    ];
    if (failed.length > 0) notes.unshift({ sort: 'caution', text: 'Out of use, plug off or tagged, until it passes.' });
    return {
      says:
        failed.length > 0
          ? `Fail: ${failed.map(name).join(', ')}.`
          : asked.length > 0
            ? `Ask: ${asked.map((i) => `${name(i)} ${i.why}`).join('; ')}.`
            : `Pass by ${row.ruleSet}, class ${v.protection}.`,
      tone: failed.length > 0 ? ('bad' as const) : asked.length > 0 ? ('doubt' as const) : ('good' as const),
      figures,
      notes,
      feeds: {
        ...(failed.length > 0 || asked.length === 0
          ? {
              proof: {
                item: 'electrical-check',
                result: failed.length > 0 ? ('fail' as const) : ('pass' as const),
                note: '',
                rules: `${row.ruleSet}, class ${v.protection}`,
                readings: items
                  .filter((i) => readings[i.item] !== undefined)
                  .map((i) => `${name(i)} ${formatQuantity(LABELS[i.item].quantity, readings[i.item]!)}`)
                  .join(', '),
              },
            }
          : {}),
        ...(v.insulation === undefined
          ? {}
          : {
              finding: {
                check: 'motor-winding-ohms',
                value: Math.min(v.insulation, 1e8),
                unit: 'Ω',
                condition: 'frame',
              },
            }),
      },
    };
  },
});
