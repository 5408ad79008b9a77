/** A motor cooled by its own air, as one lump. */
export interface MotorHeat {
  /** Rise over the room in steady running at healthy flow, K. */
  riseK: number;
  /** Time constant at healthy flow, min. */
  tauMin: number;
  roomC: number;
  /** The cut-out opens at, and closes again at, °C. */
  opensC: number;
  closesC: number;
}

/** A usual suction motor. Common practice, no source. */
export const USUAL_MOTOR: Omit<MotorHeat, 'roomC'> = { riseK: 45, tauMin: 12, opensC: 110, closesC: 75 };

/** Heat that leaves without any flow, as a part of the cooling at healthy flow. Common practice, no source. */
const STILL = 0.12;

/**
 * Cooling against that at healthy flow: the part that leaves anyhow and the rest with the flow to the power 0.8 (turbulent
 * heat transfer, Dittus–Boelter).
 * @param flow as a part of the healthy flow, 0 or more
 */
export function coolingOf(flow: number): number {
  return STILL + (1 - STILL) * flow ** 0.8;
}

/** Temperature after a time of running from cold, °C: one exponential. */
export function motorTemperatureC(motor: MotorHeat, flow: number, minutes: number): number {
  const g = coolingOf(flow);
  return motor.roomC + (motor.riseK / g) * (1 - Math.exp((-minutes * g) / motor.tauMin));
}

/** Minutes from cold until the cut-out opens; null when it never does. */
export function tripMinutes(motor: MotorHeat, flow: number): number | null {
  const g = coolingOf(flow);
  const part = ((motor.opensC - motor.roomC) * g) / motor.riseK;
  return part < 1 ? (-motor.tauMin / g) * Math.log(1 - part) : null;
}

/** Minutes from the cut-out's opening until it closes, standing: cooling without flow. */
export function recoveryMinutes(motor: MotorHeat): number {
  return (motor.tauMin / STILL) * Math.log((motor.opensC - motor.roomC) / (motor.closesC - motor.roomC));
}

/**
 * How much of the cooling air is left, from the time to the trip: the flow at which it would trip just then.
 * @returns 0 to 1 of the healthy flow; null when it tripped sooner than without any air (then it is not the air)
 */
export function flowFromTrip(motor: MotorHeat, minutes: number): number | null {
  const still = tripMinutes(motor, 0);
  if (still === null || minutes < still) return null;
  let low = 0;
  let high = 1.5;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    const trip = tripMinutes(motor, middle);
    if (trip !== null && trip < minutes) low = middle;
    else high = middle;
  }
  return Math.min(1, (low + high) / 2);
}
