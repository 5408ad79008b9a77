import { IsNumber, Max, Min } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export class RecordMeterDto extends JobDeedDto {
  @IsNumber({}, { message: 'Hours, as the meter shows them.' })
  @Min(0, { message: 'Hours, as the meter shows them.' })
  @Max(9_999_999, { message: 'Hours, as the meter shows them.' })
  hours!: number;
}
