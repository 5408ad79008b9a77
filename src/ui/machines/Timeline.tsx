'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import Link from '@mui/material/Link';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import type { TimelineView } from '@/shop/machines/dto';
import { dayAt, timeAt } from '../parts/instants';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';

/** Sorts of entries that can be looked at alone. */
const SORTS: { label: string; what: string[] }[] = [
  { label: 'visits', what: ['taken-in', 'handed-back', 'comeback'] },
  { label: 'findings', what: ['found', 'caution'] },
  { label: 'readings', what: ['reading', 'proved'] },
  { label: 'parts', what: ['fitted'] },
  { label: 'waits', what: ['wait'] },
  { label: 'words', what: ['said', 'note'] },
  { label: 'agreed and paid', what: ['estimate', 'answer', 'paper', 'paid', 'message', 'bridged'] },
  { label: 'photographs', what: ['photograph'] },
  { label: 'owner, card, moves', what: ['owner', 'corrected', 'warranty', 'moved'] },
];

interface Props {
  tag: string;
  zone: string;
  first: TimelineView[];
  /** A full first page: there may be more. */
  mayHaveMore: boolean;
}

/** All that happened to a machine: searched and filtered on the server, page by page. */
export function Timeline({ tag, zone, first, mayHaveMore }: Props) {
  const [words, setWords] = useState('');
  const [sorts, setSorts] = useState<string[]>([]);
  const [rows, setRows] = useState(first);
  const [more, setMore] = useState(mayHaveMore);
  const [trouble, setTrouble] = useState(false);
  const plain = words.trim() === '' && sorts.length === 0;
  const query = (before?: number) => {
    const params = new URLSearchParams();
    if (words.trim()) params.set('q', words.trim());
    for (const s of SORTS) if (sorts.includes(s.label)) for (const w of s.what) params.append('what', w);
    if (before) params.set('before', String(before));
    return `/api/v1/machines/${tag}/timeline?${params}`;
  };
  const address = plain ? null : query();
  const round = useRef(0);
  const look = async (url: string, keep: TimelineView[]) => {
    const mine = ++round.current;
    const response = await fetch(url).catch(() => null);
    // Overtaken by what was typed since.
    if (mine !== round.current) return;
    setTrouble(!response?.ok);
    if (!response?.ok) return;
    const found = (await response.json()) as { rows: TimelineView[]; more: boolean };
    setRows([...keep, ...found.rows]);
    setMore(found.more);
  };
  const lookNow = useRef(look);
  useEffect(() => {
    lookNow.current = look;
  });
  useEffect(() => {
    if (address === null) return;
    const timer = setTimeout(() => void lookNow.current(address, []), 200);
    return () => clearTimeout(timer);
  }, [address]);
  const shown = plain && rows.length < first.length ? first : rows;
  const reset = () => {
    round.current++;
    setRows(first);
    setMore(mayHaveMore);
  };
  const change = (nextWords: string, nextSorts: string[]) => {
    setWords(nextWords);
    setSorts(nextSorts);
    if (nextWords.trim() === '' && nextSorts.length === 0) reset();
  };
  const last = shown.at(-1);
  return (
    <Box component="section" aria-label="Timeline" sx={{ minWidth: 0 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap', mb: 0.75 }}>
        <Typography component="h2" variant="h2">
          All that happened
        </Typography>
        <InputBase
          value={words}
          onChange={(e) => change(e.target.value, sorts)}
          placeholder="find in it"
          inputProps={{ 'aria-label': 'Find in the timeline' }}
          sx={{
            ml: 'auto',
            bgcolor: 'background.paper',
            border: '1px solid',
            borderColor: 'bench.soft',
            borderRadius: '3px',
            px: 1,
            width: 190,
          }}
        />
      </Box>
      <Box role="group" aria-label="Only these" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mb: 0.75 }}>
        {SORTS.map(({ label }) => (
          <ToggleButton
            key={label}
            value={label}
            size="small"
            selected={sorts.includes(label)}
            onChange={() => change(words, sorts.includes(label) ? sorts.filter((s) => s !== label) : [...sorts, label])}
            sx={{ minHeight: 32, py: 0.25, px: 1 }}
          >
            {label}
          </ToggleButton>
        ))}
      </Box>
      {trouble && <Typography role="alert">The server does not answer. What stands here is from before.</Typography>}
      {shown.length === 0 && <Empty>{plain ? 'Nothing yet.' : 'Nothing like that.'}</Empty>}
      <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {shown.map((t) => (
          <Box
            component="li"
            key={t.id}
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '92px 1fr', sm: '150px 90px 1fr' },
              columnGap: 1,
              py: 0.5,
              borderBottom: '1px solid',
              borderColor: 'divider',
              fontSize: '0.93rem',
            }}
          >
            <Reading>
              {dayAt(t.at, zone)}
              <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' } }}>
                {' '}
                {timeAt(t.at, zone)}
              </Box>
            </Reading>
            <Box component="span" sx={{ color: 'text.secondary', display: { xs: 'none', sm: 'inline' } }}>
              {t.what.replaceAll('-', ' ')}
            </Box>
            <Box
              component="span"
              sx={{ overflowWrap: 'anywhere', fontStyle: t.what === 'said' ? 'italic' : undefined }}
            >
              {t.what === 'said' ? `“${t.text}”` : t.text}
              <Box component="span" sx={{ color: 'text.secondary', fontStyle: 'normal' }}>
                {t.by && ` ${t.by}`}
                {t.job && (
                  <>
                    {' '}
                    <Link component={NextLink} href={`/jobs/${t.job}/hand-back`} color="inherit">
                      job {t.job}
                    </Link>
                  </>
                )}
              </Box>
            </Box>
          </Box>
        ))}
      </Box>
      {more && last && (
        <Button size="small" sx={{ mt: 1 }} onClick={() => void look(query(last.id), shown)}>
          Earlier
        </Button>
      )}
    </Box>
  );
}
