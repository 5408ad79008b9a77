import { IsString, Length } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export class StrikeComplaintDto extends JobDeedDto {
  @IsString()
  complaint!: string;

  @IsString()
  @Length(3, 500, { message: 'Why it does not stand (3 to 500 characters).' })
  why!: string;
}
