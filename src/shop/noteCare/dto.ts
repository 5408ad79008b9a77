import { ArrayMaxSize, IsArray, IsInt, IsString, Max, Min } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';
import { Nested } from '../nested';

export class CareDto {
  @IsString()
  item!: string;

  @IsInt({ message: 'Whole days.' })
  @Min(0, { message: 'Whole days.' })
  @Max(366, { message: 'At most a year.' })
  doneDays!: number;

  @IsInt({ message: 'Whole days.' })
  @Min(1, { message: 'At least one day.' })
  @Max(366, { message: 'At most a year.' })
  ofDays!: number;
}

/** All that the operator’s own sheet says, in place of what was taken down before at this visit. */
export class NoteCareDto extends JobDeedDto {
  @IsArray()
  @ArrayMaxSize(40)
  @Nested(() => CareDto, { each: true })
  care!: CareDto[];
}
