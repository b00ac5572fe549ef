import type { Library } from '../movement/library.js';
import type { Timeline } from '../timing/timeline.js';
import { checkOf, type Finding } from './all-checks.js';
import type { Told } from './check.js';
import type { FoundWords } from './finding.js';
import { mendWords } from './mend-words.js';

/** A finding in plain words: what, why in one sentence, and what the mend does. */
export interface FindingWords extends FoundWords {
  readonly mend: string | null;
}

/** Says a finding in a sentence that can be read to a parent: the words of its check. */
export function wordsOf({ check, itemIds, fact, mend }: Finding, timeline: Timeline, library: Library): FindingWords {
  const by = checkOf(check);
  const told: Told = { name: nameOf(itemIds, timeline), first: nameOf(itemIds.slice(0, 1), timeline), library };
  return { ...by.words(fact, told), mend: mend && (by.mendWords?.(fact, mend) ?? mendWords(mend, library)) };
}

function nameOf(itemIds: Finding['itemIds'], timeline: Timeline): string {
  const names = itemIds.map((id) => timeline.items.find(({ item }) => item.id === id)?.movement.name ?? 'An item');
  const others = names.length - 1;
  const [first = 'This class'] = names;
  if (others <= 0) return first;
  return others === 1 ? `${first} and ${names[1] ?? ''}` : `${first} and ${String(others)} more`;
}
