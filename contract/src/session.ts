import { IsString, MaxLength, MinLength } from 'class-validator';

export const roles = ['owner', 'instructor', 'assistant'] as const;
export type Role = (typeof roles)[number];

export class SignInRequest {
  @IsString({ message: 'Write your e-mail address.' })
  @MinLength(1, { message: 'Write your e-mail address.' })
  @MaxLength(254, { message: 'This is too long for an e-mail address.' })
  email!: string;

  @IsString({ message: 'Write your password.' })
  @MinLength(1, { message: 'Write your password.' })
  @MaxLength(200, { message: 'This is too long for a password.' })
  password!: string;
}

/** Who is signed in. */
export interface SessionResponse {
  readonly person: PersonResponse;
  readonly club: { readonly name: string; readonly isDemo: boolean; readonly timeZone: string };
  /** The day it is for the club. */
  readonly today: string;
}

export interface PersonResponse {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
}

/** What a visitor who is not signed in is told: whether a club is still to be made, and whom the demo offers. */
export interface WelcomeResponse {
  readonly needsClub: boolean;
  readonly demoPeople: readonly { readonly name: string; readonly email: string; readonly does: string }[];
  readonly demoPassword: string | null;
}
