'use client';

import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';
import type { GaugeProps } from './GaugeScreen';

/** The screen of each gauge by its id: a page carries the fields, the reckoning and the drawing of one, not of all. */
export const GAUGE_SCREENS: Readonly<Record<string, ComponentType<GaugeProps>>> = {
  belt: dynamic(async () => (await import('./of/belt')).screen),
  bearing: dynamic(async () => (await import('./of/bearing')).screen),
  roll: dynamic(async () => (await import('./of/roll')).screen),
  'supply-and-cord': dynamic(async () => (await import('./of/supplyAndCord')).screen),
  'safety-test': dynamic(async () => (await import('./of/safetyTest')).screen),
  winding: dynamic(async () => (await import('./of/winding')).screen),
  shims: dynamic(async () => (await import('./of/shims')).screen),
  'air-path': dynamic(async () => (await import('./of/airPath')).screen),
  pack: dynamic(async () => (await import('./of/pack')).screen),
  scrubber: dynamic(async () => (await import('./of/scrubber')).screen),
  'dry-and-wait': dynamic(async () => (await import('./of/dryAndWait')).screen),
};

/** One gauge, by its id. */
export function OneGauge({ name, ...props }: GaugeProps & { name: string }) {
  const Screen = GAUGE_SCREENS[name]!;
  return <Screen {...props} />;
}
