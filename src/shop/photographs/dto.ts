import { ArrayMaxSize, ArrayMinSize, IsArray, IsInt, IsString, Length } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

/** Photographs that were sent before, given to a job. */
export class AddPhotographsDto extends JobDeedDto {
  @IsArray()
  @ArrayMinSize(1, { message: 'Which photographs?' })
  @ArrayMaxSize(40, { message: 'At most 40 at once.' })
  @IsInt({ each: true })
  photographs!: number[];

  @IsString()
  @Length(0, 300, { message: 'At most 300 characters.' })
  caption!: string;
}

export class RemovePhotographDto extends JobDeedDto {
  @IsInt()
  photograph!: number;
}
