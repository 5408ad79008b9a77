import { ArrayMaxSize, IsArray, IsIn, IsInt, IsObject, Min } from 'class-validator';
import { gauges } from '@/core/gauges/catalogue';
import type { RawValues } from '@/core/gauges/fields';
import { JobDeedDto } from '../jobDeed/dto';

const IDS = gauges.map((g) => g.id);
const USES = ['finding', 'wait', 'plan', 'proof'] as const;

export class KeepGaugeDto extends JobDeedDto {
  @IsIn(IDS, { message: `One of ${IDS.join(', ')}.` })
  gauge!: string;

  /** The fields as typed. */
  @IsObject({ message: 'The fields of the gauge.' })
  inputs!: RawValues;

  /** What the result is used for at once: it answers a check of the finder, starts a wait, sets the plan's date, proves something. */
  @IsArray()
  @ArrayMaxSize(4)
  @IsIn(USES, { each: true, message: `Of ${USES.join(', ')}.` })
  use!: (typeof USES)[number][];
}

export class TakeBackGaugeDto extends JobDeedDto {
  @IsInt({ message: 'Number of the kept result.' })
  @Min(1)
  result!: number;
}
