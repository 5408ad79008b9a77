/** How a job stands with its owner. */
export type Standing =
  /** Nothing was offered, and nothing said. */
  | 'open'
  /** Offered, and no answer yet. */
  | 'offered'
  | 'agreed'
  /** What was offered lies below a limit that was agreed before. */
  | 'within-limit'
  /** Something was found since that nobody agreed to. */
  | 'found-since'
  | 'ask-again'
  | 'as-is'
  | 'scrap';

/** Why a machine is opened no further as it stands with its owner. @param standing where no yes and no limit covers the work */
export function notAgreed(standing: Standing): string {
  if (standing === 'as-is' || standing === 'scrap')
    return 'The owner does not want it repaired: it is opened no further.';
  if (standing === 'found-since') return 'Something was found since the owner agreed: say it, and ask again first.';
  return 'The owner has not agreed yet: it is opened no further than Find did.';
}
