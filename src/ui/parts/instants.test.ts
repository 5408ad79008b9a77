import { dayWords } from './dayWords';
import fc from 'fast-check';
import { zoneOffsets } from '@/shop/settings/zoneOffsets';
import { dayAt, instantAt, knowClock, momentWords } from './instants';

test('an instant is told in the shop’s zone, not in the server’s', () => {
  expect(instantAt('2026-11-25T23:30:00.000Z', 'UTC')).toBe('2026-11-25 23:30');
  expect(instantAt('2026-11-25T23:30:00.000Z', 'Pacific/Auckland')).toBe('2026-11-26 12:30');
  expect(dayAt('2026-03-08T06:59:00.000Z', 'America/New_York')).toBe('2026-03-08');
});

test('summer time moves the clock, not the instant', () => {
  expect(instantAt('2026-03-29T00:59:00.000Z', 'Europe/Oslo')).toBe('2026-03-29 01:59');
  expect(instantAt('2026-03-29T01:01:00.000Z', 'Europe/Oslo')).toBe('2026-03-29 03:01');
});

test('near days have names', () => {
  expect(momentWords('2026-11-25T14:05:00.000Z', '2026-11-25', 'UTC')).toBe('today 14:05');
  expect(momentWords('2026-11-26T05:30:00.000Z', '2026-11-25', 'UTC')).toBe('tomorrow 05:30');
  expect(momentWords('2026-11-27T09:00:00.000Z', '2026-11-25', 'UTC')).toBe('Fri 27 Nov 09:00');
});

test('days are written as the language writes them, over four years of days', () => {
  const parts = new Intl.DateTimeFormat('en', { weekday: 'short', month: 'short', timeZone: 'UTC' });
  for (let at = Date.UTC(2023, 11, 20); at < Date.UTC(2028, 0, 10); at += 86_400_000) {
    const iso = new Date(at).toISOString().slice(0, 10);
    const of = Object.fromEntries(parts.formatToParts(at).map((p) => [p.type, p.value]));
    expect(dayWords(iso, '2026-01-01').replace(/ (2023|2024|2025|2027|2028)$/, '')).toBe(
      iso === '2026-01-01'
        ? 'today'
        : iso === '2026-01-02'
          ? 'tomorrow'
          : `${of.weekday} ${Number(iso.slice(8))} ${of.month}`,
    );
  }
});

// Lord Howe moves by half an hour, Chatham stands at a quarter, Casablanca moves back for Ramadan, Apia skipped a day in 2011.
test.each(['Australia/Lord_Howe', 'Pacific/Chatham', 'Africa/Casablanca', 'Pacific/Apia', 'America/New_York', 'UTC'])(
  'with the clock of %s told, instants are what the browser’s own format writes',
  (zone) => {
    const own = new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short', timeStyle: 'short' });
    const told = zoneOffsets(zone, new Date('2026-11-28T00:00:00Z'));
    knowClock(told);
    const same = (at: number) => expect(instantAt(new Date(at).toISOString(), zone)).toBe(own.format(at));
    for (const hour of told.fromHours) for (const minute of [-1, 0, 1]) same(hour * 3_600_000 + minute * 60_000);
    // Before and after what was told as well.
    fc.assert(fc.property(fc.integer({ min: Date.UTC(2005, 0), max: Date.UTC(2035, 0) }), same), { numRuns: 300 });
  },
);
