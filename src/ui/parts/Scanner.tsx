'use client';

import { useEffect } from 'react';
import { startScan, type Burst } from './scanBurst';
import { useGo } from '../theme/useGo';

/** Opens the machine of a scanned tag, on whatever screen: a scanner is a keyboard that types faster than a hand. */
export function Scanner() {
  const router = useGo();
  useEffect(() => {
    const scan = startScan();
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.isComposing) return;
      const field =
        event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement ? event.target : null;
      // A box that finds machines by itself takes the scan.
      if (field?.dataset.scan === 'own') return;
      const burst = scan.press(event.key, event.timeStamp, field?.value ?? null);
      if (!burst) return;
      event.preventDefault();
      event.stopPropagation();
      if (field) giveBack(field, burst);
      router.push(`/scan?code=${encodeURIComponent(burst.code)}`);
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, [router]);
  return null;
}

/** What the scanner typed into a field of somebody's is taken out again. */
function giveBack(field: HTMLInputElement | HTMLTextAreaElement, burst: Burst): void {
  if (burst.before === null) return;
  const kind = field instanceof HTMLInputElement ? HTMLInputElement : HTMLTextAreaElement;
  // React listens to the native setter, not to its own.
  Object.getOwnPropertyDescriptor(kind.prototype, 'value')!.set!.call(field, burst.before);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}
