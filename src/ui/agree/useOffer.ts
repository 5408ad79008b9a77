'use client';

import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Offer } from '@/core/agree/offers';
import type { ProposalView } from '@/shop/agree/dto';
import { ask } from '../asking/ask';
import type { JobDesk } from '../job/useJob';
import { draftKeeper } from '../parts/draftKeeper';
import { draftFrom, draftOffers, type OfferDraft } from './offerDraft';

export interface OfferDesk {
  proposal: ProposalView | null;
  /** It could not be fetched. */
  failed: boolean;
  draft: OfferDraft | null;
  offers: Offer[];
  /** Something was changed since the last estimate, or none was made yet. */
  isChanged: boolean;
  change(change: Partial<OfferDraft>): void;
  /** Begins again from what is proposed now. */
  afresh(): void;
  /** It was put to the owner: what was kept is forgotten. */
  sent(): void;
  retry(): void;
}

/** What is put together for the owner: proposed by the server, changed here, kept through a reload. */
export function useOffer({ job }: JobDesk): OfferDesk {
  const [edited, setEdited] = useState<OfferDraft | null>(null);
  const [keeper] = useState(() => draftKeeper(`agree-${job.id}`));
  const { estimate } = job.agree;
  // Anew when something else was found, mended, fitted or chosen.
  const basis = JSON.stringify([
    job.proved,
    job.repaired,
    job.fitted.map((f) => f.id),
    job.agree.schools,
    estimate?.id,
  ]);
  const {
    data: proposal = null,
    isError,
    refetch,
  } = useQuery({
    queryKey: ['agree', job.id, basis],
    queryFn: ({ signal }) => ask<ProposalView>(`/api/v1/jobs/${job.id}/agree`, signal),
    placeholderData: keepPreviousData,
  });
  useEffect(() => {
    let here = true;
    void keeper.restore().then((kept) => {
      if (here && kept) setEdited((now) => now ?? { each: [], ...(kept as Omit<OfferDraft, 'each'>) });
    });
    return () => {
      here = false;
    };
  }, [keeper]);
  const proposed = useMemo(() => (proposal ? draftFrom(proposal, estimate) : null), [proposal, estimate]);
  const draft = edited ?? proposed;
  const offers = useMemo(() => (draft && proposal ? draftOffers(draft, proposal) : []), [draft, proposal]);
  const change = useCallback(
    (more: Partial<OfferDraft>) => {
      if (!draft) return;
      const next = { ...draft, ...more };
      setEdited(next);
      keeper.keep(next);
    },
    [draft, keeper],
  );
  const forget = useCallback(() => {
    setEdited(null);
    void keeper.drop();
  }, [keeper]);
  const afresh = useCallback(() => {
    if (!proposal) return;
    const next = draftFrom(proposal, null);
    setEdited(next);
    keeper.keep(next);
  }, [proposal, keeper]);
  return {
    proposal,
    failed: isError,
    draft,
    offers,
    isChanged: edited !== null || estimate === null,
    change,
    afresh,
    sent: forget,
    retry: () => void refetch(),
  };
}
