/** A child of a class, and what was seen of what is in focus. */
export interface WatchedChild {
  readonly id: string;
  /** False for a child that is known not to be there. */
  readonly isThere: boolean;
  /** True where it was marked in this class. */
  readonly isMarked: boolean;
  /** How many days ago it was last seen doing it; null where it never was. */
  readonly unseenForDays: number | null;
  /** False where its next grade asks nothing of it. */
  readonly isAsked: boolean;
}

/**
 * Whom to look at next: first who was not looked at in this class, among them whom the next grade asks for it, who was never seen doing it
 * or longest ago; then those who have a mark already. Who is not there is not in it. Alike, they stay in the order they came in.
 */
export function watchOrder<C extends WatchedChild>(children: readonly C[]): readonly C[] {
  const days = ({ unseenForDays }: C): number => unseenForDays ?? Number.MAX_SAFE_INTEGER;
  return children
    .filter(({ isThere }) => isThere)
    .toSorted((a, b) => Number(a.isMarked) - Number(b.isMarked) || Number(b.isAsked) - Number(a.isAsked) || days(b) - days(a));
}
