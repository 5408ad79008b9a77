'use client';

import { useSyncExternalStore } from 'react';
import type { MeterPort } from '@/core/instruments/readMeter';

/** As much of the browser's Web Serial as is used; not every browser has it. */
interface Serial {
  requestPort(): Promise<{
    open(options: { baudRate: number }): Promise<void>;
    close(): Promise<void>;
    readable: ReadableStream<Uint8Array> | null;
  }>;
}

const SWITCH = 'gritkeeper.meter';
const BAUD = 9600;

const serialOf = () => (navigator as Navigator & { serial?: Serial }).serial;

/** Whether readings may be taken from a meter on a serial line: switched on in this browser, which must be able to. */
export function useMeterSwitch(): boolean {
  return useSyncExternalStore(
    (changed) => {
      window.addEventListener('storage', changed);
      return () => window.removeEventListener('storage', changed);
    },
    () => serialOf() !== undefined && localStorage.getItem(SWITCH) === 'on',
    () => false,
  );
}

export function canReadMeters(): boolean {
  return serialOf() !== undefined;
}

export function switchMeter(on: boolean): void {
  if (on) localStorage.setItem(SWITCH, 'on');
  else localStorage.removeItem(SWITCH);
  // The other tabs hear it by themselves, this one does not.
  window.dispatchEvent(new StorageEvent('storage', { key: SWITCH }));
}

/** Lets the person choose the port and opens it. @throws DOMException when none is chosen or it is taken */
export async function openMeterPort(): Promise<MeterPort & { close(): Promise<void> }> {
  const port = await serialOf()!.requestPort();
  await port.open({ baudRate: BAUD });
  return { readable: port.readable!, close: () => port.close() };
}
