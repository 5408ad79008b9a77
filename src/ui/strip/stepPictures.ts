import type { JobFacts, StepView } from '@/shop/jobView/dto';

/** A photograph at a step, and of what machine. */
export interface StepPicture {
  id: number;
  of: 'this machine' | 'this model';
}

/** Photographs of a step: of this machine first, then those that its model has from other machines. */
export function picturesOf(
  { photographs, strip }: Pick<JobFacts, 'photographs' | 'strip'>,
  { id, label }: Pick<StepView, 'id' | 'label'>,
): StepPicture[] {
  // Before it was kept what a photograph shows, it was told by its words alone.
  const own = photographs.filter((p) => p.shows === `step:${id}` || (p.shows === '' && p.caption === label));
  const here = new Set(own.map((p) => p.id));
  return [
    ...own.map((p) => ({ id: p.id, of: 'this machine' as const })),
    ...strip.pictures
      .filter((p) => p.step === id && !here.has(p.id))
      .map((p) => ({ id: p.id, of: 'this model' as const })),
  ];
}
