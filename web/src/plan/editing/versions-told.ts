import { countsText, type VersionCounts } from '@leiter/core';

/** How many children do which version of an item; nothing where all of them do the core. */
export function versionsTold(counts: VersionCounts | undefined, nameOf: (slug: string) => string): string {
  if (!counts) return '';
  const { easier, harder, instead, none } = counts;
  return easier + harder + instead + none === 0 ? '' : countsText(counts, nameOf);
}
