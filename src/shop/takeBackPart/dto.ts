import { IsInt } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export class TakeBackPartDto extends JobDeedDto {
  @IsInt()
  fitted!: number;
}
