import { IsString, Length } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export class ClearCautionDto extends JobDeedDto {
  @IsString()
  caution!: string;

  @IsString()
  @Length(3, 500, { message: 'Say how it was made safe (3 to 500 characters).' })
  how!: string;
}
