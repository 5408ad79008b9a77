import { Worker } from 'node:worker_threads';
import { cpus } from 'node:os';
import { knowledge } from '../src/knowledge';
import type { CourseRow, EndingRow } from './courseWorker';

/**
 * Minutes to the proved cause on machines drawn from the knowledge: the proposed course against the practitioners' fixed
 * order and a random legal one, kind by kind; and on small parts of the kinds against the true optimum.
 */
export async function benchCourses(machines: number, only?: number): Promise<void> {
  const kinds = knowledge.kinds.filter((k) => !only || k.number === only).map((k) => k.id);
  console.log(`\nMinutes to the proved cause, ${machines} simulated machines of each kind`);
  console.log(`  ${'kind'.padEnd(30)} proposed   fixed  random | proposed / fixed | proved  right | with repairs`);
  const rows: CourseRow[] = [];
  await inWorkers(
    kinds,
    (kind) => ({ kind, machines }),
    (row: CourseRow) => {
      rows.push(row);
      const f = (x: number, width: number) => x.toFixed(1).padStart(width);
      console.log(
        `  ${row.kind.padEnd(30)} ${f(row.proposed.minutes, 8)} ${f(row.fixed.minutes, 7)} ${f(row.random.minutes, 7)} | ${(row.proposed.minutes / row.fixed.minutes).toFixed(2).padStart(16)} | ${percent(row.proposed.finished)} ${percent(row.proposed.topRight)} | ${(row.proposed.repaired / row.fixed.repaired).toFixed(2)}`,
      );
    },
  );
  const mean = (pick: (r: CourseRow) => number) => rows.reduce((sum, r) => sum + pick(r), 0) / rows.length;
  console.log(
    `  all kinds: proposed ${(mean((r) => r.proposed.minutes) / mean((r) => r.fixed.minutes)).toFixed(3)} of the fixed order, ${(mean((r) => r.proposed.minutes) / mean((r) => r.random.minutes)).toFixed(3)} of a random one; first fault right at the stop in ${percent(mean((r) => r.proposed.topRight))}`,
  );
  const optimum = rows.filter((r) => r.optimum.cases > 0);
  const cases = optimum.reduce((sum, r) => sum + r.optimum.cases, 0);
  const sum = (pick: (r: CourseRow) => number) => optimum.reduce((s, r) => s + pick(r) * r.optimum.cases, 0) / cases;
  console.log(
    `  against the true optimum on ${cases} small networks: ${(sum((r) => r.optimum.proposed) / sum((r) => r.optimum.best)).toFixed(3)}`,
  );
}

/**
 * When finding ends: at the first proved cause, or when no look is worth what a comeback costs. Minutes until then, whether all
 * that was proved was there, and how many machines leave with another cause of their complaint in them.
 */
export async function benchEndings(machines: number): Promise<void> {
  console.log(`\nWhen finding ends, ${machines} simulated machines of each kind: at the first proved cause | weighed`);
  console.log(`  ${'kind'.padEnd(30)}  minutes    right   living |  minutes    right   living`);
  const rows: EndingRow[] = [];
  const line = (kind: string, { firstCause: a, weighed: b }: Omit<EndingRow, 'kind'>) =>
    console.log(
      `  ${kind.padEnd(30)} ${a.minutes.toFixed(1).padStart(8)}  ${percent(a.right)}  ${percent(a.living)} | ${b.minutes.toFixed(1).padStart(8)}  ${percent(b.right)}  ${percent(b.living)}`,
    );
  await inWorkers(
    knowledge.kinds.map((k) => k.id),
    (kind) => ({ kind, machines, endings: true }),
    (row: EndingRow) => {
      rows.push(row);
      line(row.kind, row);
    },
  );
  const mean = (pick: (r: EndingRow) => EndingRow['weighed']): EndingRow['weighed'] => {
    const of = (part: keyof EndingRow['weighed']) => rows.reduce((sum, r) => sum + pick(r)[part], 0) / rows.length;
    return {
      minutes: of('minutes'),
      repaired: of('repaired'),
      finished: of('finished'),
      topRight: of('topRight'),
      right: of('right'),
      living: of('living'),
    };
  };
  line('all kinds', { firstCause: mean((r) => r.firstCause), weighed: mean((r) => r.weighed) });
}

const percent = (x: number) => `${(x * 100).toFixed(1)} %`.padStart(7);

/** Every task in one of as many threads as there are processors. */
async function inWorkers<Task, Row>(items: string[], task: (item: string) => Task, onRow: (row: Row) => void) {
  const queue = [...items];
  const one = async () => {
    for (let item = queue.shift(); item !== undefined; item = queue.shift()) {
      const row = await new Promise<Row>((resolve, reject) => {
        const worker = new Worker(new URL('./courseWorker.mjs', import.meta.url), { workerData: task(item!) });
        worker.once('message', resolve);
        worker.once('error', reject);
      });
      onRow(row);
    }
  };
  await Promise.all(Array.from({ length: Math.min(cpus().length, items.length) }, one));
}
