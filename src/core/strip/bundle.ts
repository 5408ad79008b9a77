/** Something that could be done while the machine is open. */
export interface ExtraJob {
  id: string;
  /** What it is worth to do it now, less what it costs by itself: part and its own minutes, smallest units. */
  worthMinor: number;
  /** What is laid out for it now, for a budget. */
  priceMinor: number;
  /** Steps that must be done to reach it. */
  steps: readonly string[];
}

/** A step into the machine that is not done yet. */
export interface BundleStep {
  id: string;
  /** Opening and closing it, smallest units. */
  costMinor: number;
  needs: readonly string[];
}

export interface Bundle {
  jobs: string[];
  steps: string[];
  /** What the whole is worth, less the steps. */
  worthMinor: number;
}

/**
 * Which extra jobs pay together while a machine is open: a job is worth what it saves, a step costs its minutes once however
 * many jobs lie behind it.
 *
 * Closure of maximum weight by a minimum cut (J. C. Picard, Maximal closure of a graph and applications to combinatorial
 * problems, Management Science 22, 1976): what can be done stands on the source’s side of the cut. Ties are left undone:
 * nobody is sold what gains nothing.
 * @throws RangeError when a job or a step needs a step that is not there
 * @example bestBundle([{ id: 'belt', worthMinor: 500, priceMinor: 450, steps: ['plate'] }],
 *   [{ id: 'plate', costMinor: 300, needs: [] }]).worthMinor // → 200
 */
export function bestBundle(jobs: readonly ExtraJob[], steps: readonly BundleStep[]): Bundle {
  const at = new Map(steps.map((s, i) => [s.id, jobs.length + i]));
  const place = (id: string) => {
    const found = at.get(id);
    if (found === undefined) throw new RangeError(`There is no step named ${id}.`);
    return found;
  };
  const [source, sink] = [jobs.length + steps.length, jobs.length + steps.length + 1];
  const net = new Network(sink + 1);
  jobs.forEach((job, i) => {
    if (job.worthMinor > 0) net.pipe(source, i, job.worthMinor);
    else net.pipe(i, sink, -job.worthMinor);
    for (const step of job.steps) net.pipe(i, place(step), Infinity);
  });
  steps.forEach((step, i) => {
    net.pipe(jobs.length + i, sink, step.costMinor);
    for (const need of step.needs) net.pipe(jobs.length + i, place(need), Infinity);
  });
  net.fill(source, sink);
  const dry = net.reachedFrom(source);
  const chosen = jobs.filter((_, i) => dry.has(i));
  const walked = steps.filter((_, i) => dry.has(jobs.length + i));
  return bundleOf(chosen, walked);
}

/** What some jobs and steps come to. */
export function bundleOf(jobs: readonly ExtraJob[], steps: readonly BundleStep[]): Bundle {
  return {
    jobs: jobs.map((j) => j.id),
    steps: steps.map((s) => s.id),
    worthMinor: jobs.reduce((sum, j) => sum + j.worthMinor, 0) - steps.reduce((sum, s) => sum + s.costMinor, 0),
  };
}

/** Pipes with room left in them; E. A. Dinic’s algorithm, 1970. */
class Network {
  private readonly to: number[] = [];
  private readonly room: number[] = [];
  private readonly out: number[][];

  constructor(nodes: number) {
    this.out = Array.from({ length: nodes }, () => []);
  }

  pipe(from: number, to: number, room: number): void {
    this.out[from]!.push(this.to.push(to) - 1);
    this.room.push(room);
    this.out[to]!.push(this.to.push(from) - 1);
    this.room.push(0);
  }

  fill(source: number, sink: number): void {
    for (;;) {
      const depth = this.depths(source);
      if (depth[sink] === -1) return;
      const next = this.out.map(() => 0);
      while (this.push(source, sink, Infinity, depth, next) > 0);
    }
  }

  reachedFrom(source: number): Set<number> {
    return new Set(this.depths(source).flatMap((d, node) => (d >= 0 ? [node] : [])));
  }

  private depths(source: number): number[] {
    const depth = this.out.map(() => -1);
    depth[source] = 0;
    const queue = [source];
    for (const node of queue)
      for (const pipe of this.out[node]!) {
        const to = this.to[pipe]!;
        if (this.room[pipe]! <= 0 || depth[to] !== -1) continue;
        depth[to] = depth[node]! + 1;
        queue.push(to);
      }
    return depth;
  }

  /** @returns how much went through; Infinity cannot: every way to the sink has a finite pipe */
  private push(node: number, sink: number, most: number, depth: number[], next: number[]): number {
    if (node === sink) return most;
    for (; next[node]! < this.out[node]!.length; next[node]!++) {
      const pipe = this.out[node]![next[node]!]!;
      const to = this.to[pipe]!;
      if (this.room[pipe]! <= 0 || depth[to] !== depth[node]! + 1) continue;
      const went = this.push(to, sink, Math.min(most, this.room[pipe]!), depth, next);
      if (went === 0) continue;
      this.room[pipe]! -= went;
      this.room[pipe ^ 1]! += went;
      return went;
    }
    return 0;
  }
}
