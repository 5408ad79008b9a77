import useAutocomplete, { type UseAutocompleteProps } from '@mui/material/useAutocomplete';
import type { KeyboardEvent, ReactNode } from 'react';
import styles from './field.module.css';
import { classes } from './Words';

interface Props<T> {
  label: string;
  /** What is found, and what happens with it: the library's own behaviour of such a field, without its looks. */
  list: UseAutocompleteProps<T, false, false, false>;
  row: (item: T) => ReactNode;
  /** Said in place of a list with nothing in it. */
  empty: string;
  wrong?: string | undefined;
  help?: string;
  autoFocus?: boolean | undefined;
  /** What a scanner types is this field's own business. */
  takesScans?: boolean;
  /** Hears each key before the list does. */
  onKey?: (event: KeyboardEvent) => void;
}

/** A field that offers a list below it as one types; arrows and Enter choose. */
export function FieldWithList<T>({ label, list, row, empty, wrong, help, autoFocus, takesScans, onKey }: Props<T>) {
  const { getRootProps, getInputLabelProps, getInputProps, getListboxProps, getOptionProps, ...now } =
    useAutocomplete(list);
  const input = getInputProps();
  const told = wrong || help;
  const shown = now.groupedOptions as T[];
  return (
    <div {...getRootProps({ onKeyDown: onKey })} className={styles.field}>
      <label {...getInputLabelProps()} className={styles.label}>
        {label}
      </label>
      <input
        {...input}
        className={styles.input}
        autoFocus={autoFocus}
        aria-invalid={Boolean(wrong)}
        aria-describedby={told ? `${input.id}-help` : undefined}
        data-scan={takesScans ? 'own' : undefined}
      />
      {now.popupOpen && (
        <div className={styles.below}>
          {shown.length === 0 ? (
            <p className={styles.nothing}>{empty}</p>
          ) : (
            <ul {...getListboxProps()} className={styles.list}>
              {shown.map((option, index) => {
                const { key, ...rest } = getOptionProps({ option, index }) as { key: string };
                return (
                  <li key={key} {...rest} className={styles.option}>
                    {row(option)}
                  </li>
                );
              })}
            </ul>
          )}
        </div>
      )}
      {told && (
        <p id={`${input.id}-help`} className={classes(styles.help, wrong && styles.wrong)}>
          {told}
        </p>
      )}
    </div>
  );
}
