/** Where a child is on the ladder of one programme. */
export interface Rung {
  /** In the order in which they were given, whatever the version of the ladder. */
  readonly earned: readonly { readonly gradeId: string; readonly slug: string; readonly name: string; readonly awardedOn: string }[];
  readonly inGradeSince: string;
  readonly classesSince: number;
  /** Days of classes of the programme that it came to since then. */
  readonly attendedSince: readonly string[];
}
