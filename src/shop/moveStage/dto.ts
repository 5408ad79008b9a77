import { IsIn } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export const BUILT_STAGES = ['find', 'agree', 'strip', 'fit', 'prove', 'hand-back'] as const;

export class MoveStageDto extends JobDeedDto {
  @IsIn(BUILT_STAGES, { message: `One of ${BUILT_STAGES.join(', ')}.` })
  to!: (typeof BUILT_STAGES)[number];
}
