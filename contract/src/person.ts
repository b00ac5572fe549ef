import { IsBoolean, isEmail, IsIn, IsString, MaxLength, MinLength, registerDecorator } from 'class-validator';
import { applyDecorators } from './apply-decorators.js';
import { MayBeLeftOut } from './optional.js';
import { Line } from './text.js';

export const roles = ['owner', 'instructor', 'assistant'] as const;
/** The owner runs the club; an instructor plans and teaches; an assistant helps in class, looks and marks. */
export type Role = (typeof roles)[number];

export function EmailField(): PropertyDecorator {
  return applyDecorators(
    (target, property) => {
      registerDecorator({
        name: 'isEmail',
        target: target.constructor,
        propertyName: String(property),
        options: { message: 'This does not look like an e-mail address.' },
        validator: {
          validate: (value: unknown) => {
            // half of a character makes the package's own check throw
            if (typeof value !== 'string' || /\p{Surrogate}/u.test(value)) return false;
            return isEmail(value);
          },
        },
      });
    },
    MaxLength(254, { message: 'This is too long for an e-mail address.' }),
  );
}

/** A password that somebody chooses. */
export function PasswordField(): PropertyDecorator {
  return applyDecorators(
    IsString({ message: 'Write a password.' }),
    MinLength(10, { message: 'A password has at least 10 characters.' }),
    MaxLength(200, { message: 'This is too long for a password.' }),
  );
}

/** Somebody who is to join the club. */
export class InviteRequest {
  @Line({ most: 80 })
  name!: string;

  @EmailField()
  email!: string;

  @IsIn(roles, { message: 'Choose owner, instructor or assistant.' })
  role!: Role;
}

/** What the one who follows a link says: a password, and a name where the invitation has it wrong. */
export class AcceptInvitationRequest {
  @MayBeLeftOut()
  @Line({ most: 80 })
  name?: string;

  @PasswordField()
  password!: string;
}

export class ChangePasswordRequest {
  @IsString({ message: 'Write the password you have now.' })
  @MinLength(1, { message: 'Write the password you have now.' })
  @MaxLength(200, { message: 'This is too long for a password.' })
  oldPassword!: string;

  @PasswordField()
  newPassword!: string;
}

/** Only what is to be changed. */
export class ChangePersonRequest {
  @MayBeLeftOut()
  @IsIn(roles, { message: 'Choose owner, instructor or assistant.' })
  role?: Role;

  @MayBeLeftOut()
  @IsBoolean({ message: 'Say yes or no.' })
  isPutAway?: boolean;
}

export interface PersonResponse {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  /** Does not work here any more: cannot sign in, and is not offered. What the person wrote stays. */
  readonly isPutAway: boolean;
}

/** A link that can still be followed; `join` brings a new person, `reset` a new password. */
export interface InvitationResponse {
  readonly id: string;
  readonly kind: 'join' | 'reset';
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  readonly endsAt: string;
}

/** An invitation with its token, which is told this once. */
export interface MadeInvitation extends InvitationResponse {
  readonly token: string;
}

/** What the one who was given a link is told. */
export type InvitationForGuest = Pick<InvitationResponse, 'kind' | 'name' | 'email' | 'role'> & { readonly clubName: string };
