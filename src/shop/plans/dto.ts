import type { DueBy, Habit } from '@/core/service/planDue';
import type { MeterEvent } from '@/core/service/runningHours';

/** An item of a machine's plan as its card shows it. */
export interface PlanView {
  item: string;
  label: string;
  station: string;
  lastDoneOn: string | null;
  /** Null: nobody knows, or nothing says yet. */
  dueOn: string | null;
  early: string | null;
  late: string | null;
  by: DueBy | null;
  overdue: boolean;
  /** What the plate or the papers say, and the bench's own habit for this use. */
  maker: Habit | null;
  bench: Habit | null;
  /** Its people do it themselves, between visits. */
  byItsPeople: boolean;
  /** The shop's own interval holds in place of the bench's habit. */
  own: boolean;
  lookAgainOn: string | null;
  /** What another week costs on the average, smallest units; null where nothing is known of it. */
  weekMinor: number | null;
}

export interface RunningView {
  hoursPerWeek: number;
  low: number;
  high: number;
  from: 'meter' | 'card';
  /** Since its first reading here. */
  totalHours: number | null;
  events: (Omit<MeterEvent, 'day'> & { on: string })[];
}
