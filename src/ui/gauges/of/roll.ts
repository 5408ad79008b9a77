import { roll } from '@/core/gauges/roll';
import { roll as place } from '../places/drivePlaces';
import { screenOf } from './screenOf';

export const screen = screenOf(roll, () => place);
