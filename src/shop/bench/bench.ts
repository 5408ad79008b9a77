import { database } from '@/data/database';
import { openJobs } from '@/data/jobs';
import { shopSettings } from '@/data/shopSettings';
import { dayInZone, dayStart } from '../settings/day';
import type { BenchView } from './dto';

/** Machines on the premises at most; beyond this the Bench says that there are more. */
const MOST_STRIPS = 200;
const STRIP_DAYS = 4;

/** The machines on the premises with what each waits for and the next thing for the hands. */
export async function bench(): Promise<BenchView> {
  const db = database();
  const [jobs, shop] = await Promise.all([openJobs(db, MOST_STRIPS), shopSettings(db)]);
  const now = new Date();
  const today = dayInZone(now, shop.zone);
  return {
    today,
    days: Array.from({ length: STRIP_DAYS + 1 }, (_, i) => dayStart(today, i, shop.zone)),
    now: now.toISOString(),
    zone: shop.zone,
    strips: jobs.map((j) => ({
      job: j.id,
      stage: j.stage,
      place: j.place,
      tag: j.tag,
      maker: j.maker,
      model: j.model,
      owner: j.owner,
      complaints: j.complaints ?? [],
      promisedOn: j.promised_on,
      takenInAt: j.taken_in_at.toISOString(),
      next: j.next_action,
      wait: j.wait_kind
        ? {
            kind: j.wait_kind,
            what: j.wait_what ?? '',
            startedAt: j.wait_started_at!.toISOString(),
            endsAt: j.wait_ends_at!.toISOString(),
          }
        : null,
      late: j.promised_on < today,
    })),
  };
}
