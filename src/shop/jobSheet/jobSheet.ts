import { database } from '@/data/database';
import { shopSettings } from '@/data/shopSettings';
import { kindById } from '@/knowledge';
import { tagCodes } from '../codes/codes';
import { jobFacts } from '../jobView/jobFacts';
import type { JobSheetView } from './dto';

/** The paper that goes with the machine through the shop, and tells how it came. @throws ProblemError 404 */
export async function jobSheet(id: number): Promise<JobSheetView> {
  const [job, shop] = await Promise.all([jobFacts(id), shopSettings(database())]);
  const stations = kindById(job.machine.kind).lines.flatMap((l) => l.stations);
  return {
    shop: shop.name,
    paper: shop.paper,
    job,
    bar: tagCodes(job.machine.tag).bar,
    marks: job.marks.map((m) => ({
      part: [...stations, ...job.machine.addedStations].find((s) => s.id === m.station)?.label ?? m.station,
      text: m.text,
    })),
  };
}
