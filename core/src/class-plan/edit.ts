import type { Dose } from '../movement/dose.js';
import { doseFaults } from '../movement/dose.js';
import type { TierName } from '../movement/movement.js';
import { accepted, refused, type Result } from '../values/result.js';
import type { SectionKind } from '../movement/section-kind.js';
import type { ChildId, CircuitId, ItemId, MovementSlug, SectionId } from '../values/unit.js';
import { placedBetween, tidied, withCircuit, withCircuitNumbers, withoutCircuit } from './circuit.js';
import {
  findItem,
  mostItems,
  placedItems,
  talkLimits,
  type AcceptedFinding,
  type Circuit,
  type CircuitKind,
  type ClassPlan,
  type Familiarity,
  type Item,
  type Section,
} from './class-plan.js';
import type { EditRefusal } from './edit-refusal.js';
import { trackFaults, type Track } from './music.js';
import { withSection, withSectionStepped, withoutSection } from './section-edit.js';
import type { ItemSides } from '../movement/sides.js';
import { taughtAs, type ItemTeaching } from './item-teaching.js';
import { inTempo, mostHomeTasks, type HomeTask } from './led.js';
import type { TeachingStyle, Way } from './way.js';

/** Where an item goes: at the end of a section, or before or after another item. */
export type Place = { readonly at: 'end-of'; readonly section: SectionId } | { readonly at: 'before' | 'after'; readonly item: ItemId };

/**
 * A change to a plan, as data: the same for a key, a drag, and the mend that a finding offers. A new item comes
 * without an id: who applies the edit gives it.
 */
export type PlanEdit =
  | { readonly kind: 'insert'; readonly item: Omit<Item, 'id'>; readonly place: Place }
  | ({ readonly kind: 'insert-block'; readonly items: readonly Omit<Item, 'id'>[]; readonly place: Place } & Omit<
      Circuit,
      'id' | 'kind'
    > & {
        readonly of: CircuitKind;
      })
  | { readonly kind: 'remove'; readonly item: ItemId }
  | { readonly kind: 'move'; readonly item: ItemId; readonly place: Place }
  | { readonly kind: 'double'; readonly item: ItemId }
  /** Another item in its place, with its music, in its circuit. */
  | { readonly kind: 'swap'; readonly item: ItemId; readonly for: Omit<Item, 'id'> }
  | { readonly kind: 'set-dose'; readonly item: ItemId; readonly dose: Dose }
  | { readonly kind: 'set-sides'; readonly item: ItemId; readonly sides: ItemSides }
  | { readonly kind: 'set-tiers'; readonly item: ItemId; readonly tiers: readonly TierName[] }
  | { readonly kind: 'set-familiarity'; readonly item: ItemId; readonly familiarity: Familiarity | 'from-record' }
  | { readonly kind: 'set-teaching'; readonly item: ItemId; readonly teaching: ItemTeaching }
  | { readonly kind: 'set-section-way'; readonly section: SectionId; readonly way: Way | 'as-usual' }
  | { readonly kind: 'set-style'; readonly style: TeachingStyle | 'as-usual' }
  | { readonly kind: 'set-story'; readonly story: string }
  | { readonly kind: 'set-home-task'; readonly homeTask: HomeTask }
  | { readonly kind: 'set-words'; readonly item: ItemId; readonly cue: string; readonly note: string }
  | { readonly kind: 'set-tier-by-hand'; readonly item: ItemId; readonly child: ChildId; readonly tier: TierName | 'as-reckoned' }
  | { readonly kind: 'accept'; readonly finding: AcceptedFinding }
  | { readonly kind: 'open-again'; readonly check: string; readonly itemIds: readonly ItemId[] }
  | { readonly kind: 'set-focus'; readonly focus: readonly MovementSlug[] }
  | ({ readonly kind: 'make-circuit'; readonly items: readonly ItemId[] } & Omit<Circuit, 'id' | 'kind'>)
  | ({ readonly kind: 'set-circuit'; readonly circuit: CircuitId; readonly of?: CircuitKind } & Omit<Circuit, 'id' | 'kind'>)
  | { readonly kind: 'break-circuit'; readonly circuit: CircuitId }
  | { readonly kind: 'set-item-music'; readonly item: ItemId; readonly music: Track | null }
  | { readonly kind: 'set-section-music'; readonly section: SectionId; readonly music: Track | null }
  | { readonly kind: 'add-section'; readonly section: SectionKind; readonly after: SectionId | null }
  | { readonly kind: 'remove-section'; readonly section: SectionId }
  | { readonly kind: 'move-section'; readonly section: SectionId; readonly direction: 'up' | 'down' };

/**
 * Applies one edit; the plan given is left as it was. Running over the slot is no refusal: the `clock` check reports it.
 * Circuits stay whole: an item that is put between two stations is one, and a circuit that nobody is in any more is gone.
 * @param newId makes the id of what the edit adds; called once for each item or block.
 * @returns the new plan, or why the edit does not fit it. Never throws.
 */
export function applyEdit(plan: ClassPlan, edit: PlanEdit, newId: () => string): Result<ClassPlan, EditRefusal> {
  const done = isOfItem(edit) ? itemEdited(plan, edit, newId) : planEdited(plan, edit, newId);
  return done.ok ? accepted(tidied(done.value)) : done;
}

type ItemEdit = Extract<PlanEdit, { readonly item: ItemId }>;

const isOfItem = (edit: PlanEdit): edit is ItemEdit => 'item' in edit && edit.kind !== 'insert';

/** Edits of the plan as a whole, its sections and its circuits. */
function planEdited(plan: ClassPlan, edit: Exclude<PlanEdit, ItemEdit>, newId: () => string): Result<ClassPlan, EditRefusal> {
  switch (edit.kind) {
    case 'set-focus':
      return accepted({ ...plan, focus: [...new Set(edit.focus)] });
    case 'accept':
      return accepted({ ...plan, accepted: [...otherAccepted(plan, edit.finding), edit.finding] });
    case 'open-again':
      return accepted({ ...plan, accepted: otherAccepted(plan, edit) });
    case 'insert':
      return insert(plan, edit.item, edit.place, newId);
    case 'insert-block':
      return insertBlock(plan, edit, newId);
    case 'make-circuit':
      return withCircuit(plan, edit.items, { rounds: edit.rounds, restSeconds: edit.restSeconds }, newId);
    case 'set-circuit': {
      const { circuit, rounds, restSeconds } = edit;
      return withCircuitNumbers(plan, circuit, { rounds, restSeconds, ...(edit.of === undefined ? {} : { kind: edit.of }) });
    }
    case 'break-circuit':
      return withoutCircuit(plan, edit.circuit);
    case 'add-section':
      return withSection(plan, edit.section, edit.after, newId);
    case 'remove-section':
      return withoutSection(plan, edit.section);
    case 'move-section':
      return withSectionStepped(plan, edit.section, edit.direction);
    case 'set-section-music':
      return withSectionMusic(plan, edit.section, edit.music);
    case 'set-section-way':
      return withSectionWay(plan, edit.section, edit.way);
    case 'set-style': {
      const { style: _before, ...rest } = plan;
      return accepted(edit.style === 'as-usual' ? rest : { ...rest, style: edit.style });
    }
    case 'set-story': {
      const { story: _before, ...rest } = plan;
      return accepted(edit.story === '' ? rest : { ...rest, story: edit.story });
    }
    case 'set-home-task':
      return withHomeTask(plan, edit.homeTask);
  }
}

/** Nothing to do and nothing to tell is no task. */
function withHomeTask(plan: ClassPlan, homeTask: HomeTask): Result<ClassPlan, EditRefusal> {
  if (homeTask.tasks.length > mostHomeTasks) return refused({ kind: 'too-many-tasks', most: mostHomeTasks });
  const numbers = homeTask.tasks.flatMap(({ dose }) => doseFaults(dose));
  if (numbers.length > 0) return refused({ kind: 'dose-out-of-range', numbers });
  const { homeTask: _before, ...rest } = plan;
  return accepted(homeTask.tasks.length === 0 && homeTask.note === '' ? rest : { ...rest, homeTask });
}

function withSectionMusic(plan: ClassPlan, id: SectionId, music: Track | null): Result<ClassPlan, EditRefusal> {
  const section = plan.sections.find((one) => one.id === id);
  if (!section) return refused({ kind: 'section-missing', section: id });
  const numbers = music ? trackFaults(music) : [];
  if (numbers.length > 0) return refused({ kind: 'music-out-of-range', numbers });
  const { music: _before, ...rest } = section;
  const next: Section = music ? { ...rest, music } : rest;
  return accepted({ ...plan, sections: plan.sections.map((one) => (one === section ? next : one)) });
}

function withSectionWay(plan: ClassPlan, id: SectionId, way: Way | 'as-usual'): Result<ClassPlan, EditRefusal> {
  const section = plan.sections.find((one) => one.id === id);
  if (!section) return refused({ kind: 'section-missing', section: id });
  const { way: _before, ...rest } = section;
  const next: Section = way === 'as-usual' ? rest : { ...rest, way };
  return accepted({ ...plan, sections: plan.sections.map((one) => (one === section ? next : one)) });
}

function itemEdited(plan: ClassPlan, edit: ItemEdit, newId: () => string): Result<ClassPlan, EditRefusal> {
  const placed = findItem(plan, edit.item);
  if (!placed) return refused({ kind: 'item-missing', item: edit.item });
  const { item } = placed;
  switch (edit.kind) {
    case 'remove':
      return accepted(without(plan, item.id));
    case 'move':
      // an item dropped on itself stays where it is
      return 'item' in edit.place && edit.place.item === item.id ? accepted(plan) : put(without(plan, item.id), item, edit.place);
    case 'double':
      return insert(plan, item, { at: 'after', item: item.id }, newId);
    case 'swap': {
      const { circuit, music } = item;
      const kept = { ...(circuit === undefined ? {} : { circuit }), ...(music ? { music } : {}) };
      return accepted(changed(plan, { ...edit.for, ...kept, id: newId() }, item.id));
    }
    case 'set-dose': {
      const numbers = doseFaults(edit.dose);
      return numbers.length > 0 ? refused({ kind: 'dose-out-of-range', numbers }) : accepted(changed(plan, { ...item, dose: edit.dose }));
    }
    case 'set-sides':
      return accepted(changed(plan, { ...item, sides: edit.sides }));
    case 'set-tiers':
      return edit.tiers.length === 0 ? refused({ kind: 'no-tier' }) : accepted(changed(plan, { ...item, tiers: edit.tiers }));
    case 'set-familiarity': {
      const { familiarity: _overruled, ...rest } = item;
      return accepted(changed(plan, edit.familiarity === 'from-record' ? rest : { ...rest, familiarity: edit.familiarity }));
    }
    case 'set-teaching': {
      const { explainSeconds, build } = edit.teaching;
      return isWithin(explainSeconds, talkLimits.explainSeconds) && isWithin(build?.seconds, talkLimits.buildSeconds)
        ? accepted(changed(plan, inTempo(taughtAs(item, edit.teaching))))
        : refused({ kind: 'talk-out-of-range' });
    }
    case 'set-words': {
      const { cue: _cue, note: _note, ...rest } = item;
      const words = { ...(edit.cue === '' ? {} : { cue: edit.cue }), ...(edit.note === '' ? {} : { note: edit.note }) };
      return accepted(changed(plan, { ...rest, ...words }));
    }
    case 'set-item-music': {
      const numbers = edit.music ? trackFaults(edit.music) : [];
      if (numbers.length > 0) return refused({ kind: 'music-out-of-range', numbers });
      const { music: _before, ...rest } = item;
      return accepted(changed(plan, edit.music ? { ...rest, music: edit.music } : rest));
    }
    case 'set-tier-by-hand': {
      const { [edit.child]: _before, ...others } = item.tierByHand ?? {};
      return accepted(
        changed(plan, { ...item, tierByHand: edit.tier === 'as-reckoned' ? others : { ...others, [edit.child]: edit.tier } }),
      );
    }
  }
}

function isWithin(value: number | undefined, { least, most }: { readonly least: number; readonly most: number }): boolean {
  return value === undefined || (value >= least && value <= most);
}

function otherAccepted(plan: ClassPlan, about: Pick<AcceptedFinding, 'check' | 'itemIds'>): readonly AcceptedFinding[] {
  return (plan.accepted ?? []).filter((one) => !isSameFinding(one, about));
}

/** Whether two findings are about the same: the same check on the same items. */
export function isSameFinding(one: Pick<AcceptedFinding, 'check' | 'itemIds'>, other: Pick<AcceptedFinding, 'check' | 'itemIds'>): boolean {
  return one.check === other.check && one.itemIds.join() === other.itemIds.join();
}

/** Applies edits in their order, all or none. */
export function applyEdits(plan: ClassPlan, edits: readonly PlanEdit[], newId: () => string): Result<ClassPlan, EditRefusal> {
  let current = plan;
  for (const edit of edits) {
    const next = applyEdit(current, edit, newId);
    if (!next.ok) return next;
    current = next.value;
  }
  return accepted(current);
}

function insert(plan: ClassPlan, item: Omit<Item, 'id'>, place: Place, newId: () => string): Result<ClassPlan, EditRefusal> {
  if (placedItems(plan).length >= mostItems) return refused({ kind: 'too-many-items', most: mostItems });
  const numbers = doseFaults(item.dose);
  return numbers.length > 0 ? refused({ kind: 'dose-out-of-range', numbers }) : put(plan, { ...item, id: newId() }, place);
}

/** Items one after the other at a place, and the block that they are; all or none. */
function insertBlock(
  plan: ClassPlan,
  { items, place, rounds, restSeconds, of }: Extract<PlanEdit, { readonly kind: 'insert-block' }>,
  newId: () => string,
): Result<ClassPlan, EditRefusal> {
  let current = plan;
  const ids: ItemId[] = [];
  for (const item of items) {
    const id = newId();
    const before = ids.at(-1);
    const next = insert(current, item, before === undefined ? place : { at: 'after', item: before }, () => id);
    if (!next.ok) return next;
    current = next.value;
    ids.push(id);
  }
  const block = newId();
  const made = withCircuit(current, ids, { rounds, restSeconds }, () => block);
  return made.ok ? withCircuitNumbers(made.value, block, { rounds, restSeconds, kind: of }) : made;
}

function put(plan: ClassPlan, item: Item, place: Place): Result<ClassPlan, EditRefusal> {
  if (place.at === 'end-of') {
    const section = plan.sections.find((one) => one.id === place.section);
    return section
      ? accepted(withItems(plan, section, [...section.items, placedBetween(item, section.items.at(-1), undefined)]))
      : refused({ kind: 'section-missing', section: place.section });
  }
  const neighbour = findItem(plan, place.item);
  if (!neighbour) return refused({ kind: 'item-missing', item: place.item });
  const { section } = neighbour;
  const index = section.items.indexOf(neighbour.item) + (place.at === 'after' ? 1 : 0);
  const put = placedBetween(item, section.items[index - 1], section.items[index]);
  return accepted(withItems(plan, section, section.items.toSpliced(index, 0, put)));
}

function withItems(plan: ClassPlan, section: Section, items: readonly Item[]): ClassPlan {
  return { ...plan, sections: plan.sections.map((one) => (one.id === section.id ? { ...one, items } : one)) };
}

function without(plan: ClassPlan, id: ItemId): ClassPlan {
  return { ...plan, sections: plan.sections.map((section) => ({ ...section, items: section.items.filter((item) => item.id !== id) })) };
}

function changed(plan: ClassPlan, item: Item, id = item.id): ClassPlan {
  return {
    ...plan,
    sections: plan.sections.map((section) => ({ ...section, items: section.items.map((one) => (one.id === id ? item : one)) })),
  };
}

/**
 * The edit that takes an item one place up or down, across sections; a section that is empty takes it in.
 * @returns null at the first and the last place, and for an item that is not in the plan.
 */
export function stepItem(plan: ClassPlan, id: ItemId, direction: 'up' | 'down'): PlanEdit | null {
  const sectionIndex = plan.sections.findIndex((section) => section.items.some((item) => item.id === id));
  const section = plan.sections[sectionIndex];
  if (!section) return null;
  const index = section.items.findIndex((item) => item.id === id);
  const neighbour = section.items[index + (direction === 'up' ? -1 : 1)];
  if (neighbour) return { kind: 'move', item: id, place: { at: direction === 'up' ? 'before' : 'after', item: neighbour.id } };
  const next = plan.sections[sectionIndex + (direction === 'up' ? -1 : 1)];
  if (!next) return null;
  const first = next.items[0];
  return direction === 'down' && first
    ? { kind: 'move', item: id, place: { at: 'before', item: first.id } }
    : { kind: 'move', item: id, place: { at: 'end-of', section: next.id } };
}
