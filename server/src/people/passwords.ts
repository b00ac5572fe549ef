import { dictionary } from '@zxcvbn-ts/language-common';
import { hash, verify } from '@node-rs/argon2';
import { Turns } from '../work/turns.js';

/** OWASP's recommendation for argon2id: 19 MiB, two passes, one lane. */
const argon2id = { algorithm: 2, memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

/** One hash at a time: the rest of the machine is for those who are signed in. */
const turns = new Turns({ atOnce: 1, waiting: 24 }, 'Too many are signing in at this moment. Try again in a few seconds.');

export function hashPassword(password: string): Promise<string> {
  return turns.take(() => hash(password, argon2id));
}

export function isPassword(password: string, passwordHash: string): Promise<boolean> {
  return turns.take(() => verify(passwordHash, password));
}

const common: ReadonlySet<string> = new Set(dictionary['passwords']);

/** What makes a password too easy to guess. */
export type PasswordFault = 'common' | 'about-oneself' | 'repeats';

/**
 * Looks whether a password is one of the 49,000 that are tried first, or one of them with digits or signs around it, or made of
 * one's own name or address, or of very few characters.
 * @param about what others know of the person: name, e-mail address, name of the club
 */
export function passwordFaultOf(password: string, about: readonly string[]): PasswordFault | null {
  const plain = password.toLowerCase();
  const bare = plain.replace(/^[\d\W_]+|[\d\W_]+$/gu, '');
  if (common.has(plain) || (bare.length >= 4 && plain.length - bare.length <= 4 && common.has(bare))) return 'common';
  if (new Set(plain).size < 5) return 'repeats';
  const known = about.flatMap((one) => [one, ...one.split(/[\s@._-]+/)]).map((one) => one.toLowerCase());
  // what is left of it once all that is known is taken away has to be worth something
  const rest = known
    .filter((one) => one.length >= 4)
    .sort((one, other) => other.length - one.length)
    .reduce((text, one) => text.replaceAll(one, ''), plain);
  return rest.length < 4 && rest.length < plain.length ? 'about-oneself' : null;
}

export const passwordFaultWords: Readonly<Record<PasswordFault, string>> = {
  common: 'This is one of the passwords that are tried first. Take three or four words of your own.',
  'about-oneself': 'This is your name or address: others know it as well.',
  repeats: 'This repeats itself: take at least five different characters.',
};
