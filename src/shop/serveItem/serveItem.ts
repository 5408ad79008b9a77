import { insertFittedPart, partAt, putServiceLine, putServiceReadings, takeBackFittedPart } from '@/data/jobs';
import { dryingOf, placesOf, planItem, lookOf, type PlanItem } from '@/knowledge/plans';
import { bench } from '../access/roles';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import { partsOfJob } from '../jobView/jobFacts';
import { refuseIf, type FieldProblem } from '../problem';
import { answerChecks } from '../recordFindings/recordFindings';
import { dayInZone } from '../settings/day';
import { letLie } from '../startWait/startWait';
import { ServeItemDto } from './dto';

/** Longer between two lines was not spent on one. */
const MOST_MINUTES = 45;
const MINUTE_MS = 60_000;

const SAYS = { done: '', worn: ': found worn', left: ': left' } as const;

/**
 * Says what became of an item of the service at this visit: done, found worn, or left with the reason; with what was read, what was
 * found, the part that it took, and by when it is to be looked at again. What was washed lies to dry. What was found is an answer to the finder’s own check, and opens Find.
 * Empty takes back what was said and the part that went in with it, not what was found.
 */
export const serveItem = jobDeed({
  name: 'serve-item',
  roles: bench,
  summary: 'Say what became of an item of the service',
  dto: ServeItemDto,
  async work(scene, dto) {
    const { db, jobId, machineId, kind, person, state, tell } = scene;
    const item = planItem(dto.item);
    if (!item || !(kind.id in item.stations))
      return refuseIf([{ field: 'item', message: `There is no service ${dto.item} for this kind of machine.` }]);
    const words = dto.words?.trim() ?? '';
    const today = dayInZone(new Date(), state.shop.zone);
    const part = dto.part === undefined ? undefined : await partAt(db, kind.id, dto.part);
    refuseIf([...problemsOf(item, kind.id, dto, words, today), ...problemsOfPart(item, kind.id, dto, part)]);
    if (dto.state === '') {
      await takeBackItsPart(scene, item);
      await putServiceLine(db, jobId, item.id, null);
      await putServiceReadings(db, { job_id: jobId, machine_id: machineId, item: item.id, person_id: person.id }, []);
      tell('serviced', `${item.label}: taken back`);
      return;
    }
    // What went in with it before goes back where another goes in, or none.
    if (part || dto.state !== 'done') await takeBackItsPart(scene, item);
    if (part) {
      await fitItsPart(scene, item, part.code);
      // Said anew, of the same moment as its part: by it they are known to belong together.
      await putServiceLine(db, jobId, item.id, null);
    }
    await putServiceLine(db, jobId, item.id, {
      state: dto.state,
      words,
      look_again_on: dto.lookAgainOn ?? null,
      minutes: dto.minutes ?? minutesSince(scene, item.id),
      person_id: person.id,
    });
    if (dto.readings)
      await putServiceReadings(
        db,
        { job_id: jobId, machine_id: machineId, item: item.id, person_id: person.id },
        dto.readings.map((r) => ({ reading: item.reading!.id, ...r })),
      );
    tell('serviced', sentence(item, dto, words, part?.label));
    const before = state.service.find((s) => s.item === item.id)?.state;
    if (dto.state === 'done' && before !== 'done' && !part) await letLie(scene, dryingOf(item, kind.id, state.fitted));
    if (dto.found) await answerChecks(scene, [{ check: lookOf(item, kind.id)!, outcome: dto.found }]);
  },
});

type Part = Awaited<ReturnType<typeof partAt>>;

function problemsOfPart(item: PlanItem, kind: string, { part: code, state }: ServeItemDto, part: Part): FieldProblem[] {
  if (code === undefined) return [];
  const problem = (message: string) => [{ field: 'part', message }];
  if (state !== 'done') return problem('A part goes in where the item is done.');
  if (!part?.stations.includes(item.stations[kind]!) || !item.parts.includes(part.part_group))
    return problem(`${code} is no part for this.`);
  return [];
}

/** One part of the list goes in where the item is done; the stock goes down. */
async function fitItsPart({ db, jobId, machineId, kind, person, also }: DeedScene, item: PlanItem, code: string) {
  const station = item.stations[kind.id]!;
  await insertFittedPart(db, {
    job_id: jobId,
    machine_id: machineId,
    code,
    station,
    quantity: 1,
    person_id: person.id,
  });
  also('parts', partsOfJob);
}

/** What was fitted with the item goes back to stock with it; what was fitted otherwise stays. */
async function takeBackItsPart({ db, jobId, kind, state, also }: DeedScene, item: PlanItem): Promise<void> {
  const line = state.service.find((s) => s.item === item.id);
  for (const { id, station, at } of state.fitted)
    if (at === line?.at && station === item.stations[kind.id]) {
      await takeBackFittedPart(db, jobId, id);
      also('parts', partsOfJob);
    }
}

function problemsOf(item: PlanItem, kind: string, dto: ServeItemDto, words: string, today: string): FieldProblem[] {
  const problems: FieldProblem[] = [];
  if (dto.state === 'left' && words.length < 2) problems.push({ field: 'words', message: 'Say why it is left.' });
  if (dto.state === 'worn' && words.length < 2 && !dto.found)
    problems.push({ field: 'words', message: 'Say what is worn, or choose what was found.' });
  if (dto.lookAgainOn !== undefined && dto.lookAgainOn <= today)
    problems.push({ field: 'lookAgainOn', message: 'A day to come.' });
  if (dto.found !== undefined && lookOf(item, kind) === undefined)
    problems.push({ field: 'found', message: 'No check tells of this item: say it in words.' });
  const { reading } = item;
  (dto.readings ?? []).forEach(({ place, value }, i) => {
    const at = `readings[${i}]`;
    if (!reading) problems.push({ field: at, message: 'Nothing is read at this item.' });
    else if (!placesOf(reading, kind).includes(place))
      problems.push({ field: `${at}.place`, message: 'No such place.' });
    else if (value < reading.range[0] || value > reading.range[1] || (reading.whole && !Number.isInteger(value)))
      problems.push({
        field: `${at}.value`,
        message:
          `${reading.whole ? 'A whole number, ' : ''}${reading.range[0]} to ${reading.range[1]} ${reading.unit}`.trim() +
          '.',
      });
  });
  if (new Set(dto.readings?.map((r) => r.place)).size !== (dto.readings?.length ?? 0))
    problems.push({ field: 'readings', message: 'One place is read twice.' });
  return problems;
}

/** Since the last line of this visit; null for the first, and where too long passed. */
function minutesSince({ state }: DeedScene, item: string): number | null {
  const last = state.service.filter((s) => s.item !== item).at(-1);
  if (!last) return null;
  const minutes = Math.round((Date.now() - Date.parse(last.at)) / MINUTE_MS);
  return minutes <= MOST_MINUTES ? minutes : null;
}

function sentence(item: PlanItem, dto: ServeItemDto, words: string, part: string | undefined): string {
  const read = (dto.readings ?? []).map((r) =>
    [r.place, `${r.value} ${item.reading!.unit}`.trim()].filter(Boolean).join(' '),
  );
  return [
    `${item.label}${SAYS[dto.state as 'done']}`,
    part ?? '',
    read.length > 0 ? `${item.reading!.label.toLowerCase()} ${read.join(', ')}` : '',
    words,
    dto.lookAgainOn ? `look again by ${dto.lookAgainOn}` : '',
  ]
    .filter(Boolean)
    .join('; ');
}
