'use client';

import type { Drawing } from '@/core/gauges/gauge';
import type { UnitSystem } from '@/core/units/unitSystem';
import { BarsDrawing } from './BarsDrawing';
import { BearingDrawing } from './BearingDrawing';
import { BeltDrawing } from './BeltDrawing';
import { CurveDrawing } from './CurveDrawing';
import { ShimDrawing } from './ShimDrawing';

/** The drawing that belongs to a result. */
export function GaugeDrawing({ drawing, units }: { drawing: Drawing; units: UnitSystem }) {
  switch (drawing.draw) {
    case 'belt':
      return <BeltDrawing {...drawing} units={units} />;
    case 'bearing':
      return <BearingDrawing {...drawing} units={units} />;
    case 'shims':
      return <ShimDrawing {...drawing} units={units} />;
    case 'chart':
      return <CurveDrawing {...drawing} units={units} />;
    case 'bars':
      return <BarsDrawing {...drawing} />;
  }
}
