import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useState } from 'react';

export type ReadFieldProps<T> = Omit<TextFieldProps, 'value' | 'onChange' | 'defaultValue'> & {
  /** What stands there, as it is written; empty for nothing. */
  shown: string;
  /** A value, null for nothing, undefined for what is none. */
  read: (typed: string) => T | null | undefined;
  /** Null for nothing typed; not called for what is no value. */
  onRead: (value: T | null) => void;
  /** What is told of what cannot be read. */
  told: string | ((typed: string) => string);
};

/**
 * A field whose typing becomes a value as it goes, or an error at the field, never another value. What cannot be read stays
 * there and is marked: see `allRead`.
 */
export function ReadField<T>({ shown, read, onRead, told, helperText, error, ...rest }: ReadFieldProps<T>) {
  const [typed, setTyped] = useState<string | null>(null);
  const isWrong = typed !== null && read(typed) === undefined;
  return (
    <TextField
      {...rest}
      value={typed ?? shown}
      error={Boolean(error) || isWrong}
      helperText={isWrong ? (typeof told === 'string' ? told : told(typed)) : helperText}
      onChange={(e) => {
        setTyped(e.target.value);
        const value = read(e.target.value);
        if (value !== undefined) onRead(value);
      }}
      onBlur={() => {
        if (!isWrong) setTyped(null);
      }}
      slotProps={{
        ...rest.slotProps,
        htmlInput: {
          inputMode: 'decimal',
          ...rest.slotProps?.htmlInput,
          ...(isWrong ? { 'data-unread': '' } : {}),
        },
      }}
    />
  );
}
