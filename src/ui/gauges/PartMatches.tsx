'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { Feeds } from '@/core/gauges/gauge';
import type { MatchedPart } from '@/shop/gauges/dto';
import type { JobDesk } from '../job/useJob';
import { Empty } from '../parts/Notice';
import { send } from '../parts/post';
import { percent, Reading } from '../parts/Reading';

const PAUSE_MS = 200;

/** Parts of the shop's list that have the measured sizes, with odds; in a job one of them can be fitted at once. */
export function PartMatches({ part, desk }: { part: NonNullable<Feeds['part']>; desk: JobDesk | null }) {
  const [found, setFound] = useState<MatchedPart[] | null>(null);
  const [trouble, setTrouble] = useState('');
  const asked = JSON.stringify(part);
  useEffect(() => {
    let here = true;
    const timer = setTimeout(async () => {
      const sent = await send<MatchedPart[]>('POST', '/api/v1/parts/match', JSON.parse(asked));
      if (!here) return;
      setTrouble(sent.ok ? '' : sent.refusal.title);
      if (sent.ok) setFound(sent.value);
    }, PAUSE_MS);
    return () => {
      here = false;
      clearTimeout(timer);
    };
  }, [asked]);
  return (
    <Box component="section" aria-label="Parts of these sizes" className="no-print">
      <Typography component="h2" variant="h3">
        In the parts list
      </Typography>
      {trouble && <Empty>{trouble}</Empty>}
      {!trouble && found === null && <Empty>Looking …</Empty>}
      {found?.length === 0 && <Empty>Nothing of these sizes is in the list.</Empty>}
      {found?.map((p) => (
        <Box
          key={p.code}
          sx={{
            display: 'flex',
            gap: 1,
            alignItems: 'center',
            borderBottom: '1px solid',
            borderColor: 'divider',
            minHeight: 44,
          }}
        >
          <Typography variant="body2" sx={{ flex: 1 }}>
            <Reading strong>{percent(p.probability)}</Reading> {p.label} <Reading>{p.code}</Reading>,{' '}
            {p.stock > 0 ? `${p.stock} in stock` : 'none in stock'}
          </Typography>
          {desk && desk.job.stage !== 'closed' && <FitHere part={p} desk={desk} />}
        </Box>
      ))}
    </Box>
  );
}

function FitHere({ part, desk }: { part: MatchedPart; desk: JobDesk }) {
  const place = desk.job.parts.find((p) => p.code === part.code);
  if (!place) return <Typography variant="body2">not for this kind</Typography>;
  const fitted = desk.job.fitted.some((f) => f.code === part.code);
  return (
    <Button
      size="small"
      disabled={desk.busy || fitted}
      aria-label={`Fit ${part.label}`}
      onClick={() => void desk.act('fit-part', { code: part.code, station: place.station, quantity: 1 })}
    >
      {fitted ? 'Fitted' : 'Fit'}
    </Button>
  );
}
