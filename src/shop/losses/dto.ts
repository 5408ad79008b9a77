import { IsIn, IsInt, IsNumber, IsOptional, IsString, Length, Max, Min } from 'class-validator';
import { LOSS_ENDS, LOSS_SORTS, type LossEnd, type LossSort } from '@/core/strip/tray';
import { JobDeedDto } from '../jobDeed/dto';

export class NoteLossDto extends JobDeedDto {
  @IsString()
  @Length(1, 60)
  step!: string;

  /** Missing: it was not there when the machine came. Rusted: it does not turn yet. */
  @IsIn(LOSS_SORTS, { message: `One of ${LOSS_SORTS.join(', ')}.` })
  what!: LossSort;

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

  @IsIn(LOSS_ENDS, { message: `One of ${LOSS_ENDS.join(', ')}.` })
  how!: LossEnd;
}
