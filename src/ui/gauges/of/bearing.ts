import { bearing } from '@/core/gauges/bearing';
import { bearing as place } from '../places/drivePlaces';
import { screenOf } from './screenOf';

export const screen = screenOf(bearing, () => place);
