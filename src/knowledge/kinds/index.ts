import type { KindBook } from '../assemble';
import { backpack } from './backpack';
import { canisterPowerNozzle } from './canisterPowerNozzle';
import { carpetExtractor } from './carpetExtractor';
import { centralTurbineBrush } from './centralTurbineBrush';
import { handheldMains } from './handheldMains';
import { robot } from './robot';
import { scrubberRideOn } from './scrubberRideOn';
import { scrubberWalkBehind } from './scrubberWalkBehind';
import { stickCordless } from './stickCordless';
import { uprightAuto } from './uprightAuto';
import { uprightBaggedBrushGear } from './uprightBaggedBrushGear';
import { uprightBrushMotor } from './uprightBrushMotor';
import { uprightClutch } from './uprightClutch';
import { uprightDirectAir } from './uprightDirectAir';
import { uprightSelfPropelled } from './uprightSelfPropelled';
import { uprightShaftBelt } from './uprightShaftBelt';
import { wetDryTub } from './wetDryTub';

/** The kinds by number, and what belongs to each. */
export const kindBooks: KindBook[] = [
  uprightShaftBelt,
  uprightBrushMotor,
  uprightClutch,
  uprightDirectAir,
  uprightSelfPropelled,
  uprightAuto,
  canisterPowerNozzle,
  centralTurbineBrush,
  stickCordless,
  handheldMains,
  scrubberWalkBehind,
  scrubberRideOn,
  uprightBaggedBrushGear,
  backpack,
  wetDryTub,
  carpetExtractor,
  robot,
];

export const kinds = kindBooks.map((b) => b.kind);
