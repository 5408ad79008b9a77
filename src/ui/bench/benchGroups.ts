import { places } from '@/knowledge/counter';
import type { BenchStrip, BenchView } from '@/shop/bench/dto';

/** A place of the shop with the machines that lie there. */
export interface BenchGroup {
  id: string;
  label: string;
  place: string;
  benchNo: number | null;
  strips: BenchStrip[];
}

/** All places of the shop in the order in which one walks past them, empty ones too: they are where things are put. */
export function benchGroups(view: BenchView, mine: number | null): BenchGroup[] {
  const shown = view.strips.filter((s) => mine === null || s.person?.id === mine);
  const groups: BenchGroup[] = [];
  for (const place of places) {
    const here = shown.filter((s) => s.place === place.id);
    if (place.id !== 'bench') {
      groups.push({ id: place.id, label: place.label, place: place.id, benchNo: null, strips: here });
      continue;
    }
    // A bench that was taken away keeps what still lies on it until somebody carries it off.
    const last = Math.max(view.benches, ...here.map((s) => s.benchNo));
    for (let n = 1; n <= last; n++)
      groups.push({
        id: `bench-${n}`,
        label: last === 1 ? 'Bench' : `Bench ${n}`,
        place: 'bench',
        benchNo: n,
        strips: here.filter((s) => s.benchNo === n),
      });
  }
  for (const g of groups) g.strips.sort((a, b) => urgency(a, view) - urgency(b, view));
  return groups;
}

/** What wants hands first: a wait that is over, then late, then by promise; what still waits comes last. */
function urgency(s: BenchStrip, view: BenchView): number {
  const waits = s.wait !== null && !s.wait.rang;
  const over = s.wait?.rang ? -2 : 0;
  return (
    Date.parse(s.promisedOn) / 86_400_000 + (waits ? 10_000 : 0) + (s.promisedOn < view.today ? -1 : 0) + over * 1000
  );
}
