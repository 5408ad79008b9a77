import { database } from '@/data/database';
import { kindOfMostJobs } from '@/data/lives';
import { knowledge } from '@/knowledge';

/** The kind of which the shop has seen the most jobs: what its history tells most of. */
export async function kindSeenMost(): Promise<string> {
  return (await kindOfMostJobs(database())) ?? knowledge.kinds[0]!.id;
}
