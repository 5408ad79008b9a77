import { arrivalSigns, endings } from '@/knowledge/counter';
import type { JobFacts } from '@/shop/jobView/dto';
import { dayAt } from '../parts/instants';
import { Empty, Notice } from '../parts/Notice';
import { Complaints } from '../job/Complaints';
import { foundOrVisit } from '../job/endedWords';
import { faultLabel, ideaAnswered } from '../job/labels';
import type { JobDesk } from '../job/useJob';
import { classes, Words } from '../parts/Words';
import { TextLink } from '../parts/TextLink';
import styles from './job.module.css';

const IDEAS = { right: ' (was right)', other: ' (was not it)', open: '' };

/** What the customer said, how it arrived, and what this machine had before. */
export function MachinePast({ desk }: { desk: JobDesk }) {
  const { job } = desk;
  return (
    <aside aria-label="The customer’s words and the machine’s past" className={styles.past}>
      <div>
        <Words size="h3" as="h2">
          In the customer’s words
        </Words>
        <Words className={classes(styles.quoted, job.words && styles.theirs)}>
          {job.words ? `“${job.words}”` : 'Nothing written down.'}
        </Words>
        <Complaints desk={desk} />
        {job.customerDiagnosis && (
          <Words className={styles.gapAbove}>
            Thinks it is: <strong>{faultLabel(job.customerDiagnosis).toLowerCase()}</strong>
            {IDEAS[ideaAnswered(job.customerDiagnosis, job.proved, job.complaints)]}
          </Words>
        )}
        {job.openedBefore && <Words>Opened lately by {job.openedBy || 'somebody else'}.</Words>}
        {job.pickedUp && <Words>Picked up last: {job.pickedUp}.</Words>}
        {job.accessories.length > 0 && <Words>With it: {job.accessories.join(', ')}.</Words>}
        {job.arrivalSigns.length > 0 && (
          <Words>
            On arrival:{' '}
            {job.arrivalSigns.map((s) => arrivalSigns.find((a) => a.id === s)?.label.toLowerCase()).join(', ')}
          </Words>
        )}
      </div>
      <StillOpen job={job} />
      <NotWanted job={job} />
      {(job.customer.standing || job.machine.note || job.warranty.inForce || job.comebackOf) && (
        <div className={styles.lines}>
          {job.comebackOf && (
            <Notice title="Comes back within 90 days.">
              <TextLink small href={`/jobs/${job.comebackOf}/hand-back`}>
                What was done in job {job.comebackOf}
              </TextLink>
            </Notice>
          )}
          {job.warranty.inForce && (
            <Notice
              title={`Under warranty until ${job.warranty.until}: ${{ none: 'the owner was not asked', 'repair-here': 'the owner wants it repaired here', authorised: 'goes to the authorised shop, do not open it' }[job.warranty.choice]}.`}
            />
          )}
          {job.customer.standing && <Notice title={`Always: ${job.customer.standing}`} />}
          {job.machine.note && <Notice title={`Noted: ${job.machine.note}`} />}
        </div>
      )}
      <div>
        <Words size="h3" as="h2">
          Before this
        </Words>
        {job.past.length === 0 && <Empty>First time here.</Empty>}
        {job.past.map((p) => (
          <Words key={p.id} className={styles.slightly}>
            <TextLink href={`/jobs/${p.id}/hand-back`}>{dayAt(p.takenInAt, job.zone)}</TextLink> {foundOrVisit(p)}
            {p.ending && p.ending !== 'repaired' && `; ${endings.find((e) => e.id === p.ending)!.label.toLowerCase()}`}
          </Words>
        ))}
      </div>
    </aside>
  );
}

/** What earlier visits left open, and what is due on it. */
function StillOpen({ job }: { job: JobFacts }) {
  // A visit has them all on its list.
  const onList = job.visit === '' ? job.service : [];
  const past = onList.filter((s) => s.state === 'past' && !s.done);
  const unknown = onList.filter((s) => s.state === 'unknown' && !s.done);
  if (job.openFaults.length + past.length + unknown.length === 0) return null;
  return (
    <div className={styles.lines}>
      {job.openFaults.map((f) => (
        <Notice key={f.fault} title={`Left open: ${faultLabel(f.fault).toLowerCase()}.`}>
          <TextLink small href={`/jobs/${f.job}/hand-back`}>
            Found in job {f.job}, {dayAt(f.at, job.zone)}
          </TextLink>
        </Notice>
      ))}
      {past.length > 0 && <Notice title={`Past due: ${past.map((s) => s.label.toLowerCase()).join(', ')}.`} />}
      {unknown.length > 0 && (
        <Words tone="soft">Not known when done last: {unknown.map((s) => s.label.toLowerCase()).join(', ')}.</Words>
      )}
    </div>
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
          <Words>
            {b.who}: “{b.words}”
          </Words>
        </Notice>
      ))}
      {agree.declinedBefore.length > 0 && (
        <div>
          <Words size="h3" as="h2">
            Not wanted before
          </Words>
          {agree.declinedBefore.map((d) => (
            <Words key={`${d.job} ${d.label}`}>
              {d.label}, <TextLink href={`/jobs/${d.job}/agree`}>{dayAt(d.at, zone)}</TextLink>
            </Words>
          ))}
        </div>
      )}
    </>
  );
}
