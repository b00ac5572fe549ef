import type { ChildId } from '../values/unit.js';

/** A child as a class calls it: given names, and the first letter of the family name: `Ana Maria S.` */
export interface NamedChild {
  readonly id: ChildId;
  readonly name: string;
}

/** What a line of the names in a call says. Whoever is `sure` is meant beyond doubt; all else is asked. */
export interface CallName {
  readonly line: string;
  readonly isSure: boolean;
  /** Who is meant, or may be meant; nobody where nothing is known. */
  readonly childIds: readonly ChildId[];
}

/** A name in a call, however it is written: what is kept of it. */
export const callNameKey = (line: string): string => wordsIn(line).join(' ').slice(0, 80).trim();

/** Words that say whose device it is, or that it is one. */
const noise = new Set(
  'mum mom mummy mommy dad daddy papa mama mother father granny grandma grandpa of the and und with from s family families fam home house room me you host co guest ipad iphone tablet phone laptop macbook pc computer device android galaxy pad living kitchen'.split(
    ' ',
  ),
);
const joining = /\s(?:and|und|with)\s|[&+,/]/iu;
const leastFuzzyLetters = 4;
const leastShortLetters = 3;

/** Without marks on letters, in small ones. */
function plain(text: string): string {
  return text
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '')
    .toLowerCase()
    .replaceAll('ł', 'l')
    .replaceAll('ø', 'o')
    .replaceAll('đ', 'd')
    .replaceAll('ß', 'ss')
    .replaceAll('æ', 'ae');
}

const wordsIn = (text: string): readonly string[] => plain(text).match(/[\p{L}\p{N}]+/gu) ?? [];

interface Known {
  readonly id: ChildId;
  readonly given: readonly string[];
  readonly initial: string;
}

/**
 * Reads the list of names that a call shows, one a line, for the children of a class. A name is beyond doubt where the given names are there
 * and the family name begins as it should, or nobody else of the class has these given names and nothing speaks against it. Two on one
 * screen are both found; nicknames, slips, other family names and given names that two have are asked; devices and strangers are nobody.
 * @param kept whom names stand for that were answered before, by `callNameKey`
 */
export function readCallNames(
  list: string,
  children: readonly NamedChild[],
  kept: ReadonlyMap<string, readonly ChildId[]> = new Map(),
): readonly CallName[] {
  const known = children.map(({ id, name }): Known => {
    const words = wordsIn(name);
    return words.length > 1 ? { id, given: words.slice(0, -1), initial: words.at(-1)?.charAt(0) ?? '' } : { id, given: words, initial: '' };
  });
  return list
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .map((line) => {
      // what somebody has said once holds, as long as they are in the class
      const said = kept.get(callNameKey(line))?.filter((id) => known.some((child) => child.id === id)) ?? [];
      return said.length > 0 ? { line, isSure: true, childIds: said } : readLine(line, known);
    });
}

function readLine(line: string, known: readonly Known[]): CallName {
  // who shares a screen is written with something between
  const parts = line.split(joining).map((part) => readPart(part, known));
  const told = parts.filter(({ kind }) => kind !== 'nothing');
  const childIds = [...new Set(told.flatMap((part) => part.ids))];
  return { line, isSure: childIds.length > 0 && told.every(({ kind }) => kind === 'sure'), childIds };
}

interface Part {
  readonly kind: 'sure' | 'asked' | 'nothing';
  readonly ids: readonly ChildId[];
}

function readPart(part: string, known: readonly Known[]): Part {
  const words = wordsIn(part).filter((word) => !noise.has(word) && !/^\p{N}+$/u.test(word));
  if (words.length === 0) return { kind: 'nothing', ids: [] };
  const found = known.filter(({ given }) => given.length > 0 && given.every((word, nth) => words[nth] === word));
  // the longest given names are meant: Ana Maria is not Ana
  const most = Math.max(0, ...found.map(({ given }) => given.length));
  const named = found.filter(({ given }) => given.length === most);
  const rest = words.slice(most);
  if (named.length > 0) {
    const ids = named.map(({ id }) => id);
    const family = rest[0];
    if (family === undefined)
      return { kind: named.length === 1 && isAlone(named[0], known) ? 'sure' : 'asked', ids: sameGiven(named[0], known) };
    const fitting = named.filter(({ initial }) => family.startsWith(initial) && initial !== '');
    return fitting.length === 1
      ? { kind: 'sure', ids: fitting.map(({ id }) => id) }
      : { kind: 'asked', ids: fitting.length > 1 ? fitting.map(({ id }) => id) : ids };
  }
  const ids = known.filter((child) => words.some((word) => child.given.some((given) => isLike(word, given)))).map(({ id }) => id);
  return { kind: 'asked', ids };
}

/** Everybody whose given names begin alike: with Ana in the list, Ana and Ana Maria may both be meant. */
function sameGiven(one: Known | undefined, known: readonly Known[]): readonly ChildId[] {
  return known.filter(({ given }) => given[0] === one?.given[0]).map(({ id }) => id);
}

const isAlone = (one: Known | undefined, known: readonly Known[]): boolean => sameGiven(one, known).length === 1;

/** A short form, a longer one, or one slip. */
function isLike(word: string, given: string): boolean {
  if (word === given) return true;
  const short = Math.min(word.length, given.length);
  if (short >= leastShortLetters && (given.startsWith(word) || word.startsWith(given))) return true;
  return short >= leastFuzzyLetters && isOneSlip(word, given);
}

/** One letter more, less, or another; or two that changed places. */
function isOneSlip(one: string, other: string): boolean {
  if (Math.abs(one.length - other.length) > 1) return false;
  let at = 0;
  while (at < one.length && one[at] === other[at]) at += 1;
  const rest = (word: string, after: number): string => word.slice(at + after);
  const isSwapped = one[at] === other[at + 1] && one[at + 1] === other[at] && rest(one, 2) === rest(other, 2);
  return isSwapped || rest(one, 1) === rest(other, 1) || rest(one, 1) === rest(other, 0) || rest(one, 0) === rest(other, 1);
}
