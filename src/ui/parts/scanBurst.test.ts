import fc from 'fast-check';
import { startScan } from './scanBurst';

function type(text: string, everyMs: number, field: string | null = null, enter = true) {
  const scan = startScan();
  let at = 1000;
  let value = field;
  for (const key of text) {
    scan.press(key, at, value);
    if (value !== null) value += key;
    at += everyMs;
  }
  return enter ? scan.press('Enter', at, value) : null;
}

test('a scanner’s burst is a scan, a hand’s typing is not', () => {
  expect(type('GK-0034', 8)).toEqual({ code: 'GK-0034', before: null });
  expect(type('GK-0034', 90)).toBeNull();
});

test('what stood in the field before is known', () => {
  expect(type('GK-0034', 8, 'It scre')).toEqual({ code: 'GK-0034', before: 'It scre' });
});

test('Shift of a capital letter does not break the burst', () => {
  const scan = startScan();
  let at = 0;
  for (const key of ['Shift', 'G', 'Shift', 'K', '-', '0', '0', '1', '2']) scan.press(key, (at += 6), null);
  expect(scan.press('Enter', at + 6, null)?.code).toBe('GK-0012');
});

test('words before it are not part of it', () => {
  const scan = startScan();
  let at = 0;
  for (const key of 'squeals') scan.press(key, (at += 120), null);
  at += 400;
  for (const key of 'GK-0007') scan.press(key, (at += 5), null);
  expect(scan.press('Enter', at + 5, null)?.code).toBe('GK-0007');
});

test('no plain word, however fast, is a scan', () => {
  fc.assert(
    fc.property(fc.stringMatching(/^[a-z ]{1,30}$/), (word) => {
      expect(type(word, 5)).toBeNull();
    }),
  );
});
