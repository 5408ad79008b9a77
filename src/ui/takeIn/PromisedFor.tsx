import { useState } from 'react';
import { dayWords } from '../parts/dayWords';
import { LaterDayField } from '../parts/LaterDayField';
import { Press } from '../parts/Press';
import { Words } from '../parts/Words';
import styles from './takeIn.module.css';
import type { TakeInForm } from './useTakeIn';

/** The day that the customer is told: the usual one stands there, another is chosen when they ask for it. */
export function PromisedFor({ form, today }: { form: TakeInForm; today: string }) {
  const [choosing, setChoosing] = useState(false);
  const { promisedOn } = form.values;
  const problem = form.fieldProblem('promisedOn');
  if (choosing || problem)
    return (
      <LaterDayField
        label="Promised for"
        day={promisedOn}
        onDay={(day) => form.set({ promisedOn: day })}
        problem={problem}
        least={today}
        autoFocus={choosing}
        sx={{ flex: '1 1 180px' }}
      />
    );
  return (
    <div className={styles.promised}>
      <Words>
        Promised for <strong>{promisedOn ? dayWords(promisedOn, today) : 'no day'}</strong>
      </Words>
      <Press small tone="plain" onClick={() => setChoosing(true)}>
        Another day
      </Press>
    </div>
  );
}
