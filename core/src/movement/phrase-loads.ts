import { countsOf, type Phrase } from '../phrase/phrase.js';
import { phraseRead } from '../phrase/read-once.js';
import type { MovementSlug } from '../values/unit.js';
import type { Effort } from './effort.js';
import { libraryOf, type Library } from './library.js';
import type { Movement, Prerequisite } from './movement.js';
import type { Load } from './region.js';

/** The entries that rows name, those that may be chosen included; tiers and the partner too, for any child may be given them. */
export function entriesOf({ rows, tiers, partner }: Pick<Phrase, 'rows' | 'tiers' | 'partner'>): readonly MovementSlug[] {
  const all = [rows, ...tiers.map((tier) => tier.rows), partner?.rows ?? []].flat();
  return [...new Set(all.flatMap(({ movement, free }) => [...(movement === null ? [] : [movement]), ...(free ?? [])]))];
}

/** Rows that name an entry which this club does not have. */
export function missingEntries(phrase: Phrase, library: Library): readonly { readonly row: number; readonly movement: MovementSlug }[] {
  return phrase.rows.flatMap(({ movement, free }, row) =>
    [...(movement === null ? [] : [movement]), ...(free ?? [])].filter((one) => !library.has(one)).map((one) => ({ row, movement: one })),
  );
}

/**
 * An entry with what its rows ask of a body: of free rows the worst of the choices. So each check, each version and each age reads a phrase as it
 * reads what it is made of. An entry whose rows name none comes back as it is.
 */
function withRows(entry: Movement, library: Library): Movement {
  const phrase = entry.phrase && phraseRead(entry.phrase);
  if (!phrase) return entry;
  const movement = withSegmentStages(entry);
  const named = entriesOf(phrase).flatMap((slug) => (slug === movement.slug ? [] : (library.get(slug) ?? [])));
  if (named.length === 0) return movement;
  const all = [movement, ...named];
  const asHard = phrase.rows.reduce((sum, { counts, movement: slug }) => sum + counts * (library.get(slug ?? '') ?? movement).effort, 0);
  return {
    ...movement,
    hazards: [...new Set(all.flatMap(({ hazards }) => hazards))],
    loads: mostOf(all.flatMap(({ loads }) => loads)),
    prerequisites: strictest(all.flatMap(({ prerequisites }) => prerequisites).filter((one) => one.movement !== movement.slug)),
    // what is said of the whole, or the mean of its counts, where that is more
    effort: Math.max(movement.effort, Math.round(asHard / countsOf(phrase.rows))) as Effort, // the mean of some
    leastAge: Math.max(...all.map(({ leastAge }) => leastAge)),
    needs: { ...movement.needs, headroomM: Math.max(...all.map(({ needs }) => needs.headroomM)) },
  };
}

/** How often somebody lands who does a phrase once: its leaps and jumps. @returns null where an entry has no steps, or none that leave the floor so */
export function phraseLandings({
  phrase: written,
}: Pick<Movement, 'phrase'>): { readonly landings: number; readonly counts: number } | null {
  const phrase = written && phraseRead(written);
  const landings = phrase?.rows.filter(({ act }) => act === 'leap' || act === 'jump').length ?? 0;
  return phrase && landings > 0 ? { landings, counts: countsOf(phrase.rows) } : null;
}

function mostOf(loads: readonly Load[]): readonly Load[] {
  const most = new Map<Load['region'], Load>();
  for (const load of loads) if ((most.get(load.region)?.amount ?? 0) < load.amount) most.set(load.region, load);
  return [...most.values()];
}

/** Of what is asked twice the later stage. */
function strictest(asked: readonly Prerequisite[]): readonly Prerequisite[] {
  const kept = new Map<string, Prerequisite>();
  for (const one of asked) {
    const before = kept.get(one.movement);
    if (!before || (one.stage ?? Infinity) > (before.stage ?? Infinity)) kept.set(one.movement, one);
  }
  return [...kept.values()];
}

/** The segments of a phrase are what is marked and asked of it, where its entry has no stages of its own. */
export function withSegmentStages<Entry extends Pick<Movement, 'stages' | 'phrase'>>(entry: Entry): Entry {
  const stages = entry.stages.length > 0 ? [] : segmentStages(entry);
  return stages.length === 0 ? entry : { ...entry, stages };
}

/** Its segments as stages. @returns none where an entry has no steps that can be read, or they are in one part */
export function segmentStages({ phrase: written }: Pick<Movement, 'phrase'>): Movement['stages'] {
  const segments = (written && phraseRead(written)?.segments) ?? [];
  if (segments.length < 2) return [];
  return segments.map(({ name }, index) => ({
    name: name === '' ? `Part ${String(index + 1)}` : name,
    see: 'Every count of it, in order, on the right foot',
  }));
}

/** A library in which phrases carry what their rows ask of a body, and their segments are stages. Only for reckoning: it is not what is kept. */
export function libraryWithRows(library: Library): Library {
  return libraryOf([...library.values()].map((movement) => withRows(movement, library)));
}
