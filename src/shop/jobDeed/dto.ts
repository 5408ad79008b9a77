import { IsInt, Min } from 'class-validator';
import { DeedDto } from '../deed/dto';

/** What every write to a job carries. */
export class JobDeedDto extends DeedDto {
  /** Version of the job that the sender saw. */
  @IsInt({ message: 'Version of the job that was seen.' })
  @Min(1)
  version!: number;
}
