import { minutesOf, type Procedure } from '@/core/strip/procedure';
import type { KindBook, KindBookText } from '../assemble';
import { procedureOf } from '../strip';
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

const texts: KindBookText[] = [
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

/** Kind id → the way into it. */
export const procedures: Record<string, Procedure> = Object.fromEntries(
  texts.map(({ kind }) => [kind.id, procedureOf(kind)]),
);

/** The kinds by number, and what belongs to each. What an access takes is the sum of its steps. */
export const kindBooks: KindBook[] = texts.map(({ kind, ...book }) => ({
  ...book,
  kind: {
    ...kind,
    access: kind.access.map(({ id, label, ...more }) => {
      const { open, close } = minutesOf(procedures[kind.id]!.steps, id);
      return { id, label, openMinutes: open, closeMinutes: close, ...more };
    }),
  },
}));

export const kinds = kindBooks.map((b) => b.kind);
