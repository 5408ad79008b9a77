'use client';

import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { operatorItemsOn } from '@/knowledge/operatorCare';
import type { JobDesk } from '../job/useJob';
import { Press } from '../parts/Press';
import { Words } from '../parts/Words';
import styles from './visit.module.css';

/** On how many days of how many the operator did what is theirs: it is asked, or read off their sheet. */
export function OperatorCare({ desk }: { desk: JobDesk }) {
  const { job, busy, act, refusal } = desk;
  const items = operatorItemsOn(job.machine.kind, job.machine.sealedBattery).filter((i) => i.every === 'day');
  const [days, setDays] = useState(String(job.care[0]?.ofDays ?? 20));
  const [done, setDone] = useState<Record<string, string>>(() =>
    Object.fromEntries(job.care.map((c) => [c.item, String(c.doneDays)])),
  );
  if (items.length === 0) return null;
  const whole = (text: string) => (/^\d{1,3}$/.test(text.trim()) ? Number(text) : null);
  const ofDays = whole(days);
  const filled = items.filter((i) => (done[i.id] ?? '').trim() !== '');
  const wrong = filled.filter((i) => {
    const n = whole(done[i.id]!);
    return n === null || ofDays === null || n > ofDays;
  });
  const save = () =>
    void act('note-care', { care: filled.map((i) => ({ item: i.id, doneDays: whole(done[i.id]!), ofDays })) });
  return (
    <details open={job.care.length > 0} className={styles.fold}>
      <Words size="body" as="summary" weight="strong">
        What the operator did
        <span className={styles.lighter}>
          {job.care.length > 0
            ? `, over ${job.care[0]!.ofDays} working days`
            : ': take it off their sheet, it explains the wear'}
        </span>
      </Words>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save();
        }}
        className={styles.typed}
      >
        <TextField
          size="small"
          label="Working days since"
          value={days}
          error={ofDays === null || ofDays === 0}
          onChange={(e) => setDays(e.target.value)}
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          sx={{ width: 150 }}
        />
        {items.map((i) => (
          <TextField
            key={i.id}
            size="small"
            label={i.label}
            value={done[i.id] ?? ''}
            error={wrong.includes(i)}
            helperText={wrong.includes(i) ? `Days, at most ${days}` : 'days'}
            onChange={(e) => setDone({ ...done, [i.id]: e.target.value })}
            slotProps={{ htmlInput: { inputMode: 'numeric' } }}
            sx={{ width: 232 }}
          />
        ))}
        <Press type="submit" small disabled={busy || wrong.length > 0 || !ofDays} className={styles.gapAbove}>
          Take it down
        </Press>
        {refusal?.fields.some((f) => f.field.startsWith('care')) && (
          <Words role="alert">{refusal.fields[0]!.message}</Words>
        )}
      </form>
    </details>
  );
}
