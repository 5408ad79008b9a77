/** A suction motor and fan: its vacuum falls from sealed suction to nothing at free flow (common practice, no source). */
export interface Fan {
  /** Vacuum with the inlet sealed, kPa. */
  sealedKPa: number;
  /** Flow with nothing before it, L/s. */
  freeLs: number;
  /** How its curve bends: 0 falls in a line, 1 with the square of the flow. */
  shape: number;
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

/** @returns vacuum of the fan at this flow through it, kPa; below zero beyond free flow */
export function fanVacuumKPa(fan: Fan, flowLs: number): number {
  const x = flowLs / fan.freeLs;
  return fan.sealedKPa * (1 - x * (1 - fan.shape + fan.shape * x));
}

export interface WorkingPoint {
  /** Flow into the mouth, L/s; through the motor it is this and the leak's. */
  mouthLs: number;
  motorLs: number;
  /** Vacuum on the motor's side of each section, kPa; NaN for sections that are off. */
  vacuumKPa: number[];
}

/**
 * Vacuum after each section and the flow that then goes through the motor, for the one unknown of a set-up: the flow into an open
 * mouth, L/s, or the vacuum at a sealed one, kPa.
 */
export function along(sections: Section[], setUp: SetUp, leak: Leak | null, unknown: number): WorkingPoint {
  let vacuum = setUp.sealed ? unknown : 0;
  const mouthLs = setUp.sealed ? 0 : unknown;
  let flow = mouthLs;
  const vacuumKPa: number[] = [];
  // Plain loops: this is walked a hundred thousand times for one answer.
  for (let i = 0; i < sections.length; i++) {
    if (i >= setUp.from) {
      const { loss, exponent } = sections[i]!;
      vacuum += loss * (exponent === 2 ? flow * flow : flow ** exponent);
      if (leak !== null && leak.after === i && vacuum > 0) flow += leak.size * vacuum ** 0.5;
    }
    vacuumKPa.push(i < setUp.from ? NaN : vacuum);
  }
  return { mouthLs, motorLs: flow, vacuumKPa };
}

/** What the fan gives more than the path takes at a point, kPa: nothing where it works. */
export const surplusKPa = (fan: Fan, point: WorkingPoint): number =>
  fanVacuumKPa(fan, point.motorLs) - point.vacuumKPa.at(-1)!;

/** The surplus at an unknown of {@link along}, without keeping the way there: the search for the working point asks only for it. */
function surplusAlong(fan: Fan, sections: Section[], { from, sealed }: SetUp, leak: Leak | null, x: number): number {
  let vacuum = sealed ? x : 0;
  let flow = sealed ? 0 : x;
  const leaksAfter = leak === null ? -1 : leak.after;
  for (let i = from; i < sections.length; i++) {
    const { loss, exponent } = sections[i]!;
    if (flow > 0) vacuum += loss * (exponent === 2 ? flow * flow : exponent === 1 ? flow : flow ** exponent);
    if (i === leaksAfter && vacuum > 0) flow += leak!.size * Math.sqrt(vacuum);
  }
  return fanVacuumKPa(fan, flow) - vacuum;
}

/** Where the fan's curve meets the path's. */
export function workingPoint(fan: Fan, sections: Section[], setUp: SetUp, leak: Leak | null = null): WorkingPoint {
  return along(sections, setUp, leak, unknownAt(fan, sections, setUp, leak));
}

/** By how much the far end counts less when the near end moved twice in a row. */
const drawnIn = (now: number, before: number): number => {
  const left = 1 - now / before;
  return left > 0 ? left : 0.5;
};

/** What is left of the fan's vacuum where it is found. */
const CLOSE = 1e-9;

/**
 * The unknown of a set-up where it works (see {@link along}): false position whose far end is drawn in as much as the last step
 * fell short (Anderson & Björck 1973; from memory), which keeps the point between its bounds and cannot run away, to a part in 10⁹ of the
 * sealed suction; some seven looks at the path.
 */
export function unknownAt(fan: Fan, sections: Section[], setUp: SetUp, leak: Leak | null): number {
  const surplusAt = (x: number) => surplusAlong(fan, sections, setUp, leak, x);
  let [low, high] = [0, setUp.sealed ? fan.sealedKPa : fan.freeLs];
  let [above, below] = [surplusAt(low), surplusAt(high)];
  // Sealed and tight: the fan's own vacuum stands everywhere.
  if (below >= 0) return high;
  let lastSide = 0;
  for (let i = 0; i < 100; i++) {
    const x = (low * below - high * above) / (below - above);
    const surplus = surplusAt(x);
    if (Math.abs(surplus) <= CLOSE * fan.sealedKPa) return x;
    if (surplus > 0) {
      if (lastSide > 0) below *= drawnIn(surplus, above);
      [low, above, lastSide] = [x, surplus, 1];
    } else {
      if (lastSide < 0) above *= drawnIn(surplus, below);
      [high, below, lastSide] = [x, surplus, -1];
    }
  }
  return (low + high) / 2;
}
