import { zoneOffsets } from './zoneOffsets';

// The rule of the European Union (directive 2000/84/EC): the last Sundays of March and October, 01:00 UTC.
test('summer time of the European Union begins and ends on the last Sundays of March and October', () => {
  const oslo = zoneOffsets('Europe/Oslo', new Date('2026-11-28T00:00:00Z'));
  const moves = oslo.fromHours.slice(1).map((h) => new Date(h * 3_600_000).toISOString().slice(0, 16));
  expect(moves.slice(-4)).toEqual(['2026-03-29T01:00', '2026-10-25T01:00', '2027-03-28T01:00', '2027-10-31T01:00']);
  expect(oslo.minutes.slice(-4)).toEqual([120, 60, 120, 60]);
  expect(moves).toHaveLength(34);
});

test('a zone without summer time has one offset, however odd', () => {
  expect(zoneOffsets('Asia/Kathmandu')).toMatchObject({ minutes: [345] });
  expect(zoneOffsets('UTC')).toMatchObject({ minutes: [0] });
});

test('what is no zone is refused', () => {
  expect(() => zoneOffsets('Mars/Base')).toThrow('There is no time zone Mars/Base.');
});
