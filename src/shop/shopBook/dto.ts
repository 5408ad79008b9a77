import { MAINS_VOLTS } from '@/core/units/supplyVolts';
import { IsIn, IsInt, IsOptional, IsString, Length, Max, Min } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export class AmendShopDto extends JobDeedDto {
  @IsString()
  @Length(1, 200, { message: 'What the shop is called.' })
  name!: string;

  /** IANA name of the time zone. */
  @IsString()
  @Length(1, 60, { message: 'A time zone, such as Europe/Oslo.' })
  zone!: string;

  @IsIn(MAINS_VOLTS, { message: 'A mains voltage: 100 to 240 V.' })
  mainsV!: number;

  @IsIn(['A4', 'Letter'], { message: 'A4 or Letter.' })
  paper!: 'A4' | 'Letter';

  @IsInt({ message: '1 to 9 benches.' })
  @Min(1, { message: '1 to 9 benches.' })
  @Max(9, { message: '1 to 9 benches.' })
  benches!: number;

  @IsIn(['metric', 'inch'], { message: 'Metric or inch.' })
  units!: 'metric' | 'inch';

  /** What a machine costs that comes back because something was left in it; as it was, when absent. */
  @IsOptional()
  @IsInt({ message: '10 to 600 minutes.' })
  @Min(10, { message: '10 to 600 minutes.' })
  @Max(600, { message: '10 to 600 minutes.' })
  comebackMinutes?: number;

  /** What an hour of the bench costs, in minor units; null when it is not said, as it was when absent. */
  @IsOptional()
  @IsInt({ message: 'An amount, such as 65.00.' })
  @Min(1, { message: 'More than nothing.' })
  @Max(100_000_000, { message: 'Less than a million.' })
  labourMinor?: number | null;

  /** After how many quiet minutes a screen locks itself; null for never, as it was when absent. */
  @IsOptional()
  @IsInt({ message: '1 to 240 minutes.' })
  @Min(1, { message: '1 to 240 minutes.' })
  @Max(240, { message: '1 to 240 minutes.' })
  lockMinutes?: number | null;

  /** In which month the first frost is looked for; null where there is none, as it was when absent. */
  @IsOptional()
  @IsInt({ message: 'A month, 1 to 12.' })
  @Min(1, { message: 'A month, 1 to 12.' })
  @Max(12, { message: 'A month, 1 to 12.' })
  frostMonth?: number | null;
}

export interface ShopView {
  version: number;
  name: string;
  zone: string;
  mainsV: number;
  currency: string;
  paper: 'A4' | 'Letter';
  benches: number;
  units: 'metric' | 'inch';
  comebackMinutes: number;
  labourMinor: number | null;
  lockMinutes: number | null;
  frostMonth: number | null;
}
