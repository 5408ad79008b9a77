import type { WorthTold } from '@/core/money/worthAsked';
import { faultLabel } from '../job/labels';

/** Closer than this share of each other two ways cost the same: the lives of parts are not known better. Common practice, no source. */
const ALIKE = 0.12;

/** What the reckoned lives say, in sentences; with their doubt. */
export function worthWords(
  { worth, turnsAtYears }: WorthTold,
  { doubtFault, doubtMonths }: { doubtFault: string | null; doubtMonths: number | null },
  money: (minor: number) => string,
): string[] {
  const lines = worth.map(
    (w) =>
      `${w.label}: ${money(w.perYearMinor)} a year, for ${years(w.years.mean)}; eight in ten last ${short(w.years.low)} to ${short(w.years.high)}.`,
  );
  const others = worth.filter((w) => w.id === 'used' || w.id === 'new');
  const ours = worth.filter((w) => !others.includes(w));
  if (others.length === 0 || ours.length === 0) return lines;
  const best = (list: typeof worth) => list.reduce((a, b) => (b.perYearMinor < a.perYearMinor ? b : a));
  const [repair, other] = [best(ours), best(others)];
  const gap = (repair.perYearMinor - other.perYearMinor) / other.perYearMinor;
  const verdict =
    Math.abs(gap) < ALIKE
      ? `Both cost about the same a year: ask what the owner likes better.`
      : gap < 0
        ? `Repair pays: ${lower(repair.label)} costs ${money(-gap * other.perYearMinor)} a year less than ${lower(other.label)}.`
        : `Repair hardly pays: ${lower(other.label)} costs ${money(gap * other.perYearMinor)} a year less.`;
  const turn =
    turnsAtYears === null || doubtFault === null
      ? []
      : [
          `It turns on ${lower(faultLabel(doubtFault))}: the two cost the same if it lasts ${years(turnsAtYears)}` +
            (doubtMonths === null ? '.' : `; ${doubtMonths} months are believed.`),
        ];
  const drawn = Math.max(...worth.map((w) => w.errorMinor));
  return [
    verdict,
    ...turn,
    ...lines,
    `Reckoned from lives that are common practice, no source; drawn to ± ${money(2 * drawn)}. What a part really lasts counts for more than that.`,
  ];
}

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
const short = (y: number) => (y < 2 ? `${Math.max(1, Math.round(12 * y))} months` : `${Math.round(y)} years`);
const years = (y: number) => (y < 2 ? `${Math.max(1, Math.round(12 * y))} months` : `${Math.round(10 * y) / 10} years`);
