'use client';

import type { SxProps, Theme } from '@mui/material/styles';
import { AdapterLuxon } from '@mui/x-date-pickers/AdapterLuxon';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { DateTime } from 'luxon';
import { useState } from 'react';

interface Props {
  label: string;
  /** As ISO 8601 has it; empty for none. */
  day: string;
  /** The day as it is now: empty while it is none, or only half typed. */
  onDay: (day: string) => void;
  /** What is wrong with it. */
  problem?: string | undefined;
  help?: string | undefined;
  /** No day before this one. */
  least?: string;
  disabled?: boolean;
  autoFocus?: boolean;
  size?: 'small' | 'medium';
  /** What the field is called where its label alone would name several. */
  spoken?: string;
  sx?: SxProps<Theme>;
}

const read = (day: string): DateTime | null => (day === '' ? null : DateTime.fromISO(day));
const isoOf = (at: DateTime | null): string => (at?.isValid ? (at.toISODate() ?? '') : '');

/** A day, typed in figures or chosen from its month; written as every day is written here. */
export function DayField({
  label,
  day,
  onDay,
  problem,
  help,
  least,
  disabled = false,
  autoFocus = false,
  size = 'medium',
  spoken,
  sx,
}: Props) {
  // What is half typed is no day yet and stays as it is typed.
  const [at, setAt] = useState(() => read(day));
  const shown = isoOf(at) === day ? at : read(day);
  return (
    <LocalizationProvider dateAdapter={AdapterLuxon} adapterLocale="en-GB">
      <DatePicker
        label={label}
        format="yyyy-MM-dd"
        value={shown}
        disabled={disabled}
        autoFocus={autoFocus}
        {...(least ? { minDate: DateTime.fromISO(least) } : {})}
        onChange={(next) => {
          setAt(next);
          onDay(isoOf(next));
        }}
        slotProps={{
          textField: {
            size,
            error: problem !== undefined,
            helperText: problem ?? help,
            ...(sx ? { sx } : {}),
            ...(spoken ? { slotProps: { input: { 'aria-label': spoken } } } : {}),
          },
          // The day itself has the room: its key stays small, and Delete empties it.
          openPickerButton: { size: 'small', sx: { p: 0.25 } },
          inputAdornment: { sx: { ml: 0, mr: -0.75 } },
        }}
      />
    </LocalizationProvider>
  );
}
