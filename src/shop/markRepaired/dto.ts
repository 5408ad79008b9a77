import { IsBoolean, IsString } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export class MarkRepairedDto extends JobDeedDto {
  @IsString()
  fault!: string;

  @IsBoolean()
  done!: boolean;
}
