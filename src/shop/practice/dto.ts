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

/** What a simulated instrument shows. */
export interface MeasuredView {
  instrument: string;
  /** The reading as the instrument sends it: one line of its protocol. */
  line: string;
}
