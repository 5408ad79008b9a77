import psychrolib from 'psychrolib';
import { dryingFactor, saturationPa, wetBulbC } from './moistAir';

// PsychroLib, an independent implementation of the ASHRAE Handbook Fundamentals.
psychrolib.SetUnitSystem(psychrolib.SI);

test('saturation and wet bulb against PsychroLib, over all rooms that there are', () => {
  for (let celsius = 2; celsius <= 45; celsius += 3.3) {
    expect(saturationPa(celsius) / psychrolib.GetSatVapPres(celsius)).toBeCloseTo(1, 5);
    for (const humidity of [0.2, 0.4, 0.6, 0.8, 0.95]) {
      const theirs = psychrolib.GetTWetBulbFromRelHum(celsius, humidity, 101_325);
      if (theirs > 0.5) expect(wetBulbC(celsius, humidity)).toBeCloseTo(theirs, 1);
    }
  }
});

// Steam tables, as any handbook prints them: 2.339 kPa at 20 °C, 4.247 kPa at 30 °C, 101.42 kPa at 100 °C.
test.each([
  [20, 2.339],
  [30, 4.247],
  [100, 101.42],
])('over water of %d °C: %d kPa', (celsius, kPa) => {
  expect(saturationPa(celsius) / 1000 / kPa).toBeCloseTo(1, 3);
});

test('damp air dries slower, warm air faster, saturated air not at all', () => {
  expect(dryingFactor(20, 0.5)).toBeCloseTo(1, 9);
  expect(dryingFactor(20, 0.8)).toBeGreaterThan(2);
  expect(dryingFactor(30, 0.4)).toBeLessThan(0.7);
  expect(dryingFactor(20, 1)).toBe(Infinity);
});
