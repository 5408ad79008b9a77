import { IsBoolean, IsString } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export class TickRebuildDto extends JobDeedDto {
  @IsString()
  step!: string;

  @IsBoolean()
  done!: boolean;
}
