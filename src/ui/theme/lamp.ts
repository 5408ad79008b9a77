import { useSyncExternalStore } from 'react';
import { MODE_KEY, SCHEME_ATTRIBUTE } from './firstScheme';

/** By day, or under a lamp by night. */
export type Lamp = 'light' | 'dark';

const ofSystem = () => window.matchMedia('(prefers-color-scheme: dark)');
const show = (lamp: Lamp) => document.documentElement.setAttribute(SCHEME_ATTRIBUTE, lamp);

/** The choice that was made on this device; null where the system chooses. */
function chosen(): Lamp | null {
  try {
    const kept = localStorage.getItem(MODE_KEY);
    return kept === 'light' || kept === 'dark' ? kept : null;
  } catch {
    // A browser that keeps nothing follows the system.
    return null;
  }
}

/** Puts a lamp on, here and in every other tab of this device, until another is chosen. */
export function putOn(lamp: Lamp): void {
  show(lamp);
  try {
    localStorage.setItem(MODE_KEY, lamp);
  } catch {
    // It is on in this page all the same.
  }
}

/** Follows what is chosen in another tab, and the system where nothing is chosen. @returns how to stop */
export function followLamp(): () => void {
  const system = ofSystem();
  const follow = () => show(chosen() ?? (system.matches ? 'dark' : 'light'));
  const heard = (e: StorageEvent) => {
    if (e.key === MODE_KEY) follow();
  };
  window.addEventListener('storage', heard);
  system.addEventListener('change', follow);
  return () => {
    window.removeEventListener('storage', heard);
    system.removeEventListener('change', follow);
  };
}

function onChange(heard: () => void): () => void {
  const watcher = new MutationObserver(heard);
  watcher.observe(document.documentElement, { attributeFilter: [SCHEME_ATTRIBUTE] });
  return () => watcher.disconnect();
}

const lampNow = (): Lamp => (document.documentElement.getAttribute(SCHEME_ATTRIBUTE) === 'dark' ? 'dark' : 'light');

/** Which lamp is on, for what cannot take its colours from the style sheet. */
export const useLamp = (): Lamp => useSyncExternalStore(onChange, lampNow, () => 'light');
/** The other one is put on. */
export const turnLamp = () => putOn(lampNow() === 'dark' ? 'light' : 'dark');
