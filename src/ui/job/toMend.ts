import type { JobFacts } from '@/shop/jobView/dto';
import { faultLabel, repairLabel } from './labels';

/** Faults whose repair is still to be done in this job. */
export const stillToMend = ({ toMend, repaired }: Pick<JobFacts, 'toMend' | 'repaired'>): string[] =>
  toMend.filter((f) => !repaired.includes(f));

/** Agreed and not done yet, though nothing was found there. */
export const besidesLeft = ({ agree, repaired }: Pick<JobFacts, 'agree' | 'repaired'>): string[] => [
  ...agree.besides.filter((f) => !repaired.includes(f)).map(repairLabel),
  ...agree.itemsLeft,
];

/** What a repair is for: the fault that was found, or that it pays while the machine is open. */
export function mendsWhat({ agree, openFaults }: Pick<JobFacts, 'agree' | 'openFaults'>, fault: string): string {
  return agree.besides.includes(fault) && !openFaults.some((f) => f.fault === fault)
    ? 'agreed, while it is open'
    : faultLabel(fault);
}

/** Nothing was found: of what it came for, or at a visit without a complaint. */
const NOTHING_FOUND = {
  complained: 'No cause is proved: fit what you stand behind, and prove it.',
  visit: 'Nothing was complained of, and nothing was found: what was opened goes back together.',
};

/** What is to be done, what was agreed besides, and what stays as it is, in sentences. */
export function workWords(job: Pick<JobFacts, 'proved' | 'toMend' | 'agree' | 'complaints'>): string {
  const { besides, notWanted, itemsLeft } = job.agree;
  const found = job.toMend
    .filter((f) => !besides.includes(f))
    .map((f) => `${faultLabel(f)}: ${repairLabel(f).toLowerCase()}`);
  const sentences = [
    found.length > 0
      ? `${found.join('; ')}.`
      : job.proved.length === 0 && besides.length === 0
        ? NOTHING_FOUND[job.complaints.length > 0 ? 'complained' : 'visit']
        : '',
    besides.length + itemsLeft.length > 0
      ? `Agreed besides: ${[...besides.map(repairLabel), ...itemsLeft].join('; ').toLowerCase()}.`
      : '',
    notWanted.length > 0 ? `Not wanted, it stays as it is: ${notWanted.map(faultLabel).join(', ').toLowerCase()}.` : '',
  ];
  return sentences.filter(Boolean).join(' ');
}
