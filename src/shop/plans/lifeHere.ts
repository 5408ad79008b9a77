import type { Life } from '@/core/stats/weibull';
import type { OwnLife } from '@/data/lives';
import { lifeInUse, type WearLife } from '@/knowledge/wearLives';

/** How long a part lasts here: by the shop's own history where it was taken over, otherwise as is usual at this use. */
export function lifeHere(
  wear: WearLife,
  { kind, hoursPerWeek }: { kind: string; hoursPerWeek: number },
  own: readonly Pick<OwnLife, 'fault' | 'shape' | 'scale_years'>[],
): Life {
  const ours = own.find((o) => o.fault === wear.fault);
  return ours ? { shape: ours.shape, scaleYears: ours.scale_years } : lifeInUse(wear, kind, hoursPerWeek);
}
