import { database } from '@/data/database';
import { countOpenJobs, openJobs, type OpenJob } from '@/data/jobs';
import { workers } from '@/data/people';
import { shopSettings } from '@/data/shopSettings';
import { dayInZone, dayStart } from '../settings/day';
import { foreseeStale } from '../odds/foresee';
import type { BenchView } from './dto';

/** Machines on the premises at most; beyond this the Bench says that there are more. */
const MOST_STRIPS = 200;
const STRIP_DAYS = 4;

/** The machines on the premises with what each waits for and the next thing for the hands. */
export async function bench(): Promise<BenchView> {
  const db = database();
  const [jobs, shop, people, open] = await Promise.all([
    openJobs(db, MOST_STRIPS),
    shopSettings(db),
    workers(db),
    countOpenJobs(db),
  ]);
  foreseeStale(jobs);
  const now = new Date();
  const today = dayInZone(now, shop.zone);
  return {
    today,
    days: Array.from({ length: STRIP_DAYS + 1 }, (_, i) => dayStart(today, i, shop.zone)),
    now: now.toISOString(),
    zone: shop.zone,
    more: Math.max(0, open - jobs.length),
    benches: shop.benches,
    people: people.filter((p) => p.role !== 'counter').map((p) => ({ id: p.id, name: p.name })),
    strips: jobs.map((j) => ({
      job: j.id,
      version: j.version,
      benchNo: j.bench_no,
      person: j.person_id ? { id: j.person_id, name: j.person ?? '' } : null,
      comeback: j.comeback_of !== null,
      stage: j.stage,
      place: j.place,
      tag: j.tag,
      maker: j.maker,
      model: j.model,
      owner: j.owner,
      complaints: j.complaints ?? [],
      promisedOn: j.promised_on,
      takenInAt: j.taken_in_at.toISOString(),
      next: nextOf(j),
      wait: j.wait_kind
        ? {
            kind: j.wait_kind,
            what: j.wait_what ?? '',
            startedAt: j.wait_started_at!.toISOString(),
            endsAt: j.wait_ends_at!.toISOString(),
            rang: j.wait_rang_at !== null,
          }
        : null,
      late: j.promised_on < today,
    })),
  };
}

/** The next thing for the hands, when it was found for the job as it stands; null while it is being worked out. */
function nextOf({ version, next_action }: OpenJob): BenchView['strips'][number]['next'] {
  if (next_action?.version !== version || next_action.text === undefined) return null;
  return { text: next_action.text, minutes: next_action.minutes! };
}
