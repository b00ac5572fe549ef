import { plural, t } from '@lingui/core/macro';
import type { GradingPageResponse, GradingResponse, MissingResponse, ReadinessResponse } from '@leiter/contract';
import type { Library, Station } from '@leiter/core';

export const stationWords: Readonly<Record<Station, string>> = {
  basics: t`Basics`,
  skills: t`Skills`,
  strength: t`Strength`,
  combinations: t`Combinations`,
  questions: t`Answers`,
  stretching: t`Stretch`,
};

/** The time of day so many minutes after the day began. */
export function clockAfter({ startsAt }: Pick<GradingResponse, 'startsAt'>, minutes: number): string {
  const [hours = 0, past = 0] = startsAt.split(':').map(Number);
  const at = hours * 60 + past + minutes;
  return `${String(Math.floor(at / 60) % 24).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
}

/** The movement of a requirement, by its id, with its stage. */
export function requirementName({ grades }: Pick<GradingPageResponse, 'grades'>, library: Library, id: string): string {
  const requirement = grades.flatMap(({ requirements }) => requirements).find((one) => one.id === id);
  if (!requirement) return '';
  const movement = library.get(requirement.movement);
  const stage = requirement.stage === null ? undefined : movement?.stages[requirement.stage - 1];
  const name = movement?.name ?? requirement.movement;
  return stage && stage.name.toLowerCase() !== name.toLowerCase() ? `${name}: ${stage.name.toLowerCase()}` : name;
}

export function missingWords(missing: MissingResponse, nameOf: (requirementId: string) => string): string {
  switch (missing.kind) {
    case 'requirement':
      return nameOf(missing.requirementId);
    case 'weeks-in-grade':
      return t`${plural(missing.need - missing.have, { one: '# more week', other: '# more weeks' })} in this grade`;
    case 'classes':
      return plural(missing.need - missing.have, { one: '# more class', other: '# more classes' });
    case 'age':
      return t`${missing.need} years of age`;
  }
}

export function readinessWords(readiness: ReadinessResponse, nameOf: (requirementId: string) => string): string {
  switch (readiness.kind) {
    case 'earned':
      return t`ready: all of it was seen`;
    case 'on-the-day':
      return t`to show on the day: ${readiness.open.map(nameOf).join(', ')}`;
    case 'not-yet':
      return t`not by then: ${readiness.missing.map((one) => missingWords(one, nameOf)).join(', ')}`;
  }
}
