'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { LearningView } from '@/shop/learning/dto';
import { dayAt } from '../parts/instants';
import { Notice } from '../parts/Notice';
import type { Refusal } from '../parts/post';
import { sendOnce } from '../parts/sendOnce';
import { Reading } from '../parts/Reading';

const WEIGHTS = [
  { value: 0, label: 'not at all' },
  { value: 0.25, label: 'a quarter of ours' },
  { value: 0.5, label: 'half of ours' },
  { value: 1, label: 'as much as ours' },
];

/** Learning out to another shop and in from one, and what a job of theirs counts here. */
export function LentShops({ lent, zone }: { lent: LearningView['lent']; zone: string }) {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const act = async (url: string, body: object) => {
    setBusy(true);
    const sent = await sendOnce(url, { key: crypto.randomUUID(), ...body });
    setBusy(false);
    setRefusal(sent.ok ? null : sent.refusal);
    router.refresh();
  };
  const take = async (file: File) => {
    let book: unknown;
    try {
      book = JSON.parse(await file.text());
    } catch {
      const message = 'This is not a JSON file: choose one that was exported here or in another shop.';
      return setRefusal({ status: 400, title: 'It cannot be read.', fields: [{ field: 'book', message }] });
    }
    await act('/api/v1/learning', { weight: 0.5, book });
  };
  return (
    <Box component="section" aria-label="Other shops" sx={{ display: 'grid', gap: 1 }}>
      <Typography component="h2" variant="h3">
        Other shops
      </Typography>
      <Typography variant="body2">
        The file holds kinds, faults and counts; nothing of customers or machines. What comes in counts half until you
        say otherwise.
      </Typography>
      {lent.map((l) => (
        <Box key={l.id} sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
          <Typography sx={{ flex: '1 1 240px' }}>
            {l.shop}, <Reading>{l.jobs}</Reading> jobs, taken in {dayAt(l.at, zone)}
          </Typography>
          <TextField
            select
            label="A job of theirs counts"
            value={l.weight}
            disabled={busy}
            onChange={(e) =>
              void act(`/api/v1/learning/${l.id}/weigh-lent`, { version: l.version, weight: Number(e.target.value) })
            }
            sx={{ minWidth: 200 }}
          >
            {(WEIGHTS.some((w) => w.value === l.weight)
              ? WEIGHTS
              : [...WEIGHTS, { value: l.weight, label: String(l.weight) }]
            ).map((w) => (
              <MenuItem key={w.value} value={w.value}>
                {w.label}
              </MenuItem>
            ))}
          </TextField>
        </Box>
      ))}
      {refusal && (
        <Notice live title={refusal.title}>
          {refusal.fields.slice(0, 8).map((f) => (
            <Typography key={f.field} variant="body2">
              {f.field}: {f.message}
            </Typography>
          ))}
        </Notice>
      )}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button size="small" href="/api/v1/export/finder-learning.json" download>
          Ours, for another shop
        </Button>
        <Button size="small" disabled={busy} onClick={() => input.current?.click()}>
          Take theirs in …
        </Button>
      </Box>
      <input
        ref={input}
        type="file"
        hidden
        accept="application/json,.json"
        aria-label="Learning of another shop"
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) void take(file);
        }}
      />
    </Box>
  );
}
