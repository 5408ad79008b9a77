import { IsInt, IsString, Length, Max, Min } from 'class-validator';
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

/** A part that is on no list. */
export class FitOtherDto extends JobDeedDto {
  @IsString()
  @Length(2, 200, { message: 'What it is (2 to 200 characters).' })
  label!: string;

  /** Where it comes from and what may come of it. */
  @IsString()
  @Length(3, 500, { message: 'Where it comes from, and its risk (3 to 500 characters).' })
  why!: string;

  @IsString()
  station!: string;

  @IsInt()
  @Min(1)
  @Max(99)
  quantity!: number;
}
