import { parentPort, workerData } from 'node:worker_threads';
import { compileKind } from '../src/core/diagnosis/compileKind';
import { fixedOrder, followCourse, proposedCourse, randomOrder, type Policy } from '../src/core/diagnosis/followCourse';
import { smallNetworks } from '../src/core/diagnosis/optimalCourse';
import { seededRandom } from '../src/core/diagnosis/seededRandom';
import { drawMachine } from '../src/core/diagnosis/simulate';
import { kindById, knowledge } from '../src/knowledge';
import { practitionersOrder } from '../src/knowledge/practitionersOrder';

interface Means {
  minutes: number;
  repaired: number;
  finished: number;
  topRight: number;
  /** Of what was proved, all was there. */
  right: number;
  /** A fault that shows as the complaint was left in the machine. */
  living: number;
}

/** The same machines, ended at the first proved cause, and ended when no look is worth a comeback any more. */
export interface EndingRow {
  kind: string;
  firstCause: Means;
  weighed: Means;
}

export interface CourseRow {
  kind: string;
  proposed: Means;
  fixed: Means;
  random: Means;
  /** Mean minutes on small networks of the kind, by the proposed course and at best. */
  optimum: { cases: number; proposed: number; best: number };
}

const { kind: kindId, machines, endings } = workerData as { kind: string; machines: number; endings?: true };
const kind = kindById(kindId);
const compiled = compileKind(knowledge, kind);

function measure(policy: Policy): Means {
  let memory = new Map();
  const sum: Means = { minutes: 0, repaired: 0, finished: 0, topRight: 0, right: 0, living: 0 };
  for (let i = 0; i < machines; i++) {
    // What is remembered is let go now and then: it would not fit otherwise.
    if (memory.size > 20_000) memory = new Map();
    const random = seededRandom(1_000_003 * kind.number + i);
    const run = followCourse(compiled, drawMachine(random, compiled), policy, random, memory);
    sum.minutes += run.minutes / machines;
    sum.repaired += run.minutesToRepaired / machines;
    sum.finished += Number(run.finished) / machines;
    sum.topRight += Number(run.topRight) / machines;
    sum.right += Number(run.right) / machines;
    sum.living += Number(run.living) / machines;
  }
  return sum;
}

const row: CourseRow | EndingRow = endings
  ? { kind: kindId, firstCause: measure(proposedCourse(0)), weighed: measure(proposedCourse()) }
  : {
      kind: kindId,
      proposed: measure(proposedCourse()),
      fixed: measure(fixedOrder(practitionersOrder)),
      random: measure(randomOrder()),
      optimum: smallNetworks(knowledge, kind),
    };
parentPort!.postMessage(row);
