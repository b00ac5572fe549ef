import type { Degrees } from '../figure/vector.js';
import { accepted, refused, type Result } from '../values/result.js';
import { replacedBy } from './tiers.js';
import {
  footActs,
  partnerAt,
  partnerAwayM,
  partnerPlaces,
  phraseLimits,
  phraseTiers,
  placesOfFeet,
  type Foot,
  type FootAct,
  type FootPlace,
  type Partner,
  type PartnerPlace,
  type Phrase,
  type PhraseTierName,
  type Row,
  type Segment,
  type WrittenPhrase,
} from './phrase.js';

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

type Draft = Omit<Row, 'counts'> & { readonly until: number | null };

/** Where a line begins: the group and the count before. */
interface Place {
  readonly group: number;
  readonly before: number | null;
}

/** What a line that stands in for another begins with. */
const tierStart = new RegExp(`^(${phraseTiers.join('|')})(?: room)?:(.*)$`, 'i');

/** A line of who does it with the child: where they stand, what they do, or both. */
const partnerStart = /^partner\b([^:]*)(?::(.*))?$/i;
const partnerWhere = new RegExp(`^(${partnerPlaces.join('|')})(?:\\s+(\\d+(?:\\.\\d+)?)(?:\\s*m)?)?$`, 'i');

/** Whether a line holds rows of the phrase itself: no name, nothing that stands in for another, and nothing of a partner. */
export function isRowLine(line: string): boolean {
  const trimmed = line.trim();
  return trimmed !== '' && !trimmed.startsWith('#') && !tierStart.test(trimmed) && !partnerStart.test(trimmed);
}

/** @returns null where it is no place, or farther away than can be seen or nearer than two can stand */
function readPartnerPlace(words: string): Omit<Partner, 'rows' | 'weight'> | null {
  const [, place, away] = partnerWhere.exec(words) ?? [];
  if (place === undefined) return null;
  const awayM = away === undefined ? partnerAwayM.usual : Number(away);
  if (awayM < partnerAwayM.least || awayM > partnerAwayM.most) return null;
  return partnerAt(place.toLowerCase() as PartnerPlace, awayM); // the pattern names nothing else
}

/** What is done, one after the other: a comma parts it where a count or a foot follows; another belongs to the words before it. */
export const partsOfLine = (line: string): readonly string[] => line.split(/,(?=\s*(?:$|\d|&|(?:R|L|both|left|right)\b))/);

/** The rows of one line, from a place on; or what of it cannot be read. */
function readLine(line: string, from: Place, beats: number): Result<{ readonly drafts: readonly Draft[]; readonly to: Place }, LineFault> {
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

type LineFault = Omit<PhraseTextFault, 'line'>;

/** A row lasts as far as it says, else to the next one; the last to the end of its count. */
const lasting = (drafts: readonly Draft[]): readonly Row[] =>
  drafts.map(({ until, ...row }, index): Row => {
    const next = drafts[index + 1]?.at;
    return { ...row, counts: (until ?? next ?? Math.floor(row.at) + 1) - row.at };
  });

/**
 * Reads a phrase as it is written by hand: a line for each eight or any part of it, what is done parted by commas – a count, the foot
 * (`R`, `L`, `both`), what it does and where, `turn left 180` –, and after strokes `arms`, `look`, `say`, `watch`, `do` an entry of the library,
 * `free` and free words. A line that begins with `#` names the segment that follows; one that begins with `easier:`, `harder:` or `small room:`
 * stands in for the rows on its counts, in the group in which the line above it begins; so does `partner:`, with what somebody else does on the same
 * counts, and `partner ahead 1.2` says where they stand. Counts begin again with 1 in each group.
 * @returns the rows, or the first thing in each line that cannot be read. Never throws.
 */
export function readPhrase(written: WrittenPhrase): Result<Phrase, readonly PhraseTextFault[]> {
  const { text, ...about } = written;
  const faults: PhraseTextFault[] = [];
  const drafts: Draft[] = [];
  const tiers: { readonly tier: PhraseTierName; readonly drafts: readonly Draft[]; readonly line: number }[] = [];
  const names: { readonly name: string; readonly from: number }[] = [];
  let place: Place = { group: 0, before: null };
  let lineBegan: number | null = null;
  let rows = 0;
  const withPartner: { stands: Omit<Partner, 'rows' | 'weight'> | null; readonly drafts: Draft[] } = { stands: null, drafts: [] };
  text.split(/\r?\n/).forEach((line, index) => {
    const trimmed = line.trim();
    // one line says that there are too many: those after it are not read
    if (trimmed === '' || faults.at(-1)?.kind === 'too-many-rows') return;
    if (trimmed.startsWith('#')) {
      names.push({ name: trimmed.replace(/^#+\s*/, '').slice(0, 60), from: drafts.length });
      return;
    }
    const partner = partnerStart.exec(trimmed);
    const where = partner?.[1]?.trim() ?? '';
    if (partner && where !== '') {
      withPartner.stands = readPartnerPlace(where);
      if (!withPartner.stands) {
        faults.push({ line: index + 1, kind: 'partner-where', found: where });
        return;
      }
    }
    if (partner && (partner[2] ?? '').trim() === '') {
      if (where === '') faults.push({ line: index + 1, kind: 'partner-where', found: '' });
      return;
    }
    const other = tierStart.exec(trimmed);
    if ((other ?? partner) && lineBegan === null) {
      faults.push({ line: index + 1, kind: 'stands-in-for-nothing', found: other?.[1] ?? 'partner' });
      return;
    }
    const from = (other ?? partner) ? { group: lineBegan ?? 0, before: null } : place;
    const found = readLine(other?.[2] ?? partner?.[2] ?? trimmed, from, about.beats);
    if (!found.ok) {
      faults.push({ line: index + 1, ...found.error });
      return;
    }
    rows += found.value.drafts.length;
    if (rows > phraseLimits.rows) {
      faults.push({ line: index + 1, kind: 'too-many-rows', found: String(phraseLimits.rows) });
      return;
    }
    if (other) {
      // the pattern names nothing else
      tiers.push({ tier: (other[1] ?? '').toLowerCase() as PhraseTierName, drafts: found.value.drafts, line: index + 1 });
      return;
    }
    if (partner) {
      const [before, next] = [withPartner.drafts.at(-1), found.value.drafts[0]];
      if (before && next && next.at <= before.at)
        faults.push({ line: index + 1, kind: 'count-goes-back', found: (partner[2] ?? '').trim().split(/\s/)[0] ?? '' });
      else withPartner.drafts.push(...found.value.drafts);
      return;
    }
    const first = found.value.drafts[0];
    if (first) lineBegan = Math.floor(first.at / about.beats);
    place = found.value.to;
    drafts.push(...found.value.drafts);
  });
  if (drafts.length === 0 && faults.length === 0) faults.push({ line: 1, kind: 'nothing', found: '' });
  if (faults.length > 0) return refused(faults);
  const own = lasting(drafts);
  const segments = (names[0]?.from === 0 ? names : [{ name: '', from: 0 }, ...names])
    .map(({ name, from }, index, all): Segment => ({ name, from, to: all[index + 1]?.from ?? own.length }))
    .filter(({ from, to }) => to > from);
  const covered = tiers.map(({ tier, drafts: some }) => ({ tier, rows: standIns(some, own) }));
  const amiss = covered.findIndex((tier) => tier.rows.length === 0 || replacedBy(own, tier.rows).length === 0);
  const wrong = tiers[amiss];
  if (wrong) return refused([{ line: wrong.line, kind: 'stands-in-for-nothing', found: wrong.tier }]);
  const partner: Partner | null =
    withPartner.drafts.length === 0 && !withPartner.stands
      ? null
      : { ...(withPartner.stands ?? partnerAt('ahead', partnerAwayM.usual)), weight: 'both', rows: lasting(withPartner.drafts) };
  return accepted({ ...about, rows: own, segments, tiers: covered, stride: 1, partner });
}

/** What stands in lasts to the next of its rows; the last one to the end of its count, and as long as what it stands in for. */
function standIns(drafts: readonly Draft[], own: readonly Row[]): readonly Row[] {
  const rows = lasting(drafts);
  const last = drafts.at(-1);
  const here = last && own.findLast(({ at }) => at <= last.at);
  if (!last || !here || last.until !== null) return rows;
  return [...rows.slice(0, -1), { ...last, counts: Math.max(here.at + here.counts, Math.floor(last.at) + 1) - last.at }].map((row): Row => {
    const { until: _until, ...rest } = row as Row & { readonly until?: number | null };
    return rest;
  });
}

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
    case 'no-slug':
      return found === ''
        ? 'Which entry? It is written as its address has it: do high-knees.'
        : `“${found}” is no entry as its address has it: do high-knees, free bridge or cat-arch.`;
    case 'partner-where':
      return found === ''
        ? 'What does the partner do? partner: 1 R fwd. Or where they stand: partner ahead 1.2.'
        : `“${found}” is no place for a partner: partner ahead 1.2, or behind, left, right, in metres from ${String(partnerAwayM.least)} to ${String(partnerAwayM.most)}.`;
    case 'stands-in-for-nothing':
      return `Nothing is written yet that “${found}:” could stand in for: it comes after the line of its counts.`;
    case 'too-many-rows':
      return `More than ${found} rows.`;
    case 'nothing':
      return 'Nothing is written yet.';
  }
}
