import { EmailField, PasswordField } from './person.js';
import { Line } from './text.js';

/** The first visitor makes the club and is its owner. */
export class MakeClubRequest {
  @Line({ most: 80 })
  clubName!: string;

  @Line({ most: 80 })
  ownerName!: string;

  @EmailField()
  email!: string;

  @PasswordField()
  password!: string;

  /** IANA name of the zone the browser is in. */
  @Line({ most: 60 })
  timeZone!: string;
}
