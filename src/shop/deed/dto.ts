import { IsUUID } from 'class-validator';

/** What every write carries. */
export class DeedDto {
  /** Chosen by the sender: the same key twice is one deed. */
  @IsUUID(undefined, { message: 'A UUID chosen by the sender.' })
  key!: string;
}
