import { IsObject } from 'class-validator';

export class DraftDto {
  @IsObject({ message: 'The content of the form, as an object.' })
  content!: Record<string, unknown>;
}
