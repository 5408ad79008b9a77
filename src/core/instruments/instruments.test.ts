import fc from 'fast-check';
import { knowledge, kindById } from '@/knowledge';
import { compileKind } from '../diagnosis/compileKind';
import { classifyReading, referencesOf } from '../diagnosis/classifyReading';
import { OVER_RANGE_OHM } from '../units/units';
import {
  checksum,
  lineSplitter,
  MeterLineError,
  meterLine,
  parseMeterLine,
  UNITS_ON_THE_LINE,
  type MeterQuantity,
} from './lineProtocol';
import { nextReading } from './readMeter';
import { simulatedReading } from './simulatedReading';

describe('the line protocol', () => {
  // Worked by hand: the exclusive or of the bytes of "A" and "B" is 03.
  test('the checksum is the exclusive or of the bytes', () => {
    expect(checksum('AB')).toBe('03');
    expect(checksum('')).toBe('00');
  });

  test('what is sent is what is read', () => {
    const quantities = Object.keys(UNITS_ON_THE_LINE) as MeterQuantity[];
    fc.assert(
      fc.property(fc.constantFrom(...quantities), fc.double({ min: 0, max: 9e4, noNaN: true }), (quantity, value) => {
        const read = parseMeterLine(meterLine({ quantity, value }).trimEnd());
        expect(read.quantity).toBe(quantity);
        expect(Math.abs(read.value - value)).toBeLessThanOrEqual(1e-4 * value + 1e-12);
      }),
      { seed: 4 },
    );
    expect(parseMeterLine(meterLine({ quantity: 'resistance', value: 2e9 }).trimEnd()).value).toBe(OVER_RANGE_OHM);
  });

  test('one wrong byte anywhere is seen', () => {
    const line = meterLine({ quantity: 'voltage', value: 116.2 }).trimEnd();
    for (let i = 0; i < line.length; i++) {
      const garbled = `${line.slice(0, i)}${String.fromCharCode(line.charCodeAt(i) ^ 1)}${line.slice(i + 1)}`;
      expect(() => parseMeterLine(garbled)).toThrow(MeterLineError);
    }
  });

  test.each(['', 'voltage', 'voltage 5 V', 'weight 5 kg*00', 'voltage 5 kPa*4A'])('%j is no reading', (line) =>
    expect(() => parseMeterLine(line)).toThrow(MeterLineError),
  );

  test('lines are whole however they arrive, and an endless one is dropped', () => {
    const all = [116.2, 0.4, 5].map((value) => meterLine({ quantity: 'voltage', value })).join('');
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 30, maxLength: 60 }), (sizes) => {
        const split = lineSplitter();
        const lines: string[] = [];
        let at = 0;
        for (const size of [...sizes, 99]) lines.push(...split(all.slice(at, (at += size))));
        expect(lines.map((l) => parseMeterLine(l).value)).toEqual([116.2, 0.4, 5]);
      }),
      { seed: 6 },
    );
    const split = lineSplitter();
    expect(split('x'.repeat(500))).toEqual([]);
    expect(split(meterLine({ quantity: 'time', value: 1 }))).toHaveLength(1);
  });
});

describe('a simulated port', () => {
  const port = (lines: string[], ends = true) => ({
    readable: new ReadableStream<Uint8Array>({
      start(control) {
        for (const l of lines) control.enqueue(new TextEncoder().encode(l));
        if (ends) control.close();
      },
    }),
  });
  const never = new AbortController().signal;

  test('the first whole reading of the quantity is taken, over garbled lines and other quantities', async () => {
    const lines = ['tage 3 V*00\n', meterLine({ quantity: 'current', value: 8 }), 'voltage 11', '6.2 V*'];
    const whole = meterLine({ quantity: 'voltage', value: 116.2 });
    lines[2] = whole.slice(0, 10);
    lines[3] = whole.slice(10);
    expect(await nextReading(port(lines), 'voltage', never)).toEqual({ quantity: 'voltage', value: 116.2 });
  });

  test('an instrument that falls silent is told, and waiting can be stopped', async () => {
    await expect(nextReading(port([]), 'voltage', never)).rejects.toThrow('fell silent');
    const stop = new AbortController();
    const waiting = nextReading(port([], false), 'voltage', stop.signal);
    stop.abort();
    await expect(waiting).rejects.toThrow('Stopped.');
  });
});

describe('simulated instruments', () => {
  const kind = kindById('upright-brush-motor');
  const compiled = compileKind(knowledge, kind);
  const volts = compiled.checks
    .find((c) => c.id === 'head-socket-volts')!
    .aspects.find((a) => a.condition === 'roll-on')!;
  const read = (faults: string[], seed: number, turn = 0) =>
    simulatedReading(
      compiled,
      120,
      new Set(faults.map((f) => compiled.faultIndex.get(f)!)),
      { check: 'head-socket-volts', aspect: volts },
      seed,
      turn,
    );

  test('a sound line shows the supply, a broken one a ghost or nothing, by how often that is so', () => {
    const seeds = Array.from({ length: 200 }, (_, i) => i);
    const share = (faults: string[]) => seeds.filter((s) => read(faults, s) > 90).length / seeds.length;
    expect(share([])).toBeGreaterThan(0.93);
    expect(share(['handle-brush-switch-failed'])).toBeLessThan(0.12);
    // The check asks for the switch to be on: that it was off is not seen there.
    expect(share(['brush-switch-off'])).toBeGreaterThan(0.93);
  });

  test('the same machine answers the same but for the last digits', () => {
    for (let seed = 0; seed < 30; seed++) {
      const readings = [0, 1, 2, 3].map((turn) => read([], seed, turn));
      const middle = readings.reduce((a, b) => a + b, 0) / 4;
      for (const r of readings) expect(Math.abs(r / middle - 1)).toBeLessThan(0.01);
      expect(new Set(readings).size).toBeGreaterThan(1);
    }
  });

  test('every reading of every kind is within what its check takes', () => {
    for (const k of knowledge.kinds) {
      const c = compileKind(knowledge, k);
      const mainsV = k.supply === 'mains' || k.supply === 'air' ? 230 : 24;
      for (const check of c.checks)
        for (const aspect of check.aspects.filter((a) => a.reading))
          for (let seed = 0; seed < 5; seed++) {
            const present = new Set([seed % c.faults.length]);
            const value = simulatedReading(c, mainsV, present, { check: check.id, aspect }, seed, 0);
            const likelihood = classifyReading(aspect, value, referencesOf(k, mainsV));
            expect(Math.max(...likelihood)).toBeCloseTo(1, 9);
          }
    }
  });
});
