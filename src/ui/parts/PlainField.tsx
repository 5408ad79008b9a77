import { useId, type ComponentPropsWithRef } from 'react';
import styles from './field.module.css';
import { classes } from './Words';

interface Props extends Omit<ComponentPropsWithRef<'input'>, 'id'> {
  label: string;
  /** What is wrong with it, in place of the help. */
  wrong?: string | null;
  help: string;
  /** Of the whole. */
  className?: string;
}

/** A field as the theme has it, without a component of the library: for what every job's page wakes with. */
export function PlainField({ label, wrong, help, className, ...rest }: Props) {
  const id = useId();
  return (
    <div className={classes(styles.field, className)}>
      <label htmlFor={id} className={styles.label}>
        {label}
      </label>
      <input
        id={id}
        autoComplete="off"
        aria-invalid={Boolean(wrong)}
        aria-describedby={`${id}-help`}
        className={styles.input}
        {...rest}
      />
      <p id={`${id}-help`} className={classes(styles.help, wrong && styles.wrong)}>
        {wrong || help}
      </p>
    </div>
  );
}
