import { adultFor } from './home-needs.js';
import type { Item } from '../class-plan/class-plan.js';
import { helperText } from '../class-plan/teaching-text.js';
import type { Library } from '../movement/library.js';
import type { Footprint, Movement } from '../movement/movement.js';
import { heightM, libraryHeightM } from '../movement/height.js';
import type { ChildId, Metres } from '../values/unit.js';
import type { ChildInClass } from './child-in-class.js';
import type { Version } from './version.js';

/** What a family needs for a class: of what its child does, and of nothing else. */
export interface HomeList {
  readonly childId: ChildId;
  readonly lengthM: Metres;
  readonly widthM: Metres;
  readonly headroomM: Metres;
  readonly things: readonly { readonly thing: string; readonly standIns: readonly string[] }[];
  readonly wantsSoftFloor: boolean;
  readonly adult: 'none' | 'at-hand' | 'hands-on';
  readonly partner: boolean;
  /** What somebody at home does: `a partner to hold the cushion`. */
  readonly help: readonly string[];
  /** What is built or fetched for the class. */
  readonly builds: readonly string[];
}

/** Gathers what the versions of one child want of its home: floor in proportion to its height, and less where it makes do with less. */
export function homeListOf(
  { id: childId, ageYears }: Pick<ChildInClass, 'id' | 'ageYears'>,
  versions: readonly Version[],
  library: Library,
  items: readonly Item[],
): HomeList {
  const own = versions.filter((one) => one.childId === childId && one.tier !== null);
  const taken = new Set(own.map(({ itemId }) => itemId));
  const itsItems = items.filter(({ id }) => taken.has(id));
  const done = own.flatMap((version) => {
    const movement = library.get(version.movement);
    const adult =
      movement && adultFor(movement, version.tier === null || version.tier === 'instead' ? undefined : movement.tiers[version.tier]);
    return movement ? [{ movement, adult, equipment: equipmentOf(version, movement), floor: floorOf(version, movement) }] : [];
  });
  const scale = heightM(ageYears) / libraryHeightM;
  const movements = done.map(({ movement }) => movement);
  const standIns = new Map(
    done.flatMap(({ movement, equipment }) => equipment.map((thing) => [thing, movement.equipmentStandIns[thing] ?? []])),
  );
  const hands = done.map(({ adult }) => adult);
  return {
    childId,
    lengthM: scale * Math.max(0, ...done.map(({ floor }) => Math.max(floor.lengthM, floor.widthM))),
    widthM: scale * Math.max(0, ...done.map(({ floor }) => Math.min(floor.lengthM, floor.widthM))),
    headroomM: scale * Math.max(0, ...movements.map(({ needs }) => needs.headroomM)),
    things: [...standIns].map(([thing, instead]) => ({ thing, standIns: instead })),
    wantsSoftFloor: movements.some(({ needs }) => needs.surface !== 'any-dry' && !needs.surface.includes('wood')),
    adult: hands.includes('hands-on') ? 'hands-on' : hands.includes('at-hand') ? 'at-hand' : 'none',
    partner: movements.some(({ needs }) => needs.partner),
    help: [
      ...new Set(
        itsItems.flatMap(({ helper, movement }) => (helper ? [`${library.get(movement)?.name ?? movement}: ${helperText(helper)}`] : [])),
      ),
    ],
    builds: [...new Set(itsItems.flatMap(({ build }) => (build ? [build.what] : [])))],
  };
}

const floorOf = ({ inLittleRoom }: Version, { needs }: Movement): Footprint => (inLittleRoom && needs.inLittleRoom) ?? needs.footprint;

function equipmentOf({ tier }: Version, movement: Movement): readonly string[] {
  const said = tier === null || tier === 'instead' ? undefined : movement.tiers[tier]?.equipment;
  return said ?? movement.needs.equipment;
}

/** The list as sentences for the parents. */
export function homeListWords(list: HomeList): readonly string[] {
  // rounded up: who clears a little more stands free
  const metres = (value: Metres): string => (Math.ceil(value * 10 - 0.01) / 10).toFixed(1);
  return [
    `Clear ${metres(list.lengthM)} × ${metres(list.widthM)} m of floor, ${metres(list.headroomM)} m high.`,
    ...(list.wantsSoftFloor ? ['On carpet, a mat or a thick rug.'] : []),
    ...list.things.map(({ thing, standIns }) => `Have a ${thing} ready${standIns.length > 0 ? ` – or ${standIns.join(', or ')}` : ''}.`),
    ...(list.adult === 'hands-on' ? ['An adult helps with the hands: please be in the room.'] : []),
    ...(list.adult === 'at-hand' ? ['An adult close by.'] : []),
    ...(list.partner ? ['Somebody to do it with.'] : []),
    ...(list.builds.length > 0 ? [`For us to build: ${list.builds.join(', ')}.`] : []),
    ...list.help.map((line) => `${line}.`),
    'Something to drink.',
  ];
}
