'use client';

import { operatorItemsOn } from '@/knowledge/operatorCare';
import { FormText } from '../forms/FormText';
import { useDeedForm } from '../job/useDeedForm';
import type { JobDesk } from '../job/useJob';
import { Press } from '../parts/Press';
import { Words } from '../parts/Words';
import styles from './visit.module.css';

/** The field of the days that were worked; the others are named as their items are. */
const DAYS = 'days';
const whole = (text: string) => (/^\d{1,3}$/.test(text.trim()) ? Number(text) : null);

/** On how many days of how many the operator did what is theirs: it is asked, or read off their sheet. */
export function OperatorCare({ desk }: { desk: JobDesk }) {
  const { job, busy } = desk;
  const items = operatorItemsOn(job.machine.kind, job.machine.sealedBattery).filter((i) => i.every === 'day');
  const { control, submit } = useDeedForm<Record<string, string>>({
    desk,
    deed: 'note-care',
    dto: async () => (await import('@/shop/noteCare/dto')).NoteCareDto,
    start: {
      [DAYS]: String(job.care[0]?.ofDays ?? 20),
      ...Object.fromEntries(items.map((i) => [i.id, ''])),
      ...Object.fromEntries(job.care.map((c) => [c.item, String(c.doneDays)])),
    },
    body: (typed) => ({
      care: filled(typed).map((i) => ({ item: i.id, doneDays: whole(typed[i.id]!), ofDays: whole(typed[DAYS]!) })),
    }),
    unread(typed) {
      const ofDays = whole(typed[DAYS]!);
      if (!ofDays) return [{ field: DAYS, message: 'A whole number of days.' }];
      return filled(typed)
        .filter((i) => (whole(typed[i.id]!) ?? Infinity) > ofDays)
        .map((i) => ({ field: i.id, message: `Days, at most ${ofDays}` }));
    },
    fieldOf: (member, typed) => filled(typed)[Number(/^care\[(\d+)\]/.exec(member)?.[1])]?.id ?? DAYS,
  });
  const filled = (typed: Record<string, string>) => items.filter((i) => (typed[i.id] ?? '').trim() !== '');
  if (items.length === 0) return null;
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
          submit();
        }}
        className={styles.typed}
      >
        <FormText
          control={control}
          name={DAYS}
          size="small"
          label="Working days since"
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          sx={{ width: 150 }}
        />
        {items.map((i) => (
          <FormText
            key={i.id}
            control={control}
            name={i.id}
            size="small"
            label={i.label}
            helperText="days"
            slotProps={{ htmlInput: { inputMode: 'numeric' } }}
            sx={{ width: 232 }}
          />
        ))}
        <Press type="submit" small disabled={busy} className={styles.gapAbove}>
          Take it down
        </Press>
      </form>
    </details>
  );
}
