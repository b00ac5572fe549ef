import { t } from '@lingui/core/macro';
import type { MovementResponse } from '@leiter/contract';
import { effortWord, regions, regionWord, sectionKinds, type Effort, type Movement } from '@leiter/core';
import { sectionWords } from '../shared/words';

/** One question that narrows the library, with its answers. */
export interface FilterGroup {
  readonly id: string;
  readonly label: string;
  readonly options: readonly FilterOption[];
}

export interface FilterOption {
  readonly id: string;
  readonly label: string;
  readonly fits: (movement: MovementResponse) => boolean;
}

/** Which answers are chosen, by the id of the question; a question that is not in it is open. */
export type ChosenFilters = Readonly<Record<string, string>>;

const needsNothing = ({ needs }: Movement): boolean =>
  needs.equipment.length === 0 && !needs.wall && !needs.partner && needs.adult === 'none';

/** The question of which entries are the club's own. */
export const ownGroup: FilterGroup = {
  id: 'own',
  label: t`Of the club`,
  options: [
    { id: 'own', label: t`written by the club`, fits: ({ isOwn }) => isOwn },
    { id: 'away', label: t`put away`, fits: ({ isPutAway }) => isPutAway },
  ],
};

export const filterGroups: readonly FilterGroup[] = [
  {
    id: 'section',
    label: t`Part of a class`,
    options: sectionKinds.map((kind) => ({ id: kind, label: sectionWords[kind], fits: ({ sections }) => sections.includes(kind) })),
  },
  {
    id: 'readies',
    label: t`Readies`,
    options: regions.map((region) => ({ id: region, label: regionWord(region), fits: ({ prepares }) => prepares.includes(region) })),
  },
  {
    id: 'loads',
    label: t`Loads`,
    options: regions.map((region) => ({
      id: region,
      label: regionWord(region),
      fits: ({ loads }) => loads.some((load) => load.region === region),
    })),
  },
  {
    id: 'level',
    label: t`Where`,
    options: [
      { id: 'standing', label: t`standing`, fits: ({ level }) => level !== 'floor' },
      { id: 'floor', label: t`on the floor`, fits: ({ level }) => level !== 'standing' },
    ],
  },
  {
    id: 'needs',
    label: t`At home it needs`,
    options: [
      { id: 'nothing', label: t`nothing`, fits: needsNothing },
      { id: 'thing', label: t`a thing of the house`, fits: ({ needs }) => needs.equipment.length > 0 || needs.wall },
      { id: 'adult', label: t`an adult`, fits: ({ needs }) => needs.adult !== 'none' },
      { id: 'soft', label: t`a soft floor`, fits: ({ needs }) => needs.surface !== 'any-dry' },
      { id: 'partner', label: t`a partner`, fits: ({ needs }) => needs.partner },
    ],
  },
  {
    id: 'age',
    label: t`For a child of`,
    options: [4, 5, 6, 7, 8, 9, 10].map((age) => ({
      id: String(age),
      label: t`${age} years`,
      fits: ({ leastAge }) => leastAge <= age,
    })),
  },
  {
    id: 'effort',
    label: t`Effort`,
    options: ([0, 1, 2, 3, 4] as const satisfies readonly Effort[]).map((effort) => ({
      id: String(effort),
      label: effortWord(effort),
      fits: (movement) => movement.effort === effort,
    })),
  },
];

/**
 * @returns those that fit every answer chosen; what is put away only where it is asked for.
 * @param except a question that is left open, to count its answers.
 */
export function filtered(
  movements: readonly MovementResponse[],
  chosen: ChosenFilters,
  except: string | null = null,
): readonly MovementResponse[] {
  const asked = [...filterGroups, ownGroup].flatMap(({ id, options }) =>
    id === except ? [] : options.filter((option) => option.id === chosen[id]),
  );
  const isAwayAsked = except === ownGroup.id || chosen[ownGroup.id] === 'away';
  return movements.filter((movement) => (isAwayAsked || !movement.isPutAway) && asked.every(({ fits }) => fits(movement)));
}

/** How many movements each answer of a question would leave, the other answers kept. */
export function countsOf(group: FilterGroup, movements: readonly MovementResponse[], chosen: ChosenFilters): ReadonlyMap<string, number> {
  const open = filtered(movements, chosen, group.id);
  return new Map(group.options.map(({ id, fits }) => [id, open.filter(fits).length]));
}
