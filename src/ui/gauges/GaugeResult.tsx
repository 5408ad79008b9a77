'use client';

import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import type { Figure, GaugeAnswer } from '@/core/gauges/gauge';
import { shownIn, withUncertainty, type UnitSystem } from '@/core/units/unitSystem';
import { CautionPlate } from '../parts/CautionPlate';
import { Notice } from '../parts/Notice';
import { percent, Reading } from '../parts/Reading';
import { GaugeDrawing } from './GaugeDrawing';

const MARK = { good: '✓', doubt: '≈', bad: '✕', plain: '=' } as const;
const MARK_WORDS = { good: 'Good', doubt: 'In doubt', bad: 'Not good', plain: 'Result' } as const;

/** What a gauge says: the answer in one line, the odds, the numbers, the drawing, and what to mind. */
export function GaugeResult({ answer, units }: { answer: GaugeAnswer; units: UnitSystem }) {
  return (
    <Box component="section" aria-label="Result" sx={{ display: 'grid', gap: 1.5, minWidth: 0 }}>
      <Box sx={{ display: 'flex', gap: 1.25, alignItems: 'baseline' }}>
        <Box
          component="span"
          role="img"
          aria-label={MARK_WORDS[answer.tone]}
          sx={{
            fontSize: '1.5rem',
            fontWeight: 700,
            lineHeight: 1,
            color: { good: 'bench.action', doubt: 'bench.brass', bad: 'text.primary', plain: 'text.secondary' }[
              answer.tone
            ],
          }}
        >
          {MARK[answer.tone]}
        </Box>
        <Typography component="p" variant="h3" role="status" aria-live="polite">
          {answer.says}
        </Typography>
      </Box>
      {answer.likely && answer.likely.length > 0 && <Odds rows={answer.likely} />}
      {answer.drawings?.map((d, i) => (
        <GaugeDrawing key={i} drawing={d} units={units} />
      ))}
      {answer.figures.length > 0 && <Figures rows={answer.figures} units={units} />}
      {answer.notes?.map((n) =>
        n.sort === 'caution' ? (
          <CautionPlate key={n.text} label="Caution" text={n.text} />
        ) : n.sort === 'range' ? (
          <Notice key={n.text} title={n.text} />
        ) : (
          <Typography key={n.text} variant="body2">
            {n.text}
          </Typography>
        ),
      )}
    </Box>
  );
}

function Odds({ rows }: { rows: NonNullable<GaugeAnswer['likely']> }) {
  return (
    <Box component="ul" aria-label="Odds" sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gap: 0.75 }}>
      {rows.map((r) => (
        <Box
          component="li"
          key={r.label}
          sx={{ display: 'grid', gridTemplateColumns: '54px 110px 1fr', gap: 1, alignItems: 'center' }}
        >
          <Reading strong>{percent(r.probability)}</Reading>
          <LinearProgress
            variant="determinate"
            value={100 * r.probability}
            aria-hidden
            sx={{ height: 9, borderRadius: '2px' }}
          />
          <Typography variant="body2">
            {r.label}
            {r.detail && (
              <Box component="span" sx={{ color: 'text.secondary' }}>
                , {r.detail}
              </Box>
            )}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}

function Figures({ rows, units }: { rows: Figure[]; units: UnitSystem }) {
  const other = units === 'inch' ? 'metric' : 'inch';
  return (
    <Box
      component="dl"
      sx={{ m: 0, display: 'grid', gridTemplateColumns: 'minmax(120px, max-content) max-content 1fr' }}
    >
      {rows.map((f) => (
        <Box
          key={f.label}
          sx={{
            display: 'contents',
            '& > *': { borderBottom: '1px solid', borderColor: 'divider', py: 0.4, pr: 2, alignContent: 'center' },
          }}
        >
          <Typography component="dt" variant="body2">
            {f.label}
          </Typography>
          <Box
            component="dd"
            title={f.value === null ? undefined : shownIn(f.quantity, f.value, other)}
            sx={{ m: 0, textAlign: 'right' }}
          >
            {f.value === null ? (
              <Typography variant="body2">not known</Typography>
            ) : (
              <Reading strong>{withUncertainty(f.quantity, f.value, f.plusMinus, units)}</Reading>
            )}
          </Box>
          <Typography component="dd" variant="body2" sx={{ m: 0, color: 'text.secondary' }}>
            {f.remark ?? ''}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}
