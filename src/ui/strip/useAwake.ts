import { useEffect } from 'react';

/** The display stays on while the hands are in the machine, where the browser can do that. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        const got = await navigator.wakeLock.request('screen');
        if (over) await got.release();
        else lock = got;
      } catch {
        // Refused while the battery is low: the display goes off as ever, nothing is lost.
      }
    };
    void ask();
    const again = () => void ask();
    document.addEventListener('visibilitychange', again);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
}
