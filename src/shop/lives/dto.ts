import { IsBoolean, IsInt, IsOptional, IsString, Length, Max, Min } from 'class-validator';
import type { GroupLife } from '@/core/service/fitLives';
import type { CumulativePoint } from '@/core/service/meanCumulative';
import type { SurvivorStep } from '@/core/service/survivors';
import type { FittedLife } from '@/core/service/weibullFit';
import { DeedDto } from '../deed/dto';

/** An interval of the shop's own for an item of the plan; neither days nor hours nor uses: the bench's habit again. */
export class TakeIntervalDto extends DeedDto {
  @IsString()
  @Length(1, 80)
  kind!: string;

  @IsString()
  @Length(1, 80)
  item!: string;

  @IsOptional()
  @IsInt({ message: 'Whole days.' })
  @Min(7, { message: 'At least a week.' })
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

  @IsString()
  @Length(0, 500, { message: 'At most 500 characters.' })
  why!: string;
}

/** Whether the life that the shop's own history tells goes before the usual one. */
export class TakeLifeDto extends DeedDto {
  @IsString()
  @Length(1, 80)
  kind!: string;

  @IsString()
  @Length(1, 80)
  fault!: string;

  /** Worked out anew here, from the history as it is; false: the usual one again. */
  @IsBoolean()
  take!: boolean;
}

export interface LivesView {
  kind: string;
  /** Faults that wear brings, most often seen first. */
  faults: {
    fault: string;
    label: string;
    station: string;
    /** How often it was confirmed here, in every kind of job. */
    confirmed: number;
    usual: { shape: number; years: number };
    own: { shape: number; years: number; failures: number } | null;
  }[];
  /** How many failures a machine has had up to an age in days, on the average. */
  failures: CumulativePoint[];
  machines: number;
  /** Handed back, and back within 90 days for the same complaint. */
  comebacks: { complaint: string; label: string; often: number; of: number; low: number; high: number }[];
  /** Of machines handed back: what brings them again within a year, cause by cause; none counts a second cause after a first. */
  causes: { fault: string; label: string; share: number }[];
  intervals: {
    kind: string;
    item: string;
    label: string;
    days: number | null;
    hours: number | null;
    uses: number | null;
    why: string;
    at: string;
    by: string | null;
  }[];
  currency: string;
  locale: string;
  zone: string;
}

export interface LifeView {
  kind: string;
  fault: string;
  label: string;
  /** In days; null with fewer than two failures. */
  fit: FittedLife | null;
  groups: GroupLife[];
  /** So few that nothing should be taken over. */
  few: boolean;
  /** Failure by failure, whatever the law. */
  steps: SurvivorStep[];
  band: { age: number; whole: number; low: number; high: number }[];
  usual: { shape: number; scaleDays: number };
  /** What it costs when it is planned, and when it fails by itself: smallest units. */
  plannedMinor: number;
  failureMinor: number;
  /** Items of the plan that this interval could be of. */
  items: { item: string; label: string; days: number | null }[];
  currency: string;
  locale: string;
}
