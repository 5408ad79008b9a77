/** Sea level, Pa: height makes less difference to drying than a draught. */
const PRESSURE_PA = 101_325;

/**
 * Pressure of water vapour over water where air is saturated, Pa, 0 to 200 °C.
 * ASHRAE Handbook Fundamentals, Psychrometrics (Hyland & Wexler 1983); constants from memory, checked against PsychroLib.
 */
export function saturationPa(celsius: number): number {
  const k = celsius + 273.15;
  return Math.exp(
    -5.8002206e3 / k +
      1.3914993 -
      4.8640239e-2 * k +
      4.1764768e-5 * k ** 2 -
      1.4452093e-8 * k ** 3 +
      6.5459673 * Math.log(k),
  );
}

/** Water in air, kg to a kg of dry air, from the pressure of its vapour. */
const ratioOf = (vapourPa: number) => (0.621945 * vapourPa) / (PRESSURE_PA - vapourPa);

/**
 * Temperature to which a wet surface cools in this air, °C: bisection on the balance of heat and water (ASHRAE Handbook
 * Fundamentals, Psychrometrics; above freezing).
 * @param humidity relative, 0 to 1
 */
export function wetBulbC(celsius: number, humidity: number): number {
  const ratio = ratioOf(humidity * saturationPa(celsius));
  const ratioAt = (wet: number) => {
    const saturated = ratioOf(saturationPa(wet));
    return ((2501 - 2.326 * wet) * saturated - 1.006 * (celsius - wet)) / (2501 + 1.86 * celsius - 4.186 * wet);
  };
  let [low, high] = [-20, celsius];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (ratioAt(middle) > ratio) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

/** The air in which times of drying are usually told. Common practice, no source. */
const USUAL = { celsius: 20, humidity: 0.5 };
/** Colder by less than this, a wet surface gives nothing away that anybody waits for. */
const LEAST_DEPRESSION_K = 0.5;

/**
 * How much longer a part dries in this air than in the usual one (20 °C, 50 %): a wet surface gives its water away by how much
 * colder it gets than the air (any handbook of drying).
 * @param humidity relative, 0 to 1
 * @returns Infinity where it does not dry
 */
export function dryingFactor(celsius: number, humidity: number): number {
  const depression = (c: number, h: number) => c - wetBulbC(c, h);
  const here = depression(celsius, humidity);
  return here < LEAST_DEPRESSION_K ? Infinity : depression(USUAL.celsius, USUAL.humidity) / here;
}
