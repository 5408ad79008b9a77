import { belt } from '@/core/gauges/belt';
import { flatBelt, oldAgainstNew, toothedBelt } from '../places/drivePlaces';
import { by, screenOf } from './screenOf';

export const screen = screenOf(belt, by('sort', { flat: flatBelt, compare: oldAgainstNew, toothed: toothedBelt }));
