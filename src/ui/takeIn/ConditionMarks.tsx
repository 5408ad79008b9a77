'use client';

import { useState } from 'react';
import type { Kind } from '@/core/diagnosis/knowledge';
import { conditionWords } from '@/knowledge/counter';
import { PlainField } from '../parts/PlainField';
import { Press } from '../parts/Press';
import { Words } from '../parts/Words';
import styles from './takeIn.module.css';
import type { TakeInForm } from './useTakeIn';

interface Props {
  form: TakeInForm;
  kind: Kind;
  /** Station that was pressed on the board. */
  station: string | null;
  onDone: () => void;
}

/** What is seen on one part, marked on the board: cracked, missing, taped. */
export function ConditionMarks({ form, kind, station, onDone }: Props) {
  const { values: v, set } = form;
  const [text, setText] = useState('');
  const labelOf = (id: string) => kind.lines.flatMap((l) => l.stations).find((s) => s.id === id)?.label ?? id;
  const add = (words: string) => {
    if (!station || words.trim() === '') return;
    set((now) => ({ marks: [...now.marks, { station, text: words.trim() }] }));
    setText('');
    onDone();
  };
  return (
    <div className={styles.marks}>
      {station ? (
        <>
          <Words weight="strong">{labelOf(station)}:</Words>
          {conditionWords.map((w) => (
            <Press key={w} small onClick={() => add(w)}>
              {w}
            </Press>
          ))}
          <PlainField
            label="or in words"
            ref={(box) => box?.focus()}
            value={text}
            onChange={(e) => setText(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Enter') {
                e.preventDefault();
                add(text);
              }
              if (e.key === 'Escape') onDone();
            }}
            className={styles.inWords}
          />
          <Press small tone="plain" onClick={onDone}>
            Leave it
          </Press>
        </>
      ) : (
        <Words size="caption" tone="soft">
          Press a part to mark what is seen on it.
        </Words>
      )}
      {v.marks.map((m, i) => {
        const said = `${labelOf(m.station)}: ${m.text}`;
        return (
          <span key={`${m.station}-${i}`} className={styles.mark}>
            {said}
            <Press
              small
              tone="plain"
              aria-label={`Take away: ${said}`}
              onClick={() => set((now) => ({ marks: now.marks.filter((_, k) => k !== i) }))}
            >
              ×
            </Press>
          </span>
        );
      })}
    </div>
  );
}
