import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { ideaAnswered } from '@/knowledge/ownersIdea';
import { arrivalSigns, endings } from '@/knowledge/counter';
import type { JobFacts } from '@/shop/jobView/dto';
import { dayAt } from '../parts/instants';
import { Empty, Notice } from '../parts/Notice';
import NextLink from '../theme/NextLink';
import { Complaints } from '../job/Complaints';
import { foundOrVisit } from '../job/endedWords';
import { faultLabel } from '../job/labels';
import type { JobDesk } from '../job/useJob';

const IDEAS = { right: ' (was right)', other: ' (was not it)', open: '' };

/** What the customer said, how it arrived, and what this machine had before. */
export function MachinePast({ desk }: { desk: JobDesk }) {
  const { job } = desk;
  return (
    <Box
      component="aside"
      aria-label="The customer’s words and the machine’s past"
      sx={{ display: 'grid', gap: 1.5, borderLeft: { lg: '1px solid' }, borderColor: { lg: 'divider' }, pl: { lg: 2 } }}
    >
      <Box>
        <Typography component="h2" variant="h3">
          In the customer’s words
        </Typography>
        <Typography
          variant="body2"
          sx={{ fontStyle: job.words ? 'italic' : 'normal', whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}
        >
          {job.words ? `“${job.words}”` : 'Nothing written down.'}
        </Typography>
        <Complaints desk={desk} />
        {job.customerDiagnosis && (
          <Typography variant="body2" sx={{ mt: 0.5 }}>
            Thinks it is: <strong>{faultLabel(job.customerDiagnosis).toLowerCase()}</strong>
            {IDEAS[ideaAnswered(job.customerDiagnosis, job.proved, job.complaints)]}
          </Typography>
        )}
        {job.openedBefore && (
          <Typography variant="body2">Opened lately by {job.openedBy || 'somebody else'}.</Typography>
        )}
        {job.pickedUp && <Typography variant="body2">Picked up last: {job.pickedUp}.</Typography>}
        {job.accessories.length > 0 && <Typography variant="body2">With it: {job.accessories.join(', ')}.</Typography>}
        {job.arrivalSigns.length > 0 && (
          <Typography variant="body2">
            On arrival:{' '}
            {job.arrivalSigns.map((s) => arrivalSigns.find((a) => a.id === s)?.label.toLowerCase()).join(', ')}
          </Typography>
        )}
      </Box>
      <StillOpen job={job} />
      <NotWanted job={job} />
      {(job.customer.standing || job.machine.note || job.warranty.inForce || job.comebackOf) && (
        <Box sx={{ display: 'grid', gap: 0.75 }}>
          {job.comebackOf && (
            <Notice title="Comes back within 90 days.">
              <Link component={NextLink} href={`/jobs/${job.comebackOf}/hand-back`} variant="body2">
                What was done in job {job.comebackOf}
              </Link>
            </Notice>
          )}
          {job.warranty.inForce && (
            <Notice
              title={`Under warranty until ${job.warranty.until}: ${{ none: 'the owner was not asked', 'repair-here': 'the owner wants it repaired here', authorised: 'goes to the authorised shop, do not open it' }[job.warranty.choice]}.`}
            />
          )}
          {job.customer.standing && <Notice title={`Always: ${job.customer.standing}`} />}
          {job.machine.note && <Notice title={`Noted: ${job.machine.note}`} />}
        </Box>
      )}
      <Box>
        <Typography component="h2" variant="h3">
          Before this
        </Typography>
        {job.past.length === 0 && <Empty>First time here.</Empty>}
        {job.past.map((p) => (
          <Typography key={p.id} variant="body2" sx={{ mt: 0.25 }}>
            <Link component={NextLink} href={`/jobs/${p.id}/hand-back`}>
              {dayAt(p.takenInAt, job.zone)}
            </Link>{' '}
            {foundOrVisit(p)}
            {p.ending && p.ending !== 'repaired' && `; ${endings.find((e) => e.id === p.ending)!.label.toLowerCase()}`}
          </Typography>
        ))}
      </Box>
    </Box>
  );
}

/** What earlier visits left open, and what is due on it. */
function StillOpen({ job }: { job: JobFacts }) {
  // A visit has them all on its list.
  const onList = job.visit === '' ? job.service : [];
  const past = onList.filter((s) => s.state === 'past' && s.said !== 'done');
  const unknown = onList.filter((s) => s.state === 'unknown' && s.said !== 'done');
  if (job.openFaults.length + past.length + unknown.length === 0) return null;
  return (
    <Box sx={{ display: 'grid', gap: 0.75 }}>
      {job.openFaults.map((f) => (
        <Notice key={f.fault} title={`Left open: ${faultLabel(f.fault).toLowerCase()}.`}>
          <Link component={NextLink} href={`/jobs/${f.job}/hand-back`} variant="body2">
            Found in job {f.job}, {dayAt(f.at, job.zone)}
          </Link>
        </Notice>
      ))}
      {past.length > 0 && <Notice title={`Past due: ${past.map((s) => s.label.toLowerCase()).join(', ')}.`} />}
      {unknown.length > 0 && (
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          Not known when done last: {unknown.map((s) => s.label.toLowerCase()).join(', ')}.
        </Typography>
      )}
    </Box>
  );
}

/** What the owner did not want at an earlier visit, and is not mended since; and what was bridged. */
function NotWanted({ job: { agree, zone } }: { job: JobFacts }) {
  return (
    <>
      {agree.bridges.map((b) => (
        <Notice
          key={`${b.fault} ${b.at}`}
          title={`Bridged on ${dayAt(b.at, zone)}: ${faultLabel(b.fault).toLowerCase()}.`}
        >
          <Typography variant="body2">
            {b.who}: “{b.words}”
          </Typography>
        </Notice>
      ))}
      {agree.declinedBefore.length > 0 && (
        <Box>
          <Typography component="h2" variant="h3">
            Not wanted before
          </Typography>
          {agree.declinedBefore.map((d) => (
            <Typography key={`${d.job} ${d.label}`} variant="body2">
              {d.label},{' '}
              <Link component={NextLink} href={`/jobs/${d.job}/agree`}>
                {dayAt(d.at, zone)}
              </Link>
            </Typography>
          ))}
        </Box>
      )}
    </>
  );
}
