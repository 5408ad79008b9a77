import { IsIn, IsNumber, IsString, Length, Max, Min } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export const WAIT_KINDS = ['drying', 'soaking', 'glue', 'part', 'answer'] as const;

export class StartWaitDto extends JobDeedDto {
  @IsIn(WAIT_KINDS)
  kind!: (typeof WAIT_KINDS)[number];

  @IsString()
  @Length(0, 200)
  what!: string;

  @IsNumber()
  @Min(0.1, { message: 'At least 0.1 h.' })
  @Max(2000, { message: 'At most 2000 h.' })
  hours!: number;
}
