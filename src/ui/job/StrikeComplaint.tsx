'use client';

import { FormText } from '../forms/FormText';
import { Press } from '../parts/Press';
import { useDeedForm } from './useDeedForm';
import type { JobDesk } from './useJob';
import styles from './job.module.css';

/** A complaint that the bench does not find is struck with a reason. Fetched when somebody wants to. */
export function StrikeComplaint({ desk, complaint, onEnd }: { desk: JobDesk; complaint: string; onEnd: () => void }) {
  const { control, submit } = useDeedForm({
    desk,
    deed: 'strike-complaint',
    dto: async () => (await import('@/shop/strikeComplaint/dto')).StrikeComplaintDto,
    start: { why: '' },
    body: ({ why }) => ({ complaint, why }),
    onDone: onEnd,
  });
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        submit();
      }}
      className={styles.form}
    >
      <FormText
        control={control}
        name="why"
        label="What was seen instead?"
        helperText="Their words stay as they were said."
        autoFocus
      />
      <div className={styles.buttons}>
        <Press small type="submit" disabled={desk.busy}>
          Strike it
        </Press>
        <Press small onClick={onEnd}>
          Leave it
        </Press>
      </div>
    </form>
  );
}
