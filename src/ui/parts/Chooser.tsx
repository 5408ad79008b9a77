'use client';

import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { ask } from '../asking/ask';
import { FieldWithList } from './FieldWithList';

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
}

/** One search box that finds as one types; arrows and Enter choose. */
export function Chooser<T>({ label, url, row, keyOf, onChoose, nothing, problem, autoFocus }: Props<T>) {
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
    <FieldWithList<T>
      label={label}
      wrong={problem}
      autoFocus={autoFocus}
      takesScans
      row={(item) => <span>{row(item)}</span>}
      empty={
        looking
          ? 'Looking …'
          : words.trim() === ''
            ? 'Type to find.'
            : isError
              ? 'The server does not answer: type on to try again.'
              : nothing
      }
      list={{
        options: address ? rows : [],
        filterOptions: (x) => x,
        getOptionLabel: () => words,
        getOptionKey: keyOf,
        isOptionEqualToValue: (a, b) => keyOf(a) === keyOf(b),
        inputValue: words,
        onInputChange(_, value, reason) {
          if (reason === 'input' || reason === 'clear') setWords(value);
        },
        onChange: (_, value) => value && onChoose(value),
        autoHighlight: true,
        value: null,
      }}
      onKey={(event) => {
        // A scanner types and presses Enter before the answer is here: the first row that comes is taken.
        if (event.key !== 'Enter' || (rows.length > 0 && isThere)) return;
        event.preventDefault();
        takeFirst.current = words.trim() !== '';
      }}
    />
  );
}
