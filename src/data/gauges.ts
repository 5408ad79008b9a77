import type { Db } from './database';

export async function insertGaugeResult(
  db: Db,
  row: { job_id: number; gauge: string; method_version: number; inputs: object; answer: object; person_id: number },
  files: Record<string, string>,
): Promise<void> {
  const [inserted] = await db('gauge_result')
    .insert({ ...row, inputs: JSON.stringify(row.inputs), answer: JSON.stringify(row.answer) })
    .returning('id');
  const kept = Object.entries(files).map(([field, content]) => ({ result_id: inserted.id, field, content }));
  if (kept.length) await db('gauge_file').insert(kept);
}

/** What a kept result was reckoned from, its files with it; undefined when it is not kept with this job. */
export async function gaugeInputsOf(db: Db, jobId: number, id: number) {
  const row = await db('gauge_result')
    .where({ job_id: jobId, id })
    .whereNull('taken_back_at')
    .first<{ gauge: string; inputs: Record<string, unknown> } | undefined>('gauge', 'inputs');
  if (!row) return undefined;
  const files = await db('gauge_file').where({ result_id: id }).select<{ field: string; content: string }[]>('*');
  return { gauge: row.gauge, inputs: { ...row.inputs, ...Object.fromEntries(files.map((f) => [f.field, f.content])) } };
}

/** @returns whether it was there and in force */
export async function takeBackGaugeResult(db: Db, jobId: number, id: number): Promise<boolean> {
  const changed = await db('gauge_result')
    .where({ id, job_id: jobId })
    .whereNull('taken_back_at')
    .update({ taken_back_at: db.fn.now() });
  return changed === 1;
}

export async function gaugeUsual(db: Db): Promise<Record<string, Record<string, unknown>>> {
  const rows = await db('gauge_usual').select<{ gauge: string; inputs: Record<string, unknown> }[]>('gauge', 'inputs');
  return Object.fromEntries(rows.map((r) => [r.gauge, r.inputs]));
}

export async function putGaugeUsual(db: Db, gauge: string, inputs: object): Promise<void> {
  await db('gauge_usual')
    .insert({ gauge, inputs: JSON.stringify(inputs) })
    .onConflict('gauge')
    .merge(['inputs']);
}

export interface SizedPart {
  code: string;
  label: string;
  part_group: string;
  stock: number;
  price_minor: number;
  sizes: Record<string, number>;
}

/** Parts of a group with a size near what was measured, on the first of its sizes, nearest first. */
export async function partsNear(
  db: Db,
  group: string,
  size: { name: string; mm: number; withinMm: number },
  limit: number,
): Promise<SizedPart[]> {
  return db('part_size as near')
    .join('part', 'part.code', 'near.code')
    .where({ 'near.name': size.name, 'part.part_group': group })
    .whereBetween('near.mm', [size.mm - size.withinMm, size.mm + size.withinMm])
    .orderByRaw('abs(near.mm - ?)', [size.mm])
    .limit(limit)
    .select('part.code', 'part.label', 'part.part_group', 'part.stock', 'part.price_minor', {
      sizes: db.raw('(select json_object_agg(s.name, s.mm) from part_size s where s.code = part.code)'),
    });
}

export async function insertPartSizes(db: Db, rows: { code: string; name: string; mm: number }[]): Promise<void> {
  if (rows.length) await db('part_size').insert(rows);
}
