import { tradeBook, writtenBook } from '@/knowledge/tradeBook';
import { bookOf, faultLabel, faultOf, isTold, lend, tell, tellLent, toldKind } from './trade';

test('a page that was told nothing says so, and shows no ids', () => {
  expect(() => faultLabel('belt-worn')).toThrow('This page was told nothing of the trade, and shows belt-worn.');
  expect(() => bookOf('stick-cordless')).toThrow('This page was told nothing of the kind stick-cordless.');
});

test('told of a kind, it names every fault, and has the places of the faults of that kind only', () => {
  tellLent('stick-cordless');
  expect(isTold('stick-cordless')).toBe(false);
  lend('stick-cordless', writtenBook('stick-cordless').text);
  tellLent('stick-cordless');
  expect(isTold('stick-cordless')).toBe(true);
  expect(isTold('robot')).toBe(false);
  expect(toldKind('stick-cordless').supply).toBe('pack');
  expect(faultLabel('tilt-switch-failed')).toBe('Tilt switch failed');
  expect(faultOf('tilt-switch-failed')).toBeUndefined();
  expect(faultLabel('once-known')).toBe('once-known');
});

test('told of a second kind, what both have stands in both', () => {
  const both = tradeBook('robot').knowledge.faults.find((f) => faultOf(f.id))!;
  const before = faultOf(both.id)!.kinds;
  tell(tradeBook('robot'));
  expect(faultOf(both.id)!.kinds).toEqual({ ...before, ...both.kinds });
  expect(Object.keys(faultOf(both.id)!.kinds).sort()).toEqual(['robot', 'stick-cordless']);
});
