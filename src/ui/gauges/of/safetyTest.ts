import { safetyTest } from '@/core/gauges/safetyTest';
import { safety } from '../places/powerPlaces';
import { screenOf } from './screenOf';

export const screen = screenOf(safetyTest, () => safety);
