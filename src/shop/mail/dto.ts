import { IsBoolean, IsEmail, IsInt, IsOptional, IsString, Length, Matches, Max, Min } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export interface MailSettings {
  host: string;
  port: number;
  /** TLS from the first byte; otherwise it is begun when the server can. */
  tls: boolean;
  user: string;
  from: string;
  /** Where the owner’s pages are reached from outside, such as https://shop.example. */
  publicUrl: string;
}

/** How messages go out. */
export class AmendMailDto extends JobDeedDto implements MailSettings {
  @Matches(/^([A-Za-z0-9.-]{1,253})?$/, { message: 'The name of a mail server, or nothing.' })
  host!: string;

  @IsInt({ message: 'A port: 465, 587, 25.' })
  @Min(1)
  @Max(65_535)
  port!: number;

  @IsBoolean()
  tls!: boolean;

  @IsString()
  @Length(0, 254)
  user!: string;

  /** As it was when absent; empty forgets it. */
  @IsOptional()
  @IsString()
  @Length(0, 500)
  secret?: string;

  @IsString()
  @Length(0, 254)
  from!: string;

  @Matches(/^(https?:\/\/[A-Za-z0-9.:[\]-]{1,253})?$/, {
    message: 'An address such as https://shop.example, or nothing.',
  })
  publicUrl!: string;
}

export interface MailView extends MailSettings {
  version: number;
  hasSecret: boolean;
}

export class SendMessageDto extends JobDeedDto {
  @IsEmail({}, { message: 'An address such as name@shop.example.' })
  @Length(3, 254)
  to!: string;

  @Matches(/^[^\r\n]{1,200}$/, { message: 'One line, 200 characters at most.' })
  subject!: string;

  @IsString()
  @Length(1, 10_000, { message: 'Some words, 10,000 characters at most.' })
  words!: string;

  /** A page on which the owner can answer is made and named in it. */
  @IsBoolean()
  withLink!: boolean;
}

export interface OutboxView {
  messages: {
    id: number;
    job: number | null;
    to: string;
    subject: string;
    body: string;
    state: 'waiting' | 'sent' | 'failed';
    tries: number;
    lastError: string;
    at: string;
    sentAt: string | null;
  }[];
  before: number | null;
  /** What the simulated mail server took, where there is one. */
  standIn: { id: number; to: string[]; subject: string; text: string; at: string }[] | null;
  isSetUp: boolean;
}
