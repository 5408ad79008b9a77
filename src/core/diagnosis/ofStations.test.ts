import { ofStations, stationKeys } from './ofStations';

test.each([
  ['with the station', 'Head open{~belt:, belt off}{gears:, gears off}.', ['flat-belt'], 'Head open, belt off.'],
  ['a word of its id, not a piece of a word', 'Off{~belt:, belt off}.', ['beltway', 'seat-belts'], 'Off.'],
  ['an id as a whole', '{hose:Hose|Head} on.', ['neck-hose'], 'Head on.'],
  ['one of several', 'Read {hose/wand:each|again}.', ['wand'], 'Read each.'],
  ['nothing at the end', '{bin:Look at its line. }{bag:Feel the bag.}', ['bin'], 'Look at its line.'],
  ['a text without pieces', 'Look: fine.', [], 'Look: fine.'],
])('%s', (_, text, stations, said) => {
  expect(ofStations(text, new Set(stations))).toBe(said);
});

test('the keys of a text', () => {
  expect(stationKeys('{hose/wand:each|again} and {~belt:x}')).toEqual(['hose', 'wand', '~belt']);
});
