import type { Drawing } from '../shapes';
import { backpack, canister, tub, turbineBrush } from './canisters';
import { robot, stick } from './cordless';
import { handheld } from './handheld';
import { extractor, rideOn, walkBehind } from './scrubbers';
import { auto, baggedGear, brushMotor, clutch, directAir, selfPropelled, shaftBelt } from './uprights';

/** Kind id → its side view, standing, nose to the left. */
export const drawings: Record<string, Drawing> = {
  'upright-shaft-belt': shaftBelt,
  'upright-brush-motor': brushMotor,
  'upright-clutch': clutch,
  'upright-direct-air': directAir,
  'upright-self-propelled': selfPropelled,
  'upright-auto': auto,
  'canister-power-nozzle': canister,
  'central-turbine-brush': turbineBrush,
  'stick-cordless': stick,
  'handheld-mains': handheld,
  'scrubber-walk-behind': walkBehind,
  'scrubber-ride-on': rideOn,
  'upright-bagged-brush-gear': baggedGear,
  backpack,
  'wet-dry-tub': tub,
  'carpet-extractor': extractor,
  robot,
};
