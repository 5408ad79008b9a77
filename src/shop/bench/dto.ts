export interface BenchStrip {
  job: number;
  version: number;
  benchNo: number;
  person: { id: number; name: string } | null;
  comeback: boolean;
  stage: string;
  place: string;
  tag: string;
  maker: string;
  model: string;
  owner: string;
  complaints: string[];
  promisedOn: string;
  takenInAt: string;
  next: { text: string; minutes: number } | null;
  wait: { kind: string; what: string; startedAt: string; endsAt: string; rang: boolean } | null;
  late: boolean;
}

export interface BenchView {
  strips: BenchStrip[];
  today: string;
  /** The days of the strip, each with the instant at which it starts in the shop's zone. */
  days: { date: string; startsAt: string }[];
  now: string;
  benches: number;
  people: { id: number; name: string }[];
  zone: string;
  /** Machines on the premises that are not among the strips: those promised last. */
  more: number;
}
