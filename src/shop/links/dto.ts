import { IsIn, IsInt, IsOptional, IsString, Length, Max, Min } from 'class-validator';
import type { OwnersWords } from '@/knowledge/ownersPhrases';
import type { OfferId } from '@/core/agree/offers';
import { DeedDto } from '../deed/dto';
import { JobDeedDto } from '../jobDeed/dto';
import type { PaperContent } from '../papers/dto';

export class MakeLinkDto extends DeedDto {
  @IsInt()
  @Min(1)
  @Max(90, { message: 'At most 90 days.' })
  days!: number;
}

export interface MadeLink {
  /** Of the page, from the server’s own address on; shown once. */
  path: string;
}

/** What the owner presses on the page of a link. */
export class AnswerByLinkDto extends DeedDto {
  /** The estimate that they saw. */
  @IsInt()
  @Min(1)
  estimate!: number;

  @IsIn(['yes', 'as-is'], { message: 'Yes or no.' })
  says!: 'yes' | 'as-is';

  @IsOptional()
  @IsIn(['minimum', 'recommended', 'all'])
  offer?: OfferId | null;

  @IsString()
  @Length(2, 120, { message: 'Your name, please.' })
  who!: string;

  @IsString()
  @Length(0, 2000, { message: 'At most 2000 characters.' })
  words!: string;

  /** Name under the warning that something dangerous is left. */
  @IsOptional()
  @IsString()
  @Length(0, 120)
  signed?: string;
}

/** The same as a deed on the job. */
export class AnswerFromLinkDto extends JobDeedDto {
  link!: number;
  answer!: AnswerByLinkDto;
}

/** What the page of a link shows: this machine, this offer, and nothing else of the shop. */
export interface LinkView {
  shop: { name: string; phone: string; address: string };
  customer: string;
  machine: string;
  said: PaperContent['said'];
  /** `found`: what was found, where it shows that; empty otherwise. */
  photographs: { id: number; caption: string; found: string }[];
  estimate: {
    id: number;
    number: number;
    columns: { id: OfferId; title: string; minor: number; unsafe: string[] }[];
    groups: PaperContent['groups'];
    totals: PaperContent['totals'];
    terms: string[];
  } | null;
  /** What stands answered; null while it is open. */
  answered: { says: string; who: string; at: string } | null;
  isClosed: boolean;
  currency: string;
  /** In which amounts are written. */
  locale: string;
  /** BCP 47, of the words. */
  language: string;
  words: OwnersWords;
}
