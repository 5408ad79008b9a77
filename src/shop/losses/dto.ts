import { IsIn, IsInt, IsNumber, IsOptional, IsString, Length, Max, Min } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

const LOSSES = ['missing', 'broken', 'lost', 'rusted'] as const;
const SETTLED = ['replaced', 'told', 'freed'] as const;

export class NoteLossDto extends JobDeedDto {
  @IsString()
  @Length(1, 60)
  step!: string;

  /** Missing: it was not there when the machine came. Rusted: it does not turn yet. */
  @IsIn(LOSSES, { message: `One of ${LOSSES.join(', ')}.` })
  what!: (typeof LOSSES)[number];

  @IsInt()
  @Min(1)
  @Max(99)
  count!: number;

  /** For a rusted one: how long it soaks, hours. */
  @IsOptional()
  @IsNumber({ maxDecimalPlaces: 1 })
  @Min(0.1)
  @Max(72)
  soakHours?: number;
}

export class SettleLossDto extends JobDeedDto {
  @IsInt()
  @Min(1)
  loss!: number;

  @IsIn(SETTLED, { message: `One of ${SETTLED.join(', ')}.` })
  how!: (typeof SETTLED)[number];
}
