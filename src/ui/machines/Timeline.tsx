'use client';

import { useEffect, useRef, useState } from 'react';
import type { TimelineView } from '@/shop/machines/dto';
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

/** All that happened to a machine: searched and filtered on the server, page by page. */
export function Timeline({ tag, zone, first, mayHaveMore }: Props) {
  const [words, setWords] = useState('');
  const [sorts, setSorts] = useState<string[]>([]);
  const [rows, setRows] = useState(first);
  const [more, setMore] = useState(mayHaveMore);
  const [trouble, setTrouble] = useState(false);
  const plain = words.trim() === '' && sorts.length === 0;
  const query = (before?: number) => {
    const params = new URLSearchParams();
    if (words.trim()) params.set('q', words.trim());
    for (const s of SORTS) if (sorts.includes(s.label)) for (const w of s.what) params.append('what', w);
    if (before) params.set('before', String(before));
    return `/api/v1/machines/${tag}/timeline?${params}`;
  };
  const address = plain ? null : query();
  const round = useRef(0);
  const look = async (url: string, keep: TimelineView[]) => {
    const mine = ++round.current;
    const response = await fetch(url).catch(() => null);
    // Overtaken by what was typed since.
    if (mine !== round.current) return;
    setTrouble(!response?.ok);
    if (!response?.ok) return;
    const found = (await response.json()) as { rows: TimelineView[]; more: boolean };
    setRows([...keep, ...found.rows]);
    setMore(found.more);
  };
  const lookNow = useRef(look);
  useEffect(() => {
    lookNow.current = look;
  });
  useEffect(() => {
    if (address === null) return;
    const timer = setTimeout(() => void lookNow.current(address, []), 200);
    return () => clearTimeout(timer);
  }, [address]);
  const shown = plain && rows.length < first.length ? first : rows;
  const reset = () => {
    round.current++;
    setRows(first);
    setMore(mayHaveMore);
  };
  const change = (nextWords: string, nextSorts: string[]) => {
    setWords(nextWords);
    setSorts(nextSorts);
    if (nextWords.trim() === '' && nextSorts.length === 0) reset();
  };
  const last = shown.at(-1);
  return (
    <section aria-label="Timeline" className={styles.narrow}>
      <div className={styles.headOfLine}>
        <Words size="h2">All that happened</Words>
        <input
          value={words}
          onChange={(e) => change(e.target.value, sorts)}
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
            onClick={() => change(words, sorts.includes(label) ? sorts.filter((s) => s !== label) : [...sorts, label])}
            className={styles.chosen}
          >
            {label}
          </Press>
        ))}
      </div>
      {trouble && (
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
      {more && last && (
        <Press small className={styles.earlier} onClick={() => void look(query(last.id), shown)}>
          Earlier
        </Press>
      )}
    </section>
  );
}
