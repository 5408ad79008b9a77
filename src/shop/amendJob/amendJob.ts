import { replaceComplaints } from '@/data/jobs';
import type { JobChange } from '@/data/jobState';
import { refreshSearch } from '@/data/machines';
import { everyone } from '../access/roles';
import { unknownIds } from '../finding/unknownIds';
import { jobDeed } from '../jobDeed/jobDeed';
import type { WrittenFacts } from '../jobView/jobFacts';
import { refuseIf } from '../problem';
import { AmendJobDto } from './dto';

const LABELS = {
  words: 'the customer’s words',
  complaints: 'complaints',
  promisedOn: 'the promised day',
  accessories: 'what came with it',
  pickedUp: 'what it picked up last',
} as const;

type Amended = Partial<Pick<WrittenFacts, keyof typeof LABELS>>;

/** Corrects a mistake of the counter. What stood there before stays in the audit; only what differs is told. */
export const amendJob = jobDeed({
  name: 'amend-job',
  roles: everyone,
  summary: 'Correct what was written down at the counter',
  dto: AmendJobDto,
  async work({ db, facts, kind, machineId, tell, change, onceWritten }, dto) {
    const wanted: Amended = {
      ...(dto.words !== undefined ? { words: dto.words } : {}),
      ...(dto.complaints ? { complaints: [...new Set(dto.complaints)].sort() } : {}),
      ...(dto.promisedOn ? { promisedOn: dto.promisedOn } : {}),
      ...(dto.accessories ? { accessories: dto.accessories.map((a) => a.trim()) } : {}),
      ...(dto.pickedUp !== undefined ? { pickedUp: dto.pickedUp.trim() } : {}),
    };
    refuseIf(dto.complaints ? unknownIds(kind, { complaints: dto.complaints }) : []);
    const differs = (name: keyof typeof LABELS) =>
      wanted[name] !== undefined && JSON.stringify(wanted[name]) !== JSON.stringify(facts[name]);
    if (differs('complaints')) await replaceComplaints(db, facts.id, wanted.complaints!);
    const row: JobChange = {
      ...(differs('words') ? { words: wanted.words! } : {}),
      ...(differs('promisedOn') ? { promised_on: wanted.promisedOn! } : {}),
      ...(differs('accessories') ? { accessories: wanted.accessories! } : {}),
      ...(differs('pickedUp') ? { picked_up: wanted.pickedUp! } : {}),
    };
    change(row);
    const changed = (Object.keys(LABELS) as (keyof typeof LABELS)[]).filter(differs);
    if (changed.length > 0) tell('corrected', `Corrected: ${changed.map((k) => LABELS[k]).join(', ')}.`);
    if (row.words !== undefined) onceWritten((now) => refreshSearch(now, machineId));
  },
});
