import { IsIn, IsString, Length } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export const STRIP_STATES = ['done', 'not-here', 'undone'] as const;

export class StripStepDto extends JobDeedDto {
  @IsString()
  @Length(1, 60)
  step!: string;

  /** Undone: it was pressed by mistake, or there is such a part after all. */
  @IsIn(STRIP_STATES, { message: `One of ${STRIP_STATES.join(', ')}.` })
  state!: (typeof STRIP_STATES)[number];
}
