import { IsInt } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export class RevokeFindingDto extends JobDeedDto {
  @IsInt()
  finding!: number;
}
