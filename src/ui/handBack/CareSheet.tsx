'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import GlobalStyles from '@mui/material/GlobalStyles';
import Typography from '@mui/material/Typography';
import { visits } from '@/knowledge/counter';
import type { CareSheetView } from '@/shop/careSheet/dto';
import '../job/everyKind';
import { complaintLabel } from '../job/labels';
import { dayAt } from '../parts/instants';
import { photographUrl } from '../parts/photographUrl';
import { Reading } from '../parts/Reading';
import { Mark } from '../parts/Mark';
import { fonts } from '../theme/palette';

/** Beside the words there is room for so many. */
const MOST_PICTURES = 3;

/** What is kept in mind and when it is due lie beside each other, so that a long repair too fits one page. */
const BESIDE = {
  display: 'grid',
  columnGap: 3,
  gridTemplateColumns: { xs: '1fr', sm: '4fr 3fr' },
  '@media print': { gridTemplateColumns: '4fr 3fr' },
};

/** The sheet for the owner, on one page of paper. */
export function CareSheet({ sheet }: { sheet: CareSheetView }) {
  const { job } = sheet;
  return (
    <>
      <GlobalStyles
        styles={{ '@page': { size: sheet.paper, margin: '12mm' }, '@media print': { html: { fontSize: '80%' } } }}
      />
      <Box className="no-print" sx={{ display: 'flex', gap: 1, mb: 1.5 }}>
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
        <Button href={`/jobs/${job.id}/hand-back`}>Back to the job</Button>
      </Box>
      <Box
        component="article"
        aria-label="Care sheet"
        sx={{
          maxWidth: 760,
          bgcolor: '#fff',
          color: '#111',
          p: { xs: 2, sm: 4 },
          border: '1px solid',
          borderColor: 'divider',
          '@media print': { border: 0, p: 0, maxWidth: 'none' },
          '& h2': {
            fontFamily: fonts.label,
            fontSize: '1.05rem',
            fontWeight: 600,
            m: 0,
            mt: 2,
            mb: 0.5,
            borderBottom: '1px solid #999',
            '@media print': { mt: 1.25 },
          },
        }}
      >
        <Box
          sx={{
            display: 'flex',
            justifyContent: 'space-between',
            alignItems: 'center',
            borderBottom: '3px solid #111',
            pb: 1,
            color: '#111',
            '& span': { color: '#111' },
          }}
        >
          <Typography component="h1" sx={{ fontFamily: fonts.label, fontWeight: 600, fontSize: '1.5rem' }}>
            {sheet.shop}
          </Typography>
          <Mark />
        </Box>
        <Typography sx={{ mt: 1.5 }}>
          {job.machine.maker} {job.machine.model}, tag <Reading strong>{job.machine.tag}</Reading>
          {job.machine.serial && (
            <>
              , serial <Reading>{job.machine.serial}</Reading>
            </>
          )}
          . For {job.customer.name}. Job {job.id}, taken in <Reading>{dayAt(job.takenInAt, job.zone)}</Reading>
          {job.closedAt && `, handed back ${dayAt(job.closedAt, job.zone)}`}.
        </Typography>
        {(sheet.notToBeUsed.length > 0 || !sheet.ending.tested) && (
          <Box sx={{ border: '3px solid #111', p: 1.5, mt: 2 }}>
            <Typography sx={{ fontWeight: 700 }}>
              {sheet.notToBeUsed.length > 0
                ? `Not to be used: ${sheet.notToBeUsed.join(', ').toLowerCase()}.`
                : 'Not repaired and not tested here: have it seen to before it is used.'}
            </Typography>
            <Typography>{sheet.ending.says}.</Typography>
          </Box>
        )}
        <h2>You told us</h2>
        <Typography>
          {job.words
            ? `“${job.words}”`
            : [
                ...job.complaints.map(complaintLabel),
                ...(job.visit ? [`Here for ${visits.find((v) => v.id === job.visit)!.says}`] : []),
              ].join(', ')}
        </Typography>
        {job.struck.map((c) => (
          <Typography key={c.complaint}>
            Not so at the bench: {complaintLabel(c.complaint).toLowerCase()}
            {c.why && ` (${c.why})`}.
          </Typography>
        ))}
        <h2>We found</h2>
        <Typography>{sheet.found.join(', ') || 'No cause to name.'}</Typography>
        {sheet.customerGuess && (
          <Typography>
            You thought of: {sheet.customerGuess.said.toLowerCase()}.{' '}
            {sheet.customerGuess.right ? 'You were right.' : 'That was in order; it was what stands above.'}
          </Typography>
        )}
        {sheet.leftOpen.length > 0 && (
          <>
            <h2>Found and not mended</h2>
            <Typography>
              {sheet.leftOpen.join(', ')}.{sheet.ownersWord && ` You said: “${sheet.ownersWord}”`}
              {sheet.notWanted && ` ${sheet.notWanted}`}
            </Typography>
          </>
        )}
        {sheet.leftUndone.length > 0 && (
          <>
            <h2>Left at this visit</h2>
            <Typography>{sheet.leftUndone.map((l) => `${l.label}: ${l.why}`).join('. ')}.</Typography>
          </>
        )}
        {job.photographs.length > 0 && (
          <Box sx={{ display: 'flex', gap: '3mm', mt: 1.5 }}>
            {job.photographs.slice(0, MOST_PICTURES).map((p) => (
              <Box component="figure" key={p.id} sx={{ m: 0, maxWidth: '32%' }}>
                {/* eslint-disable-next-line @next/next/no-img-element -- behind the sign-in */}
                <img src={photographUrl(p.id)} alt={p.caption || 'What was found'} style={{ height: '26mm' }} />
                <Box component="figcaption" sx={{ fontSize: '0.8rem' }}>
                  {p.caption}
                </Box>
              </Box>
            ))}
          </Box>
        )}
        {sheet.onArrival.length > 0 && (
          <>
            <h2>Seen when it came</h2>
            <Typography>{sheet.onArrival.join(' ')}</Typography>
          </>
        )}
        <h2>We did, fitted and proved</h2>
        <Typography>
          {[...sheet.mended, ...sheet.fitted, ...job.service.filter((s) => s.said === 'done').map((s) => s.label)].join(
            ', ',
          ) || 'Nothing was taken apart and nothing fitted.'}
        </Typography>
        <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
          {sheet.proved.map((p) => (
            <li key={p.label}>
              {p.label}: {p.text}
            </li>
          ))}
        </Box>
        {sheet.advice && (
          <>
            <h2>What to watch</h2>
            <Typography sx={{ whiteSpace: 'pre-wrap' }}>{sheet.advice}</Typography>
          </>
        )}
        <Box sx={BESIDE}>
          <div>
            <h2>How to keep it well</h2>
            <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
              {sheet.care.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </Box>
          </div>
          {sheet.due.length > 0 && (
            <div>
              <h2>Due again</h2>
              <Box
                component="table"
                sx={{
                  borderCollapse: 'collapse',
                  '& td': { pr: 1.5, py: 0.25, verticalAlign: 'top' },
                  '& td:first-of-type': { whiteSpace: 'nowrap' },
                }}
              >
                <tbody>
                  {sheet.due.map((d) => (
                    <tr key={d.label}>
                      <td>
                        <Reading strong>{d.dueOn < sheet.today ? 'now' : d.dueOn}</Reading>
                      </td>
                      <td>{d.label}</td>
                      <td style={{ whiteSpace: 'nowrap' }}>{d.byYou ? 'by you' : 'by us'}</td>
                    </tr>
                  ))}
                </tbody>
              </Box>
            </div>
          )}
        </Box>
      </Box>
    </>
  );
}
