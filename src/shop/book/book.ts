import type { Knex } from 'knex';
import {
  arrivalSignsOf,
  complaintsOf,
  conditionMarksOf,
  confirmedFaultsOf,
  findingsOf,
  fittedPartsOf,
  jobById,
  proofsOf,
  repairsOf,
  servedOf,
  serviceLinesOf,
  careOf,
  struckOf,
  waitsOf,
} from '@/data/jobs';
import { database, type Db } from '@/data/database';
import { jobsOf, machineByTag, timelineOf } from '@/data/machines';
import { photographIds, wholePhotograph } from '@/data/photographs';
import { shopSettings } from '@/data/shopSettings';
import { machineCardOf } from '../machines/machines';
import { notFound } from '../problem';
import { BOOK_FORM } from './bookSchema';

const MOST_ENTRIES = 20_000;

/** A machine's book but for its pictures. @throws ProblemError 404 */
async function bookWithoutPictures(db: Db, tag: string) {
  const machine = await machineByTag(db, tag);
  if (!machine) throw notFound(`Machine ${tag}`);
  const card = await machineCardOf(db, tag);
  const shop = await shopSettings(db);
  const timeline = await timelineOf(db, machine.id, MOST_ENTRIES);
  const jobs = [];
  for (const { id } of await jobsOf(db, machine.id, MOST_ENTRIES)) jobs.push(await bookOfJob(db, id));
  return {
    form: BOOK_FORM,
    exportedAt: new Date().toISOString(),
    shop: { name: shop.name, zone: shop.zone, currency: shop.currency },
    machine: {
      tag: card.tag,
      maker: card.maker,
      model: card.model,
      kind: card.kind,
      serial: card.serial,
      madeYear: card.madeYear,
      purchasedOn: card.purchasedOn,
      warrantyUntil: card.warrantyUntil,
      mainsV: card.mainsV,
      pets: card.pets,
      hoursPerWeek: card.hoursPerWeek,
      note: card.note,
      droppedStations: card.droppedStations,
      addedStations: card.addedStations,
      belts: card.belts,
      bearings: card.bearings,
      filters: card.filters,
    },
    owner: {
      name: card.customer.name,
      kind: card.customer.kind,
      phone: card.customer.phone,
      address: card.customer.address,
      standing: card.customer.standing,
    },
    plans: card.plans.map(({ item, label, lastDoneOn, dueOn, early, late, by, maker, bench, byItsPeople }) => ({
      item,
      label,
      lastDoneOn,
      dueOn,
      early,
      late,
      by,
      maker,
      bench,
      byItsPeople,
    })),
    serviceReadings: card.serviceReadings,
    openFaults: card.openFaults,
    meter: card.meter,
    jobs,
    timeline: timeline.map((t) => ({
      at: t.at.toISOString(),
      what: t.what,
      text: t.text,
      job: t.job_id,
      by: t.person,
    })),
  };
}

type BookText = Awaited<ReturnType<typeof bookWithoutPictures>>;
export interface BookPicture {
  at: string;
  job: number | null;
  caption: string;
  width: number;
  height: number;
  sha256: string;
  jpegBase64: string;
}
export type MachineBook = BookText & { photographs: BookPicture[] };

/** One picture of the database: what is written meanwhile is in it wholly or not at all. */
function opened(): Promise<Knex.Transaction> {
  return database().transaction({ isolationLevel: 'repeatable read', readOnly: true });
}

/**
 * The whole of one machine as the published schema has it, photographs included, as text that is written piece by piece: no
 * more than one picture is held at a time.
 * @throws ProblemError 404 before anything is written
 */
export async function machineBookText(tag: string): Promise<{ tag: string; text: AsyncGenerator<string> }> {
  const db = await opened();
  let book: BookText;
  try {
    book = await bookWithoutPictures(db, tag);
  } catch (error) {
    await db.rollback();
    throw error;
  }
  return { tag: book.machine.tag, text: written(db, book, await photographIds(db, book.machine.tag)) };
}

async function* written(db: Knex.Transaction, book: BookText, pictures: number[]): AsyncGenerator<string> {
  try {
    const text = JSON.stringify(book, null, 1);
    yield `${text.slice(0, text.lastIndexOf('}')).trimEnd()},\n "photographs": [`;
    for (const [i, id] of pictures.entries()) yield `${i > 0 ? ',' : ''}\n  ${JSON.stringify(await picture(db, id))}`;
    yield '\n ]\n}\n';
  } finally {
    // Nothing was written to it; a reader that leaves in the middle ends it as well.
    await db.rollback();
  }
}

/** A machine's book with the newest of its pictures, for paper. @throws ProblemError 404 */
export async function machineBookWith(tag: string, mostPictures: number): Promise<MachineBook> {
  const db = await opened();
  try {
    const book = await bookWithoutPictures(db, tag);
    const newest = (await photographIds(db, book.machine.tag)).slice(-mostPictures);
    const photographs: BookPicture[] = [];
    for (const id of newest) photographs.push(await picture(db, id));
    return { ...book, photographs };
  } finally {
    await db.rollback();
  }
}

async function picture(db: Db, id: number): Promise<BookPicture> {
  const p = await wholePhotograph(db, id);
  return {
    at: p.at.toISOString(),
    job: p.job_id,
    caption: p.caption,
    width: p.width,
    height: p.height,
    sha256: p.sha256.toString('hex'),
    jpegBase64: p.bytes.toString('base64'),
  };
}

async function bookOfJob(db: Db, id: number) {
  const job = (await jobById(db, id))!;
  return {
    id,
    stage: job.stage,
    takenInAt: job.taken_in_at.toISOString(),
    closedAt: job.closed_at?.toISOString() ?? null,
    promisedOn: job.promised_on,
    words: job.words,
    visit: job.visit,
    ending: job.ending,
    foundWords: job.found_words,
    ownersWord: job.owners_word,
    complaints: await complaintsOf(db, id),
    struck: await struckOf(db, id),
    repaired: await repairsOf(db, id),
    served: await servedOf(db, id),
    service: await serviceLinesOf(db, id),
    care: await careOf(db, id),
    customerDiagnosis: job.customer_diagnosis,
    pickedUp: job.picked_up,
    everWet: job.ever_wet,
    openedBefore: job.opened_before,
    openedBy: job.opened_by,
    arrivalSigns: await arrivalSignsOf(db, id),
    accessories: job.accessories,
    marks: await conditionMarksOf(db, id),
    warrantyChoice: job.warranty_choice,
    comebackOf: job.comeback_of,
    findings: (await findingsOf(db, id)).map((f) => ({
      check: f.check_id,
      outcome: f.outcome,
      value: f.value,
      unit: f.unit,
      condition: f.condition,
      at: f.at.toISOString(),
      by: f.person,
      revoked: f.revoked_at !== null,
    })),
    fitted: (await fittedPartsOf(db, id)).map((f) => ({
      code: f.code,
      label: f.label,
      why: f.why,
      station: f.station,
      quantity: f.quantity,
      at: f.at.toISOString(),
    })),
    waits: (await waitsOf(db, id)).map((w) => ({
      kind: w.kind,
      what: w.what,
      startedAt: w.started_at.toISOString(),
      endsAt: w.ends_at.toISOString(),
      endedAt: w.ended_at?.toISOString() ?? null,
    })),
    proofs: (await proofsOf(db, id)).map((p) => ({
      item: p.item,
      result: p.result,
      before: p.before_value,
      after: p.after_value,
      unit: p.unit,
      note: p.note,
      said: p.details,
    })),
    faults: await confirmedFaultsOf(db, id),
    advice: job.advice,
  };
}
