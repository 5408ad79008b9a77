/** Work that goes on after an answer was given; nobody waits for it, and it is done again when it was lost. */
const held = globalThis as {
  gritkeeperAfterwards?: { running: Set<Promise<void>>; onTrouble: (error: unknown) => void };
};
const work = (held.gritkeeperAfterwards ??= {
  running: new Set(),
  onTrouble: (error) => {
    throw error;
  },
});

/** Does it once what runs now has come to rest: the answer goes out first. What goes wrong is told to whoever watches. */
export function afterwards(task: () => Promise<void>): void {
  const running: Promise<void> = new Promise<void>((begin) => setImmediate(begin))
    .then(task)
    .catch((error: unknown) => work.onTrouble(error))
    .finally(() => work.running.delete(running));
  work.running.add(running);
}

/** Whom to tell when such work fails. Until somebody watches, it ends the process: nothing is swallowed. */
export function watchAfterwards(onTrouble: (error: unknown) => void): void {
  work.onTrouble = onTrouble;
}

/** Waits until all of it is done. */
export async function afterwardsDone(): Promise<void> {
  while (work.running.size > 0) await Promise.all(work.running);
}
