import { useEffect, useSyncExternalStore } from 'react';

/** Pages on their way to this tab: links that were pressed, forms that lead on. */
let pages = 0;
const listeners = new Set<() => void>();

function count(by: 1 | -1) {
  pages += by;
  for (const told of listeners) told();
}

/** Says that a page is on its way, for as long as it is. */
export function useUnderway(going: boolean): void {
  useEffect(() => {
    if (!going) return;
    count(1);
    return () => count(-1);
  }, [going]);
}

const subscribe = (told: () => void) => {
  listeners.add(told);
  return () => listeners.delete(told);
};

/** Whether a page is on its way. */
export const useIsUnderway = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => pages > 0,
    () => false,
  );
