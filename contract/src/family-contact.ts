import { Matches } from 'class-validator';
import { MayBeLeftOut } from './optional.js';
import { EmailField } from './person.js';
import { Line } from './text.js';

/** Whom one writes to or calls about a child: as little as is needed for that. */
export class FamilyContact {
  @Line({ most: 60 })
  name!: string;

  @MayBeLeftOut()
  @EmailField()
  email?: string;

  @MayBeLeftOut()
  @Matches(/^\+?[\d ()/-]{5,25}$/, { message: 'A telephone number has 5 to 25 digits.' })
  phone?: string;
}
