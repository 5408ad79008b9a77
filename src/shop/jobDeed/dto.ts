import { IsInt, IsUUID, Min } from 'class-validator';

/** What every write to a job carries. */
export class JobDeedDto {
  /** Chosen by the sender: the same key twice is one deed. */
  @IsUUID(undefined, { message: 'A UUID chosen by the sender.' })
  key!: string;

  /** Version of the job that the sender saw. */
  @IsInt({ message: 'Version of the job that was seen.' })
  @Min(1)
  version!: number;
}
