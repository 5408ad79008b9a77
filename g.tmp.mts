import { knowledge } from '@/knowledge';
import { practitionersOrder } from '@/knowledge/practitionersOrder';
import { compileKind } from '@/core/diagnosis/compileKind';
import { followCourse, fixedOrder } from '@/core/diagnosis/followCourse';
import { drawMachine } from '@/core/diagnosis/simulate';
import { seededRandom } from '@/core/diagnosis/seededRandom';
import { posterior, statesNeeded } from '@/core/diagnosis/posterior';
import { explanations } from '@/core/diagnosis/explanations';
for (const num of [1, 8,2,12]) {
  const kind = knowledge.kinds.find(k=>k.number===num)!; const compiled = compileKind(knowledge, kind); const memory = new Map();
  for (let i=0;i<15;i++) { const random = seededRandom(1000*kind.number+i); followCourse(compiled, drawMachine(random, compiled), fixedOrder(practitionersOrder), random, memory); }
  const tp:number[]=[], te:number[]=[]; const st:number[]=[]; const len:number[]=[];
  for (const { diagnosis: d } of memory.values() as any) { let t=performance.now(); posterior(compiled.network, d.observations, d.pins); tp.push(performance.now()-t); t=performance.now(); const e=explanations(compiled.network, d.observations, d.pins, d.result.logEvidence); te.push(performance.now()-t); st.push(statesNeeded(compiled.network, d.observations)); len.push(e.list.length); }
  const q=(a:number[],p:number)=>a.slice().sort((x,y)=>x-y)[Math.floor(p*(a.length-1))]!;
  console.log(num, 'states', q(st,.5), q(st,.95), q(st,1), 'posterior ms', q(tp,.5).toFixed(1), q(tp,.9).toFixed(1), q(tp,1).toFixed(1), 'expl ms', q(te,.5).toFixed(1), q(te,.9).toFixed(1), q(te,1).toFixed(1), 'sets', q(len,.5), q(len,1));
}
process.exit(0);
