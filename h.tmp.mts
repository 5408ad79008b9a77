import { knowledge } from '@/knowledge';
import { compileKind } from '@/core/diagnosis/compileKind';
import { proposedCourse, fixedOrder } from '@/core/diagnosis/followCourse';
import { practitionersOrder } from '@/knowledge/practitionersOrder';
import { followCourse } from '@/core/diagnosis/followCourse';
import { drawMachine } from '@/core/diagnosis/simulate';
import { seededRandom } from '@/core/diagnosis/seededRandom';
const num=Number(process.argv[2]), from=Number(process.argv[3]), to=Number(process.argv[4]);
const kind = knowledge.kinds.find(k=>k.number===num)!; const compiled = compileKind(knowledge, kind);
for (let i=from;i<to;i++) for (const [name,pol] of [['a',proposedCourse(process.env.AHEAD!=='0')],['b',fixedOrder(practitionersOrder)]] as const) {
  const random = seededRandom(1000*num+i); const machine = drawMachine(random, compiled);
  if (name==='a') console.log('\n##', i, machine.complaints.join('+'), '<-', [...machine.present].map(f=>compiled.faults[f]!.id).join(', '));
  const trail:string[]=[];
  const r = followCourse(compiled, machine, { choose: (s) => { const c = pol.choose(s); trail.push(c ?? '-'); return c; } }, random, new Map());
  console.log(name, r.minutes.toFixed(1), r.minutesToRepaired.toFixed(1), r.finished, trail.join(' > '));
}
process.exit(0);
