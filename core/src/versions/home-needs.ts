import type { Movement } from '../movement/movement.js';
import type { Home } from './child-in-class.js';

export const homeNeeds = ['surface', 'space', 'equipment', 'adult', 'partner', 'quiet'] as const;
/** What a movement may want of a home. */
export type HomeNeed = (typeof homeNeeds)[number];

/** A home shorter by less than this is not short: nobody measures a carpet to the centimetre. */
const measuredToM = 0.05;

/**
 * What a home lacks for a movement.
 * @param equipment of the version, where it differs from the movement's
 * @param startsAt when the class begins, `HH:MM`; null where that is not known, and no hour is quiet.
 */
export function lacking(
  movement: Movement,
  equipment: readonly string[] | undefined,
  home: Home,
  startsAt: string | null,
): readonly HomeNeed[] {
  const { needs } = movement;
  const found: HomeNeed[] = [];
  if (!standsOn(needs.surface, home)) found.push('surface');
  if (!fitsInto(needs.footprint, home)) found.push('space');
  if (missingThings(movement, equipment, home).length > 0) found.push('equipment');
  if (needs.adult === 'hands-on' ? home.adult !== 'in-the-room' : needs.adult === 'at-hand' && home.adult === 'not-at-hand')
    found.push('adult');
  if (needs.partner && !home.partner) found.push('partner');
  if (needs.quiet === 'loud' && startsAt !== null && isQuietAt(home, startsAt)) found.push('quiet');
  return found;
}

/** The floor itself, or a mat or rug that is there to be laid on it. */
function standsOn(wanted: Movement['needs']['surface'], { surface, things }: Home): boolean {
  if (wanted === 'any-dry' || wanted.includes(surface)) return true;
  return wanted.some((one) => things.some((thing) => thing.toLowerCase() === one.replace('-', ' ')));
}

/** A phrase may be turned to go along the longer side of the room. */
function fitsInto({ lengthM, widthM }: Movement['needs']['footprint'], { clearLengthM, clearWidthM }: Home): boolean {
  const [long, short] = clearLengthM >= clearWidthM ? [clearLengthM, clearWidthM] : [clearWidthM, clearLengthM];
  return Math.max(lengthM, widthM) <= long + measuredToM && Math.min(lengthM, widthM) <= short + measuredToM;
}

/** Things that neither are there nor have a stand-in that is. */
export function missingThings(
  movement: Movement,
  equipment: readonly string[] | undefined,
  { things }: Pick<Home, 'things'>,
): readonly string[] {
  const wanted = equipment ?? movement.needs.equipment;
  const isThere = (phrase: string): boolean =>
    things.some((thing) => phrase.toLowerCase().includes(thing.toLowerCase()) || thing.toLowerCase().includes(phrase.toLowerCase()));
  return wanted.filter((thing) => !isThere(thing) && !(movement.equipmentStandIns[thing] ?? []).some(isThere));
}

function isQuietAt({ quietHours }: Home, time: string): boolean {
  if (!quietHours) return false;
  const { from, to } = quietHours;
  return from <= to ? time >= from && time < to : time >= from || time < to;
}
