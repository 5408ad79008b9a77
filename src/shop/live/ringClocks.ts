import { setActor } from '@/data/audit';
import { database, inTransaction, type Db } from '@/data/database';
import { insertTimeline, jobById, nextRingMs, ringWaits } from '@/data/jobs';
import { deleteStale } from '@/data/deeds';
import { deleteOldLinkTries } from '@/data/links';
import { deleteLoosePhotographs } from '@/data/photographs';
import { refreshStale } from '../plans/refreshPlans';
import { waitKinds } from '@/knowledge/counter';

const LONGEST_SLEEP_MS = 2000;
const TIDY_EVERY = 1800;

/**
 * Rings every wait clock that has run out, once, whichever server comes first, by the database's own time.
 * @returns how many rang
 */
export async function ringClocks(db: Db = database()): Promise<number> {
  return db.transaction(async (t) => {
    const rang = await ringWaits(t);
    for (const wait of rang) {
      const job = (await jobById(t, wait.job_id))!;
      const kind = waitKinds.find((w) => w.id === wait.kind)!;
      await insertTimeline(t, {
        machine_id: job.machine_id,
        job_id: job.id,
        what: 'wait',
        text: `${kind.label} is over${wait.what ? `: ${wait.what}` : ''}.`,
        person_id: null,
      });
    }
    return rang.length;
  });
}

/** Keeps the clocks of the shop while this server runs; several servers share the work. */
export function keepClocks(onTrouble: (error: unknown) => void): () => void {
  let timer: ReturnType<typeof setTimeout>;
  let round = 0;
  let stopped = false;
  const turn = async () => {
    let sleep = LONGEST_SLEEP_MS;
    try {
      await ringClocks();
      if (round++ % TIDY_EVERY === 0) await tidy();
      const stale = await refreshStale();
      sleep =
        stale > 0 ? 0 : Math.max(20, Math.min(LONGEST_SLEEP_MS, (await nextRingMs(database())) ?? LONGEST_SLEEP_MS));
    } catch (error) {
      onTrouble(error);
    }
    if (!stopped) timer = setTimeout(() => void turn(), sleep);
    timer?.unref();
  };
  void turn();
  return () => {
    stopped = true;
    clearTimeout(timer);
  };
}

/** Throws away what nobody can want any more. */
export async function tidy(): Promise<void> {
  await inTransaction(database(), async (t) => {
    await setActor(t, 0, 'tidy');
    await deleteLoosePhotographs(t);
    await deleteStale(t);
    await deleteOldLinkTries(t);
  });
}
