'use client';

import { useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { allDoings, cautionOf, doingOf } from '../job/labels';
import { Key } from '../parts/Key';
import { Reading } from '../parts/Reading';
import { Words } from '../parts/Words';
import styles from './find.module.css';
import { Press } from '../parts/Press';

/** Any other check, out of order: by its worth, or found by a word. */
export function OtherChecks({
  job,
  odds,
  current,
  onPick,
}: {
  job: JobFacts;
  odds: AssessmentView | null;
  current: string | null;
  onPick: (check: string) => void;
}) {
  const [words, setWords] = useState('');
  const [all, setAll] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  useHotkeys('c', () => field.current?.focus(), { preventDefault: true });
  const next = odds?.next ?? [];
  // After a cause is proved a look is worth what it spares of a comeback; the end is where one stands.
  const isProved = odds !== null && odds.causes.length > 0;
  const listed = new Set(next.map((n) => n.check));
  const rows = [
    ...next.map((n) => ({ ...n, done: false })),
    ...allDoings(job.machine.kind)
      .filter((c) => !listed.has(c.id))
      .map((c) => ({
        check: c.id,
        minutes: c.minutes,
        openingMinutes: 0,
        total: NaN,
        informs: NaN,
        heldBackBy: [] as string[],
        done: true,
      })),
  ]
    .map((r) => ({ ...r, label: doingOf(job.machine.kind, r.check)?.label ?? r.check }))
    // Who asks by name for what is on the bench already means that, not the next in the list.
    .filter((r) => r.check !== current || words !== '')
    .filter((r) => words === '' || r.label.toLowerCase().includes(words.toLowerCase()))
    // What is called just so comes before what has the words somewhere in it.
    .sort((a, b) => (words === '' ? 0 : nearness(a.label, words) - nearness(b.label, words)));
  const shown = all || words ? rows : rows.slice(0, 6);
  const pick = (check: string) => {
    setWords('');
    onPick(check);
  };
  return (
    <section aria-label="Other checks">
      <div className={styles.middle}>
        <Words size="h3" as="h2">
          Other checks
        </Words>
        <label className={styles.finder}>
          <input
            ref={field}
            value={words}
            onChange={(e) => setWords(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Enter' && shown[0]) pick(shown[0].check);
              // The keys belong to the check again.
              if (e.key === 'Enter' || e.key === 'Escape') field.current?.blur();
            }}
            placeholder="find one"
            aria-label="Find a check"
          />
          <Key>c</Key>
        </label>
      </div>
      <ul className={styles.list}>
        {shown.map((r) => (
          <li key={r.check} className={styles.ruled}>
            <button type="button" onClick={() => pick(r.check)} className={styles.check}>
              <span>
                {r.label}
                {r.heldBackBy.length > 0 && (
                  <span className={styles.held}>
                    {' '}
                    held back: {r.heldBackBy.map((c) => cautionOf(c).label.toLowerCase()).join(', ')}
                  </span>
                )}
              </span>
              <Reading>{(r.minutes + r.openingMinutes).toFixed(1)} min</Reading>
              <span className={styles.minutes}>
                {r.done ? (
                  'answered'
                ) : r.informs > 0.02 ? (
                  <>
                    {isProved ? 'spares' : 'end in'} <Reading>{Math.round(isProved ? r.informs : r.total)}</Reading>
                  </>
                ) : (
                  'tells little'
                )}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {!words && rows.length > 6 && (
        <Press small tone="plain" onClick={() => setAll(!all)}>
          {all ? 'Fewer' : `All ${rows.length} checks`}
        </Press>
      )}
    </section>
  );
}

/** 0 for the very name, 1 for its beginning, 2 for anywhere in it. */
function nearness(label: string, words: string): number {
  const [name, typed] = [label.toLowerCase(), words.toLowerCase()];
  if (name === typed) return 0;
  return name.startsWith(typed) ? 1 : 2;
}
