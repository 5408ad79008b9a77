'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { shownOdds } from '@/core/diagnosis/assess';
import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { evidenceWords, faultLabel, faultOf } from '../job/labels';
import { percent, Reading } from '../parts/Reading';

const SHORT = 7;

/** Faults by their odds; why opens the evidence for and against. */
export function FaultList({
  job,
  odds,
  fresh,
  station,
  onStation,
}: {
  job: JobFacts;
  odds: AssessmentView;
  /** They belong to the job as it stands. */
  fresh: boolean;
  station: string | null;
  onStation: (s: string | null) => void;
}) {
  const [open, setOpen] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const { faults, explanations, basis } = odds;
  const stationOf = (id: string) => faultOf(id)?.kinds[job.machine.kind]?.station;
  const suspects = faults.filter((f) => f.suspect && (station ? stationOf(f.id) === station : shownOdds(f) >= 0.005));
  const others = faults.filter((f) => !f.suspect && f.probability >= 0.03);
  const shown = all || station ? suspects : suspects.slice(0, SHORT);
  return (
    <Box component="section" aria-label="Odds of the faults" aria-busy={!fresh} sx={{ opacity: fresh ? 1 : 0.55 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Typography component="h2" variant="h3">
          {station ? `At this station` : 'Likely faults'}
        </Typography>
        <Typography variant="caption" sx={{ color: 'text.secondary' }}>
          several at once are possible
        </Typography>
        {station && (
          <Button size="small" variant="text" color="inherit" onClick={() => onStation(null)} sx={{ ml: 'auto' }}>
            All stations
          </Button>
        )}
      </Box>
      {shown.length === 0 && (
        <Typography variant="body2">
          {station ? 'Nothing here can explain the complaint.' : 'No fault stands out.'}
        </Typography>
      )}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {shown.map((f) => (
          <Box component="li" key={f.id} sx={{ borderBottom: '1px solid', borderColor: 'divider', py: 0.5 }}>
            <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 64px auto', alignItems: 'center', columnGap: 1 }}>
              <Box sx={{ minWidth: 0 }}>
                <Typography
                  variant="body2"
                  sx={{
                    fontWeight: f.proved ? 700 : 400,
                    textDecoration: shownOdds(f) < 0.01 ? 'line-through' : 'none',
                  }}
                >
                  {faultLabel(f.id)}
                  {shownOdds(f) > f.probability + 0.03 && (
                    <Box component="span" sx={{ display: 'block', color: 'bench.hazard', fontSize: '0.88em' }}>
                      by its signs alone; nothing else that was found makes it less
                    </Box>
                  )}
                </Typography>
                <Box aria-hidden sx={{ height: 5, bgcolor: 'bench.well', mt: 0.25 }}>
                  <Box
                    sx={{
                      height: 5,
                      width: `${Math.max(1, shownOdds(f) * 100)}%`,
                      bgcolor: f.proved ? 'text.primary' : 'bench.brassFill',
                    }}
                  />
                </Box>
              </Box>
              <Box sx={{ textAlign: 'right' }}>
                <Reading strong={f.probability > 0.2}>{f.proved ? 'proved' : percent(shownOdds(f))}</Reading>
              </Box>
              <Button
                size="small"
                variant="text"
                color="inherit"
                aria-expanded={open === f.id}
                aria-label={`Why ${faultLabel(f.id)}`}
                onClick={() => setOpen(open === f.id ? null : f.id)}
                sx={{ minWidth: 44, px: 0.5 }}
              >
                why
              </Button>
            </Box>
            {open === f.id && <Evidence kind={job.machine.kind} fault={f} />}
          </Box>
        ))}
      </Box>
      {!station && suspects.length > SHORT && (
        <Button size="small" variant="text" color="inherit" onClick={() => setAll(!all)}>
          {all ? 'Fewer' : `${suspects.length - SHORT} more`}
        </Button>
      )}
      {!station && explanations.length > 0 && (
        <Typography variant="body2" sx={{ mt: 0.75 }}>
          Best explanations:{' '}
          {explanations.slice(0, 3).map((e, i) => (
            <span key={e.faults.join()}>
              {i > 0 && '; '}
              {e.faults.map((id) => faultLabel(id).toLowerCase()).join(' with ') || 'none of these'}{' '}
              <Reading>{percent(e.probability)}</Reading>
            </span>
          ))}
        </Typography>
      )}
      {!station && others.length > 0 && (
        <Typography variant="caption" component="p" sx={{ color: 'text.secondary', mt: 0.5, mb: 0 }}>
          Common on such machines, whatever the complaint:{' '}
          {others
            .slice(0, 4)
            .map((f) => `${faultLabel(f.id).toLowerCase()} ${percent(shownOdds(f))}`)
            .join(', ')}
          .
        </Typography>
      )}
      <Typography variant="caption" component="p" sx={{ color: 'text.secondary', mt: 0.5, mb: 0 }}>
        {basis.method === 'exact' ? 'Exact odds' : `Sampled odds, error up to ${percent(basis.standardError)}`} on
        shipped figures and {basis.kindJobs} finished jobs of this kind, {basis.modelJobs} of this model.
      </Typography>
    </Box>
  );
}

function Evidence({ kind, fault }: { kind: string; fault: AssessmentView['faults'][number] }) {
  if (fault.evidence.length === 0)
    return (
      <Typography variant="body2" sx={{ pl: 1, pb: 0.5 }}>
        Nothing found yet speaks for or against it; it is this common: <Reading>{percent(fault.prior)}</Reading>.
      </Typography>
    );
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, pl: 1, pb: 0.5 }}>
      {fault.evidence.slice(0, 8).map((e) => (
        <Box
          component="li"
          key={e.finding}
          sx={{ display: 'grid', gridTemplateColumns: '76px 1fr', gap: 1, fontSize: '0.9rem' }}
        >
          <Box sx={{ color: e.logOdds > 0 ? 'text.primary' : 'text.secondary' }}>
            {e.logOdds > 0 ? 'for' : 'against'} <Reading>×{factor(e.logOdds)}</Reading>
          </Box>
          <span>{evidenceWords(kind, e.finding)}</span>
        </Box>
      ))}
    </Box>
  );
}

function factor(logOdds: number): string {
  const f = Math.exp(Math.abs(logOdds));
  return f > 99 ? '99+' : f >= 10 ? f.toFixed(0) : f.toFixed(1);
}
