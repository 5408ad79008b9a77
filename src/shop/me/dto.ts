import { IsBoolean, IsIn, IsInt, IsOptional, IsString, Length, Matches, Max, Min, ValidateIf } from 'class-validator';
import { DeedDto } from '../deed/dto';

const OWN = { message: 'Your passphrase, as it is now.' };

export class OwnPassphraseDto extends DeedDto {
  @IsString()
  @Length(1, 200, OWN)
  now!: string;

  @IsString()
  @Length(12, 200, { message: 'A passphrase has 12 characters or more.' })
  passphrase!: string;
}

export class EndOwnSessionDto extends DeedDto {
  /** Absent: all but this one. */
  @IsOptional()
  @IsInt()
  session?: number;
}

export class BeginFactorDto extends DeedDto {
  @IsString()
  @Length(1, 200, OWN)
  now!: string;
}

export class ConfirmFactorDto extends DeedDto {
  @IsString()
  @Matches(/^\s*\d{3}\s?\d{3}\s*$/, { message: 'The six digits that the authenticator shows.' })
  code!: string;
}

export class DropFactorDto extends DeedDto {
  @IsString()
  @Length(1, 200, OWN)
  now!: string;
}

export class MakeTokenDto extends DeedDto {
  @IsString()
  @Length(1, 80, { message: 'What it is for.' })
  label!: string;

  @IsIn(['read', 'write'], { message: 'Read, or read and write.' })
  scope!: 'read' | 'write';

  /** Null for one that does not end by itself. */
  @ValidateIf((dto: MakeTokenDto) => dto.days !== null)
  @IsInt({ message: '1 to 3650 days, or nothing.' })
  @Min(1, { message: '1 to 3650 days, or nothing.' })
  @Max(3650, { message: '1 to 3650 days, or nothing.' })
  days!: number | null;
}

export class RevokeTokenDto extends DeedDto {
  @IsInt({ message: 'Number of the token.' })
  token!: number;
}

export class LockScreenDto extends DeedDto {
  @IsBoolean()
  locked!: true;
}

export class UnlockScreenDto extends DeedDto {
  @IsString()
  @Length(1, 200, { message: 'Your passphrase.' })
  passphrase!: string;
}

/** One's own keys to the shop. */
export interface MeView {
  id: number;
  name: string;
  signIn: string;
  role: 'owner' | 'technician' | 'counter';
  sessions: { id: number; agent: string; since: string; lastSeen: string; isThis: boolean }[];
  factor: { since: string; codesLeft: number } | null;
  tokens: {
    id: number;
    label: string;
    scope: 'read' | 'write';
    since: string;
    lastUsed: string | null;
    until: string | null;
  }[];
}

/** A second factor that is begun: read by an authenticator, then confirmed by its first code. */
export interface FactorBegun {
  /** The square code as SVG. */
  square: string;
  letters: string;
}
