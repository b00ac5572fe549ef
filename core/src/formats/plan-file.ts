import { itemOf } from '../class-plan/new-item.js';
import { circuitFaultsIn, tidied } from '../class-plan/circuit.js';
import { taughtAs, type ItemTeaching } from '../class-plan/item-teaching.js';
import { inTempo, type HomeTask } from '../class-plan/led.js';
import type { Track } from '../class-plan/music.js';
import type { TeachingStyle, Way } from '../class-plan/way.js';
import { placedItems, type Circuit, type ClassPlan, type Familiarity, type Item } from '../class-plan/class-plan.js';
import type { AgeBand } from '../movement/age-band.js';
import type { Dose } from '../movement/dose.js';
import type { Library } from '../movement/library.js';
import { entriesOf } from '../movement/phrase-loads.js';
import { phraseRead } from '../phrase/read-once.js';
import { tierNames, type Movement, type TierName } from '../movement/movement.js';
import type { SectionKind } from '../movement/section-kind.js';
import { accepted, refused, type Result } from '../values/result.js';
import type { CircuitId, MovementSlug, ProgrammeSlug } from '../values/unit.js';
import { sidesToChoose, type ItemSides } from '../movement/sides.js';

export const planFormat = 'leiter-plan/1';

/** A running order as a file holds it; what an item leaves out is as a coach would first write it. */
export interface WrittenPlan {
  readonly programme: ProgrammeSlug;
  readonly lengthMinutes: number;
  readonly startsAt?: string;
  readonly focus?: readonly MovementSlug[];
  readonly circuits?: readonly Circuit[];
  readonly style?: TeachingStyle;
  readonly story?: string;
  readonly homeTask?: HomeTask;
  readonly sections: readonly {
    readonly kind: SectionKind;
    readonly music?: Track;
    readonly way?: Way;
    readonly items: readonly ({
      readonly id?: string;
      readonly movement: MovementSlug;
      readonly dose?: Dose;
      readonly sides?: ItemSides;
      readonly tiers?: readonly TierName[];
      readonly familiarity?: Familiarity;
      readonly cue?: string;
      readonly note?: string;
      readonly circuit?: CircuitId;
      readonly music?: Track;
    } & ItemTeaching)[];
  }[];
}

export type PlanFileFault =
  | { readonly kind: 'movement-unknown'; readonly field: string; readonly movement: MovementSlug }
  | { readonly kind: 'id-twice'; readonly field: string; readonly id: string }
  | { readonly kind: 'sides-unfit'; readonly field: string; readonly sides: ItemSides; readonly choices: readonly ItemSides[] }
  | { readonly kind: 'tier-unknown'; readonly field: string; readonly tier: TierName; readonly choices: readonly TierName[] }
  | { readonly kind: 'tier-twice'; readonly field: string; readonly tier: TierName }
  | { readonly kind: 'circuit-unknown' | 'circuit-torn'; readonly field: string; readonly circuit: CircuitId };

/**
 * Reads a plan from a file. Items without an id get `item-1`, `item-2`, … in their order; sections `section-1`, ….
 * @param band for doses that are left out
 * @returns the plan, or all that is wrong with it by the path in the file
 */
export function readPlan(file: WrittenPlan, library: Library, band: AgeBand): Result<ClassPlan, readonly PlanFileFault[]> {
  const faults: PlanFileFault[] = [];
  const ids = new Set<string>();
  let count = 0;
  const fieldOf = new Map<string, string>();
  const sections = file.sections.map((section, sectionIndex) => ({
    id: `section-${String(sectionIndex + 1)}`,
    kind: section.kind,
    ...(section.music ? { music: section.music } : {}),
    ...(section.way ? { way: section.way } : {}),
    items: section.items.flatMap((written, itemIndex): readonly Item[] => {
      const field = `sections.${String(sectionIndex)}.items.${String(itemIndex)}`;
      count += 1;
      const id = written.id ?? `item-${String(count)}`;
      if (ids.has(id)) faults.push({ kind: 'id-twice', field: `${field}.id`, id });
      ids.add(id);
      fieldOf.set(id, field);
      const movement = library.get(written.movement);
      if (!movement) {
        faults.push({ kind: 'movement-unknown', field: `${field}.movement`, movement: written.movement });
        return [];
      }
      faults.push(...unfit(written, movement, field));
      (written.choice ?? []).forEach((choice, nth) => {
        if (!library.has(choice)) faults.push({ kind: 'movement-unknown', field: `${field}.choice.${String(nth)}`, movement: choice });
      });
      return [inTempo(taughtAs({ ...itemOf(movement, band), ...asItem(written), id }, written))];
    }),
  }));
  (file.focus ?? []).forEach((movement, index) => {
    if (!library.has(movement)) faults.push({ kind: 'movement-unknown', field: `focus.${String(index)}`, movement });
  });
  const plan: ClassPlan = {
    sections,
    focus: file.focus ?? [],
    ...(file.circuits ? { circuits: file.circuits } : {}),
    ...(file.style ? { style: file.style } : {}),
    ...(file.story === undefined || file.story === '' ? {} : { story: file.story }),
    ...(file.homeTask ? { homeTask: file.homeTask } : {}),
  };
  (file.homeTask?.tasks ?? []).forEach(({ movement }, nth) => {
    if (!library.has(movement)) faults.push({ kind: 'movement-unknown', field: `homeTask.tasks.${String(nth)}.movement`, movement });
  });
  for (const fault of circuitFaultsIn(plan))
    faults.push(
      fault.kind === 'circuit-twice'
        ? { kind: 'id-twice', field: 'circuits', id: fault.circuit }
        : { kind: fault.kind, field: `${fieldOf.get(fault.item) ?? 'sections'}.circuit`, circuit: fault.circuit },
    );
  return faults.length > 0 ? refused(faults) : accepted(tidied(plan));
}

/** Sides that the movement does not have, and versions that it does not have or that are named twice. */
function unfit(
  { sides, tiers }: WrittenPlan['sections'][number]['items'][number],
  movement: Movement,
  field: string,
): readonly PlanFileFault[] {
  const faults: PlanFileFault[] = [];
  const choices = sidesToChoose(movement.sides);
  if (sides && !choices.includes(sides)) faults.push({ kind: 'sides-unfit', field: `${field}.sides`, sides, choices });
  const there = tierNames.filter((tier) => tier === 'core' || movement.tiers[tier]);
  (tiers ?? []).forEach((tier, index, all) => {
    if (!there.includes(tier)) faults.push({ kind: 'tier-unknown', field: `${field}.tiers.${String(index)}`, tier, choices: there });
    else if (all.indexOf(tier) < index) faults.push({ kind: 'tier-twice', field: `${field}.tiers.${String(index)}`, tier });
  });
  return faults;
}

/** What a file says of an item, and nothing that it leaves out. */
function asItem({
  movement,
  dose,
  sides,
  tiers,
  familiarity,
  cue,
  note,
  circuit,
  music,
}: WrittenPlan['sections'][number]['items'][number]) {
  return {
    movement,
    ...(dose ? { dose } : {}),
    ...(sides ? { sides } : {}),
    ...(tiers ? { tiers } : {}),
    ...(familiarity ? { familiarity } : {}),
    ...(cue === undefined || cue === '' ? {} : { cue }),
    ...(note === undefined || note === '' ? {} : { note }),
    ...(circuit === undefined ? {} : { circuit }),
    ...(music ? { music } : {}),
  };
}

/** Writes a plan as a file that needs nothing else: with the movements it uses, and those that they name. Children are not in it. */
export function writtenPlan(
  plan: ClassPlan,
  about: { readonly programme: ProgrammeSlug; readonly lengthMinutes: number; readonly startsAt: string },
  library: Library,
): WrittenPlan & { readonly format: typeof planFormat; readonly movements: readonly Movement[] } {
  const used = new Set([
    ...placedItems(plan).flatMap(({ item }) => [item.movement, ...(item.choice ?? [])]),
    ...plan.focus,
    ...(plan.homeTask?.tasks ?? []).map(({ movement }) => movement),
  ]);
  for (const slug of used) for (const named of namedBy(library.get(slug))) used.add(named); // a set grows while it is walked
  return {
    format: planFormat,
    ...about,
    focus: plan.focus,
    ...(plan.circuits ? { circuits: plan.circuits } : {}),
    ...(plan.style ? { style: plan.style } : {}),
    ...(plan.story === undefined ? {} : { story: plan.story }),
    ...(plan.homeTask ? { homeTask: plan.homeTask } : {}),
    sections: plan.sections.map(({ kind, music, way, items }) => ({
      kind,
      ...(music ? { music } : {}),
      ...(way ? { way } : {}),
      items: items.map((item) => taughtAs({ id: item.id, ...asItem(item) }, item)),
    })),
    // where they lead to is another matter: it would bring half the library along
    movements: [...used].flatMap((slug) => {
      const movement = library.get(slug);
      return movement ? [{ ...movement, leadsTo: movement.leadsTo.filter((next) => used.has(next)) }] : [];
    }),
  };
}

/** The movements that an entry rests on, without which it cannot be read. */
function namedBy(movement: Movement | undefined): readonly MovementSlug[] {
  if (!movement) return [];
  const phrase = movement.phrase && phraseRead(movement.phrase);
  return [
    ...movement.prerequisites.map((one) => one.movement),
    ...Object.values(movement.tiers).flatMap((tier) => (tier.prerequisites ?? []).map((one) => one.movement)),
    ...movement.undoneBy,
    ...(movement.instead === null ? [] : [movement.instead]),
    ...(phrase ? entriesOf(phrase) : []),
  ];
}
