import type { BoardRow, ChildResponse, GroupBoardResponse, GroupResponse, SyllabusResponse } from '@leiter/contract';
import { daysBetween, type Day } from '@leiter/core';

/** One child on the wall, in one group: where it stands and what there is to know of it. */
export interface WallChild {
  readonly child: ChildResponse;
  readonly name: string;
  readonly groupId: string | null;
  /** How many rungs its ladder has, and how many of them it has climbed. */
  readonly rungs: number;
  readonly climbed: number;
  readonly grade: string | null;
  readonly nextGrade: string | null;
  readonly met: number;
  readonly of: number;
  readonly isEarned: boolean;
  /** Days since it was marked last; null for never. */
  readonly unseenDays: number | null;
}

export const wallFilters = ['everybody', 'earned', 'close', 'unseen', 'home'] as const;
export type WallFilter = (typeof wallFilters)[number];
export const wallOrders = ['name', 'grade', 'seen'] as const;
export type WallOrder = (typeof wallOrders)[number];

/** With so few requirements open a child is close to a grade. */
const closeTo = 2;
/** After three weeks without a mark nobody can say where a child stands. */
export const unseenAfterDays = 21;

export const isClose = ({ met, of, isEarned }: WallChild): boolean => !isEarned && of > 0 && met > 0 && of - met <= closeTo;
export const isUnseen = ({ unseenDays, groupId }: WallChild): boolean =>
  groupId !== null && (unseenDays === null || unseenDays >= unseenAfterDays);

const passes: Readonly<Record<WallFilter, (one: WallChild) => boolean>> = {
  everybody: () => true,
  earned: ({ isEarned }) => isEarned,
  close: isClose,
  unseen: isUnseen,
  home: ({ child }) => !child.isHomeKnown,
};

const collator = new Intl.Collator('en', { sensitivity: 'base' });

const orders: Readonly<Record<WallOrder, (a: WallChild, b: WallChild) => number>> = {
  name: (a, b) => collator.compare(a.name, b.name),
  grade: (a, b) => b.climbed - a.climbed || b.met / Math.max(1, b.of) - a.met / Math.max(1, a.of) || collator.compare(a.name, b.name),
  seen: (a, b) => (b.unseenDays ?? 100_000) - (a.unseenDays ?? 100_000) || collator.compare(a.name, b.name),
};

/** A name as one types it: without marks on letters, in small ones. */
const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '')
    .replaceAll('ł', 'l')
    .replaceAll('Ł', 'l')
    .replaceAll('ø', 'o')
    .replaceAll('Ø', 'o')
    .toLowerCase();

interface Told {
  readonly children: readonly ChildResponse[];
  readonly groups: readonly GroupResponse[];
  readonly boards: readonly GroupBoardResponse[];
  readonly ladders: readonly SyllabusResponse[];
  readonly today: Day;
}

export interface Wanted {
  readonly text: string;
  readonly filter: WallFilter;
  readonly order: WallOrder;
  readonly showsArchived: boolean;
}

/** A group, or those who are in none now, with all who belong to it. */
interface Place {
  readonly group: GroupResponse | null;
  readonly members: readonly WallChild[];
}

/** Where every child stands, group by group, those in no group last; archived ones too. */
export function standingOf({ children, groups, boards, ladders, today }: Told): readonly Place[] {
  const open = groups.filter(({ archived }) => !archived);
  return [...open, null].map((group) => {
    const rows = new Map(boards.find((one) => one.group.id === group?.id)?.rows.map((row) => [row.childId, row]));
    const ladder = ladders.find(({ programme }) => programme === group?.programme);
    const members = children
      .filter(({ groupIds }) => (group ? groupIds.includes(group.id) : !groupIds.some((id) => open.some((one) => one.id === id))))
      .map((child) => wallChild(child, group, rows.get(child.id), ladder, today));
    return { group, members };
  });
}

/** All of a place in the order wanted, also those that a filter leaves out. */
export const inOrder = (members: readonly WallChild[], order: WallOrder): readonly WallChild[] => members.toSorted(orders[order]);

/** The wall as it is wanted; places in which nobody is like that are left out. */
export function wallOf(standing: readonly Place[], { text, filter, order, showsArchived }: Wanted): readonly Place[] {
  const wanted = plain(text.trim());
  return standing
    .map(({ group, members }) => ({
      group,
      members: inOrder(
        members.filter((one) => (showsArchived || !one.child.archived) && plain(one.name).includes(wanted) && passes[filter](one)),
        order,
      ),
    }))
    .filter(({ members }) => members.length > 0);
}

function wallChild(
  child: ChildResponse,
  group: GroupResponse | null,
  row: BoardRow | undefined,
  ladder: SyllabusResponse | undefined,
  today: Day,
): WallChild {
  const held = child.grades.find(({ programme }) => programme === group?.programme);
  const rungs = ladder?.grades.filter(({ isPutAway, id }) => !isPutAway || id === held?.gradeId) ?? [];
  // of an earlier version of the ladder the grade has another id and the same name
  const at = rungs.findIndex(({ id, name }) => id === held?.gradeId || name === held?.gradeName);
  return {
    child,
    name: `${child.givenName} ${child.familyInitial}`,
    groupId: group?.id ?? null,
    rungs: rungs.length,
    climbed: at + 1,
    grade: held?.gradeName ?? null,
    nextGrade: row?.nextGradeName ?? null,
    met: row?.metCount ?? 0,
    of: row?.cells.length ?? 0,
    isEarned: row?.isEarned ?? false,
    unseenDays: row?.lastSeenOn == null || today === '' ? null : daysBetween(row.lastSeenOn, today),
  };
}
