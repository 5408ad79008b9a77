import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { findingWords, outcomeLabel } from '../job/labels';
import { Empty } from '../parts/Notice';
import { percent, Reading } from '../parts/Reading';

/** What was done, in order; every line can be taken back and stays to be seen. */
export function FindingLog({
  job,
  odds,
  onRevoke,
}: {
  job: JobFacts;
  odds: AssessmentView | null;
  onRevoke: ((id: number) => void) | null;
}) {
  return (
    <Box component="section" aria-label="Findings so far">
      <Typography component="h2" variant="h3">
        Found so far
      </Typography>
      {job.findings.length === 0 && <Empty>Nothing yet. Answer the check above by its key.</Empty>}
      <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {job.findings.map((f) => {
          const { what, answer } = findingWords(job.machine.kind, f);
          const reading =
            f.value === null || f.revoked
              ? null
              : (odds?.readings ?? []).find((r) => r.check === f.check && (r.condition ?? null) === f.condition);
          return (
            <Box
              component="li"
              key={f.id}
              sx={{
                display: 'flex',
                gap: 1,
                alignItems: 'center',
                borderBottom: '1px solid',
                borderColor: 'divider',
                minHeight: 38,
              }}
            >
              <Typography
                variant="body2"
                sx={{
                  flex: 1,
                  color: f.revoked ? 'text.secondary' : 'text.primary',
                  textDecoration: f.revoked ? 'line-through' : 'none',
                }}
              >
                {what}: {f.value === null ? <strong>{answer}</strong> : <Reading strong>{answer}</Reading>}
                {reading && (
                  <span>
                    {' '}
                    read as{' '}
                    {reading.readAs
                      .filter((r, i) => i === 0 || r.probability >= 0.03)
                      .map((r) => `${outcomeLabel(job.machine.kind, f.check, r.outcome)} ${percent(r.probability)}`)
                      .join(', ')}
                  </span>
                )}
              </Typography>
              <Typography variant="caption" sx={{ color: 'text.secondary', display: { xs: 'none', sm: 'block' } }}>
                {f.id < 0 ? 'saving …' : f.before && !f.revoked ? `${f.by ?? ''}, before the repair` : f.by}
              </Typography>
              {onRevoke && !f.revoked && (
                <Button
                  size="small"
                  variant="text"
                  color="inherit"
                  aria-label={`Take back: ${what}`}
                  onClick={() => onRevoke(f.id)}
                  sx={{ minWidth: 44, px: 0.5 }}
                >
                  take back
                </Button>
              )}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
