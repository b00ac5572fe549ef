import type { Degrees } from '../figure/vector.js';
import { accepted, refused, type Result } from '../values/result.js';
import { footActs, type Foot, type FootAct, type FootPlace, type Row } from './phrase.js';

/** What of a written phrase cannot be read, and where. */
export interface PhraseTextFault {
  /** Counted from 1. */
  readonly line: number;
  readonly kind:
    | 'no-count'
    | 'count-goes-back'
    | 'count-beyond'
    | 'no-such-word'
    | 'unknown-word'
    | 'no-degrees'
    | 'no-slug'
    | 'stands-in-for-nothing'
    | 'partner-where'
    | 'too-many-rows'
    | 'nothing';
  readonly found: string;
}

/** What of one line cannot be read. */
type LineFault = Omit<PhraseTextFault, 'line'>;

const placeWords: Readonly<Record<string, FootPlace>> = {
  fwd: 'fwd',
  forward: 'fwd',
  back: 'back',
  side: 'side',
  cross: 'cross',
  'cross-front': 'cross',
  front: 'cross',
  behind: 'behind',
  'cross-behind': 'behind',
  close: 'close',
  together: 'close',
  place: 'place',
};
const actWords: Readonly<Record<string, FootAct>> = {
  ...Object.fromEntries(footActs.map((act) => [act, act])),
  bend: 'sink',
  plie: 'sink',
  swing: 'lift',
};
/** What a foot does in its place where nothing else is said. */
const inPlace: ReadonlySet<FootAct> = new Set(['hop', 'jump', 'sink', 'lift', 'kick', 'brush', 'touch']);

interface Count {
  /** In its group, from 0; halves are “and”. */
  readonly beat: number;
  readonly until: number | null;
}

/** `3`, `&`, `5-8`, `3&`. */
function countOf(word: string, before: number | null, beats: number): Count | 'beyond' | null {
  if (word === '&') return before === null ? null : { beat: Math.floor(before) + 0.5, until: null };
  const found = /^(\d+)(&?)(?:-(\d+)(&?))?$/.exec(word);
  if (!found) return null;
  const from = Number(found[1]) - 1 + (found[2] ? 0.5 : 0);
  const until = found[3] === undefined ? null : Number(found[3]) + (found[4] ? 0.5 : 0);
  if (from < 0 || from >= beats || (until !== null && (until <= from || until > beats))) return 'beyond';
  return { beat: from, until };
}

export type Draft = Omit<Row, 'counts'> & { readonly until: number | null };

/** Where a line begins: the group and the count before. */
export interface Place {
  readonly group: number;
  readonly before: number | null;
}

/** What is done, one after the other: a comma parts it where a count or a foot follows; another belongs to the words before it. */
export const partsOfLine = (line: string): readonly string[] => line.split(/,(?=\s*(?:$|\d|&|(?:R|L|both|left|right)\b))/);

/** The rows of one line, from a place on; or what of it cannot be read. */
export function readLine(
  line: string,
  from: Place,
  beats: number,
): Result<{ readonly drafts: readonly Draft[]; readonly to: Place }, LineFault> {
  const drafts: Draft[] = [];
  let { group, before } = from;
  for (const part of partsOfLine(line)) {
    const [feet = '', ...beside] = part.split('/').map((one) => one.trim());
    if (feet === '' && beside.length === 0) continue;
    const words = feet.split(/\s+/).filter((word) => word !== '');
    const count = countOf(words[0] ?? '', before, beats);
    if (count === null) return refused({ kind: 'no-count', found: words[0] ?? '' });
    if (count === 'beyond') return refused({ kind: 'count-beyond', found: words[0] ?? '' });
    if (before !== null && count.beat <= before) {
      if (words[0] === '&' || count.beat > 0) return refused({ kind: 'count-goes-back', found: words[0] ?? '' });
      group += 1;
    }
    before = count.beat;
    const doing = readDoing(words.slice(1));
    if ('kind' in doing) return refused(doing);
    const more = readBeside(beside, doing.words);
    if ('kind' in more) return refused(more);
    drafts.push({
      at: group * beats + count.beat,
      until: count.until === null ? null : group * beats + count.until,
      ...doing,
      ...more,
    });
  }
  return accepted({ drafts, to: { group, before } });
}

/** A row lasts as far as it says, else to the next one; the last to the end of its count. */
export const lasting = (drafts: readonly Draft[]): readonly Row[] =>
  drafts.map(({ until, ...row }, index): Row => {
    const next = drafts[index + 1]?.at;
    return { ...row, counts: (until ?? next ?? Math.floor(row.at) + 1) - row.at };
  });

type Doing = Pick<Row, 'foot' | 'act' | 'place' | 'turn' | 'words'>;

/** What a foot does where nothing is said of it: two turn as they stand, bend, or jump somewhere; one steps. */
function defaultAct(foot: Foot | 'both', place: FootPlace | null, turn: Degrees): FootAct | null {
  if (foot !== 'both') return place === null ? null : 'step';
  if (place !== null) return 'jump';
  return turn === 0 ? 'sink' : null;
}

function readDoing(words: readonly string[]): Doing | LineFault {
  let foot: Row['foot'] = null;
  let act: FootAct | null = null;
  let place: FootPlace | null = null;
  let turn = 0;
  const free: string[] = [];
  for (let at = 0; at < words.length; at += 1) {
    const word = words[at] ?? '';
    const low = word.toLowerCase();
    if (foot === null && (word === 'R' || low === 'right')) foot = 'right';
    else if (foot === null && (word === 'L' || low === 'left')) foot = 'left';
    else if (foot === null && low === 'both') foot = 'both';
    else if (low === 'turn') {
      const way = words[at + 1]?.toLowerCase() ?? '';
      const degrees = Number(words[at + 2]);
      if (!['left', 'right', 'l', 'r'].includes(way) || !Number.isFinite(degrees) || degrees <= 0 || degrees > 1080)
        return { kind: 'no-degrees', found: words.slice(at, at + 3).join(' ') };
      turn = way.startsWith('l') ? degrees : -degrees;
      at += 2;
    } else if (act === null && Object.hasOwn(actWords, low)) act = actWords[low] ?? null;
    else if (place === null && Object.hasOwn(placeWords, low)) place = placeWords[low] ?? null;
    else free.push(word);
  }
  // beside a foot a word that is not known is a slip of the hand: free words come after a stroke
  if (foot !== null && free.length > 0) return { kind: 'unknown-word', found: free.join(' ') };
  if (foot !== null && act === null) act = defaultAct(foot, place, turn);
  if (foot !== null && foot !== 'both' && act === null && turn === 0) act = 'step';
  if (foot === null && (act !== null || place !== null)) return { kind: 'no-such-word', found: words.join(' ') };
  if (act !== null && place === null) place = inPlace.has(act) || act === 'step' ? 'place' : act === 'drag' ? 'close' : 'fwd';
  return { foot, act, place, turn, words: free.length > 0 ? free.join(' ') : null };
}

const named = /^(arms|hands|look|say|watch|do|free)(?:\s+(.*))?$/i;
const slug = /^[a-z0-9]+(?:-[a-z0-9]+)*$/;

function readBeside(
  beside: readonly string[],
  words: string | null,
): Pick<Row, 'arms' | 'look' | 'say' | 'words' | 'watch' | 'movement' | 'free'> | LineFault {
  const said = new Map<string, string>();
  const others: string[] = [];
  for (const one of beside) {
    const [, name, text = ''] = named.exec(one) ?? [];
    if (name === undefined) others.push(one);
    else if (!said.has(name.toLowerCase())) said.set(name.toLowerCase(), text.trim().slice(0, 80));
  }
  const of = (name: string): string | null => {
    const text = said.get(name);
    return text === undefined || text === '' ? null : text;
  };
  const movement = said.get('do') ?? null;
  if (movement !== null && !slug.test(movement)) return { kind: 'no-slug', found: movement };
  const free = said.get('free');
  const among = free === undefined || free === '' ? [] : free.split(/\s+or\s+/);
  const wrong = among.find((one) => !slug.test(one));
  if (wrong !== undefined) return { kind: 'no-slug', found: wrong };
  return {
    arms: of('arms') ?? of('hands'),
    look: of('look'),
    say: of('say'),
    watch: of('watch'),
    movement,
    free: free === undefined ? null : among,
    words: [...(words ? [words] : []), ...others.filter((one) => one !== '')].join('; ').slice(0, 120) || null,
  };
}
