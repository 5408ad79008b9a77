import { knowledge } from '@/knowledge';
import { practitionersOrder } from '@/knowledge/practitionersOrder';
import { compileKind } from '@/core/diagnosis/compileKind';
import { followCourse, proposedCourse, fixedOrder, randomOrder } from '@/core/diagnosis/followCourse';
import { drawMachine } from '@/core/diagnosis/simulate';
import { seededRandom } from '@/core/diagnosis/seededRandom';
const n = Number(process.argv[2] ?? 60); const only = process.argv[3];
const missing = knowledge.checks.filter(c=>!practitionersOrder.includes(c.id)).map(c=>c.id); if (missing.length) console.log('missing', missing);
for (const kind of knowledge.kinds.filter(k=>!only||only.split(',').includes(String(k.number)))) {
  const compiled = compileKind(knowledge, kind);
  const row: string[] = [];
  for (const [name, policy] of Object.entries({ a1: proposedCourse(false), a2: proposedCourse(true), b: fixedOrder(practitionersOrder) })) {
    const memory = new Map(); const t = performance.now();
    const runs = Array.from({length:n}, (_,i) => { const random = seededRandom(1000*kind.number+i); const machine = drawMachine(random, compiled); return followCourse(compiled, machine, policy, random, memory); });
    const mean = (f:(r:any)=>number) => runs.reduce((s,r)=>s+f(r),0)/n;
    row.push(`${name} ${mean(r=>r.minutes).toFixed(1)} (${mean(r=>r.minutesToRepaired).toFixed(1)}) st ${mean(r=>r.steps).toFixed(1)} fin ${mean(r=>+r.finished).toFixed(2)} right ${mean(r=>+r.right).toFixed(2)} top ${mean(r=>+r.topRight).toFixed(2)} ${((performance.now()-t)/n).toFixed(0)}ms`);
  }
  console.log(kind.number, row.join(' | '));
}
process.exit(0);
