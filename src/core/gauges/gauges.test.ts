import fc from 'fast-check';
import { knowledge } from '@/knowledge';
import { parseQuantity } from '../units/units';
import { withUnit } from '../units/unitSystem';
import { gaugeById, gauges } from './catalogue';
import { reckon, type AnyGauge } from './reckon';
import { doorOf, openedFrom } from './door';
import type { RawValues } from './fields';
import type { GaugeAnswer } from './gauge';

const around = { mainsV: 120, today: '2026-11-25' };
const log = 'seconds,volts,amperes\n0,25,2.5\n1800,21,2.5\n3600,18,2.5\n';

/** Every way of asking: the example with each choice of what is asked. */
function waysOf(g: AnyGauge): RawValues[] {
  const asks = g.fields['asks'] ?? g.fields['sort'];
  const example = { ...g.example, file: log };
  if (asks?.sort !== 'choice') return [g.example];
  const toothed = {
    span: '50.8 mm',
    spanTeeth: '10',
    caliper: '0.05 mm',
    profile: 'any',
    driveTeeth: '12',
    drivenTeeth: '30',
  };
  return asks.options.map((o) => ({ ...toothed, ...example, [g.fields['asks'] ? 'asks' : 'sort']: o.id }));
}

function answerOf(id: string, raw: RawValues): GaugeAnswer {
  const { answer, problems } = reckon(gaugeById(id)!, raw, around);
  expect(problems).toBeUndefined();
  return answer!;
}
const figure = (a: GaugeAnswer, label: string) => a.figures.find((f) => f.label === label)?.value;
const problemsOf = (id: string, raw: RawValues) =>
  (reckon(gaugeById(id)!, raw, around).problems ?? []).map((p) => p.field);
const exampleOf = (id: string, more: RawValues = {}) => ({ ...gaugeById(id)!.example, ...more });

describe.each(gauges.map((g) => [g.id, g] as const))('%s', (_, g) => {
  test('its example works in every way of asking, and every number is one', () => {
    for (const raw of waysOf(g)) {
      const { answer, problems } = reckon(g, raw, around);
      expect({ raw: raw['asks'], problems }).toEqual({ raw: raw['asks'], problems: undefined });
      expect(answer!.says.length).toBeGreaterThan(3);
      expect(answer!.says).not.toMatch(/NaN|undefined|Infinity/);
      for (const f of answer!.figures) if (f.value !== null) expect(Number.isFinite(f.value)).toBe(true);
      for (const l of answer!.likely ?? []) expect(l.probability).toBeLessThanOrEqual(1 + 1e-9);
    }
  });

  test('what it feeds is known: the check, the unit, the gauge, the field', () => {
    for (const raw of waysOf(g)) {
      const { answer } = reckon(g, raw, around);
      const finding = answer!.feeds?.finding;
      if (finding) {
        expect(g.answers).toContain(finding.check);
        const check = knowledge.checks.find((c) => c.id === finding.check)!;
        const aspect = check.aspects.find(
          (a) => a.reading && (!finding.condition || a.condition === finding.condition),
        );
        expect(aspect?.reading?.unit).toBe(finding.unit);
      }
      for (const link of answer!.links ?? [])
        expect(Object.keys(gaugeById(link.gauge)!.fields)).toEqual(expect.arrayContaining(Object.keys(link.fill)));
    }
  });

  test('its example means the same in an inch shop: every number that could be misread names its unit', () => {
    for (const [name, field] of Object.entries(g.fields)) {
      const typed = g.example[name];
      if (field.sort !== 'quantity' || field.unit || typeof typed !== 'string' || typed === '') continue;
      const inch = parseQuantity(field.quantity, withUnit(field.quantity, typed, 'inch'));
      expect({ name, value: inch?.value }).toEqual({ name, value: parseQuantity(field.quantity, typed)?.value });
    }
  });

  test('it says by which formula and from where', () => {
    for (const f of g.formulas) {
      expect(f.text.length).toBeGreaterThan(10);
      expect(f.source.length).toBeGreaterThan(5);
    }
  });

  test('nothing typed is never a fault: every field is named, and no text gets through as a number', () => {
    expect(reckon(g, {}, around).problems!.length).toBeGreaterThan(0);
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(g.fields)),
        fc.oneof(
          fc.string(),
          fc.double(),
          fc.constant('-5 mm'),
          fc.constant('1e9'),
          fc.array(fc.string(), { maxLength: 4 }),
          fc.constant(null),
        ),
        (name, junk) => {
          const { answer, problems } = reckon(g, { ...g.example, [name]: junk }, around);
          if (!answer) for (const p of problems) expect(Object.keys(g.fields)).toContain(p.field);
        },
      ),
      { seed: 9, numRuns: g.heavy ? 15 : 60 },
    );
  });
});

describe('belt', () => {
  test('worn, doubtful and as new, with the threshold named', () => {
    const longer = (wornLength: string) => answerOf('belt', exampleOf('belt', { wornLength }));
    expect(longer('368 mm').tone).toBe('bad');
    expect(longer('363 mm').tone).toBe('doubt');
    expect(longer('355 mm').tone).toBe('good');
    // 382.989 mm on the pulleys' own diameters (the check value), and π times the thickness more on the belt's middle line.
    const middle = figure(longer('368 mm'), 'Length on the pulleys')!;
    expect(middle).toBeCloseTo(382.989 + 2 * Math.PI, 2);
    const wrong = longer('345 mm');
    expect(wrong.tone).toBe('bad');
    expect(wrong.says).toMatch(/shorter than the new one/);
    expect(wrong.feeds!.finding).not.toMatchObject({ check: 'belt-against-new' });
  });
  test('old against new asks for two lengths and no more', () => {
    const raw = { sort: 'compare', newLength: '355 mm', wornLength: '368 mm' };
    expect(answerOf('belt', raw)).toMatchObject({ tone: 'bad', feeds: { finding: { check: 'belt-against-new' } } });
    expect(problemsOf('belt', { sort: 'compare', newLength: '355 mm' })).toEqual(['wornLength']);
  });
  test('the roll of a healthy machine is not called faster than its motor: speeds are those of the belt’s middle line', () => {
    const { figures, notes } = answerOf('belt', exampleOf('belt', { rollRpm: '3900' }));
    expect(figures.find((f) => f.label === 'Roll speed without slip')!.value).toBeCloseTo((12_000 * 14) / 42, 9);
    expect(figures.find((f) => f.label === 'Slip')!.value).toBeCloseTo(2.5, 6);
    expect(JSON.stringify(notes)).not.toMatch(/outrun/);
  });
  test('a belt without pull is not the one that is looked for in the list, nor called fitting', () => {
    const loose = answerOf('belt', exampleOf('belt', { newLength: '395 mm', wornLength: '' }));
    expect(loose.says).toMatch(/^The new belt hangs loose on these pulleys\. A belt of 360 mm/);
    expect(loose.tone).toBe('bad');
    const length = (a: typeof loose) => a.feeds!.part!.sizes.find((size) => size.name === 'length')!;
    expect(length(loose).mm).toBeCloseTo(figure(loose, 'Free length wanted')!, 9);
    const tight = answerOf('belt', exampleOf('belt', { newLength: '300 mm', wornLength: '' }));
    expect(tight.says).toMatch(/too short for these pulleys: 30 % of stretch/);
    const good = answerOf('belt', exampleOf('belt', { newLength: '360 mm', wornLength: '' }));
    expect(good.tone).toBe('plain');
    expect(length(good)).toMatchObject({ mm: 360, sigmaMm: 1 });
  });
  test('inches and millimetres say the same', () => {
    const mm = answerOf('belt', exampleOf('belt', { centre: '152.4 mm', drive: '12.7 mm', driven: '38.1 mm' }));
    const inch = answerOf('belt', exampleOf('belt', { centre: '6 in', drive: '1/2 in', driven: '1 1/2 in' }));
    inch.figures.forEach((f, i) => expect(f.value).toBeCloseTo(mm.figures[i]!.value!, 9));
  });
  test('an inch shop reads inches within the sentences too', () => {
    const raw = exampleOf('belt', { newLength: '', wornLength: '' });
    const said = (units: 'metric' | 'inch') => reckon(gaugeById('belt')!, raw, { ...around, units }).answer!.says;
    expect(said('metric')).toBe('A belt of 360 mm free length fits.');
    expect(said('inch')).toBe('A belt of 14.2 in free length fits.');
  });
  test('its pull goes into the bearing’s life', () => {
    const a = answerOf('belt', exampleOf('belt'));
    const life = answerOf('bearing', exampleOf('bearing', a.links![0]!.fill));
    expect(figure(life, 'Rating life')).toBeGreaterThan(1000);
  });
  test('pulleys that touch are named at the field', () => {
    expect(problemsOf('belt', exampleOf('belt', { centre: '20 mm' }))).toEqual(['centre']);
  });
  test('one tooth is not enough to tell neighbours', () => {
    const toothed = {
      ...exampleOf('belt'),
      sort: 'toothed',
      spanTeeth: '1',
      caliper: '0.1 mm',
      profile: 'any',
      driveTeeth: '12',
      drivenTeeth: '30',
      span: '5.04 mm',
    };
    expect(answerOf('belt', toothed).tone).toBe('doubt');
    expect(answerOf('belt', { ...toothed, span: '50.8 mm', spanTeeth: '10', profile: 'trapezoidal' }).says).toMatch(
      /^XL/,
    );
  });
});

describe('roll', () => {
  test('its dates come in order, and one wild reading does not carry them away', () => {
    const calm = answerOf('roll', exampleOf('roll')).feeds!.plan!.dueOn;
    const wild = answerOf(
      'roll',
      exampleOf('roll', { readings: `${gaugeById('roll')!.example['readings'] as string}\n2026-10-20 2.0 mm` }),
    );
    expect(calm > '2026-11-01').toBe(true);
    expect(Math.abs(Date.parse(wild.feeds!.plan!.dueOn) - Date.parse(calm)) / 86_400_000).toBeLessThan(60);
  });
  test('bristles that do not wear have no date, and nearly equal readings none either', () => {
    for (const readings of ['2026-01-01 8 mm\n2026-05-01 8 mm', '2026-01-01 8.0001 mm\n2026-05-01 8 mm']) {
      const { feeds, says } = answerOf('roll', exampleOf('roll', { readings }));
      expect(says).toMatch(/no day can be told/);
      expect(feeds!.plan).toBeUndefined();
    }
  });
  test('a few days of wear are a guess of the years to come: it is said, and no plan is made of it', () => {
    const a = answerOf(
      'roll',
      exampleOf('roll', { readings: '2026-09-01 8.5 mm\n2026-09-02 8.5 mm\n2026-09-03 8.49 mm' }),
    );
    expect(a).toMatchObject({ tone: 'doubt', says: expect.stringMatching(/^Next cam step perhaps /) });
    expect(
      a.notes!.some((n) => n.sort === 'range' && /2 days of wear tell little of \d+ days to come/.test(n.text)),
    ).toBe(true);
    expect(a.feeds!.plan).toBeUndefined();
    expect(answerOf('roll', exampleOf('roll')).says).toMatch(/ about /);
  });
  test('one day is enough to say what to do now', () => {
    const now = (standOut: string, more: RawValues = {}) =>
      answerOf('roll', exampleOf('roll', { readings: `2026-01-01 ${standOut}`, ...more })).says;
    expect(now('8 mm')).toMatch(/^It reaches/);
    expect(now('6 mm')).toBe('Turn the cam a step now.');
    expect(now('4.5 mm')).toBe('Turn the cam 2 steps now.');
    expect(now('6 mm', { steps: '0' })).toMatch(/^The roll is done/);
    expect(now('3.9 mm')).toMatch(/^The roll is done/);
  });
  test('lines may come in any order; what is read last is the latest day', () => {
    const lines = (exampleOf('roll')['readings'] as string).split('\n');
    const mixed = answerOf(
      'roll',
      exampleOf('roll', { readings: [lines[2], lines[0], lines[3], lines[1]].join('\n') }),
    );
    expect(mixed.feeds).toEqual(answerOf('roll', exampleOf('roll')).feeds);
    expect(mixed.feeds!.finding!.value).toBe(7);
  });
  test.each([
    ['yesterday 8 mm\n2026-01-01 7 mm', 'no day'],
    ['2026-02-30 8 mm\n2026-01-01 7 mm', 'the 30th of February'],
    ['2026-13-01 8 mm\n2026-01-01 7 mm', 'a thirteenth month'],
    ['2099-01-01 8 mm\n2026-01-01 7 mm', 'a day to come'],
    ['2026-01-01 -8 mm\n2026-03-01 7 mm', 'less than nothing'],
    ['2026-01-01', 'no number'],
  ])('%s is refused at its field: %s', (readings) => {
    expect(problemsOf('roll', exampleOf('roll', { readings }))).toEqual(['readings']);
  });
});

describe('air path', () => {
  test('a narrow, long hose of its own loses more than the usual one, and so lets less through', () => {
    const raw = exampleOf('air-path', { asks: 'filter', blocked: '0', part: 'filter' });
    const flow = (more: RawValues) => figure(answerOf('air-path', { ...raw, ...more }), 'Flow')!;
    expect(flow({ bore: '25 mm', hoseLength: '3 m' })).toBeLessThan(flow({ bore: '38 mm', hoseLength: '3 m' }));
    expect(flow({ bore: '38 mm', hoseLength: '6' })).toBeLessThan(flow({ bore: '38 mm', hoseLength: '2' }));
  });
});

describe('opened from a check', () => {
  test('a gauge starts as the check asked, and every choice it makes is one of its own', () => {
    for (const g of gauges)
      for (const [from, chosen] of Object.entries(g.opens ?? {})) {
        const [check, group] = from.split('/');
        if (check === 'part') expect(g.measures).toContain(group);
        else expect(g.answers).toContain(check);
        for (const [name, value] of Object.entries(chosen)) {
          const field = g.fields[name]!;
          expect(field.sort === 'choice' && field.options.some((o) => o.id === value)).toBe(true);
        }
      }
    expect(openedFrom(doorOf(gaugeById('supply-and-cord')!), 'head-socket-volts', 'roll-off')).toEqual({
      asks: 'reading',
      roll: 'off',
    });
  });
  test('what was measured answers the check it was asked for, and no other', () => {
    const winding = (which: string) =>
      answerOf('winding', exampleOf('winding', { asks: 'winding', which, toFrame: '' })).feeds!.finding?.check;
    expect(['brush', 'suction', 'field', 'other'].map(winding)).toEqual([
      'motor-winding-ohms',
      'suction-motor-ohms',
      'field-ohms',
      undefined,
    ]);
    const lead = (more: RawValues) =>
      answerOf('pack', exampleOf('pack', { asks: 'lead-acid', restVolts: '', gravity: '', ...more })).feeds!.finding;
    expect(lead({ restVolts: '12.6 V', cellCount: '6' })).toMatchObject({ check: 'pack-volts', value: 12.6 });
    expect(lead({ gravity: '1.25' })).toMatchObject({ check: 'gravity-test' });
    const trip = answerOf('air-path', exampleOf('air-path', { asks: 'filter', tripped: '6 min' })).feeds!.finding;
    expect(trip).toMatchObject({ check: 'trip-time', value: 6 });
  });
  test('a few volts with the roll off are normal, a supply there is not, and neither answers for the roll on', () => {
    const off = (read: string) =>
      answerOf('supply-and-cord', exampleOf('supply-and-cord', { asks: 'reading', roll: 'off', read, mains: '120 V' }));
    expect(off('5 V')).toMatchObject({ tone: 'plain', feeds: { finding: { condition: 'roll-off' } } });
    expect(JSON.stringify(off('5 V'))).not.toMatch(/open before here/);
    expect(off('118 V')).toMatchObject({ tone: 'bad', says: 'Live although the roll is switched off.' });
    expect(off('240 V')).toMatchObject({ tone: 'bad', says: 'Over the mains: danger.' });
    const elsewhere = exampleOf('supply-and-cord', { asks: 'reading', roll: 'none', read: '118 V', mains: '120 V' });
    expect(answerOf('supply-and-cord', elsewhere).feeds).toEqual({});
  });
});

describe('supply, safety, winding', () => {
  test('116 V is a supply, 38 V a ghost to a meter of high impedance, 90 V low, 1 V nothing', () => {
    const read = (volts: string, impedance = 'high') =>
      answerOf('supply-and-cord', exampleOf('supply-and-cord', { asks: 'reading', read: volts, impedance })).says;
    expect(read('116 V')).toMatch(/^A supply/);
    expect(read('38 V')).toMatch(/ghost/i);
    expect(read('90 V', 'low')).toMatch(/low supply/);
    expect(read('0.3 V')).toMatch(/^Nothing/);
  });
  test('240 V on 120 V mains is danger, not well; nothing asks for the tester to be proved; 132 V is watched', () => {
    const ask = (volts: string) =>
      answerOf('supply-and-cord', exampleOf('supply-and-cord', { asks: 'reading', read: volts, mains: '120 V' }));
    for (const volts of ['160 V', '208 V', '240 V', '400 V']) {
      const over = ask(volts);
      expect([volts, over.tone]).toEqual([volts, 'bad']);
      expect(over.says).toBe('Over the mains: danger.');
      expect(over.notes![0]).toMatchObject({ sort: 'caution', text: expect.stringContaining('lost neutral') });
      expect(JSON.stringify(over)).not.toMatch(/all is well/i);
    }
    for (const volts of ['0 V', '0.3 V', '38 V'])
      expect(ask(volts).notes!.some((n) => n.sort === 'caution' && /known live source/.test(n.text))).toBe(true);
    expect(ask('131 V')).toMatchObject({ tone: 'doubt' });
    expect(ask('131 V').notes!.some((n) => n.text.includes('ANSI C84.1'))).toBe(true);
    expect(JSON.stringify(ask('131 V'))).not.toMatch(/all is well/i);
  });
  test('wherever a reading may be over the mains, nothing is to be loaded to find out; below, a load tells', () => {
    const doubts = { over: 0, low: 0 };
    for (let volts = 60; volts < 150; volts += 0.25) {
      const read = `${volts} V`;
      const a = answerOf('supply-and-cord', exampleOf('supply-and-cord', { asks: 'reading', read, mains: '120 V' }));
      if (!a.says.includes('Not sure')) continue;
      const mayBeOver = (a.likely!.find((l) => l.label === 'over the mains')?.probability ?? 0) > 0.05;
      doubts[mayBeOver ? 'over' : 'low']++;
      expect([volts, /load nothing/.test(a.says), /under load/.test(a.says)]).toEqual([volts, mayBeOver, !mayBeOver]);
    }
    expect(doubts.over).toBeGreaterThan(1);
    expect(doubts.low).toBeGreaterThan(1);
  });
  test('a cord by watts, by the plate’s amperes, by horsepower with its assumption said; 1,200 W is asked', () => {
    const cord = (more: RawValues) => exampleOf('supply-and-cord', { asks: 'cord', mains: '120 V', ...more });
    const amps = (more: RawValues) => figure(answerOf('supply-and-cord', cord(more)), 'Current')!;
    expect(amps({ given: 'watts', load: '1200 W' })).toBeCloseTo(10, 9);
    expect(amps({ given: 'amps', amps: '12 A' })).toBe(12);
    expect(amps({ given: 'shaft', output: '1 hp' })).toBeGreaterThan(11);
    const shaft = answerOf('supply-and-cord', cord({ given: 'shaft', output: '1 hp' }));
    expect(shaft.notes!.some((n) => n.sort === 'range' && /assumed/.test(n.text))).toBe(true);
    expect(problemsOf('supply-and-cord', cord({ given: 'watts', load: '1,200 W' }))).toEqual(['load']);
    expect(problemsOf('supply-and-cord', cord({ given: 'watts', load: '1 hp' }))).toEqual(['load']);
    // What is not asked is not wanted: a reading needs no plate.
    expect(
      problemsOf('supply-and-cord', {
        asks: 'reading',
        given: 'watts',
        read: '118',
        meter: 'usual',
        impedance: 'high',
        roll: 'on',
      }),
    ).toEqual([]);
  });
  test('pass, fail and ask; the table is the shop’s own', () => {
    const says = (more: RawValues) => answerOf('safety-test', exampleOf('safety-test', more)).says;
    expect(says({})).toMatch(/^Ask: touch current not measured/);
    expect(says({ touch: '0.1 mA' })).toMatch(/^Pass by IEC/);
    expect(says({ touch: '0.1 mA', earth: '0.5 ohm' })).toMatch(/^Fail: protective earth/);
    expect(says({ touch: '0.1 mA', earth: '0.252 ohm' })).toMatch(/too near/);
    const ours = { ruleSet: 'ours', table: 'ours; I; 1 ohm; 1 Mohm; -; 3.5 mA', earth: '0.4 ohm' };
    expect(says(ours)).toMatch(/^Pass by ours/);
    expect(problemsOf('safety-test', exampleOf('safety-test', { ruleSet: 'none' }))).toEqual(['ruleSet']);
    // Whoever looked them up names the edition: it stands in the answer, and nobody is sent to look again.
    const looked = { ...ours, table: `${ours.table}; 2020+A1` };
    expect(says(looked)).toMatch(/^Pass by ours \(2020\+A1\)/);
    const sent = (more: RawValues) =>
      answerOf('safety-test', exampleOf('safety-test', more)).notes!.some((n) => /look them up/.test(n.text));
    expect([sent(ours), sent(looked), sent({ touch: '0.1 mA' })]).toEqual([true, false, true]);
  });
  test('an instrument whose calibration ran out proves nothing; one on the list reads as well as its card says', () => {
    const card = (dueOn: string | null, goodToPercent: number | null = 2) => ({ name: 'PAT 2', goodToPercent, dueOn });
    const raw = exampleOf('safety-test', { touch: '0.1 mA', instrument: ' pat 2 ' });
    const says = (...instruments: ReturnType<typeof card>[]) =>
      reckon(gaugeById('safety-test')!, raw, { ...around, instruments }).answer!;
    expect(says(card('2026-11-25')).says).toMatch(/^Pass/);
    expect(says(card('2026-11-24'))).toMatchObject({ tone: 'doubt', feeds: { finding: {} } });
    expect(says(card('2026-11-24')).says).toMatch(/^Ask: the calibration of PAT 2 ran out on 2026-11-24/);
    expect(says(card('2026-11-24')).feeds!.proof).toBeUndefined();
    expect(says(card(null)).says).toMatch(/never calibrated/);
    expect(says().says).toMatch(/^Pass/);
    // 10 % of doubt reach the limit, 2 % do not.
    const near = { ...raw, earth: '0.21 ohm' };
    const verdict = (percent: number) =>
      reckon(gaugeById('safety-test')!, near, { ...around, instruments: [card('2030-01-01', percent)] }).answer!.says;
    expect([verdict(1), verdict(20)].map((s) => s.slice(0, 4))).toEqual(['Pass', 'Ask:']);
    // It goes before what is typed, and says so.
    expect(says(card('2030-01-01')).notes!.map((n) => n.text)).toContain(
      'Reckoned with 2 %, as the card of PAT 2 says.',
    );
  });
  test('bare numbers of the table are in the units of its head: no 10 kΩ of insulation, no 50 mA to the touch', () => {
    const table = 'bare; I; 0.1; 1; 0.5; 3.5';
    const says = (more: RawValues) =>
      answerOf('safety-test', exampleOf('safety-test', { ruleSet: 'bare', table, touch: '0.1 mA', ...more })).says;
    expect(says({})).toMatch(/^Pass by bare/);
    expect(says({ insulation: '10 kohm' })).toMatch(/^Fail: insulation/);
    expect(says({ touch: '50 mA' })).toMatch(/^Fail: touch current/);
    expect(says({ protective: '50 mA' })).toMatch(/^Fail: protective-conductor current/);
    expect(says({ earth: '90 ohm' })).toMatch(/^Fail: protective earth/);
    expect(says({ earth: '80 mohm', cordLength: '2 m' })).toMatch(/^Pass by bare/);
  });
  test('class I without its earth never passes, a reading without a limit is asked, and nothing is dropped in silence', () => {
    const says = (more: RawValues) =>
      answerOf('safety-test', exampleOf('safety-test', { touch: '0.1 mA', ...more })).says;
    expect(says({ earth: '' })).toMatch(/^Ask: protective earth not measured/);
    expect(says({ earth: '', ruleSet: 'x', table: 'x; I; -; 1 Mohm; 0.5 mA; 3.5 mA' })).toMatch(
      /^Ask: protective earth not/,
    );
    expect(says({ ruleSet: 'x', table: 'x; I; 0.1 ohm; 1 Mohm; -; 3.5 mA' })).toMatch(
      /touch current has no limit in the table/,
    );
    expect(says({ protection: 'II', insulation: '' })).toMatch(/^Ask: .*insulation not measured/);
    // OL on the earth is no earth.
    expect(says({ earth: 'OL' })).toMatch(/^Fail: protective earth/);
  });
  // IEC 60228, class 5: 19.5 Ω/km of 1.0 mm², 26.0 of 0.75 mm²; the cap from memory.
  test('the cord adds what its length and section have, and no more than a good one', () => {
    const limit = (more: RawValues) =>
      figure(
        answerOf('safety-test', exampleOf('safety-test', { touch: '0.1 mA', ...more })),
        'limit, protective earth',
      )!;
    expect(limit({ cordLength: '8 m', cordSection: '1.0 mm²' })).toBeCloseTo(0.1 + 0.0195 * 8, 9);
    expect(limit({ cordLength: '4 m', cordSection: '0.75 mm²' })).toBeCloseTo(0.1 + 0.026 * 4, 9);
    expect(limit({ cordLength: '' })).toBeCloseTo(0.1, 9);
    // A long thin one: capped, and the whole path is never allowed more than an ohm.
    expect(limit({ cordLength: '90 m', cordSection: '0.5 mm²', earth: '3 ohm' })).toBeCloseTo(1, 9);
    // A reading that is less than its own cord must have is no reading.
    expect(problemsOf('safety-test', exampleOf('safety-test', { earth: '0.02 ohm', cordLength: '15 m' }))).toEqual([
      'earth',
    ]);
  });
  test('looked over first, with the switch on, polarity right: else it is asked or fails', () => {
    const says = (more: RawValues) =>
      answerOf('safety-test', exampleOf('safety-test', { touch: '0.1 mA', ...more })).says;
    expect(says({ visual: 'not-done' })).toMatch(/^Ask: not looked over/);
    expect(says({ visual: 'damaged' })).toMatch(/^Fail: damage that is seen/);
    expect(says({ switchOn: 'off' })).toMatch(/^Ask: insulation with the switch off/);
    expect(says({ switchOn: 'unknown' })).toMatch(/^Ask: insulation with the switch perhaps off/);
    expect(says({ polarity: 'reversed' })).toMatch(/^Fail: polarity/);
  });
  test('insulation tells the finder of the motor only when the switch was on: else it is the cord’s', () => {
    const feeds = (switchOn: string) =>
      answerOf('safety-test', exampleOf('safety-test', { touch: '0.1 mA', switchOn })).feeds!;
    expect(feeds('on').finding).toMatchObject({ check: 'motor-winding-ohms', condition: 'frame' });
    for (const unseen of ['off', 'unknown']) {
      expect(feeds(unseen).finding).toBeUndefined();
      expect(feeds(unseen).proof).toBeUndefined();
    }
  });
  test('a pasted row names the bars', () => {
    const a = answerOf('winding', exampleOf('winding'));
    expect(a.says).toBe('Open coil or bad joint at bars 7–8. Shorted turns at bars 12–13.');
  });
  test('whatever the twin says, a path to the frame is the headline; OL is open, and no percentage', () => {
    const twin = (more: RawValues) =>
      answerOf('winding', exampleOf('winding', { asks: 'winding', ohm: '3.6 ohm', ...more }));
    for (const toFrame of ['0 ohm', '300 ohm', '0.5 Mohm', '1.9 Mohm']) {
      const told = twin({ toFrame });
      expect([toFrame, told.tone]).toEqual([toFrame, 'bad']);
      expect(told.says).toMatch(/^A path to the frame: .*No power/);
      expect(told.notes![0]!.sort).toBe('caution');
      expect(told.feeds!.finding).toMatchObject({ condition: 'frame' });
    }
    expect(twin({ toFrame: '45 Mohm' }).says).toMatch(/^Agrees/);
    const open = twin({ ohm: 'OL' });
    expect([open.says, open.tone]).toEqual(['Open: nothing goes through the winding.', 'bad']);
    expect(JSON.stringify(open.figures)).not.toContain('Off by');
    expect(problemsOf('winding', exampleOf('winding', { asks: 'winding', twinOhm: 'OL' }))).toEqual(['twinOhm']);
  });
  test('nine per cent below its twin is a doubt with a good meter, not agreement', () => {
    const off = (ohm: string, meter = '0.5') =>
      answerOf(
        'winding',
        exampleOf('winding', { asks: 'winding', ohm, twinOhm: '10 ohm', at: '20', twinAt: '20', meter }),
      );
    expect(off('10.2 ohm').tone).toBe('good');
    expect(off('9.1 ohm')).toMatchObject({ tone: 'doubt', says: '9 % too low: perhaps shorted turns.' });
    expect(off('8.5 ohm')).toMatchObject({ tone: 'bad', says: '15 % too low: shorted turns.' });
    // Aluminium grows more with warmth (IEC 60034-1: 225 °C): the same reading is further from its twin.
    const hot = (metal: string) =>
      figure(
        answerOf(
          'winding',
          exampleOf('winding', { asks: 'winding', metal, twinOhm: '10 ohm', twinAt: '20', at: '100', ohm: '13 ohm' }),
        ),
        'Expected',
      )!;
    expect(hot('copper')).toBeCloseTo((10 * 334.5) / 254.5, 9);
    expect(hot('aluminium')).toBeCloseTo((10 * 325) / 245, 9);
  });
  test('a commutator is sound only when it is of one sort and has no path to the shaft', () => {
    const bars = (readings: string, toShaft = '200 Mohm') =>
      answerOf('winding', exampleOf('winding', { readings, toShaft }));
    const alike = '1.2 1.21 1.2 1.19 1.2 1.21 1.2 1.2 1.19 1.2';
    expect(bars(alike)).toMatchObject({ tone: 'good' });
    expect(bars(alike, '').says).toMatch(/still to be measured/);
    expect(bars(alike, '').tone).toBe('doubt');
    expect(bars(alike, '0.4 Mohm')).toMatchObject({ tone: 'bad', says: 'A path to the shaft: 400 kΩ. No power.' });
    const half = '1.2 1.21 1.2 1.19 1.2 2.4 2.41 2.4 2.39 2.4';
    expect(bars(half)).toMatchObject({
      tone: 'bad',
      says: expect.stringMatching(/^Two sorts of readings: 5 near 1.2 Ω, 5 near 2.4 Ω/),
    });
    const steps = '1.2 2.4 1.21 2.41 1.2 2.39 1.19 2.4 1.2 2.4';
    expect(bars(steps).tone).toBe('bad');
  });
  test('bars that are open are named as open, not by a percentage; bars that are alike open are never sound', () => {
    const bars = (readings: string) => answerOf('winding', exampleOf('winding', { readings, toShaft: '200 Mohm' }));
    const one = bars('0.3 0.3 0.3 0.3 0.3 0.3 0.3 OL 0.3 0.3 0.3 0.3');
    expect(one).toMatchObject({ says: 'Open coil or bad joint at bars 8–9.', tone: 'bad' });
    expect(one.figures.find((f) => f.label === 'Furthest from it')).toMatchObject({
      value: null,
      remark: 'open at bars 8–9',
    });
    expect(one.feeds!.finding).toMatchObject({ check: 'bar-to-bar-ohms', value: 1000 });
    const drawn = one.drawings!.find((d) => d.draw === 'bars')!;
    expect(drawn.draw === 'bars' && drawn.bars[7]).toMatchObject({ over: 'OL', odd: true });
    expect(drawn.draw === 'bars' && Math.max(...drawn.bars.map((b) => b.value))).toBeLessThan(1);
    for (const readings of [
      Array(12).fill('OL'),
      Array(12).fill('5 kohm'),
      [...Array(7).fill('OL'), ...Array(5).fill('0.3')],
    ])
      expect(problemsOf('winding', exampleOf('winding', { readings: readings.join('\n'), toShaft: 'OL' }))).toEqual([
        'readings',
      ]);
  });
  test('an edge that leads and is burnt sits the wrong way round', () => {
    const brush = (burnt: string) => answerOf('winding', exampleOf('winding', { asks: 'brush', burnt }));
    expect(brush('a').says).toMatch(/wrong way round/);
    expect(brush('b').tone).toBe('good');
  });
});

describe('pack', () => {
  const cells = (volts: string, chemistry = 'li-ion') =>
    answerOf('pack', exampleOf('pack', { asks: 'cells', volts, chemistry }));
  test('cells outside of what their chemistry bears are a danger, answer no check of balance, and say so first', () => {
    for (const [volts, chemistry] of [
      ['0 0 0 0', 'li-ion'],
      ['1.5 1.5 1.5', 'li-ion'],
      ['4.55 4.55 4.55', 'li-ion'],
      ['3.9 3.9', 'lfp'],
      ['2.1 1.05 2.1', 'lead'],
    ] as const) {
      const told = cells(volts, chemistry);
      expect([volts, told.tone, told.notes![0]!.sort]).toEqual([volts, 'bad', 'caution']);
      expect(told.notes![0]!.text).toMatch(/do not charge/i);
      expect(told.feeds?.finding).toBeUndefined();
    }
    expect(cells('3.9 3.9 4.4 3.9').says).toBe('Cell 3 above 4.25 V: charged too far, do not use it.');
    expect(cells('3.92 3.91 3.92').says).toMatch(/^Even/);
    expect(cells('3.92 3.91 3.74 3.92').says).toMatch(/^Cell 3 is failing: 17\d mV below the middle/);
    expect(cells('3.7 3.7 3.86 3.71').says).toMatch(/^Out of balance: cell 3 is 15\d mV above/);
  });
  test('a dead cell of lead, or a wrong count, is no percentage; 60 V on six cells is refused', () => {
    const lead = (more: RawValues) => exampleOf('pack', { asks: 'lead-acid', gravity: '', ...more });
    const dead = answerOf('pack', lead({ restVolts: '6.3 V', cellCount: '6' }));
    expect(dead.says).toMatch(/^1.05 V a cell: a dead cell/);
    expect(dead.says).not.toContain('%');
    expect(problemsOf('pack', lead({ restVolts: '60 V', cellCount: '6' }))).toEqual(['restVolts']);
    // A sealed one stands higher when full; it has no gravity to ask for.
    const charge = (sort: string) =>
      figure(answerOf('pack', lead({ sort, restVolts: '12.5 V', cellCount: '6' })), 'By rest voltage')!;
    expect(charge('agm')).toBeLessThan(charge('flooded'));
  });
  test('a log at another rate than the rating is measured by what a new one gives at its own', () => {
    // 7 Ah at 20 h, lead-acid: at 7 A for half an hour it gives 3.5 Ah, and is not worn out for that.
    const file = Array.from({ length: 181 }, (_, i) => `${10 * i},${(12.6 - i / 90).toFixed(3)},7`).join('\n');
    const at = (more: RawValues) =>
      answerOf(
        'pack',
        exampleOf('pack', { asks: 'log', file, cutOff: '10.6', rated: '7 Ah', ratedHours: '20 h', ...more }),
      );
    expect(at({ peukert: '1.25' }).says).not.toMatch(/worn out/);
    // The law by itself: 7 A · 20 h · (7 / 140)^1.25.
    expect(figure(at({ peukert: '1.25' }), 'A new one at this current')).toBeCloseTo(7 * 20 * 0.05 ** 1.25, 2);
    expect(at({ peukert: '1' }).says).toMatch(/worn out/);
  });
});

describe('drying, by what the scale can see', () => {
  const dry = (weighings: string, more: RawValues = {}) =>
    exampleOf('dry-and-wait', { asks: 'weighed', weighings, dryWeight: '', scale: '0.2 g', ...more });
  const says = (weighings: string, more: RawValues = {}) => answerOf('dry-and-wait', dry(weighings, more));
  test('equal weights within minutes are no proof; hours apart they are', () => {
    const soon = says('10:00 150 g\n10:05 150 g\n10:10 150 g');
    expect(soon.tone).toBe('doubt');
    expect(soon.says).toMatch(/^No loss that this scale can see. That is no proof/);
    expect(says('10:00 150 g\n12:00 150 g\n15:00 150 g').says).toMatch(/^Dry:/);
    // Wet by its known dry weight it stays wet, however equal the weights.
    expect(says('10:00 150 g\n15:00 150 g', { dryWeight: '110 g' })).toMatchObject({ tone: 'bad' });
  });
  test('heavier than before is refused, not forecast', () => {
    expect(problemsOf('dry-and-wait', dry('10:00 100 g\n11:00 104 g\n12:00 108 g'))).toEqual(['weighings']);
  });
  test('at a steady rate no end is invented; with the dry weight it is five hours, not seventy', () => {
    const steady = '10:00 300 g\n11:00 280 g\n12:00 260 g\n13:00 240 g';
    expect(says(steady).says).toMatch(/cannot be told/);
    const known = says(steady, { dryWeight: '140 g' });
    expect(figure(known, 'Still to wait, at least')).toBeCloseTo((100 - 1.4) / 20, 6);
    expect(known.says).toMatch(/^Dry in 4.9 to 9.9 h/);
  });
});

describe('shims, scrubber, drying', () => {
  test('both wishes met, or the nearest miss with the washer that would do it', () => {
    expect(answerOf('shims', exampleOf('shims')).tone).toBe('good');
    const miss = answerOf('shims', exampleOf('shims', { washers: '0.7 mm × 1' }));
    expect(miss.says).toMatch(/^Nearest miss/);
    expect(miss.notes![0]!.text).toBe(
      'One washer more would do it, at the commutator’s end: 0.7 mm to 0.85 mm, beside 0.7 mm at the fan’s and none at the commutator’s end.',
    );
    const never = answerOf(
      'shims',
      exampleOf('shims', { washers: '1 mm × 1', floatLeast: '1.6 mm', floatMost: '1.62 mm' }),
    );
    expect(never.notes![0]!.text).toMatch(/^No single washer/);
    expect(problemsOf('shims', exampleOf('shims', { floatMost: '0.01 mm' }))).toEqual(['floatMost']);
  });
  test('the deck pressure is to be lowered', () => {
    expect(answerOf('scrubber', exampleOf('scrubber')).notes!.some((n) => /Lower the deck/.test(n.text))).toBe(true);
  });
  test('blades wear together: the squeegee lasts as long as the first of them, and a done edge is to be turned', () => {
    const of = (blades: string) => answerOf('scrubber', exampleOf('scrubber', { blades }));
    // Edge 2 has 30 of 50 hours left and two more edges; edge 3 has 30 left and one more.
    expect(figure(of('front; 2; 20 h\nrear; 3; 20 h'), 'Squeegee lasts')).toBe(80);
    expect(figure(of('front; 2; 20 h'), 'Squeegee lasts')).toBe(130);
    expect(figure(of('front; 1'), 'Squeegee lasts')).toBe(200);
    const due = of('front; 2; 55\nrear; 4; 60 h');
    expect(due.notes!.map((n) => n.text)).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/^front: edge 2 .* turn it to edge 3/),
        expect.stringMatching(/^rear: no edge/),
      ]),
    );
    expect(problemsOf('scrubber', exampleOf('scrubber', { blades: 'front; 5' }))).toEqual(['blades']);
  });
  test('weighings past midnight go on', () => {
    const a = answerOf(
      'dry-and-wait',
      exampleOf('dry-and-wait', { weighings: '22:00 182 g\n23:30 161 g\n01:00 147 g\n02:30 138 g' }),
    );
    const b = answerOf('dry-and-wait', exampleOf('dry-and-wait'));
    expect(a.figures).toEqual(b.figures);
  });
});
