'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { send } from '../parts/post';

/** The intervals of a kind, out as a file and in from one: this shop's of before, or another's. */
export function PlansFile({ kind, mayTake, onTaken }: { kind: string; mayTake: boolean; onTaken: () => void }) {
  const input = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState('');
  const read = async (file: File | undefined) => {
    if (!file) return;
    setTrouble('');
    const given = await fileOf(file);
    if (input.current) input.current.value = '';
    if (given === null) return setTrouble('This is no file of plans.');
    if (given.kind !== kind) return setTrouble(`This file is of another kind: ${given.kind}.`);
    const sent = await send('POST', '/api/v1/plans', { key: crypto.randomUUID(), plans: given });
    if (sent.ok) onTaken();
    else setTrouble([sent.refusal.fields[0]?.message, sent.refusal.title].find(Boolean)!);
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center', ml: { md: 'auto' } }}>
      {trouble && (
        <Typography variant="body2" role="alert" sx={{ color: 'bench.hazard' }}>
          {trouble}
        </Typography>
      )}
      <Button size="small" component="a" href={`/api/v1/plans/${kind}`} download={`plans-${kind}.json`}>
        Intervals as a file
      </Button>
      {mayTake && (
        <>
          <input
            ref={input}
            type="file"
            accept="application/json,.json"
            hidden
            aria-label="File of intervals"
            onChange={(e) => void read(e.target.files?.[0])}
          />
          <Button size="small" onClick={() => input.current?.click()}>
            Take them from a file
          </Button>
        </>
      )}
    </Box>
  );
}

/** What of a file is sent: its own intervals; null when it cannot be read so. */
async function fileOf(file: File): Promise<{ form: string; kind: string; items: object[] } | null> {
  try {
    const { form, kind, items } = JSON.parse(await file.text()) as {
      form: string;
      kind: string;
      items: { item: string; own: object | null }[];
    };
    return { form, kind, items: items.map(({ item, own }) => ({ item, own })) };
  } catch {
    return null;
  }
}
