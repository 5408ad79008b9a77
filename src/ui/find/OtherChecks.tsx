'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import InputBase from '@mui/material/InputBase';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { allDoings, cautionOf, doingOf } from '../job/labels';
import { Key } from '../parts/Key';
import { Reading } from '../parts/Reading';

/** Any other check, out of order: by its worth, or found by a word. */
export function OtherChecks({
  job,
  odds,
  current,
  onPick,
}: {
  job: JobFacts;
  odds: AssessmentView | null;
  current: string | null;
  onPick: (check: string) => void;
}) {
  const [words, setWords] = useState('');
  const [all, setAll] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  useHotkeys('c', () => field.current?.focus(), { preventDefault: true });
  const next = odds?.next ?? [];
  const listed = new Set(next.map((n) => n.check));
  const rows = [
    ...next.map((n) => ({ ...n, done: false })),
    ...allDoings(job.machine.kind)
      .filter((c) => !listed.has(c.id))
      .map((c) => ({
        check: c.id,
        minutes: c.minutes,
        openingMinutes: 0,
        total: NaN,
        informs: NaN,
        heldBackBy: [] as string[],
        done: true,
      })),
  ]
    .map((r) => ({ ...r, label: doingOf(job.machine.kind, r.check)?.label ?? r.check }))
    // Who asks by name for what is on the bench already means that, not the next in the list.
    .filter((r) => r.check !== current || words !== '')
    .filter((r) => words === '' || r.label.toLowerCase().includes(words.toLowerCase()))
    // What is called just so comes before what has the words somewhere in it.
    .sort((a, b) => (words === '' ? 0 : nearness(a.label, words) - nearness(b.label, words)));
  const shown = all || words ? rows : rows.slice(0, 6);
  const pick = (check: string) => {
    setWords('');
    onPick(check);
  };
  return (
    <Box component="section" aria-label="Other checks">
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography component="h2" variant="h3">
          Other checks
        </Typography>
        <InputBase
          inputRef={field}
          value={words}
          onChange={(e) => setWords(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === 'Enter' && shown[0]) pick(shown[0].check);
            // The keys belong to the check again.
            if (e.key === 'Enter' || e.key === 'Escape') field.current?.blur();
          }}
          placeholder="find one"
          inputProps={{ 'aria-label': 'Find a check' }}
          endAdornment={<Key>c</Key>}
          sx={{
            ml: 'auto',
            width: 170,
            px: 1,
            border: '1px solid',
            borderColor: 'bench.soft',
            borderRadius: '3px',
            fontSize: '0.95rem',
          }}
        />
      </Box>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {shown.map((r) => (
          <Box component="li" key={r.check} sx={{ borderBottom: '1px solid', borderColor: 'divider' }}>
            <ButtonBase
              onClick={() => pick(r.check)}
              sx={{
                width: '100%',
                display: 'grid',
                gridTemplateColumns: '1fr auto auto',
                columnGap: 1.5,
                textAlign: 'left',
                py: 0.75,
                fontSize: '0.95rem',
                '&:hover': { bgcolor: 'bench.well' },
              }}
            >
              <span>
                {r.label}
                {r.heldBackBy.length > 0 && (
                  <Box component="span" sx={{ color: 'bench.hazard', fontSize: '0.88em' }}>
                    {' '}
                    held back: {r.heldBackBy.map((c) => cautionOf(c).label.toLowerCase()).join(', ')}
                  </Box>
                )}
              </span>
              <Reading>{(r.minutes + r.openingMinutes).toFixed(1)} min</Reading>
              <Box component="span" sx={{ color: 'text.secondary', minWidth: 86, textAlign: 'right' }}>
                {r.done ? (
                  'answered'
                ) : r.informs > 0.02 ? (
                  <>
                    end in <Reading>{Math.round(r.total)}</Reading>
                  </>
                ) : (
                  'tells little'
                )}
              </Box>
            </ButtonBase>
          </Box>
        ))}
      </Box>
      {!words && rows.length > 6 && (
        <Button size="small" variant="text" color="inherit" onClick={() => setAll(!all)}>
          {all ? 'Fewer' : `All ${rows.length} checks`}
        </Button>
      )}
    </Box>
  );
}

/** 0 for the very name, 1 for its beginning, 2 for anywhere in it. */
function nearness(label: string, words: string): number {
  const [name, typed] = [label.toLowerCase(), words.toLowerCase()];
  if (name === typed) return 0;
  return name.startsWith(typed) ? 1 : 2;
}
