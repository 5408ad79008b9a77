'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { ask } from '../asking/ask';

const SOON_MS = 120;

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
  const takeFirst = useRef(false);
  const address = words.trim() === '' ? null : url(words);
  const {
    data: rows = [],
    isError,
    isFetching: looking,
    isPlaceholderData: isOld,
  } = useQuery({
    queryKey: ['choose', address],
    async queryFn({ signal }) {
      // What is typed on is another question: this one is given up before it is put.
      await new Promise((done) => setTimeout(done, SOON_MS));
      signal.throwIfAborted();
      return ask<{ rows?: T[] }>(address!, signal);
    },
    enabled: address !== null,
    placeholderData: keepPreviousData,
    select: (found) => found.rows ?? [],
  });
  const choose = useRef(onChoose);
  useEffect(() => {
    choose.current = onChoose;
  });
  const isThere = address !== null && !looking && !isOld;
  useEffect(() => {
    if (!isThere) return;
    if (takeFirst.current && rows[0]) choose.current(rows[0]);
    takeFirst.current = false;
  }, [isThere, rows]);
  return (
    <Autocomplete<T>
      options={address ? rows : []}
      loading={looking}
      loadingText="Looking …"
      noOptionsText={
        words.trim() === '' ? 'Type to find.' : isError ? 'The server does not answer: type on to try again.' : nothing
      }
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
        if (event.key !== 'Enter' || (rows.length > 0 && isThere)) return;
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
