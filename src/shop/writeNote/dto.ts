import { IsIn, IsString, Length } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

/** Something said, or something the next technician should know. */
export class WriteNoteDto extends JobDeedDto {
  @IsIn(['said', 'note', 'estimate'], { message: 'Said by the customer, a note of ours, or a price that was told.' })
  what!: 'said' | 'note' | 'estimate';

  @IsString()
  @Length(1, 4000, { message: 'Some words, 4000 characters at most.' })
  text!: string;
}
