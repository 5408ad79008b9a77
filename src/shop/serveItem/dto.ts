import { IsBoolean, IsString } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export class ServeItemDto extends JobDeedDto {
  @IsString()
  item!: string;

  @IsBoolean()
  done!: boolean;
}
