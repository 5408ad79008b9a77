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
  openJob: number | null;
  lastJobAt: string | null;
}

export interface MachineCardView {
  id: number;
  tag: string;
  serial: string;
  maker: string;
  model: string;
  kind: string;
  mainsV: number;
  droppedStations: string[];
  madeYear: number | null;
  pets: boolean;
  hoursPerWeek: number;
  note: string;
  nextDueOn: string | null;
  openJob: number | null;
  customer: { name: string; kind: string; phone: string; address: string };
  plans: { item: string; label: string; station: string | null; lastDoneOn: string; dueOn: string; overdue: boolean }[];
  partAgeDays: Record<string, number>;
  timeline: { id: number; at: string; what: string; text: string; job: number | null; by: string | null }[];
  jobs: { id: number; stage: string; takenInAt: string; closedAt: string | null; words: string; faults: string[] }[];
  readings: { item: string; before: number | null; after: number; unit: string; at: string }[];
  today: string;
}
