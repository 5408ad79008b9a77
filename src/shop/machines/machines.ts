import { customerById, sitesOf } from '@/data/customers';
import { database, together, type Db } from '@/data/database';
import {
  alikeMachines,
  countMachines,
  jobsOf,
  machineByTag,
  machineById,
  machineListRow,
  meterReadingsOf,
  modelById,
  models,
  partAges,
  openFaultsOf,
  readingsOf,
  serviceReadingsOf,
  searchMachines,
  tagNow,
  timelineOf,
  type MachineListRow,
  type MachineOrder,
  type TimelineRow,
} from '@/data/machines';
import { openJobOf } from '@/data/jobs';
import { photographsOfMachine } from '@/data/photographs';
import { planInputs } from '@/data/plans';
import { shopSettings } from '@/data/shopSettings';
import { agedParts, partAgeDays } from '../plans/partAgeDays';
import { planViews, runningView } from '../plans/planViews';
import { waitingOf, weekMinorOf } from '../plans/waiting';
import type { ListQuery, Page } from '../lists/dto';
import { pageOf } from '../lists/pageOf';
import { photographView } from '../pictures/photographView';
import { planItem } from '@/knowledge/plans';
import { notFound } from '../problem';
import { dayInZone } from '../settings/day';
import type { MachineCardView, MachineListView, TimelineView } from './dto';

export function listView(r: MachineListRow): MachineListView {
  return {
    id: r.id,
    tag: r.tag,
    serial: r.serial,
    maker: r.maker,
    model: r.model,
    kind: r.kind,
    owner: r.owner,
    madeYear: r.made_year,
    nextDueOn: r.next_due_on,
    dueItems: (r.due_items ?? []).map((i) => planItem(i)?.label ?? i),
    openJob: r.open_job,
    openFaults: r.open_faults ?? [],
    lastJobAt: r.last_job_at?.toISOString() ?? null,
    lastHereOn: r.last_here_on,
    phone: r.phone,
    warrantyUntil: r.warranty_until,
    note: r.note,
    standing: r.standing,
  };
}

/** Machines by tag, serial, owner, model or words; one page. */
export async function findMachines(asked: Partial<ListQuery<MachineOrder>> = {}): Promise<Page<MachineListView>> {
  const db = database();
  const { words = '', page = 0, sort = null } = asked;
  return pageOf(
    { page },
    (limit, offset) => searchMachines(db, words, limit, offset, { forgiving: true, order: sort }),
    (most) => countMachines(db, words, most),
    listView,
  );
}

export async function listModels() {
  return (await models(database())).map((m) => ({
    id: m.id,
    maker: m.maker,
    name: m.name,
    kind: m.kind,
    warrantyMonths: m.warranty_months,
    addedStations: m.added_stations,
    droppedStations: m.dropped_stations,
  }));
}

function timelineView(t: TimelineRow): TimelineView {
  return { id: t.id, at: t.at.toISOString(), what: t.what, text: t.text, job: t.job_id, by: t.person };
}

const TIMELINE_PAGE = 60;

/** One page of a machine's timeline, newest first, of some sorts and with some words. @throws ProblemError 404 */
export async function machineTimeline(
  tag: string,
  filter: { what?: string[]; words?: string; before?: number },
): Promise<{ rows: TimelineView[]; more: boolean }> {
  const db = database();
  const machine = await machineByTag(db, tag);
  if (!machine) throw notFound(`Machine ${tag}`);
  const rows = await timelineOf(db, machine.id, TIMELINE_PAGE + 1, filter);
  return { rows: rows.slice(0, TIMELINE_PAGE).map(timelineView), more: rows.length > TIMELINE_PAGE };
}

/** @throws ProblemError 404 */
export async function machineHere(tag: string): Promise<void> {
  if (!(await machineByTag(database(), tag))) throw notFound(`Machine ${tag.slice(0, 20)}`);
}

/** Everything about one machine. @throws ProblemError 404 */
export async function machineCard(tag: string): Promise<MachineCardView> {
  return machineCardOf(database(), tag);
}

/** The same inside a transaction. @throws ProblemError 404 */
export async function machineCardOf(db: Db, tag: string): Promise<MachineCardView> {
  const machine = await machineByTag(db, tag);
  if (!machine) throw notFound(`Machine ${tag}`);
  const [
    row,
    model,
    customer,
    [inputs],
    ages,
    timeline,
    jobs,
    readings,
    shop,
    sites,
    meter,
    photographs,
    alike,
    open,
    served,
    kept,
  ] = await together(db, [
    () => machineListRow(db, machine.id),
    () => modelById(db, machine.model_id),
    () => customerById(db, machine.customer_id),
    () => planInputs(db, [machine.id]),
    () => partAges(db, machine.id),
    () => timelineOf(db, machine.id, TIMELINE_PAGE),
    () => jobsOf(db, machine.id),
    () => readingsOf(db, machine.id),
    () => shopSettings(db),
    () => sitesOf(db, machine.customer_id),
    () => meterReadingsOf(db, machine.id),
    () => photographsOfMachine(db, machine.id, 24),
    () => alikeMachines(db, machine),
    () => openFaultsOf(db, machine.id),
    () => serviceReadingsOf(db, machine.id),
    async () => (machine.merged_into === null ? undefined : machineById(db, machine.merged_into)),
  ]);
  const today = dayInZone(new Date(), shop.zone);
  const waiting = await waitingOf(db, [model!.kind], shop);
  return {
    id: machine.id,
    version: machine.version,
    modelId: machine.model_id,
    tag: machine.tag,
    serial: machine.serial,
    maker: model!.maker,
    model: model!.name,
    kind: model!.kind,
    mainsV: model!.mains_v,
    droppedStations: model!.dropped_stations,
    addedStations: model!.added_stations,
    belts: model!.belts,
    bearings: model!.bearings,
    filters: model!.filters,
    siteId: machine.site_id,
    purchasedOn: machine.purchased_on,
    warrantyUntil: machine.warranty_until,
    mergedInto: kept?.tag ?? null,
    madeYear: machine.made_year,
    pets: machine.pets,
    hoursPerWeek: machine.hours_per_week,
    note: machine.note,
    nextDueOn: machine.next_due_on,
    openJob: row!.open_job,
    customer: {
      id: customer!.id,
      name: customer!.name,
      kind: customer!.kind,
      phone: customer!.phone,
      address: customer!.address,
      standing: customer!.standing,
    },
    sites: sites.map((s) => ({ id: s.id, label: s.label })),
    plans: planViews(inputs!, today, (item, lastDoneOn) =>
      weekMinorOf(
        { item, kind: model!.kind, lastDoneOn, hoursPerWeek: Number(machine.hours_per_week) },
        today,
        waiting,
      ),
    ),
    running: runningView(inputs!),
    serviceReadings: served.map(({ at, ...r }) => ({ ...r, at: at.toISOString() })).reverse(),
    sealedBattery: model!.sealed_battery,
    currency: shop.currency,
    locale: shop.locale,
    openFaults: open.map((f) => ({ fault: f.fault, job: f.job_id, at: f.at.toISOString() })),
    scrappedOn: machine.scrapped_on,
    partAgeDays: partAgeDays(
      model!.kind,
      agedParts(
        model!.kind,
        ages.map((a) => ({ ...a, at: a.at.getTime() })),
        inputs!.plans.map((p) => ({ item: p.item, on: p.last_done_on })),
        Date.now(),
        today,
      ),
    ),
    timeline: timeline.map(timelineView),
    jobs: jobs.map((j) => ({
      id: j.id,
      stage: j.stage,
      takenInAt: j.taken_in_at.toISOString(),
      closedAt: j.closed_at?.toISOString() ?? null,
      words: j.words,
      faults: j.faults ?? [],
      comebackOf: j.comeback_of,
      visit: j.visit,
      ending: j.ending,
      foundWords: j.found_words,
    })),
    meter: meter.map((m) => ({ hours: m.hours, at: m.at.toISOString() })).reverse(),
    photographs: photographs.map(photographView),
    alike: alike.map((m) => ({ tag: m.tag, maker: m.maker, model: m.model, serial: m.serial, owner: m.owner })),
    readings: readings.map((r) => ({
      item: r.item,
      before: r.before_value,
      after: r.after_value,
      unit: r.unit,
      at: r.at.toISOString(),
    })),
    today,
    zone: shop.zone,
  };
}

/** The address behind a scanned code: the open job, else the card, else the search for it. */
export async function scanned(code: string): Promise<string> {
  const db = database();
  const tag = await tagNow(db, code.trim());
  const machine = tag && (await machineByTag(db, tag));
  if (!machine) return `/machines?q=${encodeURIComponent(code.trim())}`;
  const open = await openJobOf(db, machine.id);
  return open ? `/jobs/${open.id}` : `/machines/${machine.tag}`;
}
