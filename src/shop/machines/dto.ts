import type { Ending, Visit } from '../jobView/dto';
import type { PlanView, RunningView } from '../plans/dto';
import type { PhotographView } from '../pictures/dto';

/** Columns by which machines are sorted. */
export const MACHINE_COLUMNS = ['tag', 'machine', 'owner', 'serial', 'due'] as const;

export interface MachineListView {
  id: number;
  tag: string;
  serial: string;
  maker: string;
  model: string;
  kind: string;
  owner: string;
  madeYear: number | null;
  nextDueOn: string | null;
  /** What falls due on that day. */
  dueItems: string[];
  openJob: number | null;
  /** Found at an earlier visit and not mended. */
  openFaults: string[];
  lastJobAt: string | null;
  /** The day of it in the shop's zone. */
  lastHereOn: string | null;
  phone: string;
  warrantyUntil: string | null;
  /** For the next technician. */
  note: string;
  /** The owner's standing instructions. */
  standing: string;
}

export interface TimelineView {
  id: number;
  at: string;
  what: string;
  text: string;
  job: number | null;
  by: string | null;
}

export interface MachineCardView {
  id: number;
  version: number;
  modelId: number;
  tag: string;
  serial: string;
  maker: string;
  model: string;
  kind: string;
  mainsV: number;
  droppedStations: string[];
  addedStations: { line: string; after: string; id: string; label: string }[];
  belts: string[];
  bearings: string[];
  filters: string[];
  siteId: number | null;
  purchasedOn: string | null;
  warrantyUntil: string | null;
  /** Tag of the machine whose book this one is part of now. */
  mergedInto: string | null;
  madeYear: number | null;
  pets: boolean;
  hoursPerWeek: number;
  note: string;
  nextDueOn: string | null;
  openJob: number | null;
  customer: { id: number; name: string; kind: string; phone: string; address: string; standing: string };
  sites: { id: number; label: string }[];
  /** By their day; what nobody knows when it was done last stands at the end, with no day. */
  plans: PlanView[];
  /** How it runs, by its meter or by what the owner says. */
  running: RunningView;
  /** What was read at its services, oldest first. */
  serviceReadings: { item: string; reading: string; place: string; value: number; at: string }[];
  sealedBattery: boolean | null;
  currency: string;
  locale: string;
  /** Found and not mended. */
  openFaults: { fault: string; job: number; at: string }[];
  scrappedOn: string | null;
  partAgeDays: Record<string, number>;
  timeline: TimelineView[];
  jobs: {
    id: number;
    stage: string;
    takenInAt: string;
    closedAt: string | null;
    words: string;
    faults: string[];
    comebackOf: number | null;
    visit: Visit;
    ending: Ending | null;
    foundWords: string;
  }[];
  meter: { hours: number; at: string }[];
  photographs: PhotographView[];
  /** Other tags that may be the same machine. */
  alike: { tag: string; maker: string; model: string; serial: string; owner: string }[];
  readings: { item: string; before: number | null; after: number; unit: string; at: string }[];
  today: string;
  zone: string;
}
