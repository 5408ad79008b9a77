import { arrivalSigns } from '@/knowledge/counter';
import type { JobFacts } from '@/shop/jobView/dto';
import { CautionPlate } from '../parts/CautionPlate';
import { instantAt } from '../parts/instants';
import { TermList } from '../parts/TermList';
import { JobPhotographs } from './JobPhotographs';
import { cautionOf, complaintLabel, stationLabel } from '../job/labels';
import { Words } from '../parts/Words';
import styles from './job.module.css';

/** What was written down at the counter. */
export function TakenIn({ job }: { job: JobFacts }) {
  const rows: [string, string][] = [
    ['Taken in', instantAt(job.takenInAt, job.zone)],
    ['Complaints', job.complaints.map(complaintLabel).join(', ')],
    ['Serial', job.machine.serial || 'not written down'],
    ['Made', job.machine.madeYear ? String(job.machine.madeYear) : 'not known'],
    ['Mains', `${job.machine.mainsV} V`],
    ['Ever wet', { 'not-asked': 'not asked', no: 'no', yes: 'yes', unknown: 'not known' }[job.everWet]],
    ['Picked up last', job.pickedUp || 'nothing said'],
    ['Opened before', job.openedBefore ? `yes${job.openedBy ? `, by ${job.openedBy}` : ''}` : 'not said'],
    ['Came with it', job.accessories.join(', ') || 'nothing'],
    [
      'Warranty',
      job.warranty.until
        ? `until ${job.warranty.until}${{ none: '', 'repair-here': ', the owner chose to repair it here', authorised: ', the owner chose the authorised shop' }[job.warranty.choice]}`
        : 'not known',
    ],
    [
      'On arrival',
      job.arrivalSigns.map((s) => arrivalSigns.find((a) => a.id === s)?.label).join(', ') || 'nothing special',
    ],
  ];
  const raised = arrivalSigns.filter((s) => job.arrivalSigns.includes(s.id) && s.raises);
  return (
    <div className={styles.taken}>
      <Words size="h2">Taken in</Words>
      <TermList rows={rows} />
      {raised.map((s) => (
        <CautionPlate key={s.id} label={cautionOf(s.raises!).label} text={cautionOf(s.raises!).text} />
      ))}
      {job.marks.length > 0 && (
        <Words>
          Marked on the board: {job.marks.map((m) => `${stationLabel(job, m.station)} ${m.text}`).join(', ')}.
        </Words>
      )}
      <JobPhotographs job={job} />
    </div>
  );
}
