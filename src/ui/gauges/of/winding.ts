import { winding } from '@/core/gauges/winding';
import { bars, brush, twin } from '../places/powerPlaces';
import { by, screenOf } from './screenOf';

export const screen = screenOf(winding, by('asks', { bars, winding: twin, brush }));
