import { ArrayMaxSize, ArrayMinSize, IsArray, IsOptional, IsString, Length } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export class AddComplaintsDto extends JobDeedDto {
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose what is seen.' })
  @ArrayMaxSize(8, { message: 'At most 8 at once.' })
  @IsString({ each: true })
  complaints!: string[];

  /** How it was seen, in the words of the bench. */
  @IsOptional()
  @IsString()
  @Length(0, 500, { message: 'At most 500 characters.' })
  why?: string;
}
