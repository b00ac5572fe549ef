import type { Library } from '../movement/library.js';
import type { KnownMark } from '../versions/child-in-class.js';
import type { MovementSlug } from '../values/unit.js';
import type { AgeBand } from '../movement/age-band.js';
import { outsideCircuit, tidied } from '../class-plan/circuit.js';
import { placedItems, type ClassPlan, type Item } from '../class-plan/class-plan.js';
import { partsOfPhrase } from '../phrase/build-up.js';
import { phraseRead } from '../phrase/read-once.js';
import { itemOf } from '../class-plan/new-item.js';

/** From which share of the children on a skill counts as shown by the group. */
export const shownShare = 0.6;

/** One skill that went on, for the words beside it. */
export interface StepFurther {
  readonly from: MovementSlug;
  readonly to: MovementSlug;
}

/** A plan as it was, with ids of its own; what was set for single children or looked at then is not taken along. */
export function copyOf(plan: ClassPlan, library: Library, newId: () => string): ClassPlan {
  const circuits = plan.circuits?.map((circuit) => ({ ...circuit, id: newId(), of: circuit.id }));
  const circuitOf = (item: Item): Pick<Item, 'circuit'> => {
    const own = circuits?.find(({ of }) => of === item.circuit);
    return own ? { circuit: own.id } : {};
  };
  return tidied({
    sections: plan.sections.map(({ items, ...section }) => ({
      ...section,
      id: newId(),
      items: items
        .filter(({ movement }) => library.has(movement))
        .map(({ tierByHand: _set, familiarity: _overruled, ...item }) => ({ ...outsideCircuit(item), ...circuitOf(item), id: newId() })),
    })),
    focus: plan.focus.filter((slug) => library.has(slug)),
    ...(circuits ? { circuits: circuits.map(({ id, rounds, restSeconds }) => ({ id, rounds, restSeconds })) } : {}),
  });
}

/** What was new of a phrase is known by now, and the next segment is new; of one that they have whole nothing is. */
function oneSegmentMore(item: Item, library: Library): Item {
  const written = library.get(item.movement)?.phrase;
  const phrase = written && phraseRead(written);
  if (!item.parts || !phrase) return item;
  const { new: fresh, known } = partsOfPhrase(phrase, item.parts);
  const all = [...known, ...fresh].toSorted((a, b) => a - b);
  const next = phrase.segments.findIndex((_, index) => !all.includes(index));
  return { ...item, parts: { new: next < 0 ? [] : [next], known: all } };
}

/**
 * The last class once more, one step further: each skill in focus that most children have shown alone gives way to the first
 * movement that it leads to and that the plan does not have; the others stay. A phrase that is built up goes on by one segment.
 * @param marksByChild the marks of each child expected
 */
export function stepFurther(
  plan: ClassPlan,
  library: Library,
  marksByChild: readonly (readonly KnownMark[])[],
  band: AgeBand,
  newId: () => string,
): { readonly plan: ClassPlan; readonly steps: readonly StepFurther[] } {
  const copied = copyOf(plan, library, newId);
  const steps: StepFurther[] = [];
  const there = new Set(placedItems(copied).map(({ item }) => item.movement));
  for (const slug of copied.focus) {
    const shown = marksByChild.filter((marks) =>
      marks.some(({ movement, mark }) => movement === slug && (mark === 'alone' || mark === 'clean')),
    );
    if (marksByChild.length === 0 || shown.length < shownShare * marksByChild.length) continue;
    const next = library.get(slug)?.leadsTo.find((one) => library.has(one) && !there.has(one));
    if (next === undefined) continue;
    there.add(next);
    steps.push({ from: slug, to: next });
  }
  const byFrom = new Map(steps.map(({ from, to }) => [from, to]));
  return {
    plan: {
      ...copied,
      sections: copied.sections.map((section) => ({
        ...section,
        items: section.items.map((item) => {
          const movement = library.get(byFrom.get(item.movement) ?? '');
          if (!movement) return oneSegmentMore(item, library);
          return { ...itemOf(movement, band), id: item.id, ...(item.circuit === undefined ? {} : { circuit: item.circuit }) };
        }),
      })),
      focus: copied.focus.map((slug) => byFrom.get(slug) ?? slug),
    },
    steps,
  };
}
