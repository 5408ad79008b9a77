import { IsOptional, IsString, Length } from 'class-validator';

export class MeasureDto {
  @IsString()
  @Length(1, 80, { message: 'Id of a check.' })
  check!: string;

  @IsOptional()
  @IsString()
  @Length(1, 40, { message: 'Id of a condition.' })
  condition?: string;
}

export class LookDto {
  @IsString()
  @Length(1, 80, { message: 'Id of a check, or of a repair that was tried.' })
  check!: string;
}

/** What is seen on the practice machine. */
export interface SeenView {
  seen: { aspect: string; outcome: string }[];
}

/** What a simulated instrument shows. */
export interface MeasuredView {
  instrument: string;
  /** The reading as the instrument sends it: one line of its protocol. */
  line: string;
}
