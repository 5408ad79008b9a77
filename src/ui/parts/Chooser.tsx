'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState, type ReactNode } from 'react';

interface Props<T> {
  label: string;
  /** Where the rows for some words come from. */
  url: (words: string) => string;
  row: (item: T) => ReactNode;
  keyOf: (item: T) => string | number;
  onChoose: (item: T) => void;
  nothing: string;
  problem?: string | undefined;
  autoFocus?: boolean;
  size?: 'small';
}

/** One search box that finds as one types; arrows and Enter choose. */
export function Chooser<T>({ label, url, row, keyOf, onChoose, nothing, problem, autoFocus, size }: Props<T>) {
  const [words, setWords] = useState('');
  const [rows, setRows] = useState<T[]>([]);
  const [rowsFor, setRowsFor] = useState<string | null>(null);
  const [looking, setLooking] = useState(false);
  const takeFirst = useRef(false);
  const choose = useRef(onChoose);
  useEffect(() => {
    choose.current = onChoose;
  });
  const address = words.trim() === '' ? null : url(words);
  useEffect(() => {
    if (!address) return;
    const stop = new AbortController();
    const timer = setTimeout(async () => {
      setLooking(true);
      try {
        const response = await fetch(address, { signal: stop.signal });
        const found = (await response.json()) as { rows?: T[] };
        setRows(found.rows ?? []);
        setRowsFor(address);
        setLooking(false);
        const first = found.rows?.[0];
        if (takeFirst.current && first) choose.current(first);
        takeFirst.current = false;
      } catch (error) {
        if ((error as Error).name !== 'AbortError') setLooking(false);
      }
    }, 120);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [address]);
  return (
    <Autocomplete<T>
      options={address ? rows : []}
      loading={looking}
      loadingText="Looking …"
      noOptionsText={words.trim() === '' ? 'Type to find.' : nothing}
      filterOptions={(x) => x}
      getOptionLabel={() => words}
      getOptionKey={keyOf}
      isOptionEqualToValue={(a, b) => keyOf(a) === keyOf(b)}
      inputValue={words}
      onInputChange={(_, value, reason) => {
        if (reason === 'input' || reason === 'clear') setWords(value);
      }}
      onKeyDown={(event) => {
        // A scanner types and presses Enter before the answer is here: the first row that comes is taken.
        if (event.key !== 'Enter' || (rows.length > 0 && !looking && rowsFor === address)) return;
        event.preventDefault();
        takeFirst.current = words.trim() !== '';
      }}
      onChange={(_, value) => value && onChoose(value)}
      autoHighlight
      value={null}
      renderOption={({ key, ...props }, item) => (
        <Box component="li" key={key} {...props}>
          <span>{row(item)}</span>
        </Box>
      )}
      renderInput={(params) => (
        <TextField
          {...params}
          label={label}
          size={size ?? 'medium'}
          autoFocus={autoFocus ?? false}
          slotProps={{
            ...params.slotProps,
            htmlInput: { ...params.slotProps?.htmlInput, 'data-scan': 'own' },
          }}
          error={Boolean(problem)}
          helperText={problem}
        />
      )}
    />
  );
}
