'use client';

import Button from '@mui/material/Button';
import { FormText } from '../forms/FormText';
import { Press } from '../parts/Press';
import { useDeedForm } from './useDeedForm';
import type { JobDesk } from './useJob';
import styles from './job.module.css';

/** How a hazard was made safe, under the name of who did it. Fetched when somebody is about to. */
export function ClearCaution({ id, desk, onEnd }: { id: string; desk: JobDesk; onEnd: () => void }) {
  const { control, submit } = useDeedForm({
    desk,
    deed: 'clear-caution',
    dto: async () => (await import('@/shop/clearCaution/dto')).ClearCautionDto,
    start: { how: '' },
    body: ({ how }) => ({ caution: id, how }),
    kept: { how: `how ${id}` },
  });
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        submit();
      }}
      className={styles.clear}
    >
      <FormText
        control={control}
        name="how"
        label="How was it made safe?"
        helperText="Opened, dried, insulation measured … It is kept under your name."
        autoFocus
        sx={{ flex: '1 1 260px' }}
      />
      <Button type="submit" variant="contained" color="error" disabled={desk.busy}>
        Clear
      </Button>
      <Press onClick={onEnd}>Leave it</Press>
    </form>
  );
}
