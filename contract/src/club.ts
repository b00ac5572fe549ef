import { IsEmail, IsIn, IsString, MaxLength, MinLength } from 'class-validator';
import { roles, type Role } from './session.js';
import { Line } from './text.js';

/** The first visitor makes the club and is its owner. */
export class MakeClubRequest {
  @Line({ most: 80 })
  clubName!: string;

  @Line({ most: 80 })
  ownerName!: string;

  @IsEmail({}, { message: 'This does not look like an e-mail address.' })
  @MaxLength(254)
  email!: string;

  @IsString()
  @MinLength(10, { message: 'A password has at least 10 characters.' })
  @MaxLength(200, { message: 'This is too long for a password.' })
  password!: string;

  /** IANA name of the zone the browser is in. */
  @Line({ most: 60 })
  timeZone!: string;
}

export class AddPersonRequest {
  @Line({ most: 80 })
  name!: string;

  @IsEmail({}, { message: 'This does not look like an e-mail address.' })
  @MaxLength(254)
  email!: string;

  @IsIn(roles, { message: 'Choose owner, instructor or assistant.' })
  role!: Role;

  @IsString()
  @MinLength(10, { message: 'A password has at least 10 characters.' })
  @MaxLength(200, { message: 'This is too long for a password.' })
  password!: string;
}
