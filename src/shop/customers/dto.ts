import 'reflect-metadata';
import { IsBoolean, IsIn, IsInt, IsOptional, IsString, Length, Matches, Min } from 'class-validator';
import { DeedDto } from '../deed/dto';
import { JobDeedDto } from '../jobDeed/dto';

export class AddCustomerDto extends DeedDto {
  @IsString()
  @Length(1, 200, { message: 'The customer’s name, 200 characters at most.' })
  name!: string;

  @IsIn(['household', 'business'], { message: 'A household or a business.' })
  kind!: 'household' | 'business';

  @IsString()
  @Length(0, 40, { message: 'At most 40 characters.' })
  phone!: string;

  @IsString()
  @Length(0, 200, { message: 'At most 200 characters.' })
  email!: string;

  @IsString()
  @Length(0, 400, { message: 'At most 400 characters.' })
  address!: string;

  @IsString()
  @Length(0, 4000, { message: 'At most 4000 characters.' })
  standing!: string;

  /** Pays no tax; as it was when absent. */
  @IsOptional()
  @IsBoolean({ message: 'Yes or no.' })
  taxExempt?: boolean;

  /** Nothing is written to them about what falls due; as it was when absent. */
  @IsOptional()
  @IsBoolean({ message: 'Yes or no.' })
  noLetters?: boolean;

  /** Language in which they are told, where the shop has written it; as it was when absent. */
  @IsOptional()
  @Matches(/^([a-z]{2,3}(-[A-Za-z0-9]{2,8})*)?$/, { message: 'A language such as nb, or nothing.' })
  language?: string;
}

/** Columns by which customers are sorted. */
export const CUSTOMER_COLUMNS = ['name', 'phone', 'address'] as const;

export class AmendCustomerDto extends AddCustomerDto {
  @IsInt({ message: 'Version that was seen.' })
  @Min(1)
  version!: number;
}

/** Makes another customer's card part of this one. */
export class MergeCustomersDto extends JobDeedDto {
  @IsInt({ message: 'The customer that goes into this one.' })
  other!: number;
}

export class PutSiteDto extends JobDeedDto {
  @IsOptional()
  @IsInt()
  id?: number;

  @IsString()
  @Length(1, 120, { message: 'What the place is called.' })
  label!: string;

  @IsString()
  @Length(0, 400, { message: 'At most 400 characters.' })
  address!: string;

  @IsString()
  @Length(0, 1000, { message: 'At most 1000 characters.' })
  note!: string;
}

export class PutContactDto extends JobDeedDto {
  @IsOptional()
  @IsInt()
  id?: number;

  @IsString()
  @Length(1, 200, { message: 'Whom to ask for.' })
  name!: string;

  @IsString()
  @Length(0, 40, { message: 'At most 40 characters.' })
  phone!: string;

  @IsString()
  @Length(0, 200, { message: 'At most 200 characters.' })
  email!: string;

  /** What they are for: keys, invoices, the machines. */
  @IsString()
  @Length(0, 120, { message: 'At most 120 characters.' })
  task!: string;
}

export interface CustomerListView {
  id: number;
  name: string;
  kind: string;
  phone: string;
  address: string;
  machines: number;
}

export interface CustomerCardView {
  id: number;
  version: number;
  name: string;
  kind: 'household' | 'business';
  phone: string;
  email: string;
  address: string;
  standing: string;
  taxExempt: boolean;
  noLetters: boolean;
  language: string;
  mergedInto: number | null;
  sites: { id: number; label: string; address: string; note: string }[];
  contacts: { id: number; name: string; phone: string; email: string; task: string }[];
  machines: {
    id: number;
    tag: string;
    maker: string;
    model: string;
    serial: string;
    openJob: number | null;
    lastJobAt: string | null;
    nextDueOn: string | null;
  }[];
  alike: { id: number; name: string; phone: string; machines: number }[];
  today: string;
}
