import { shims } from '@/core/gauges/shims';
import { shims as place } from '../places/powerPlaces';
import { screenOf } from './screenOf';

export const screen = screenOf(shims, () => place);
