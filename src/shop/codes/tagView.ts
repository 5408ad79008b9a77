import { database } from '@/data/database';
import { openJobOf } from '@/data/jobs';
import { machineByTag, machineListRow } from '@/data/machines';
import { shopSettings } from '@/data/shopSettings';
import { notFound } from '../problem';
import { tagCodes } from './codes';
import type { TagView } from './dto';

/** What stands on the tag of a machine. @throws ProblemError 404 */
export async function tagView(tag: string): Promise<TagView> {
  const db = database();
  const machine = await machineByTag(db, tag);
  if (!machine) throw notFound(`Machine ${tag}`);
  const [row, job, shop] = await Promise.all([
    machineListRow(db, machine.id),
    openJobOf(db, machine.id),
    shopSettings(db),
  ]);
  return {
    shop: shop.name,
    phone: row!.phone,
    paper: shop.paper,
    tag: machine.tag,
    maker: row!.maker,
    model: row!.model,
    serial: machine.serial,
    owner: row!.owner,
    job: job?.id ?? null,
    promisedOn: job?.promised_on ?? null,
    ...tagCodes(machine.tag),
  };
}
