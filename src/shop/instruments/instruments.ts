import type { InstrumentCard } from '@/core/gauges/gauge';
import { addDays } from '@/core/service/days';
import { warrantyUntil } from '@/core/service/warranty';
import { database, type Db } from '@/data/database';
import {
  insertInstrument,
  instruments as allInstruments,
  isInstrumentName,
  lockInstrument,
  updateInstrument,
  type InstrumentRow,
} from '@/data/instruments';
import { bench } from '../access/roles';
import { deedOn, once, onVersion, shopDeed } from '../deed/deed';
import { refuseIf } from '../problem';
import { shopToday } from '../settings/shopToday';
import { PutInstrumentDto, type InstrumentView } from './dto';

/** A laboratory takes so long: then it is said that it falls due. */
const SOON_DAYS = 30;

const dueOnOf = (row: InstrumentRow): string | null =>
  row.calibrated_on === null ? null : warrantyUntil(row.calibrated_on, row.every_months);

function viewOf(row: InstrumentRow, today: string): InstrumentView {
  const dueOn = dueOnOf(row);
  return {
    id: row.id,
    version: row.version,
    name: row.name,
    measures: row.measures,
    goodToPercent: row.good_to_percent,
    calibratedOn: row.calibrated_on,
    everyMonths: row.every_months,
    dueOn,
    state: row.out_of_use
      ? 'out-of-use'
      : dueOn === null
        ? 'never'
        : dueOn < today
          ? 'past'
          : dueOn <= addDays(today, SOON_DAYS)
            ? 'soon'
            : 'good',
    certificate: row.certificate,
    note: row.note,
    outOfUse: row.out_of_use,
  };
}

/** The instruments of the shop, those in use first. */
export async function instruments(): Promise<InstrumentView[]> {
  const today = await shopToday();
  return (await allInstruments(database())).map((r) => viewOf(r, today));
}

/** Those in use, as a gauge knows them. */
export async function instrumentCards(db: Db): Promise<InstrumentCard[]> {
  return (await allInstruments(db))
    .filter((r) => !r.out_of_use)
    .map((r) => ({ name: r.name, goodToPercent: r.good_to_percent, dueOn: dueOnOf(r) }));
}

const SPEC = {
  name: 'put-instrument',
  roles: bench,
  summary: 'Add or change an instrument of the shop',
  dto: PutInstrumentDto,
};

async function checked(
  db: Db,
  dto: PutInstrumentDto,
  id: number | null,
): Promise<Omit<InstrumentRow, 'id' | 'version'>> {
  const name = dto.name.trim();
  const isTaken = name !== '' && (await isInstrumentName(db, name, id));
  const today = await shopToday();
  refuseIf([
    ...(name === '' ? [{ field: 'name', message: 'What it is called.' }] : []),
    ...(isTaken ? [{ field: 'name', message: 'Another one is called so.' }] : []),
    ...(dto.calibratedOn && dto.calibratedOn > today
      ? [{ field: 'calibratedOn', message: 'That day is still to come.' }]
      : []),
  ]);
  return {
    name,
    measures: dto.measures.trim(),
    good_to_percent: dto.goodToPercent ?? null,
    calibrated_on: dto.calibratedOn ?? null,
    every_months: dto.everyMonths,
    certificate: dto.certificate.trim(),
    note: dto.note.trim(),
    out_of_use: dto.outOfUse,
  };
}

export const addInstrument = shopDeed(SPEC, (person, dto) =>
  once(person, SPEC.name, dto, '', async (db) => ({ id: await insertInstrument(db, await checked(db, dto, null)) })),
);

export const amendInstrument = deedOn(SPEC, (person, id: number, dto): Promise<InstrumentView> =>
  onVersion(
    person,
    SPEC.name,
    { key: dto.key, version: dto.version ?? 0 },
    {
      id,
      what: 'This instrument',
      lock: (db) => lockInstrument(db, id),
      view: async (db) => viewOf((await lockInstrument(db, id))!, await shopToday()),
    },
    async (db) => updateInstrument(db, id, await checked(db, dto, id)),
  ),
);
