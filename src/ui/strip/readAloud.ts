import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** Whether this browser can read a text aloud; nobody knows before the page has woken up. */
export function useReader(): boolean {
  return useSyncExternalStore(
    never,
    () => 'speechSynthesis' in window,
    () => false,
  );
}

/** Reads a text aloud; what was being read stops. */
export function readAloud(text: string): void {
  if (!('speechSynthesis' in window)) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
}
