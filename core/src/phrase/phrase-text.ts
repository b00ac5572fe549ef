import { accepted, refused, type Result } from '../values/result.js';
import { lasting, readLine, type Draft, type PhraseTextFault, type Place } from './phrase-line.js';
import {
  partnerAt,
  partnerAwayM,
  partnerPlaces,
  phraseLimits,
  phraseTiers,
  placesOfFeet,
  type Partner,
  type PartnerPlace,
  type Phrase,
  type PhraseTierName,
  type Row,
  type Segment,
  type WrittenPhrase,
} from './phrase.js';
import { replacedBy } from './tiers.js';

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
