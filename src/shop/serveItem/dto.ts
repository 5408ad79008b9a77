import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  Min,
} from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';
import { Nested } from '../nested';

export class ServiceReadingDto {
  /** Which of several: front, rear, the number of a block; empty where there is only one. */
  @IsString()
  @Length(0, 20)
  place!: string;

  @IsNumber({}, { message: 'A number.' })
  value!: number;
}

/** What became of one item of the service. */
export class ServeItemDto extends JobDeedDto {
  @IsString()
  item!: string;

  /** Done; found worn and not done; left; empty to take back what was said. */
  @IsIn(['done', 'worn', 'left', ''], { message: 'Done, worn or left.' })
  state!: 'done' | 'worn' | 'left' | '';

  @IsOptional()
  @IsString()
  @Length(0, 500, { message: 'At most 500 characters.' })
  words?: string;

  @IsOptional()
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'A day.' })
  lookAgainOn?: string;

  /** How long it took; by the clock since the last line when absent. */
  @IsOptional()
  @IsInt({ message: 'Whole minutes.' })
  @Min(0, { message: '0 to 1440 minutes.' })
  @Max(1440, { message: '0 to 1440 minutes.' })
  minutes?: number;

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(12)
  @Nested(() => ServiceReadingDto, { each: true })
  readings?: ServiceReadingDto[];

  /** The part of the shop's list that it took: it is fitted with it. */
  @IsOptional()
  @IsString()
  @Length(1, 60)
  part?: string;

  /** What was found there: an outcome of the check that tells of it. */
  @IsOptional()
  @IsString()
  found?: string;
}
