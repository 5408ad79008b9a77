'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { arrivalSigns } from '@/knowledge/counter';
import type { JobSheetView } from '@/shop/jobSheet/dto';
import '../job/everyKind';
import { cautionOf, complaintLabel, faultLabel } from '../job/labels';
import { instantAt } from '../parts/instants';
import { photographUrl } from '../parts/photographUrl';
import { Reading } from '../parts/Reading';
import { fonts } from '../theme/palette';
import { Code, PrintFrame } from './PrintFrame';

const WET = { 'not-asked': 'not asked', no: 'no', yes: 'yes', unknown: 'the owner does not know' };
const WARRANTY = {
  none: '',
  'repair-here': ', the owner chose to have it repaired here',
  authorised: ', the owner chose the authorised shop',
};

/** One page that goes with the machine: how it came, so that nobody is blamed later, and what may hurt. */
export function JobSheet({ sheet }: { sheet: JobSheetView }) {
  const { job } = sheet;
  const signs = arrivalSigns.filter((s) => job.arrivalSigns.includes(s.id));
  const cautions = [...new Set([...signs.map((s) => s.raises), ...job.cautions])];
  const rows: [string, string][] = [
    ['Owner', [job.customer.name, job.customer.phone].filter(Boolean).join(', ')],
    ['Taken in', instantAt(job.takenInAt, job.zone)],
    ['Promised for', job.promisedOn],
    ['Serial', job.machine.serial || 'not written down'],
    ['Mains', `${job.machine.mainsV} V`],
    ['Complaints', job.complaints.map(complaintLabel).join(', ')],
    ['The owner thinks', job.customerDiagnosis ? faultLabel(job.customerDiagnosis) : 'nothing said'],
    ['Picked up last', job.pickedUp || 'nothing said'],
    ['Ever wet', WET[job.everWet]],
    ['Opened before', job.openedBefore ? `yes${job.openedBy ? `, by ${job.openedBy}` : ''}` : 'not said'],
    ['Warranty', job.warranty.until ? `until ${job.warranty.until}${WARRANTY[job.warranty.choice]}` : 'not known'],
    ['Always', job.customer.standing || 'nothing'],
    ['Noted on it', job.machine.note || 'nothing'],
  ];
  return (
    <PrintFrame size={sheet.paper} margin="12mm" back={{ href: `/jobs/${job.id}`, label: 'Back to the job' }}>
      <Box
        component="article"
        aria-label="Job sheet"
        sx={{
          maxWidth: 760,
          bgcolor: '#fff',
          color: '#000',
          p: { xs: 2, sm: 4 },
          border: '1px solid',
          borderColor: 'divider',
          '@media print': { border: 0, p: 0, maxWidth: 'none', fontSize: '9.5pt' },
          '& h2': {
            fontFamily: fonts.label,
            fontSize: '1.05rem',
            fontWeight: 600,
            m: 0,
            mt: 1.75,
            mb: 0.5,
            borderBottom: '1px solid #777',
          },
        }}
      >
        <Box
          sx={{
            display: 'flex',
            justifyContent: 'space-between',
            alignItems: 'end',
            borderBottom: '3px solid #000',
            pb: 1,
            gap: 2,
            flexWrap: 'wrap',
          }}
        >
          <Box>
            <Typography
              component="h1"
              sx={{ fontFamily: fonts.label, fontWeight: 600, fontSize: '1.5rem', lineHeight: 1.1 }}
            >
              <Reading strong>{job.machine.tag}</Reading> {job.machine.maker} {job.machine.model}
            </Typography>
            {sheet.shop}, job {job.id}
            {job.comebackOf && `, comes back after job ${job.comebackOf}`}
          </Box>
          <Code svg={sheet.bar} label={`Bar code of ${job.machine.tag}`} width="48mm" height="9mm" />
        </Box>
        {cautions.length > 0 && (
          <Box sx={{ mt: 1.5, display: 'grid', gap: 0.75 }}>
            {cautions.map((id) => (
              <Box key={id} sx={{ border: '2px solid #000', borderLeftWidth: 10, p: 1 }}>
                <strong>{cautionOf(id).label}.</strong> {cautionOf(id).text}
              </Box>
            ))}
          </Box>
        )}
        <h2>In the customer’s words</h2>
        <Box sx={{ whiteSpace: 'pre-wrap', overflowWrap: 'anywhere', fontStyle: 'italic' }}>
          {job.words ? `“${job.words.slice(0, 1200)}${job.words.length > 1200 ? ' …' : ''}”` : 'Nothing written down.'}
        </Box>
        <h2>On arrival</h2>
        <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
          {signs.length === 0 && sheet.marks.length === 0 && <li>nothing special seen</li>}
          {signs.map((s) => (
            <li key={s.id}>
              {s.label}. {s.note}
            </li>
          ))}
          {sheet.marks.map((m, i) => (
            <li key={i}>
              {m.part}: {m.text}
            </li>
          ))}
          <li>came with it: {job.accessories.join(', ') || 'nothing'}</li>
        </Box>
        <h2>Written down at the counter</h2>
        <Box
          component="dl"
          sx={{
            display: 'grid',
            gridTemplateColumns: 'max-content 1fr',
            columnGap: 2,
            rowGap: 0.25,
            m: 0,
            '& dd': { m: 0 },
            '& dt': { color: '#444' },
          }}
        >
          {rows.map(([term, text]) => (
            <Box key={term} sx={{ display: 'contents' }}>
              <dt>{term}</dt>
              <dd>{text}</dd>
            </Box>
          ))}
        </Box>
        {job.photographs.length > 0 && (
          <>
            <h2>Photographs</h2>
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
              {job.photographs.slice(0, 6).map((p) => (
                // eslint-disable-next-line @next/next/no-img-element -- already small, behind the sign-in
                <img key={p.id} src={photographUrl(p.id, true)} alt={p.caption || 'On arrival'} height={90} />
              ))}
            </Box>
          </>
        )}
        <Box
          sx={{
            mt: 3,
            display: 'grid',
            gridTemplateColumns: '1fr 1fr',
            gap: 4,
            '& div': { borderTop: '1px solid #000', pt: 0.5, fontSize: '0.85rem' },
          }}
        >
          <div>The owner agrees: this is how it came</div>
          <div>For the shop</div>
        </Box>
      </Box>
    </PrintFrame>
  );
}
