import { plural, t } from '@lingui/core/macro';
import {
  clockText,
  firstRounds,
  itemTotals,
  meanAge,
  sectionSeconds,
  versionWords,
  wordsOf,
  type ClassPlan,
  type Evaluation,
  type EvaluationContext,
  type ItemTotal,
  type Library,
} from '@leiter/core';
import { sectionWords, wayWords } from '../../shared/words';

export const answers = ['takes', 'starts', 'versions', 'findings', 'section'] as const;
/** What a figure of the ladder can be asked for, and of which item or section. */
export interface Asked {
  readonly what: (typeof answers)[number];
  readonly id: string;
}

/** What it is asked of. */
interface Of {
  readonly plan: ClassPlan;
  readonly evaluation: Evaluation;
  readonly library: Library;
  readonly context: EvaluationContext;
  readonly startsAt: string;
  /** The names of the children, by id. */
  readonly names: ReadonlyMap<string, string>;
}

/** The attributes that make a figure answer when it is pointed at. */
export function answering(what: Asked['what'], id: string): { readonly 'data-answer': string; readonly 'data-of': string } {
  return { 'data-answer': what, 'data-of': id };
}

/** What was asked for by pointing at something; null for what answers nothing. */
export function askedBy(target: EventTarget): Asked | null {
  const element = target instanceof Element ? target.closest<HTMLElement>('[data-answer]') : null;
  const what = answers.find((one) => one === element?.dataset['answer']);
  const id = element?.dataset['of'];
  return what && id !== undefined ? { what, id } : null;
}

/** How a figure was reckoned, in words; null where it is not there any more. */
export function answerWords({ what, id }: Asked, of: Of): string | null {
  switch (what) {
    case 'takes': {
      const total = itemTotals(of.evaluation.timeline.items).get(id);
      return total ? takesWords(total, of.context) : null;
    }
    case 'starts': {
      const before = firstRounds(of.evaluation.timeline.items).find(({ item }) => item.id === id);
      return before ? t`${before.movement.name} begins ${clockText(before.startSecond)} after the class.` : null;
    }
    case 'versions':
      return whoDoesWhat(id, of) || null;
    case 'findings': {
      const { findings, timeline } = of.evaluation;
      const own = findings.filter(({ itemIds, acceptedBecause }) => itemIds.includes(id) && acceptedBecause === undefined);
      return own
        .map((finding) =>
          Object.values(wordsOf({ ...finding, mend: null }, timeline, of.library))
            .filter(Boolean)
            .join('. '),
        )
        .join(' · ');
    }
    case 'section': {
      const own = sectionSeconds(of.plan, of.evaluation.timeline).find(({ section }) => section.id === id);
      if (!own) return null;
      const share = of.evaluation.timeline.totalSeconds > 0 ? own.seconds / of.evaluation.timeline.totalSeconds : 0;
      return t`${sectionWords[own.section.kind]} takes ${clockText(own.seconds)}: ${Math.round(share * 100)} % of the class, ${plural(own.section.items.length, { one: '# item', other: '# items' })}.`;
    }
  }
}

/** `Handstand takes 1:40: explaining 0:24 (teach, new), doing it 1:00 …`. */
function takesWords({ first, parts, seconds }: ItemTotal, context: EvaluationContext): string {
  const { item, movement, way, familiarity, rounds } = first;
  const explained = item.explainSeconds === undefined ? `${wayWords[way]}, ${familiarity}` : t`as you wrote`;
  const age = context.settings.ageFactors.find(({ belowYears }) => meanAge(context.agesYears) < belowYears)?.factor ?? 1;
  const isBound = item.dose.kind === 'timed' || item.dose.kind === 'counts';
  const rows: readonly (readonly [string, number])[] = [
    [t`explaining (${explained})`, parts.explain],
    [rounds > 1 ? t`going there, and rest between rounds` : t`going there`, parts.goTo],
    [t`setting up`, parts.setUp],
    [t`doing it${first.sides === 'both' ? t` on both sides` : ''}${age === 1 || isBound ? '' : t` (× ${age} at this age)`}`, parts.work],
    [t`changing sides`, parts.sideChange],
  ];
  const told = rows.filter(([, part]) => Math.round(part) > 0).map(([label, part]) => `${label} ${clockText(part)}`);
  return t`${movement.name} takes ${clockText(seconds)}: ${told.join(', ')}.`;
}

/** So many names are read; the rest is counted. */
const mostNames = 5;

function whoDoesWhat(id: string, { evaluation, library, context, names }: Of): string {
  const groups = new Map<string, string[]>();
  for (const version of evaluation.versions) {
    if (version.itemId !== id) continue;
    const words = versionWords(version, library, context.ladder);
    groups.set(words, [...(groups.get(words) ?? []), names.get(version.childId) ?? t`a child`]);
  }
  return [...groups]
    .map(([words, own]) => {
      const more = own.length - mostNames;
      return `${own.slice(0, mostNames).join(', ')}${more > 0 ? t` and ${more} more` : ''} – ${words}`;
    })
    .join(' · ');
}
