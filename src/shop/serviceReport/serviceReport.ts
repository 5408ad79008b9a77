import { byWords, spanWords } from '@/core/service/dueWords';
import { siteById } from '@/data/customers';
import { database } from '@/data/database';
import { machineById, meterReadingsOf } from '@/data/machines';
import { plansOf, type PlanRow } from '@/data/plans';
import { operatorItems } from '@/knowledge/operatorCare';
import { faultLabel } from '@/knowledge';
import { planItem } from '@/knowledge/plans';
import { careSheet } from '../careSheet/careSheet';
import type { JobFacts, ServiceLine } from '../jobView/dto';
import type { PhotographView } from '../pictures/dto';
import { drawnPictures } from '../pictures/drawnPictures';
import { inPaperThread } from '../papers/paperThreads';
import { dayInZone } from '../settings/day';
import type { ReportSection, ServiceReportView } from '../papers/dto';

const MOST_PICTURES = 6;
const MOST_DUE = 14;

/** The report of a visit: what was done, read, found worn and left and why, and what falls due next. @throws ProblemError 404 */
export async function serviceReport(jobId: number): Promise<ServiceReportView> {
  const db = database();
  const sheet = await careSheet(jobId);
  const { job } = sheet;
  const machine = (await machineById(db, job.machine.id))!;
  const [plans, meter, site] = await Promise.all([
    plansOf(db, machine.id),
    meterReadingsOf(db, machine.id),
    machine.site_id === null ? undefined : siteById(db, machine.site_id),
  ]);
  const until = job.closedAt ? new Date(job.closedAt) : new Date();
  const hours = meter.find((m) => m.at <= until)?.hours;
  const pictures = picturesOf(job);
  const minutes = job.service.reduce((sum, l) => sum + (l.minutes ?? 0), 0);
  const part = (title: string, rows: string[][]): ReportSection[] => (rows.length > 0 ? [{ title, rows }] : []);
  const lines = (texts: string[]) => texts.filter(Boolean).map((t) => [t]);
  return {
    shop: sheet.shop,
    paper: sheet.paper,
    job: job.id,
    tag: job.machine.tag,
    of: [
      [
        `${job.machine.maker} ${job.machine.model}`,
        job.machine.tag,
        job.machine.serial && `serial ${job.machine.serial}`,
      ]
        .filter(Boolean)
        .join(', '),
      [job.customer.name, site?.label].filter(Boolean).join(', '),
    ],
    facts: [
      `${dayInZone(new Date(job.takenInAt), job.zone)}, job ${job.id}`,
      ...(hours === undefined ? [] : [`hour meter ${hours} h`]),
      ...(minutes > 0 ? [`${minutes} min on the list`] : []),
    ],
    warning: sheet.notToBeUsed.length > 0 ? `Not to be used: ${sheet.notToBeUsed.join(', ').toLowerCase()}.` : '',
    sections: [
      ...part(
        'The list',
        job.service.filter((l) => l.said !== null).map((l) => [l.label, saidOf(l, job), details(l, pictures)]),
      ),
      ...part('Found', lines(sheet.found)),
      ...part(
        'Found and not mended',
        lines([...sheet.leftOpen, sheet.notWanted, sheet.ownersWord && `The owner: “${sheet.ownersWord}”`]),
      ),
      ...part('Mended', lines(sheet.mended)),
      ...part('Fitted', lines(sheet.fitted)),
      ...part(
        'Proved',
        sheet.proved.map((p) => [p.label, p.text]),
      ),
      ...part(
        'What the operator did',
        job.care.map((c) => [
          operatorItems.find((o) => o.id === c.item)?.label ?? c.item,
          `on ${c.doneDays} of ${c.ofDays} days`,
        ]),
      ),
      ...part('To watch', lines([sheet.advice])),
      ...part('Next', nextRows(plans, job, sheet.today)),
    ],
    photographs: pictures.map((p, i) => ({ id: p.id, caption: `${i + 1}  ${captionOf(p)}`.trim() })),
  };
}

/** What became of a line; what was worn and is mended since is not worn any more. */
function saidOf({ item, said }: ServiceLine, { repaired }: JobFacts): string {
  const isMended = said === 'worn' && planItem(item)!.repairs.some((f) => repaired.includes(f));
  return isMended ? 'worn, mended' : said!;
}

/** Those of the lines first, in the order of the list; then what else was photographed. */
function picturesOf({ photographs, service }: JobFacts): PhotographView[] {
  const place = (p: PhotographView) => {
    const at = service.findIndex((l) => `item:${l.item}` === p.shows);
    return at < 0 ? service.length : at;
  };
  return [...photographs].sort((a, b) => place(a) - place(b) || a.id - b.id).slice(0, MOST_PICTURES);
}

/** Its own words; without them what it shows. */
function captionOf({ caption, shows }: PhotographView): string {
  const [sort, id] = shows.split(':', 2);
  return caption || (sort === 'item' ? (planItem(id!)?.label ?? '') : sort === 'fault' ? faultLabel(id!) : '');
}

function details({ item, readings, words, lookAgainOn }: ServiceLine, pictures: readonly PhotographView[]): string {
  const own = pictures.flatMap((p, i) => (p.shows === `item:${item}` ? [i + 1] : []));
  const reading = planItem(item)?.reading;
  const read = readings.map((r) => [r.place, r.value, reading?.unit].filter((x) => x !== '').join(' ')).join(', ');
  return [
    reading && read && `${reading.label.toLowerCase()}: ${read}`,
    words,
    lookAgainOn && `look again by ${lookAgainOn}`,
    own.length > 0 && `photograph ${own.join(', ')}`,
  ]
    .filter(Boolean)
    .join('; ');
}

/** While the job is open nothing was reset: what is said to be done here is not due any more. */
function nextRows(plans: readonly PlanRow[], job: JobFacts, today: string): string[][] {
  const doneHere = new Set(
    job.closedAt ? [] : job.service.filter((l) => l.done || l.said === 'done').map((l) => l.item),
  );
  return plans
    .flatMap((p) => {
      if (p.due_on === null || doneHere.has(p.item)) return [];
      const by = byWords(p.due_by);
      return [
        [
          p.due_on < today ? 'now' : spanWords({ on: p.due_on, early: p.due_early, late: p.due_late }),
          `${planItem(p.item)?.label ?? p.item}${by && `, ${by}`}`,
          p.by_its_people ? 'by you, between visits' : 'by the shop',
        ],
      ];
    })
    .slice(0, MOST_DUE);
}

/** The same as PDF, with its pictures. @throws ProblemError 404; 503 when too many papers are written already */
export async function serviceReportPdf(jobId: number): Promise<{ name: string; bytes: Uint8Array<ArrayBuffer> }> {
  const db = database();
  const view = await serviceReport(jobId);
  const pictures = await drawnPictures(db, view.photographs);
  return {
    name: `service-report-${view.tag}-${view.job}`,
    bytes: new Uint8Array(await inPaperThread('reportPaper', { view, pictures })),
  };
}
