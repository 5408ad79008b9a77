'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useEffect, useState, useTransition, type ReactNode } from 'react';
import NextLink from '../theme/NextLink';

const PAGE = 50;

interface Props {
  title: string;
  /** Address of the list, such as `/machines`. */
  path: string;
  placeholder: string;
  label: string;
  words: string;
  page: number;
  /** Rows on this page, and whether there is another page. */
  count: number;
  more: boolean;
  /** Further keys beside the search. */
  actions?: ReactNode;
  children: ReactNode;
}

/** A list that is searched as one types and paged, with its address always telling what is shown. */
export function SearchList({ title, path, placeholder, label, words, page, count, more, actions, children }: Props) {
  const router = useRouter();
  const [typed, setTyped] = useState(words);
  const [shown, setShown] = useState(words);
  const [asked, setAsked] = useState(words);
  const [waiting, start] = useTransition();
  if (words !== shown) {
    setShown(words);
    // Another box asked, such as the one at the head of every screen: this one follows it.
    if (words !== asked) setTyped(words);
  }
  useEffect(() => {
    if (typed === words) return;
    const timer = setTimeout(() => {
      setAsked(typed);
      start(() => router.replace(`${path}?q=${encodeURIComponent(typed)}`));
    }, 200);
    return () => clearTimeout(timer);
  }, [typed, words, path, router]);
  const at = (p: number) => `${path}?q=${encodeURIComponent(words)}&page=${p}`;
  const told = count === 0 ? '' : `${page * PAGE + 1} to ${page * PAGE + count}${more ? ' of more' : ''}`;
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography component="h1" variant="h1">
          {title}
        </Typography>
        <InputBase
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          placeholder={placeholder}
          inputProps={{ 'aria-label': label }}
          sx={{
            flex: '1 1 260px',
            maxWidth: 520,
            px: 1.25,
            py: 0.6,
            border: '1px solid',
            borderColor: 'bench.soft',
            borderRadius: '3px',
            bgcolor: 'background.paper',
          }}
        />
        <Typography variant="body2" role="status" sx={{ color: 'text.secondary' }}>
          {waiting ? 'looking …' : told}
        </Typography>
        {actions}
      </Box>
      {children}
      <Box sx={{ display: 'flex', gap: 1 }}>
        {page > 0 && (
          <Button component={NextLink} href={at(page - 1)} size="small">
            Earlier page
          </Button>
        )}
        {more && (
          <Button component={NextLink} href={at(page + 1)} size="small">
            Next page
          </Button>
        )}
      </Box>
    </Box>
  );
}
