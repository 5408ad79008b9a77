import { warrantyUntil } from '@/core/service/warranty';
import { allMachines, insertMachines, knownCustomers, knownMachines, type MachineIn } from '@/data/exchange';
import type { Db } from '@/data/database';
import { models, nextTag } from '@/data/machines';
import { shopSettings } from '@/data/shopSettings';
import type { Person } from '../access/person';
import { owner, type Right } from '../access/roles';
import { plainCell, writeCsv } from './csv';
import { customerKey } from './customersCsv';
import { outOfPackets } from '../papers/packets';
import { inPaperThread } from '../papers/paperThreads';
import { dayInZone, isCalendarDate } from '../settings/day';
import type { ImportReport, RowReport } from './dto';
import { importRows, inSlices, type LookedRow } from './importRows';
import { writtenOut } from './written';

export const takeMachinesIn: Right = {
  name: 'import-machines',
  roles: owner,
  summary: 'Take machines in from a file',
};

const COLUMNS = {
  needed: ['maker', 'model', 'owner'],
  allowed: ['owner_phone', 'tag', 'serial', 'made_year', 'purchased_on', 'pets', 'hours_per_week', 'note'],
} as const;
const ALL = [...COLUMNS.needed, ...COLUMNS.allowed] as const;
type Row = Record<(typeof ALL)[number], string>;

export function machinesCsv(person: Person): Promise<AsyncGenerator<string>> {
  return writtenOut(person, allMachines, (rows, isFirst) =>
    writeCsv(
      ALL,
      rows.map((m) => [
        m.maker,
        m.model,
        m.owner,
        m.owner_phone,
        m.tag,
        m.serial,
        m.made_year,
        m.purchased_on,
        m.pets ? 'yes' : 'no',
        m.hours_per_week,
        m.note,
      ]),
      isFirst,
    ),
  );
}

/**
 * Takes machines in from CSV. Model and owner must be known before; a machine whose tag, or model, serial and owner are
 * known is left as it is; one without a tag gets the next.
 * @throws ProblemError 400 for a file that cannot be read, 403
 */
export async function importMachinesCsv(person: Person, text: string, dryRun: boolean): Promise<ImportReport> {
  const packets = await inPaperThread('readCsv', { text, columns: COLUMNS });
  const plain = (r: Row) => Object.fromEntries(ALL.map((c) => [c, plainCell(r[c])])) as Row;
  return importRows<MachineIn>(
    person,
    takeMachinesIn,
    dryRun,
    async (db) => {
      const modelOf = new Map((await models(db)).map((m) => [`${m.maker}|${m.name}`.toLowerCase(), m]));
      const owners = await knownCustomers(db);
      const known = await knownMachines(db);
      const byName = new Map<string, number[]>();
      for (const [key, id] of owners) {
        const name = key.slice(0, key.lastIndexOf('|'));
        byName.set(name, [...(byName.get(name) ?? []), id]);
      }
      const { zone } = await shopSettings(db);
      const today = dayInZone(new Date(), zone);
      const tags = new Map<string, number>();
      return inSlices(outOfPackets(packets, plain), (r, i): LookedRow<MachineIn> => {
        const at = i + 2;
        const problems: RowReport['problems'] = [];
        const say = (field: string, message: string) => problems.push({ field, message });
        const what = `${r.tag} ${r.maker} ${r.model}, ${r.owner}`.trim();
        const model = modelOf.get(`${r.maker}|${r.model}`.toLowerCase());
        if (!model) say('model', 'This model is not in the shop’s list: add it first.');
        const named = byName.get(r.owner.toLowerCase()) ?? [];
        const owner = r.owner_phone ? owners.get(customerKey(r.owner, r.owner_phone)) : named[0];
        if (named.length === 0) say('owner', 'This customer is not known: take the customers in first.');
        else if (r.owner_phone && owner === undefined) say('owner_phone', 'No customer of this name has this phone.');
        else if (!r.owner_phone && named.length > 1)
          say('owner_phone', 'Several customers have this name: give the phone.');
        const tag = r.tag.toUpperCase();
        if (tag !== '' && !/^[A-Z0-9-]{3,20}$/.test(tag)) say('tag', 'Letters, digits and dashes, 3 to 20.');
        if (tag !== '' && tags.has(tag)) say('tag', `The same as row ${tags.get(tag)}.`);
        if (tag !== '') tags.set(tag, at);
        const year = r.made_year === '' ? null : Number(r.made_year);
        const thisYear = Number(today.slice(0, 4));
        if (year !== null && !(Number.isInteger(year) && year >= 1950 && year <= thisYear))
          say('made_year', `A year from 1950 to ${thisYear}.`);
        const bought = r.purchased_on === '' ? null : r.purchased_on;
        if (bought !== null && !isCalendarDate(bought)) say('purchased_on', 'A date, such as 2024-03-31.');
        else if (bought !== null && bought > today) say('purchased_on', 'This day has not come yet.');
        const hours = r.hours_per_week === '' ? 1.5 : Number(r.hours_per_week.replace(',', '.'));
        if (!(hours >= 0 && hours <= 168)) say('hours_per_week', 'Hours a week, 0 to 168.');
        if (!['', 'yes', 'no'].includes(r.pets.toLowerCase())) say('pets', 'yes or no.');
        if (r.serial.length > 60) say('serial', 'At most 60 characters.');
        if (r.note.length > 4000) say('note', 'At most 4000 characters.');
        if (problems.length > 0) return { row: at, outcome: 'wrong', what, problems, make: null };
        if (
          known.tags.has(tag) ||
          (r.serial !== '' && known.books.has(`${model!.id}|${owner}|${r.serial.toLowerCase()}`))
        )
          return { row: at, outcome: 'known', what, problems, make: null };
        return {
          row: at,
          outcome: 'new',
          what,
          problems,
          make: {
            tag,
            model_id: model!.id,
            customer_id: owner!,
            serial: r.serial,
            made_year: year,
            purchased_on: bought,
            warranty_until: bought ? warrantyUntil(bought, model!.warranty_months) : null,
            pets: r.pets.toLowerCase() === 'yes',
            hours_per_week: hours,
            note: r.note,
          },
        };
      });
    },
    async (db, made) => insertMachines(db, await withTags(db, made)),
  );
}

/** A tag for each that has none: the next free one that no row of the file has taken for itself. */
async function withTags(db: Db, rows: MachineIn[]): Promise<MachineIn[]> {
  const taken = new Set(rows.map((r) => r.tag));
  const tagged: MachineIn[] = [];
  for (const row of rows) {
    let { tag } = row;
    while (tag === '' || (row.tag === '' && taken.has(tag))) tag = await nextTag(db);
    taken.add(tag);
    tagged.push({ ...row, tag });
  }
  return tagged;
}
