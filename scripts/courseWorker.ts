import { parentPort, workerData } from 'node:worker_threads';
import { compileKind } from '../src/core/diagnosis/compileKind';
import {
  fixedOrder,
  followCourse,
  proposedCourse,
  randomOrder,
  type Followed,
  type Memory,
  type Policy,
} from '../src/core/diagnosis/followCourse';
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

const measure = (policy: Policy): Means => means(runs(policy));

function runs(policy: Policy): Followed[] {
  let memory: Memory = new Map();
  return Array.from({ length: machines }, (_, i) => {
    // What is remembered is let go now and then: it would not fit otherwise.
    if (memory.size > 20_000) memory = new Map();
    const random = seededRandom(1_000_003 * kind.number + i);
    return followCourse(compiled, drawMachine(random, compiled), policy, random, memory);
  });
}

function means(all: Followed[]): Means {
  const mean = (pick: (run: Followed) => number | boolean) =>
    all.reduce((sum, run) => sum + Number(pick(run)), 0) / all.length;
  return {
    minutes: mean((r) => r.minutes),
    repaired: mean((r) => r.minutesToRepaired),
    finished: mean((r) => r.finished),
    topRight: mean((r) => r.topRight),
    right: mean((r) => r.right),
    living: mean((r) => r.living),
  };
}

/** Until the first cause is proved both courses are the same: one run tells both endings. */
function endingsOf(): EndingRow {
  const all = runs(proposedCourse());
  return { kind: kindId, firstCause: means(all.map((r) => r.atFirstCause ?? r)), weighed: means(all) };
}

const row: CourseRow | EndingRow = endings
  ? endingsOf()
  : {
      kind: kindId,
      proposed: measure(proposedCourse()),
      fixed: measure(fixedOrder(practitionersOrder)),
      random: measure(randomOrder()),
      optimum: smallNetworks(knowledge, kind),
    };
parentPort!.postMessage(row);
