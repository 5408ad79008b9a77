'use client';

import { Controller, useWatch } from 'react-hook-form';
import { FormPlain } from '../forms/FormPlain';
import { Press } from '../parts/Press';
import styles from './job.module.css';
import { SeenChoice } from './SeenChoice';
import { useDeedForm } from './useDeedForm';
import type { JobDesk } from './useJob';

interface Props {
  desk: JobDesk;
  /** The complaint that is not found here; none when something is seen besides. */
  struck: string | null;
  onEnd: () => void;
}

/**
 * What the bench sees, instead of a complaint that it does not find or besides what was complained of. Fetched when somebody
 * wants to say it.
 */
export function SeenAtBench({ desk, struck, onEnd }: Props) {
  const { control, setValue, submit } = useDeedForm({
    desk,
    deed: struck === null ? 'add-complaints' : 'strike-complaint',
    dto: async () =>
      struck === null
        ? (await import('@/shop/addComplaints/dto')).AddComplaintsDto
        : (await import('@/shop/strikeComplaint/dto')).StrikeComplaintDto,
    start: { why: '', seen: [] as string[] },
    body: ({ why, seen }) =>
      struck === null
        ? { complaints: seen, why }
        : { complaint: struck, why, ...(seen.length ? { instead: seen } : {}) },
    fieldOf: (member) => (/^(complaints|instead)/.test(member) ? 'seen' : member),
    onDone: onEnd,
  });
  const why = useWatch({ control, name: 'why' });
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        submit();
      }}
      className={styles.form}
    >
      <FormPlain
        control={control}
        name="why"
        label={struck === null ? 'What is seen besides?' : 'What was seen instead?'}
        help="Their words stay as they were said."
        autoFocus
      />
      <Controller
        control={control}
        name="seen"
        render={({ field, fieldState: { error } }) => (
          <SeenChoice
            desk={desk}
            words={why}
            chosen={field.value}
            wrong={error?.message}
            onChoose={(seen) => setValue('seen', seen)}
          />
        )}
      />
      <div className={styles.buttons}>
        <Press small type="submit" disabled={desk.busy}>
          {struck === null ? 'Add it' : 'Strike it'}
        </Press>
        <Press small onClick={onEnd}>
          Leave it
        </Press>
      </div>
    </form>
  );
}
