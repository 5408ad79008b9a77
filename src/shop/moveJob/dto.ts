import { IsIn, IsInt, IsOptional, Max, Min, ValidateIf } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

/** Another place, another person, or both; what is not named stays. */
export class MoveJobDto extends JobDeedDto {
  @IsOptional()
  @IsIn(['bench', 'rack', 'parts-shelf', 'door-shelf'], { message: 'A place of the shop.' })
  place?: 'bench' | 'rack' | 'parts-shelf' | 'door-shelf';

  /** Which bench, when the place is the bench. */
  @IsOptional()
  @IsInt({ message: 'The number of the bench.' })
  @Min(1)
  @Max(9)
  benchNo?: number;

  /** Whose work it is; null gives it to nobody. */
  @IsOptional()
  @ValidateIf((dto: MoveJobDto) => dto.personId !== null)
  @IsInt({ message: 'A person of the shop, or null.' })
  personId?: number | null;
}
