import { IsInt, IsString, Max, Min } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export class FitPartDto extends JobDeedDto {
  @IsString()
  code!: string;

  @IsString()
  station!: string;

  @IsInt()
  @Min(1)
  @Max(99)
  quantity!: number;
}
