'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useEffect, useState, useTransition, type ReactNode } from 'react';
import { PAGE_ROWS, writeListQuery, type ListQuery, type Page } from '@/shop/lists/dto';
import NextLink from '../theme/NextLink';

interface Props {
  title: string;
  /** Address of the list, such as `/machines`. */
  path: string;
  placeholder: string;
  label: string;
  asked: ListQuery;
  found: Page<unknown>;
  /** What one of them is called, and several. */
  noun: [string, string];
  /** Further keys beside the search. */
  actions?: ReactNode;
  children: ReactNode;
}

/** A list that is searched as one types and paged, with its address always telling what is shown. */
export function SearchList({ title, path, placeholder, label, asked, found, noun, actions, children }: Props) {
  const router = useRouter();
  const { words, page, sort } = asked;
  const [typed, setTyped] = useState(words);
  const [shown, setShown] = useState(words);
  const [sent, setSent] = useState(words);
  const [waiting, start] = useTransition();
  if (words !== shown) {
    setShown(words);
    // Another box asked, such as the one at the head of every screen: this one follows it.
    if (words !== sent) setTyped(words);
  }
  useEffect(() => {
    if (typed === words) return;
    const timer = setTimeout(() => {
      setSent(typed);
      start(() => router.replace(`${path}?${writeListQuery({ words: typed, page: 0, sort })}`));
    }, 200);
    return () => clearTimeout(timer);
  }, [typed, words, path, router, sort]);
  const at = (p: number) => `${path}?${writeListQuery({ ...asked, page: p })}`;
  const told = countWords(found, page, noun);
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
        {found.more && (
          <Button component={NextLink} href={at(page + 1)} size="small">
            Next page
          </Button>
        )}
      </Box>
    </Box>
  );
}

/** `12,345`, written out: the browser's own formats of numbers cost a phone a tenth of a second to begin with. */
const thousands = (n: number) => String(n).replace(/\B(?=(\d{3})+$)/g, ',');

/** How many there are, and which of them are on this page when it is not all. */
function countWords({ rows, total, atLeast, more }: Page<unknown>, page: number, [one, several]: [string, string]) {
  if (rows.length === 0) return '';
  const all = `${atLeast ? 'more than ' : ''}${thousands(total)} ${total === 1 ? one : several}`;
  if (page === 0 && !more) return all;
  return `${all}, ${page * PAGE_ROWS + 1} to ${page * PAGE_ROWS + rows.length} here`;
}
