import { customerById, searchCustomers } from '@/data/customers';
import { database } from '@/data/database';
import {
  jobsOf,
  machineByTag,
  machineListRow,
  modelById,
  models,
  partAges,
  plansOf,
  readingsOf,
  searchMachines,
  timelineOf,
} from '@/data/machines';
import { shopSettings } from '@/data/shopSettings';
import { planItems } from '@/knowledge/plans';
import { notFound } from '../problem';
import { dayInZone } from '../settings/day';
import type { MachineCardView, MachineListView } from './dto';

const PAGE = 50;
const DAY = 86_400_000;

/** Machines by tag, serial, owner, model or words; one page, and whether there is another. */
export async function findMachines(words: string, page = 0): Promise<{ rows: MachineListView[]; more: boolean }> {
  const rows = await searchMachines(database(), words, PAGE + 1, page * PAGE);
  return {
    rows: rows.slice(0, PAGE).map((r) => ({
      id: r.id,
      tag: r.tag,
      serial: r.serial,
      maker: r.maker,
      model: r.model,
      kind: r.kind,
      owner: r.owner,
      madeYear: r.made_year,
      nextDueOn: r.next_due_on,
      openJob: r.open_job,
      lastJobAt: r.last_job_at?.toISOString() ?? null,
    })),
    more: rows.length > PAGE,
  };
}

export async function findCustomers(words: string) {
  return searchCustomers(database(), words, 8);
}

export async function listModels() {
  return (await models(database())).map((m) => ({ id: m.id, maker: m.maker, name: m.name, kind: m.kind }));
}

/** Everything about one machine. @throws ProblemError 404 */
export async function machineCard(tag: string): Promise<MachineCardView> {
  const db = database();
  const machine = await machineByTag(db, tag);
  if (!machine) throw notFound(`Machine ${tag}`);
  const [row, model, customer, plans, ages, timeline, jobs, readings, shop] = await Promise.all([
    machineListRow(db, machine.id),
    modelById(db, machine.model_id),
    customerById(db, machine.customer_id),
    plansOf(db, machine.id),
    partAges(db, machine.id),
    timelineOf(db, machine.id, 60),
    jobsOf(db, machine.id),
    readingsOf(db, machine.id),
    shopSettings(db),
  ]);
  const today = dayInZone(new Date(), shop.zone);
  return {
    id: machine.id,
    tag: machine.tag,
    serial: machine.serial,
    maker: model!.maker,
    model: model!.name,
    kind: model!.kind,
    mainsV: model!.mains_v,
    droppedStations: model!.dropped_stations,
    madeYear: machine.made_year,
    pets: machine.pets,
    hoursPerWeek: machine.hours_per_week,
    note: machine.note,
    nextDueOn: machine.next_due_on,
    openJob: row!.open_job,
    customer: { name: customer!.name, kind: customer!.kind, phone: customer!.phone, address: customer!.address },
    plans: plans.map((p) => {
      const item = planItems.find((i) => i.id === p.item);
      return {
        item: p.item,
        label: item?.label ?? p.item,
        station: item?.stations[model!.kind] ?? null,
        lastDoneOn: p.last_done_on,
        dueOn: p.due_on,
        overdue: p.due_on < today,
      };
    }),
    partAgeDays: Object.fromEntries(ages.map((a) => [a.station, Math.floor((Date.now() - a.at.getTime()) / DAY)])),
    timeline: timeline.map((t) => ({
      id: t.id,
      at: t.at.toISOString(),
      what: t.what,
      text: t.text,
      job: t.job_id,
      by: t.person,
    })),
    jobs: jobs.map((j) => ({
      id: j.id,
      stage: j.stage,
      takenInAt: j.taken_in_at.toISOString(),
      closedAt: j.closed_at?.toISOString() ?? null,
      words: j.words,
      faults: j.faults ?? [],
    })),
    readings: readings.map((r) => ({
      item: r.item,
      before: r.before_value,
      after: r.after_value,
      unit: r.unit,
      at: r.at.toISOString(),
    })),
    today,
  };
}
