import { pack } from '@/core/gauges/pack';
import { cells, leadAcid } from '../places/powerPlaces';
import { by, screenOf } from './screenOf';

export const screen = screenOf(pack, by('asks', { cells, 'lead-acid': leadAcid }));
