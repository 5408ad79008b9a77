import { dryAndWait } from '@/core/gauges/dryAndWait';
import { rack, weighed } from '../places/otherPlaces';
import { by, screenOf } from './screenOf';

export const screen = screenOf(dryAndWait, by('asks', { weighed, clock: rack }));
