import type { StepView } from '@/shop/jobView/dto';
import { lieWords, toolWords } from './stepWords';
import styles from './steps.module.css';

/** Steps in their order, each with how the machine lies and what is in the hand. */
export function StepList({ steps }: { steps: readonly StepView[] }) {
  return (
    <ol className={styles.steps}>
      {steps.map((s) => (
        <li key={s.id}>
          {s.label}{' '}
          <span className={styles.how}>
            ({lieWords(s.lie)}, {toolWords(s.tool)})
          </span>
        </li>
      ))}
    </ol>
  );
}
