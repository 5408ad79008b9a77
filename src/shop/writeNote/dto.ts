import { IsIn, IsString, Length } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

/** Something said, or something the next technician should know. Prices are told under Agree. */
export class WriteNoteDto extends JobDeedDto {
  @IsIn(['said', 'note'], { message: 'Said by the customer, or a note of ours.' })
  what!: 'said' | 'note';

  @IsString()
  @Length(1, 4000, { message: 'Some words, 4000 characters at most.' })
  text!: string;
}
