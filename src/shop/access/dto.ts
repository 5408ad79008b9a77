import { IsOptional, IsString, Length } from 'class-validator';

export class SignInDto {
  @IsString()
  @Length(2, 60, { message: 'Your sign-in name, 2 to 60 characters.' })
  signIn!: string;

  @IsString()
  @Length(1, 200, { message: 'Your passphrase.' })
  passphrase!: string;

  /** Six digits of an authenticator, or a recovery code; asked for when there is a second factor. */
  @IsOptional()
  @IsString()
  @Length(0, 40, { message: 'Six digits, or a recovery code.' })
  code?: string;
}
