import { database, type Db } from '@/data/database';
import { customerById, siteById } from '@/data/customers';
import { confirmedFaultsOf } from '@/data/jobs';
import { jobsOf, machineByTag, modelById, openFaultsOf } from '@/data/machines';
import { lastCare } from '@/data/plans';
import { shopSettings } from '@/data/shopSettings';
import { faultLabel } from '@/knowledge';
import { operatorItemsOn } from '@/knowledge/operatorCare';
import { jobFacts } from '../jobView/jobFacts';
import { notFound } from '../problem';
import { dayInZone } from '../settings/day';
import type { OperatorLine, OperatorSheetView } from './dto';

/**
 * What the shop wants done daily and weekly on one machine by the people who use it. First stands what keeps away what was
 * found at the last visit, or is open still, with that for its reason. @throws ProblemError 404
 */
export async function operatorSheet(tag: string): Promise<OperatorSheetView> {
  const db = database();
  const machine = await machineByTag(db, tag);
  if (!machine) throw notFound(`Machine ${tag.slice(0, 20)}`);
  const [model, customer, site, open, [last], care, shop] = await Promise.all([
    modelById(db, machine.model_id),
    customerById(db, machine.customer_id),
    machine.site_id === null ? undefined : siteById(db, machine.site_id),
    openFaultsOf(db, machine.id),
    jobsOf(db, machine.id, 1),
    lastCare(db, machine.id),
    shopSettings(db),
  ]);
  const found = [...(last ? await foundIn(db, last) : []), ...open.map((f) => f.fault)];
  const lines = operatorItemsOn(model!.kind, model!.sealed_battery).map((i): OperatorLine => {
    const kept = care.find((c) => c.item === i.id);
    return {
      id: i.id,
      label: i.label,
      how: i.how,
      every: i.every,
      picture: i.picture,
      because: [...new Set(found)]
        .filter((f) => i.keepsAway.includes(f))
        .map(faultLabel)
        .join(', '),
      kept: kept ? { doneDays: kept.done_days, ofDays: kept.of_days } : null,
    };
  });
  const letterhead = shop.letterhead as { phone?: string };
  return {
    shop: shop.name,
    phone: letterhead.phone ?? '',
    paper: shop.paper,
    machine: {
      tag: machine.tag,
      maker: model!.maker,
      model: model!.name,
      site: site?.label ?? '',
      owner: customer!.name,
    },
    items: lines.sort((a, b) => urgency(b) - urgency(a)),
    leftOpen: open.map((f) => faultLabel(f.fault)),
    nextOn: machine.next_due_on,
    isDue: machine.next_due_on !== null && machine.next_due_on < dayInZone(new Date(), shop.zone),
  };
}

/** What was found at a visit; while it lasts, what is proved so far. */
async function foundIn(db: Db, job: { id: number; closed_at: Date | null }): Promise<string[]> {
  return job.closed_at === null ? (await jobFacts(job.id, db)).proved : confirmedFaultsOf(db, job.id);
}

/** What was found comes first, then what was seldom done; the rest stays in its order. */
function urgency({ because, kept }: OperatorLine): number {
  return (because ? 2 : 0) + (kept ? 1 - kept.doneDays / kept.ofDays : 0);
}
