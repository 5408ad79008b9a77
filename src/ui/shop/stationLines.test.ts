import { readStations, stationLines } from './stationLines';

test('a line is read as it is written', () => {
  const added = [
    { line: 'power', after: 'cord', id: 'leakage-switch', label: 'leakage switch' },
    { line: 'air', after: '', id: 'scent-tray', label: 'scent tray' },
  ];
  expect(stationLines(added)).toEqual(['power, after cord: leakage switch', 'air: scent tray']);
  expect(readStations(stationLines(added))).toEqual(added);
});

test('spaces and capitals do not matter; what is no line stays for the server to refuse', () => {
  expect(readStations(['  Power , after cord-grip :  Ébonite cap '])).toEqual([
    { line: 'power', after: 'cord-grip', id: 'ebonite-cap', label: 'Ébonite cap' },
  ]);
  expect(readStations(['leakage switch'])).toEqual([{ line: 'leakage switch', after: '', id: '', label: '' }]);
});
