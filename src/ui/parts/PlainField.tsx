import {
  useId,
  type ChangeEvent,
  type CSSProperties,
  type InputHTMLAttributes,
  type KeyboardEvent,
  type Ref,
} from 'react';
import styles from './field.module.css';
import { classes } from './Words';

type Entry = HTMLInputElement | HTMLTextAreaElement;

interface Props {
  label: string;
  value: string;
  onChange: (e: ChangeEvent<Entry>) => void;
  onBlur?: () => void;
  onKeyDown?: (e: KeyboardEvent<Entry>) => void;
  ref?: Ref<Entry>;
  name?: string;
  disabled?: boolean;
  type?: 'text' | 'tel' | 'email';
  inputMode?: InputHTMLAttributes<Entry>['inputMode'];
  title?: string | undefined;
  /** The id of a list of words that it is likely to hold. */
  list?: string | undefined;
  spellCheck?: boolean;
  autoFocus?: boolean;
  /** Several lines: so many at least, and as many as are written. */
  lines?: number;
  /** What is wrong with it, in place of the help. */
  wrong?: string | null;
  help?: string | undefined;
  /** Of the whole. */
  className?: string;
}

/** A field as the theme has it, without a component of the library: for what every job's page wakes with. */
export function PlainField({ label, wrong, help, className, lines, type, ref, ...rest }: Props) {
  const id = useId();
  const told = wrong || help;
  const same = {
    id,
    autoComplete: 'off',
    'aria-invalid': Boolean(wrong),
    'aria-describedby': told ? `${id}-help` : undefined,
    ...rest,
  };
  return (
    <div className={classes(styles.field, className)}>
      <label htmlFor={id} className={styles.label}>
        {label}
      </label>
      {lines === undefined ? (
        <input ref={ref as Ref<HTMLInputElement>} type={type} className={styles.input} {...same} />
      ) : (
        <textarea
          ref={ref as Ref<HTMLTextAreaElement>}
          rows={lines}
          className={classes(styles.input, styles.long)}
          style={{ '--lines': lines } as CSSProperties}
          {...same}
        />
      )}
      {told && (
        <p id={`${id}-help`} className={classes(styles.help, wrong && styles.wrong)}>
          {told}
        </p>
      )}
    </div>
  );
}
