'use client';

import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useState } from 'react';
import { decimalOf, readMoney } from '@/core/money/currency';

type Props = Omit<TextFieldProps, 'value' | 'onChange' | 'defaultValue'> & {
  minor: number | null;
  currency: string;
  /** Null for nothing typed; not called for what is no amount. */
  onMinor: (minor: number | null) => void;
};

/** An amount as it is typed: to a value, or an error at the field, never to another amount. */
export function MoneyField({ minor, currency, onMinor, helperText, error, ...rest }: Props) {
  const shown = minor === null ? '' : decimalOf(minor, currency);
  const [typed, setTyped] = useState<string | null>(null);
  const isWrong = typed !== null && readMoney(typed, currency) === undefined;
  return (
    <TextField
      {...rest}
      value={typed ?? shown}
      error={Boolean(error) || isWrong}
      helperText={isWrong ? 'An amount, such as 12.50.' : helperText}
      onChange={(e) => {
        setTyped(e.target.value);
        const read = readMoney(e.target.value, currency);
        if (read !== undefined) onMinor(read);
      }}
      onBlur={() => {
        if (!isWrong) setTyped(null);
      }}
      slotProps={{ ...rest.slotProps, htmlInput: { inputMode: 'decimal', ...rest.slotProps?.htmlInput } }}
    />
  );
}
