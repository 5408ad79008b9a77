/** Lets so many through at once; the others wait in the order in which they came, and not for ever. */
export interface Turnstile {
  /**
   * Waits for a turn.
   * @returns what gives the turn back, to be called once; null when too many wait, or it took too long
   */
  enter(): Promise<(() => void) | null>;
}

/** @param longestMs a turn that is not had within this is given up */
export function turnstile(atOnce: number, mostWaiting: number, longestMs: number): Turnstile {
  let inside = 0;
  const line: (() => void)[] = [];
  const leave = () => {
    inside--;
    line.shift()?.();
  };
  /** The turn of one, given back once however often it is said. */
  const turn = () => {
    inside++;
    let isIn = true;
    return () => {
      if (isIn) leave();
      isIn = false;
    };
  };
  return {
    enter() {
      if (inside < atOnce) return Promise.resolve(turn());
      if (line.length >= mostWaiting) return Promise.resolve(null);
      return new Promise((done) => {
        const next = () => {
          clearTimeout(late);
          done(turn());
        };
        const late = setTimeout(() => {
          line.splice(line.indexOf(next), 1);
          done(null);
        }, longestMs);
        line.push(next);
      });
    },
  };
}
