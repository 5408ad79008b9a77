'use client';

import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { TimelineView } from '@/shop/machines/dto';
import { ask } from '../asking/ask';
import { dayAt, timeAt } from '../parts/instants';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import { Press } from '../parts/Press';
import { classes, Words } from '../parts/Words';
import { TextLink } from '../parts/TextLink';
import styles from './card.module.css';

/** Sorts of entries that can be looked at alone. */
const SORTS: { label: string; what: string[] }[] = [
  { label: 'visits', what: ['taken-in', 'handed-back', 'comeback'] },
  { label: 'findings', what: ['found', 'caution'] },
  { label: 'readings', what: ['reading', 'proved'] },
  { label: 'parts', what: ['fitted'] },
  { label: 'waits', what: ['wait'] },
  { label: 'words', what: ['said', 'note'] },
  { label: 'agreed and paid', what: ['estimate', 'answer', 'paper', 'paid', 'message', 'bridged'] },
  { label: 'photographs', what: ['photograph'] },
  { label: 'owner, card, moves', what: ['owner', 'corrected', 'warranty', 'moved'] },
];

interface Props {
  tag: string;
  zone: string;
  first: TimelineView[];
  /** A full first page: there may be more. */
  mayHaveMore: boolean;
}

const SOON_MS = 200;

interface TimelinePage {
  rows: TimelineView[];
  more: boolean;
}

/** All that happened to a machine: searched and filtered on the server, page by page. */
export function Timeline({ tag, zone, first, mayHaveMore }: Props) {
  const [words, setWords] = useState('');
  const [sorts, setSorts] = useState<string[]>([]);
  const plain = words.trim() === '' && sorts.length === 0;
  const query = (before: number | null) => {
    const params = new URLSearchParams();
    if (words.trim()) params.set('q', words.trim());
    for (const s of SORTS) if (sorts.includes(s.label)) for (const w of s.what) params.append('what', w);
    if (before) params.set('before', String(before));
    return `/api/v1/machines/${tag}/timeline?${params}`;
  };
  const { data, isError, hasNextPage, isFetchingNextPage, fetchNextPage } = useInfiniteQuery({
    queryKey: ['timeline', tag, query(null), first[0]?.id],
    async queryFn({ pageParam, signal }) {
      // What is typed on is another question: this one is given up before it is put.
      if (pageParam === null) await new Promise((done) => setTimeout(done, SOON_MS));
      signal.throwIfAborted();
      return ask<TimelinePage>(query(pageParam), signal);
    },
    initialPageParam: null as number | null,
    getNextPageParam: ({ rows, more }) => (more ? (rows.at(-1)?.id ?? null) : null),
    ...(plain ? { initialData: { pages: [{ rows: first, more: mayHaveMore }], pageParams: [null] } } : {}),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const shown = data?.pages.flatMap((p) => p.rows) ?? first;
  return (
    <section aria-label="Timeline" className={styles.narrow}>
      <div className={styles.headOfLine}>
        <Words size="h2">All that happened</Words>
        <input
          value={words}
          onChange={(e) => setWords(e.target.value)}
          placeholder="find in it"
          aria-label="Find in the timeline"
          className={styles.finder}
        />
      </div>
      <div role="group" aria-label="Only these" className={styles.sorts}>
        {SORTS.map(({ label }) => (
          <Press
            key={label}
            small
            aria-pressed={sorts.includes(label)}
            onClick={() => setSorts(sorts.includes(label) ? sorts.filter((s) => s !== label) : [...sorts, label])}
            className={styles.chosen}
          >
            {label}
          </Press>
        ))}
      </div>
      {isError && (
        <Words size="body" role="alert">
          The server does not answer. What stands here is from before.
        </Words>
      )}
      {shown.length === 0 && <Empty>{plain ? 'Nothing yet.' : 'Nothing like that.'}</Empty>}
      <ol className={styles.list}>
        {shown.map((t) => (
          <li key={t.id} className={styles.entry}>
            <Reading>
              {dayAt(t.at, zone)}
              <span className={styles.sort}> {timeAt(t.at, zone)}</span>
            </Reading>
            <span className={styles.who}>{t.what.replaceAll('-', ' ')}</span>
            <span className={classes(styles.text, t.what === 'said' && styles.spoken)}>
              {t.what === 'said' ? `“${t.text}”` : t.text}
              <span className={styles.aside}>
                {t.by && ` ${t.by}`}
                {t.job && (
                  <>
                    {' '}
                    <TextLink href={`/jobs/${t.job}/hand-back`}>job {t.job}</TextLink>
                  </>
                )}
              </span>
            </span>
          </li>
        ))}
      </ol>
      {hasNextPage && (
        <Press small className={styles.earlier} disabled={isFetchingNextPage} onClick={() => void fetchNextPage()}>
          Earlier
        </Press>
      )}
    </section>
  );
}
