'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Kind } from '@/core/diagnosis/knowledge';
import { conditionWords } from '@/knowledge/counter';
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
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'center', minHeight: 40 }}>
      {station ? (
        <>
          <Typography variant="body2" sx={{ fontWeight: 600 }}>
            {labelOf(station)}:
          </Typography>
          {conditionWords.map((w) => (
            <Button key={w} size="small" onClick={() => add(w)}>
              {w}
            </Button>
          ))}
          <TextField
            label="or in words"
            value={text}
            autoFocus
            onChange={(e) => setText(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Enter') {
                e.preventDefault();
                add(text);
              }
              if (e.key === 'Escape') onDone();
            }}
            sx={{ width: 200 }}
          />
          <Button size="small" variant="text" color="inherit" onClick={onDone}>
            Leave it
          </Button>
        </>
      ) : (
        <Typography variant="caption" sx={{ color: 'text.secondary' }}>
          Press a part to mark what is seen on it.
        </Typography>
      )}
      {v.marks.map((m, i) => (
        <Chip
          key={`${m.station}-${i}`}
          label={`${labelOf(m.station)}: ${m.text}`}
          onDelete={() => set((now) => ({ marks: now.marks.filter((_, k) => k !== i) }))}
          sx={{ borderRadius: '3px' }}
        />
      ))}
    </Box>
  );
}
