/** Lets so many through at once, so many of one caller; the others wait, and not for ever. */
export interface Turnstile {
  /**
   * Waits for a turn. Whoever has the fewest turns comes first, then whoever came first: nobody waits for all that one asked.
   * @param who whoever asks, by any name that tells one from another
   * @returns what gives the turn back, to be called once; null when too many wait, or it took too long
   */
  enter(who: string): Promise<(() => void) | null>;
}

export interface TurnstileSize {
  atOnce: number;
  waiting: number;
  /** Of one caller. */
  ofOne: { atOnce: number; waiting: number };
  /** A turn that is not had within this is given up. */
  longestMs: number;
}

interface Waiting {
  who: string;
  go: () => void;
}

export function turnstile({ atOnce, waiting, ofOne, longestMs }: TurnstileSize): Turnstile {
  let inside = 0;
  const turnsOf = new Map<string, number>();
  const turns = (who: string) => turnsOf.get(who) ?? 0;
  const count = (who: string, more: 1 | -1) => {
    inside += more;
    const left = turns(who) + more;
    if (left === 0) turnsOf.delete(who);
    else turnsOf.set(who, left);
  };
  const line: Waiting[] = [];
  const callNext = () => {
    if (inside >= atOnce) return;
    let best: Waiting | null = null;
    for (const one of line)
      if (turns(one.who) < ofOne.atOnce && (best === null || turns(one.who) < turns(best.who))) best = one;
    if (best === null) return;
    line.splice(line.indexOf(best), 1);
    best.go();
  };
  /** The turn of one, given back once however often it is said. */
  const turn = (who: string) => {
    count(who, 1);
    let isIn = true;
    return () => {
      if (!isIn) return;
      isIn = false;
      count(who, -1);
      callNext();
    };
  };
  return {
    enter(who) {
      if (inside < atOnce && turns(who) < ofOne.atOnce) return Promise.resolve(turn(who));
      if (line.length >= waiting || line.filter((one) => one.who === who).length >= ofOne.waiting)
        return Promise.resolve(null);
      return new Promise((done) => {
        const late = setTimeout(() => {
          line.splice(line.indexOf(mine), 1);
          done(null);
        }, longestMs).unref();
        const mine: Waiting = {
          who,
          go() {
            clearTimeout(late);
            done(turn(who));
          },
        };
        line.push(mine);
      });
    },
  };
}
