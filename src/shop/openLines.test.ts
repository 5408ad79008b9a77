import fc from 'fast-check';
import ICAL from 'ical.js';
import { writeCard } from './exchange/vcard';
import { writeCalendar } from './rounds/calendar';

const words = fc.string({
  unit: fc.constantFrom('a', ' ', 'é', '帯', '🧹', ',', ';', '\\', 'N'),
  minLength: 1,
  maxLength: 320,
  size: 'max',
});
const tooLong = (text: string) => text.split('\r\n').filter((line) => Buffer.byteLength(line) > 75);

test('no line of a calendar or a card is longer than 75 bytes, whatever its length and letters, and it is read as it was', () => {
  fc.assert(
    fc.property(words, (said) => {
      const row = {
        tag: 'R1',
        maker: 'Hollin',
        model: said,
        machine_id: 1,
        item: 'flat-belt',
        site: said,
        customer: 'x',
      };
      const calendar = writeCalendar('Shop', [{ ...row, due_on: '2026-03-29' }], '2026-01-01');
      const card = writeCard({ name: said, kind: 'business', phone: '', email: '', address: said, standing: said });
      expect(tooLong(calendar + card)).toEqual([]);
      const [event] = new ICAL.Component(ICAL.parse(calendar)).getAllSubcomponents('vevent');
      expect(new ICAL.Event(event!).location).toBe(`x, ${said}`);
      expect(new ICAL.Component(ICAL.parse(card)).getFirstPropertyValue('note')).toBe(said);
    }),
    { numRuns: 300, seed: 75 },
  );
});

// RFC 5545, 3.1: at most 75 octets, the line break not counted; what is folded begins with one space.
test('a line is folded at 75 bytes and no sooner than it must, by one', () => {
  for (const letters of [66, 67, 71, 72, 73, 140, 146, 147, 148, 220, 221, 222, 400]) {
    const lines = writeCard({
      name: 'x'.repeat(letters),
      kind: 'household',
      phone: '',
      email: '',
      address: '',
      standing: '',
    });
    const longest = Math.max(...lines.split('\r\n').map((line) => line.length));
    expect(longest).toBeLessThanOrEqual(75);
    expect(longest).toBeGreaterThanOrEqual(Math.min(74, 3 + letters));
  }
});
