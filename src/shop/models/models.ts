import { stationsOf } from '@/core/diagnosis/knowledge';
import { database, type Db } from '@/data/database';
import { markStale } from '@/data/plans';
import { lockModel, mergeModelRows, modelById, models, putModel as store, type ModelRow } from '@/data/machines';
import { knowledge } from '@/knowledge';
import { planItemsOn } from '@/knowledge/plans';
import { bench } from '../access/roles';
import { deedOn, once, onVersion, shopDeed } from '../deed/deed';
import { refuseIf, type FieldProblem } from '../problem';
import { MergeModelsDto, PutModelDto, type ModelView } from './dto';

export async function modelList(): Promise<ModelView[]> {
  return (await models(database())).map(view);
}

function view(m: ModelRow & { machines?: number }): ModelView {
  return {
    id: m.id,
    version: m.version,
    maker: m.maker,
    name: m.name,
    kind: m.kind,
    mainsV: m.mains_v,
    warrantyMonths: m.warranty_months,
    belts: m.belts,
    bearings: m.bearings,
    filters: m.filters,
    droppedStations: m.dropped_stations,
    addedStations: m.added_stations,
    note: m.note,
    plates: Object.entries(m.plates).map(([item, p]) => ({
      item,
      days: p.days ?? null,
      hours: p.hours ?? null,
      uses: p.uses ?? null,
    })),
    sealedBattery: m.sealed_battery,
    machines: Number(m.machines ?? 0),
  };
}

/** Adds a model to the shop's own list. */
export const addModel = shopDeed(
  { name: 'put-model', roles: bench, summary: 'Add a model', dto: PutModelDto },
  (person, dto) => once(person, 'put-model', dto, 'new', async (db) => ({ id: await keep(db, null, dto) })),
);

/** Changes a model. Its kind stays while machines of it are known. */
export const amendModel = deedOn(
  { name: 'put-model', roles: bench, summary: 'Change a model', dto: PutModelDto },
  (person, id: number, dto): Promise<ModelView> =>
    onVersion(
      person,
      'put-model',
      { key: dto.key, version: dto.version ?? 0 },
      {
        id,
        what: 'This model',
        lock: (db) => lockModel(db, id),
        view: async (db) => view((await models(db)).find((m) => m.id === id)!),
      },
      async (db, row) => {
        if (row.kind !== dto.kind && (await models(db)).find((m) => m.id === id)!.machines > 0)
          refuseIf([
            { field: 'kind', message: 'Machines of this model are known: make another model for the other kind.' },
          ]);
        await keep(db, id, dto);
      },
    ),
);

/** Makes one model of two that are the same: machines and what was learned go over to the one that is kept. */
export const mergeModels = deedOn(
  { name: 'merge-models', roles: bench, summary: 'Merge two models', dto: MergeModelsDto },
  (person, id: number, dto): Promise<ModelView> =>
    onVersion(
      person,
      'merge-models',
      dto,
      {
        id,
        what: 'This model',
        lock: (db) => lockModel(db, id),
        view: async (db) => view((await models(db)).find((m) => m.id === id)!),
      },
      async (db, row) => {
        const other = dto.other === id ? undefined : await lockModel(db, dto.other);
        refuseIf(
          !other
            ? [{ field: 'other', message: 'Choose another model of the list.' }]
            : other.kind !== row.kind
              ? [{ field: 'other', message: 'It is another kind of machine.' }]
              : [],
        );
        await mergeModelRows(db, dto.other, id);
        await markStale(db, { model: id });
      },
    ),
);

async function keep(db: Db, id: number | null, dto: PutModelDto): Promise<number> {
  const kind = knowledge.kinds.find((k) => k.id === dto.kind);
  const problems: FieldProblem[] = [];
  if (!kind) problems.push({ field: 'kind', message: 'This kind is not known.' });
  else {
    const known = new Set(stationsOf(kind));
    dto.droppedStations.forEach((s, i) => {
      if (!known.has(s)) problems.push({ field: `droppedStations[${i}]`, message: `This kind has no ${s}.` });
    });
    dto.addedStations.forEach((s, i) => {
      if (known.has(s.id)) problems.push({ field: `addedStations[${i}].id`, message: `${s.id} is there already.` });
      if (!kind.lines.some((l) => l.line === s.line))
        problems.push({ field: `addedStations[${i}].line`, message: 'This kind has no such line.' });
      known.add(s.id);
    });
    const items = planItemsOn(kind.id).map((i) => i.id);
    dto.plates?.forEach((p, i) => {
      if (!items.includes(p.item))
        problems.push({ field: `plates[${i}].item`, message: 'This kind has no such service.' });
      if (!p.days && !p.hours && !p.uses)
        problems.push({ field: `plates[${i}].days`, message: 'Days, hours or uses.' });
    });
  }
  refuseIf(problems);
  const before = id === null ? undefined : await modelById(db, id);
  const plates = dto.plates
    ? Object.fromEntries(
        dto.plates.map((p) => [
          p.item,
          {
            ...(p.days ? { days: p.days } : {}),
            ...(p.hours ? { hours: p.hours } : {}),
            ...(p.uses ? { uses: p.uses } : {}),
          },
        ]),
      )
    : (before?.plates ?? {});
  const stored = await store(db, id, {
    maker: dto.maker.trim(),
    name: dto.name.trim(),
    kind: dto.kind,
    mains_v: dto.mainsV,
    warranty_months: dto.warrantyMonths,
    belts: dto.belts.map((b) => b.trim()),
    bearings: dto.bearings.map((b) => b.trim()),
    filters: dto.filters.map((f) => f.trim()),
    dropped_stations: [...new Set(dto.droppedStations)],
    added_stations: dto.addedStations.map(({ line, after, id: station, label }) => ({
      line,
      after,
      id: station,
      label,
    })),
    note: dto.note.trim(),
    plates,
    sealed_battery: dto.sealedBattery === undefined ? (before?.sealed_battery ?? null) : dto.sealedBattery,
  });
  refuseIf(stored === null ? [{ field: 'name', message: 'This maker has a model of this name already.' }] : []);
  if (id !== null) await markStale(db, { model: id });
  return stored!;
}
