import { useId } from 'react';
import styles from './field.module.css';
import { classes } from './Words';

interface Props {
  label: string;
  value: string;
  options: readonly { id: string; label: string }[];
  onChoose: (id: string) => void;
  wrong?: string | null;
  help?: string | undefined;
  disabled?: boolean;
}

/** A choice among few, as the browser has it: a phone's own wheel, a keyboard's own letters. */
export function PlainChoice({ label, value, options, onChoose, wrong, help, disabled }: Props) {
  const id = useId();
  const told = wrong || help;
  return (
    <div className={styles.field}>
      <label htmlFor={id} className={styles.label}>
        {label}
      </label>
      <select
        id={id}
        className={classes(styles.input, styles.choice)}
        value={value}
        disabled={disabled}
        aria-invalid={Boolean(wrong)}
        aria-describedby={told ? `${id}-help` : undefined}
        onChange={(e) => onChoose(e.target.value)}
      >
        {options.map((o) => (
          <option key={o.id} value={o.id}>
            {o.label}
          </option>
        ))}
      </select>
      {told && (
        <p id={`${id}-help`} className={classes(styles.help, wrong && styles.wrong)}>
          {told}
        </p>
      )}
    </div>
  );
}
