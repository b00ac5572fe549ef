import { accepted, refused, type Result } from '../values/result.js';
import {
  footActs,
  phraseLimits,
  placesOfFeet,
  type FootAct,
  type FootPlace,
  type Phrase,
  type Row,
  type Segment,
  type WrittenPhrase,
} from './phrase.js';

/** What of a written phrase cannot be read, and where. */
export interface PhraseTextFault {
  /** Counted from 1. */
  readonly line: number;
  readonly kind:
    'no-count' | 'count-goes-back' | 'count-beyond' | 'no-such-word' | 'unknown-word' | 'no-degrees' | 'too-many-rows' | 'nothing';
  readonly found: string;
}

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

/**
 * Reads a phrase as it is written by hand: a line for each eight or any part of it, things that are done parted by commas – a count, the foot
 * (`R`, `L`, `both`), what it does and where, `turn left 180` –, and after strokes `arms`, `look`, `say` and free words. A line that begins with
 * `#` names the segment that follows. Counts begin again with 1 in each group.
 * @returns the rows, or the first thing in each line that cannot be read. Never throws.
 */
export function readPhrase(written: WrittenPhrase): Result<Phrase, readonly PhraseTextFault[]> {
  const { text, ...about } = written;
  const faults: PhraseTextFault[] = [];
  const drafts: (Omit<Row, 'counts'> & { readonly until: number | null })[] = [];
  const names: { readonly name: string; readonly from: number }[] = [];
  let group = 0;
  let before: number | null = null;
  text.split(/\r?\n/).forEach((line, index) => {
    const say = (kind: PhraseTextFault['kind'], found: string): void => {
      if (faults.at(-1)?.line !== index + 1) faults.push({ line: index + 1, kind, found });
    };
    const trimmed = line.trim();
    // one line says that there are too many: those after it are not read
    if (trimmed === '' || faults.at(-1)?.kind === 'too-many-rows') return;
    if (trimmed.startsWith('#')) {
      names.push({ name: trimmed.replace(/^#+\s*/, '').slice(0, 60), from: drafts.length });
      return;
    }
    for (const part of trimmed.split(',')) {
      const [feet = '', ...beside] = part.split('/').map((one) => one.trim());
      if (feet === '' && beside.length === 0) continue;
      const words = feet.split(/\s+/).filter((word) => word !== '');
      const count = countOf(words[0] ?? '', before, about.beats);
      if (count === null) {
        say('no-count', words[0] ?? '');
        return;
      }
      if (count === 'beyond') {
        say('count-beyond', words[0] ?? '');
        return;
      }
      if (before !== null && count.beat <= before) {
        if (words[0] === '&' || count.beat > 0) {
          say('count-goes-back', words[0] ?? '');
          return;
        }
        group += 1;
      }
      before = count.beat;
      const doing = readDoing(words.slice(1));
      if ('kind' in doing) {
        say(doing.kind, doing.found);
        return;
      }
      if (drafts.length >= phraseLimits.rows) {
        say('too-many-rows', String(phraseLimits.rows));
        return;
      }
      drafts.push({
        at: group * about.beats + count.beat,
        until: count.until === null ? null : group * about.beats + count.until,
        ...doing,
        ...readBeside(beside, doing.words),
      });
    }
  });
  if (drafts.length === 0 && faults.length === 0) faults.push({ line: 1, kind: 'nothing', found: '' });
  if (faults.length > 0) return refused(faults);
  const rows = drafts.map(({ until, ...row }, index): Row => {
    const next = drafts[index + 1]?.at;
    // the last one lasts to the end of its count
    return { ...row, counts: (until ?? next ?? Math.floor(row.at) + 1) - row.at };
  });
  const segments = (names[0]?.from === 0 ? names : [{ name: '', from: 0 }, ...names])
    .map(({ name, from }, index, all): Segment => ({ name, from, to: all[index + 1]?.from ?? rows.length }))
    .filter(({ from, to }) => to > from);
  return accepted({ ...about, rows, segments });
}

type Doing = Pick<Row, 'foot' | 'act' | 'place' | 'turn' | 'words'>;

function readDoing(words: readonly string[]): Doing | Pick<PhraseTextFault, 'kind' | 'found'> {
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
  if (foot !== null && act === null) act = foot === 'both' ? (place === null ? 'sink' : 'jump') : place === null ? null : 'step';
  if (foot !== null && foot !== 'both' && act === null && turn === 0) act = 'step';
  if (foot === null && (act !== null || place !== null)) return { kind: 'no-such-word', found: words.join(' ') };
  if (act !== null && place === null) place = inPlace.has(act) || act === 'step' ? 'place' : act === 'drag' ? 'close' : 'fwd';
  return { foot, act, place, turn, words: free.length > 0 ? free.join(' ') : null };
}

function readBeside(beside: readonly string[], words: string | null): Pick<Row, 'arms' | 'look' | 'say' | 'words'> {
  const of = (name: string): string | null => {
    const found = beside.find((one) => one.toLowerCase().startsWith(`${name} `));
    return found
      ? found
          .slice(name.length + 1)
          .trim()
          .slice(0, 80)
      : null;
  };
  const free = beside.filter((one) => !/^(?:arms|hands|look|say) /i.test(one) && one !== '');
  return {
    arms: of('arms') ?? of('hands'),
    look: of('look'),
    say: of('say'),
    words: [...(words ? [words] : []), ...free].join('; ').slice(0, 120) || null,
  };
}

/** What cannot be read, for whoever wrote it. */
export function phraseTextFaultWords({ kind, found }: PhraseTextFault): string {
  switch (kind) {
    case 'no-count':
      return found === '' ? 'A count is missing: 1, &, 3-4.' : `“${found}” is no count: 1, &, 3-4.`;
    case 'count-goes-back':
      return `“${found}” comes before what stands there already.`;
    case 'count-beyond':
      return `“${found}” is beyond the counts of a group.`;
    case 'no-such-word':
      return `Which foot? “${found}” – R, L or both: ${placesOfFeet.join(', ')}.`;
    case 'unknown-word':
      return `“${found}” is not known beside a foot: ${placesOfFeet.join(', ')}. Free words come after a stroke.`;
    case 'no-degrees':
      return `“${found}”: a turn is written turn left 180.`;
    case 'too-many-rows':
      return `More than ${found} rows.`;
    case 'nothing':
      return 'Nothing is written yet.';
  }
}
