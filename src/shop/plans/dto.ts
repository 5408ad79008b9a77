import { ArrayMaxSize, Equals, IsArray, IsInt, IsOptional, IsString, Length, Max, Min } from 'class-validator';
import type { DueBy, Habit } from '@/core/service/planDue';
import type { MeterEvent } from '@/core/service/runningHours';
import { DeedDto } from '../deed/dto';
import { Nested } from '../nested';

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

/** Name of the form in every exported plan; raised when a field changes its meaning. */
export const PLANS_FORM = 'grit-keeper/plans/1';

/** Between two services: whichever of its numbers comes first. */
export class IntervalDto {
  @IsOptional()
  @IsInt({ message: 'Whole days.' })
  @Min(1, { message: 'At least a day.' })
  @Max(7300, { message: 'At most twenty years.' })
  days?: number | null;

  @IsOptional()
  @IsInt({ message: 'Whole hours.' })
  @Min(1, { message: 'At least an hour.' })
  @Max(50_000, { message: 'At most 50,000 hours.' })
  hours?: number | null;

  @IsOptional()
  @IsInt({ message: 'Whole uses.' })
  @Min(1, { message: 'At least one use.' })
  @Max(50_000, { message: 'At most 50,000 uses.' })
  uses?: number | null;
}

/** An interval of the shop's own. */
export class OwnIntervalDto extends IntervalDto {
  @IsString()
  @Length(0, 500, { message: 'At most 500 characters.' })
  why!: string;
}

export class PlansItemDto {
  @IsString()
  @Length(1, 80)
  item!: string;

  /** Null: the bench's habit. */
  @IsOptional()
  @Nested(() => OwnIntervalDto)
  own?: OwnIntervalDto | null;
}

/** What of a file is read: the shop's own intervals of a kind. */
export class PlansFileDto {
  @Equals(PLANS_FORM, { message: `A file of the form ${PLANS_FORM}.` })
  form!: string;

  @IsString()
  @Length(1, 80)
  kind!: string;

  @IsArray({ message: 'A list of items.' })
  @ArrayMaxSize(100, { message: 'At most 100 items.' })
  @Nested(() => PlansItemDto, { each: true })
  items!: PlansItemDto[];
}

export class ReadPlansDto extends DeedDto {
  @Nested(() => PlansFileDto)
  plans!: PlansFileDto;
}

interface WholeHabit {
  days: number | null;
  hours: number | null;
  uses: number | null;
  times: number | null;
}

/** The plan of a kind as a file has it: what its plates say, what benches do, and what this shop does. */
export interface PlansBook {
  form: typeof PLANS_FORM;
  kind: string;
  items: {
    item: string;
    label: string;
    station: string;
    minutes: number;
    maker: WholeHabit | null;
    bench: WholeHabit | null;
    heavyDays: number | null;
    tradeOnly: boolean;
    floodedOnly: boolean;
    beforeFrost: boolean;
    byItsPeople: boolean;
    own: (Omit<WholeHabit, 'times'> & { why: string }) | null;
  }[];
}
