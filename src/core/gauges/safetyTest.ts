import { IEC_CONDUCTORS } from '../power/cord';
import { cordEarthOhm, mostCordOhm, safetyVerdicts, type SafetyItem } from '../power/safetyVerdict';
import { choice, quantity, rows, type ValuesOf } from './fields';
import { gauge, type Figure, type InstrumentCard, type Note } from './gauge';
import { refuse } from './readFields';
import { formatQuantity } from '../units/units';

const LABELS = {
  earthOhm: { label: 'Protective earth', quantity: 'resistance', field: 'earth' },
  insulationOhm: { label: 'Insulation', quantity: 'resistance', field: 'insulation' },
  touchA: { label: 'Touch current', quantity: 'current', field: 'touch' },
  protectiveA: { label: 'Protective-conductor current', quantity: 'current', field: 'protective' },
} as const satisfies Record<SafetyItem['item'], object>;

/** In the column of the edition, for a line as it was shipped. */
const FROM_MEMORY = 'from memory';
/** For a line in which nobody named one. */
const NOT_SAID = 'edition not said';

/**
 * The table as shipped. IEC: earth 0.1 Ω + cord, insulation 1 and 2 MΩ, touch 0.5 mA, protective conductor 3.5 mA
 * (IEC 60335-1, EN 50678/50699). NA: leakage 0.75 mA earthed, 0.5 mA double insulated. All from memory.
 */
const SHIPPED_TABLE = [
  'IEC; I; 0.1; 1; 0.5; 3.5',
  'IEC; II; -; 2; 0.5; -',
  'IEC; III; -; 0.25; -; -',
  'NA; I; 0.1; 1; -; 0.75',
  'NA; II; -; 2; 0.5; -',
]
  .map((line) => `${line}; ${FROM_MEMORY}`)
  .join('\n');

const fields = {
  ruleSet: { sort: 'text', label: 'Rule-set', maxLength: 40, hint: 'its name in the table' } as const,
  protection: choice('Class', { I: 'I, earthed', II: 'II, double insulated', III: 'III, extra-low voltage' }),
  earth: quantity('resistance', 'Protective earth', [0, 1e8], {
    optional: true,
    when: { field: 'protection', is: ['I'] },
  }),
  visual: choice('Looked over', {
    'not-done': 'Not yet',
    sound: 'Sound: cord, plug, housing, strain relief',
    damaged: 'Damaged',
  }),
  cordLength: quantity('length', 'Cord, length', [100, 100_000], {
    unit: 'm',
    optional: true,
    when: { field: 'protection', is: ['I'] },
  }),
  cordSection: choice('Cord, each conductor', Object.fromEntries(IEC_CONDUCTORS.map((c) => [c.id, c.id])), {
    when: { field: 'protection', is: ['I'] },
  }),
  insulation: quantity('resistance', 'Insulation', [0, 1e12], {
    unit: 'MΩ',
    optional: true,
    hint: '500 V DC; OL is over range',
  }),
  switchOn: choice('Its switch during insulation', { unknown: 'Not known', on: 'On', off: 'Off' }),
  polarity: choice('Polarity', { none: 'Not tested, or no matter', right: 'Right', reversed: 'Reversed' }),
  touch: quantity('current', 'Touch current', [0, 10], { unit: 'mA', optional: true }),
  protective: quantity('current', 'Earth-conductor current', [0, 10], {
    unit: 'mA',
    optional: true,
    when: { field: 'protection', is: ['I'] },
  }),
  instrument: {
    sort: 'text',
    label: 'With which instrument',
    maxLength: 60,
    optional: true,
    hint: 'its name or number',
  } as const,
  who: { sort: 'text', label: 'By whom, if not by you', maxLength: 60, optional: true } as const,
  tester: quantity('percent', 'Tester good to', [0.1, 20], { rare: true, hint: '5 % is usual' }),
  table: rows(
    'Limits',
    {
      ruleSet: { label: 'Rule-set', is: 'text' },
      protection: { label: 'Class', is: 'text' },
      earth: { label: 'Earth', is: 'resistance', min: 0, otherwise: NaN },
      insulation: { label: 'Insulation', is: 'resistance', unit: 'MΩ', min: 0, otherwise: NaN },
      touch: { label: 'Touch current', is: 'current', unit: 'mA', min: 0, otherwise: NaN },
      protective: { label: 'Protective-conductor current', is: 'current', unit: 'mA', min: 0, otherwise: NaN },
      edition: { label: 'Edition', is: 'text', otherwise: NOT_SAID },
    },
    [1, 40],
    {
      rare: true,
      hint: 'a line each, numbers in the units of the head; - for none; yours to change',
      grid: 'Limits of each rule-set and class, - for none. Shipped from memory: look them up, change them, and name the edition that is in force. Local rules win.',
    },
  ),
};

export const safetyTest = gauge({
  id: 'safety-test',
  label: 'Safety test',
  group: 'power',
  purpose: 'Earth, insulation and leakage against the rule-set’s limits: pass, fail or ask.',
  version: 4,
  fields,
  formulas: [
    {
      text: 'Earth ≤ limit + cord; insulation ≥ limit; touch and protective-conductor current ≤ limit.',
      source: 'IEC 60335-1, EN 50678, EN 50699: limits from memory, in a table that the shop can change.',
    },
    {
      text: 'The cord adds its earth conductor (length × Ω/km), capped: 0.2 Ω to 5 m, 0.1 more for each further 7.5 m.',
      source: 'IEC 60228, class 5; the cap EN 50678 and 50699, from memory: local rules win.',
    },
    {
      text: 'Ask, when something was not measured or lies within two uncertainties of its limit.',
      source: 'Common practice, no source.',
    },
  ],
  answers: ['motor-winding-ohms'],
  usual: ['ruleSet', 'instrument', 'tester', 'table'],
  example: {
    ruleSet: 'IEC',
    protection: 'I',
    earth: '0.19 ohm',
    visual: 'sound',
    cordLength: '8 m',
    cordSection: '1.0 mm²',
    switchOn: 'on',
    polarity: 'none',
    insulation: '45 Mohm',
    touch: '',
    protective: '0.4 mA',
    instrument: '',
    who: '',
    tester: '5',
    table: SHIPPED_TABLE,
  },
  reckon(v, { instruments = [], today }) {
    const row = v.table.find(
      (r) => r.ruleSet.toLowerCase() === v.ruleSet.toLowerCase() && r.protection.toUpperCase() === v.protection,
    );
    if (!row) refuse('ruleSet', `The table has no line for ${v.ruleSet}, class ${v.protection}.`);
    const readings = { earthOhm: v.earth, insulationOhm: v.insulation, touchA: v.touch, protectiveA: v.protective };
    const cord = cordOf(v);
    const instrument = instruments.find((i) => i.name.toLowerCase() === v.instrument?.trim().toLowerCase());
    const items = safetyVerdicts(
      { earthOhm: row.earth, insulationOhm: row.insulation, touchA: row.touch, protectiveA: row.protective },
      readings,
      cord?.allowedOhm ?? 0,
      (instrument?.goodToPercent ?? v.tester) / 100,
      // Class I stands on its earth: without it nothing is proved.
      v.protection === 'I' ? ['earthOhm', 'insulationOhm'] : ['insulationOhm'],
    );
    const looked = seen(v);
    const runOut = calibration(instrument, today);
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
      ...(Number.isNaN(i.limit)
        ? []
        : [{ label: `limit, ${name(i)}`, value: i.limit, quantity: LABELS[i.item].quantity }]),
    ]);
    if (cord)
      figures.push({
        label: 'Of the limit, the cord',
        value: cord.allowedOhm,
        quantity: 'resistance',
        remark: cord.isCapped ? 'capped: a cord in good order has no more' : 'by its length and section',
      });
    const notes: Note[] = [
      {
        sort: 'advice',
        text: 'In this order: look it over, earth, insulation with the switch on, polarity, and only then leakage with power.',
      },
      {
        sort: 'caution',
        text: 'Electrical safety tests belong to a competent person, where the law says so a licensed one. Local rules win over this table.',
      },
    ];
    const [fails, asks] = [
      [...looked.fail, ...failed.map(name)],
      [...looked.ask, ...runOut, ...asked.map((i) => `${name(i)} ${i.why}`)],
    ];
    if (instrument && instrument.goodToPercent !== null && instrument.goodToPercent !== v.tester)
      notes.push({
        sort: 'advice',
        text: `Reckoned with ${instrument.goodToPercent} %, as the card of ${instrument.name} says.`,
      });
    if (row.edition === FROM_MEMORY || row.edition === NOT_SAID)
      notes.push({
        sort: 'advice',
        text: 'Nobody said which edition these limits are of: look them up in the one that is in force, and name it in the table.',
      });
    if (fails.length > 0) notes.unshift({ sort: 'caution', text: 'Out of use, plug off or tagged, until it passes.' });
    return {
      says:
        fails.length > 0
          ? `Fail: ${fails.join(', ')}.`
          : asks.length > 0
            ? `Ask: ${asks.join('; ')}.`
            : `Pass by ${row.ruleSet} (${row.edition}), class ${v.protection}.`,
      tone: fails.length > 0 ? ('bad' as const) : asks.length > 0 ? ('doubt' as const) : ('good' as const),
      figures,
      notes,
      feeds: {
        ...(fails.length > 0 || asks.length === 0
          ? {
              proof: {
                item: 'electrical-check',
                result: fails.length > 0 ? ('fail' as const) : ('pass' as const),
                note: '',
                rules: `${row.ruleSet} (${row.edition}), class ${v.protection}`,
                readings: [
                  ...items
                    .filter((i) => readings[i.item] !== undefined)
                    .map((i) => `${name(i)} ${formatQuantity(LABELS[i.item].quantity, readings[i.item]!)}`),
                  ...(v.instrument ? [`with ${v.instrument}`] : []),
                ].join(', '),
                ...(v.who ? { tester: v.who } : {}),
              },
            }
          : {}),
        // With the switch off only the cord was measured: that is no reading of the motor.
        ...(v.insulation === undefined || v.switchOn !== 'on'
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

type Values = ValuesOf<typeof fields>;

/** What the cord may add to the limit of the earth path: by its length and section, and no more than a good one has. */
function cordOf(v: Values): { allowedOhm: number; isCapped: boolean } | null {
  if (v.cordLength === undefined) return null;
  const lengthM = v.cordLength / 1000;
  const conductor = IEC_CONDUCTORS.find((c) => c.id === v.cordSection)!;
  const own = cordEarthOhm(conductor, lengthM);
  const most = mostCordOhm(lengthM);
  if (v.earth !== undefined && v.earth < own * MUCH_LESS)
    refuse('earth', 'Less than the cord alone must have: the length, the section or the probes are not right.');
  return { allowedOhm: Math.min(own, most), isCapped: own > most };
}

/** The whole path has its cord in it: with less than this part of what the cord must have something is wrong. */
const MUCH_LESS = 0.5;

/** What is asked of an instrument whose calibration ran out: what it reads proves nothing. */
function calibration(instrument: InstrumentCard | undefined, today: string): string[] {
  if (!instrument || (instrument.dueOn !== null && instrument.dueOn >= today)) return [];
  return [
    instrument.dueOn === null
      ? `${instrument.name} was never calibrated`
      : `the calibration of ${instrument.name} ran out on ${instrument.dueOn}`,
  ];
}

/** What was seen, without an instrument, and how the insulation was measured. */
function seen(v: Values): { fail: string[]; ask: string[] } {
  const isOpen = v.insulation !== undefined && v.switchOn !== 'on';
  return {
    fail: [
      ...(v.visual === 'damaged' ? ['damage that is seen'] : []),
      ...(v.polarity === 'reversed' ? ['polarity'] : []),
    ],
    ask: [
      ...(v.visual === 'not-done' ? ['not looked over'] : []),
      ...(isOpen
        ? [`insulation with the switch ${v.switchOn === 'off' ? 'off' : 'perhaps off'}: only the cord was measured`]
        : []),
    ],
  };
}
