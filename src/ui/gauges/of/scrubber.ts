import { scrubber } from '@/core/gauges/scrubber';
import { scrubber as place } from '../places/otherPlaces';
import { screenOf } from './screenOf';

export const screen = screenOf(scrubber, () => place);
