import type { Library } from '../movement/library.js';
import type { Movement } from '../movement/movement.js';
import type { Posture } from '../movement/posture.js';
import type { MovementSlug, ProgrammeSlug } from '../values/unit.js';
import { countWord } from './count-words.js';
import type { CountLanguage } from './teaching-voice.js';

/** One thing that is called out. */
export interface Call {
  readonly text: string;
  readonly language: CountLanguage;
  /** What it asks for, where that is a movement: then it can be shown. */
  readonly movement: MovementSlug | null;
  /** How one stands when it is called and when it is done; null where that does not matter. */
  readonly from: Posture | null;
  readonly to: Posture | null;
}

export const callListKinds = [
  'shapes',
  'stances',
  'techniques',
  'steps',
  'terms',
  'body-parts',
  'left-right',
  'numbers',
  'directions',
] as const;
export type CallListKind = (typeof callListKinds)[number];

/** What can be called, of one kind. */
export interface CallList {
  readonly kind: CallListKind;
  readonly calls: readonly Call[];
}

/** For whom a list is made. */
export interface CalledGroup {
  readonly programme: ProgrammeSlug;
  readonly youngestYears: number;
  /** What the group has met: nothing new is called out. */
  readonly knows: (movement: MovementSlug) => boolean;
  readonly countLanguage: CountLanguage;
}

/** A list with fewer is no guessing. */
const leastCalls = 2;
const mostCalls = 12;
const mostPattern = 24;

const word = (text: string): Call => ({ text, language: 'en', movement: null, from: null, to: null });
const bodyParts = ['nose', 'knees', 'toes', 'elbows', 'shoulders', 'heels', 'ears', 'hips', 'wrists', 'tummy', 'ankles', 'chin'];
const leftRight = ['left hand', 'right hand', 'left foot', 'right foot', 'left knee', 'right knee'];
const directions = ['forward', 'back', 'left', 'right', 'turn', 'down', 'up'];

/**
 * What can be called out for a group, of every kind for which there is enough: made from what the group knows, may do at its age, and can
 * do on a word without harm.
 */
export function callListsFor(library: Library, group: CalledGroup): readonly CallList[] {
  const known = [...library.values()].filter((movement) => isForCalling(movement, group));
  const isStance = ({ slug }: Movement): boolean => slug.includes('stance');
  const ofKind: Readonly<Record<CallListKind, readonly Call[]>> = {
    shapes: known.filter((one) => one.kind === 'basic' && isHeld(one) && !isStance(one)).map(named),
    stances: known.filter((one) => one.kind === 'basic' && isStance(one) && isHeld(one)).map(named),
    techniques: known.filter(({ kind, programmes }) => kind === 'skill' && programmes.includes('martial-arts')).map(named),
    steps: known.filter((one) => one.kind === 'basic' && one.programmes.includes('dance') && !isHeld(one)).map(named),
    terms: known.flatMap((one) => termOf(one) ?? []),
    'body-parts': bodyParts.map(word),
    'left-right': leftRight.map(word),
    numbers: Array.from({ length: 10 }, (_, index) => ({
      ...word(countWord(index + 1, group.countLanguage)),
      language: group.countLanguage,
    })),
    directions: directions.map(word),
  };
  return callListKinds.flatMap((kind) => {
    const calls = distinct(ofKind[kind]).slice(0, mostCalls);
    return calls.length < leastCalls ? [] : [{ kind, calls }];
  });
}

/** How a list is named in a plan. */
export const callListNames: Readonly<Record<CallListKind, string>> = {
  shapes: 'shapes',
  stances: 'stances',
  techniques: 'techniques',
  steps: 'steps',
  terms: 'terms',
  'body-parts': 'body parts',
  'left-right': 'left and right',
  numbers: 'numbers',
  directions: 'directions',
};

/** What an item calls: a list by its name, or the words that are written there; null where it is only described. */
export function callsNamed(what: string, lists: readonly CallList[]): readonly Call[] | null {
  const name = what.trim().toLowerCase();
  return lists.find(({ kind }) => callListNames[kind] === name)?.calls ?? writtenCalls(what);
}

/** What an item says is called, as one writes it: words with commas between; null where it is only described. */
export function writtenCalls(what: string): readonly Call[] | null {
  const words = what
    .split(/[,;/]/)
    .map((one) => one.trim())
    .filter((one) => /\p{L}|\p{N}/u.test(one) && one.length <= 40);
  return words.length < leastCalls ? null : distinct(words.map(word)).slice(0, mostCalls);
}

/** A pattern of one's own, in its order and as often as it says: `block, block, kick`; null for less than two. */
export function writtenPattern(text: string): readonly Call[] | null {
  const words = text
    .split(/[,;/\n]|\s[–-]\s/)
    .map((one) => one.trim())
    .filter((one) => /\p{L}|\p{N}/u.test(one) && one.length <= 40);
  return words.length < leastCalls ? null : words.slice(0, mostPattern).map(word);
}

function distinct(calls: readonly Call[]): readonly Call[] {
  return [...new Map(calls.map((call) => [call.text, call])).values()];
}

const isHeld = ({ dose }: Movement): boolean => dose['7-9']?.kind === 'hold';

function named({ name, slug, posture }: Movement): Call {
  return { text: name, language: 'en', movement: slug, from: posture.from, to: posture.to };
}

/** A term as it is said: French by a French voice, what is written in our letters for another language as it is to be said. */
function termOf({ term, slug, posture }: Movement): Call | null {
  if (!term || term.language === 'en') return null;
  const isFrench = term.language === 'fr';
  return {
    text: isFrench ? term.text : term.text.toLowerCase(),
    language: isFrench ? 'fr' : 'en',
    movement: slug,
    from: posture.from,
    to: posture.to,
  };
}

/** Known to the group, for its age, and done on a word without an adult, a thing or a hazard. */
function isForCalling({ programmes, slug, leastAge, hazards, needs }: Movement, { programme, youngestYears, knows }: CalledGroup): boolean {
  return (
    programmes.includes(programme) &&
    leastAge <= youngestYears &&
    hazards.length === 0 &&
    needs.adult === 'none' &&
    needs.equipment.length === 0 &&
    !needs.wall &&
    !needs.partner &&
    knows(slug)
  );
}
