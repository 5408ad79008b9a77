/** A suction motor and fan: its vacuum falls in a line from sealed suction to free flow (common practice, no source). */
export interface Fan {
  /** Vacuum with the inlet sealed, kPa. */
  sealedKPa: number;
  /** Flow with nothing before it, L/s. */
  freeLs: number;
}

/** A part of the air path: its loss grows with the flow to a power, 2 for ducts, near 1 for a filter's felt. */
export interface Section {
  id: string;
  label: string;
  /** Loss at 1 L/s, kPa. */
  loss: number;
  exponent: number;
}

/** A hole at the motor's side of a section: it lets in `size · √vacuum` L/s (orifice law), vacuum in kPa. */
export interface Leak {
  after: number;
  size: number;
}

/** How the path is set up: everything from section `from` on is attached, its mouth open or sealed. */
export interface SetUp {
  from: number;
  sealed: boolean;
}

export function fanVacuumKPa(fan: Fan, flowLs: number): number {
  return fan.sealedKPa * (1 - flowLs / fan.freeLs);
}

export interface WorkingPoint {
  /** Flow into the mouth, L/s; through the motor it is this and the leak's. */
  mouthLs: number;
  motorLs: number;
  /** Vacuum on the motor's side of each section, kPa; NaN for sections that are off. */
  vacuumKPa: number[];
}

/** Vacuum needed after each section when this much flows into the mouth; and the flow that then goes through the motor. */
function along(sections: Section[], setUp: SetUp, leak: Leak | null, mouthLs: number, atSeal: number): WorkingPoint {
  let vacuum = setUp.sealed ? atSeal : 0;
  let flow = mouthLs;
  const vacuumKPa = sections.map((section, i) => {
    if (i < setUp.from) return NaN;
    vacuum += section.loss * flow ** section.exponent;
    if (leak?.after === i) flow += leak.size * Math.sqrt(Math.max(0, vacuum));
    return vacuum;
  });
  return { mouthLs, motorLs: flow, vacuumKPa };
}

/**
 * Where the fan's curve meets the path's: bisection on the one unknown (flow at an open mouth, vacuum at a sealed one), which
 * cannot run away, to a part in 10⁸.
 */
export function workingPoint(fan: Fan, sections: Section[], setUp: SetUp, leak: Leak | null = null): WorkingPoint {
  const point = (x: number) => (setUp.sealed ? along(sections, setUp, leak, 0, x) : along(sections, setUp, leak, x, 0));
  const balance = (p: WorkingPoint) => fanVacuumKPa(fan, p.motorLs) - p.vacuumKPa.at(-1)!;
  let low = 0;
  let high = setUp.sealed ? fan.sealedKPa : fan.freeLs;
  for (let i = 0; i < 60 && high - low > 1e-8 * high; i++) {
    const middle = (low + high) / 2;
    if (balance(point(middle)) > 0) low = middle;
    else high = middle;
  }
  return point((low + high) / 2);
}
