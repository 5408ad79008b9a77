'use client';

import { useCallback, useEffect, useRef } from 'react';

const LAST = 'gritkeeper-last-touch';
const LOOK_MS = 1000;
/** Written down no more often than this: every movement of a hand would be a thousand. */
const NOTE_MS = 2000;
const SIGNS = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart'] as const;

/**
 * Says when nobody has touched this browser for so long: one clock for all its tabs, kept where they all see it. A tab that
 * slept looks at the clock when it wakes.
 * @param isQuiet it was said already: touches do not count until the answer is called
 * @returns what starts the clock anew
 */
export function useQuiet(afterMs: number, isQuiet: boolean, onQuiet: () => void): () => void {
  const noted = useRef(0);
  const said = useRef(false);
  const say = useRef(onQuiet);
  useEffect(() => {
    say.current = onQuiet;
  });
  const touch = useCallback(() => {
    noted.current = Date.now();
    said.current = false;
    localStorage.setItem(LAST, String(noted.current));
  }, []);
  useEffect(() => {
    if (isQuiet) return;
    if (!localStorage.getItem(LAST)) touch();
    const onTouch = () => {
      if (Date.now() - noted.current > NOTE_MS) touch();
    };
    // Before any touch counts: a hand on a screen that has been quiet too long finds it locked.
    const look = () => {
      if (said.current || Date.now() - Number(localStorage.getItem(LAST) ?? 0) < afterMs) return;
      said.current = true;
      say.current();
    };
    look();
    const clock = setInterval(look, LOOK_MS);
    for (const sign of SIGNS) document.addEventListener(sign, onTouch, { passive: true, capture: true });
    return () => {
      clearInterval(clock);
      for (const sign of SIGNS) document.removeEventListener(sign, onTouch, { capture: true });
    };
  }, [afterMs, isQuiet, touch]);
  return touch;
}
