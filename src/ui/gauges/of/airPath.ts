import { airPath } from '@/core/gauges/airPath';
import { AIR_PLACES } from '../places/airPlaces';
import { hose } from '../places/otherPlaces';
import { by, screenOf } from './screenOf';

const onMachine = by('machine', AIR_PLACES);

export const screen = screenOf(airPath, (typed) => by('asks', { clog: onMachine(typed), filter: hose })(typed));
