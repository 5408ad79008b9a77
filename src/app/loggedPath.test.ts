import { loggedPath } from './loggedPath';

test.each([
  ['/o/TQMubO_05yE6FGTzNSIw1i3', '/o/…'],
  ['/api/o/TQMubO_05yE6FGTzNSIw1i3', '/api/o/…'],
  ['/api/o/TQMubO_05yE6FGTzNSIw1i3/photographs/12', '/api/o/…/photographs/12'],
  ['/api/v1/jobs/12/agree', '/api/v1/jobs/12/agree'],
  ['/cal/TQMubO_05yE6FGTzNSIw1i3.ics', '/cal/…'],
  ['/', '/'],
])('%s is written down as %s', (path, logged) => expect(loggedPath(path)).toBe(logged));

test('no longer than a line', () => expect(loggedPath(`/${'x'.repeat(900)}`)).toHaveLength(200));
