export interface BenchStrip {
  job: number;
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
  wait: { kind: string; what: string; startedAt: string; endsAt: string } | null;
  late: boolean;
}

export interface BenchView {
  strips: BenchStrip[];
  today: string;
  /** The days of the strip, each with the instant at which it starts in the shop's zone. */
  days: { date: string; startsAt: string }[];
  now: string;
  zone: string;
}
