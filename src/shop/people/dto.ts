import { IsBoolean, IsIn, IsInt, IsOptional, IsString, Length, Matches } from 'class-validator';
import { DeedDto } from '../deed/dto';
import { JobDeedDto } from '../jobDeed/dto';

const ROLES = ['owner', 'technician', 'counter'] as const;

export class AddPersonDto extends DeedDto {
  @IsString()
  @Length(2, 60, { message: '2 to 60 characters.' })
  @Matches(/^\S+$/, { message: 'One word, without spaces.' })
  signIn!: string;

  @IsString()
  @Length(1, 120, { message: 'What they are called.' })
  name!: string;

  @IsIn(ROLES, { message: 'Owner, technician or counter.' })
  role!: (typeof ROLES)[number];

  @IsString()
  @Length(12, 200, { message: 'A passphrase has 12 characters or more.' })
  passphrase!: string;
}

export class AmendPersonDto extends JobDeedDto {
  @IsString()
  @Length(1, 120, { message: 'What they are called.' })
  name!: string;

  @IsIn(ROLES, { message: 'Owner, technician or counter.' })
  role!: (typeof ROLES)[number];

  /** A locked person is signed out at once and cannot sign in. */
  @IsBoolean()
  locked!: boolean;
}

export class ResetPassphraseDto extends JobDeedDto {
  @IsString()
  @Length(12, 200, { message: 'A passphrase has 12 characters or more.' })
  passphrase!: string;

  /** Their authenticator is lost, and the recovery codes with it. */
  @IsOptional()
  @IsBoolean()
  dropFactor?: boolean;
}

export class EndSessionDto extends JobDeedDto {
  /** Absent: all of them. */
  @IsOptional()
  @IsInt()
  session?: number;
}

export interface PersonView {
  id: number;
  version: number;
  signIn: string;
  name: string;
  role: (typeof ROLES)[number];
  locked: boolean;
  sessions: { id: number; agent: string; since: string; lastSeen: string }[];
}
