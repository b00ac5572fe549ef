import type { ClassPageResponse } from '@leiter/contract';
import { isExpected } from '@leiter/contract/who-comes';
import {
  callListsFor,
  callsNamed,
  familiarityOf,
  type Call,
  type CallList,
  type CountLanguage,
  type Library,
  type TimedItem,
} from '@leiter/core';

/** What can be called out in a class: what its group has met, for its youngest, in the language of its counts. */
export function classCallLists(page: ClassPageResponse, library: Library, countLanguage: CountLanguage): readonly CallList[] {
  const known = new Map(page.exposures.map(({ movement, ...exposure }) => [movement, exposure]));
  const ages = page.children.filter(isExpected).map(({ ageYears }) => ageYears);
  return callListsFor(library, {
    programme: page.class.programme,
    youngestYears: ages.length === 0 ? 99 : Math.min(...ages),
    knows: (movement) => familiarityOf(known.get(movement)) !== 'new',
    countLanguage,
  });
}

/** What an item of the plan has called out; null where it calls nothing. */
export const callsOfItem =
  (lists: readonly CallList[]) =>
  (timed: TimedItem): readonly Call[] | null =>
    callsNamed(timed.item.calls?.what ?? '', lists);
