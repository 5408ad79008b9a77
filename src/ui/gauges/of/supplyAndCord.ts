import { supplyAndCord } from '@/core/gauges/supplyAndCord';
import { cord, supply } from '../places/powerPlaces';
import { by, screenOf } from './screenOf';

// A head without its roll is read at no place of its own.
export const screen = screenOf(supplyAndCord, (typed) =>
  by('asks', { reading: typed['roll'] === 'none' ? undefined : supply, cord })(typed),
);
