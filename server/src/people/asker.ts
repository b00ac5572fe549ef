import type { Role } from '@leiter/contract';

/** A person of the club who is signed in; every query is scoped by `clubId`. */
export interface PersonAsker {
  readonly kind: 'person';
  readonly id: string;
  readonly clubId: string;
  readonly role: Role;
}

/** Who asks. A route says which of them it is for, and for none that it does not name. */
export type Asker = PersonAsker;
