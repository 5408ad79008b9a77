'use client';

import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { hear, type Ear } from '@/core/intake/hearing/ear';
import { visits } from '@/knowledge/counter';
import { visitHeard } from '@/knowledge/hearing/said';
import type { Visit } from '@/shop/jobView/dto';

/** As many as stand in one line; the right one is among so many in ninety-eight of a hundred. */
const MOST = 3;
/** Beyond this nobody is speaking any more; what was said first is heard. */
const HEARD_CHARACTERS = 4000;

/** A complaint, or the reason for a visit without one, that was heard in the words. */
export interface Proposal {
  complaint?: string;
  visit?: Visit;
  label: string;
  because: string;
}

interface Said {
  words: string;
  complaints: string[];
  visit: Visit;
}

/**
 * What the customer's words may mean and is not chosen yet, most likely first. The hearing is fetched with the first word that
 * is written down; `deaf` when it did not come.
 */
export function useHearing(
  said: Said,
  known: { id: string; label: string }[],
): { proposed: Proposal[]; deaf: boolean } {
  const [ear, setEar] = useState<Ear | 'deaf' | null>(null);
  const wanted = said.words.trim() !== '';
  useEffect(() => {
    if (!wanted) return;
    let gone = false;
    import('@/knowledge/hearing').then(
      (came) => !gone && setEar(came.ear),
      () => !gone && setEar('deaf'),
    );
    return () => {
      gone = true;
    };
  }, [wanted]);
  const words = useDeferredValue(said.words);
  const heard = useMemo(
    () => (ear && ear !== 'deaf' ? hear(ear, words.slice(0, HEARD_CHARACTERS), 24) : []),
    [ear, words],
  );
  const proposed = heard
    .flatMap(({ id, because }): Proposal[] => {
      const visit = visits.find((v) => v.id === visitHeard(id));
      // Who has a complaint comes because of it.
      if (visit) return said.visit || said.complaints.length ? [] : [{ visit: visit.id, label: visit.label, because }];
      const complaint = known.find((c) => c.id === id);
      return complaint && !said.complaints.includes(id) ? [{ complaint: id, label: complaint.label, because }] : [];
    })
    .slice(0, MOST);
  return { proposed, deaf: ear === 'deaf' };
}
