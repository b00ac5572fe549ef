import type { Library } from '../movement/library.js';
import type { Movement, TermVariant } from '../movement/movement.js';
import type { ProgrammeSlug } from '../values/unit.js';
import type { CountLanguage } from '../voice/teaching-voice.js';

/** A word of a programme: what it is called, what that means, and from which grade on it is asked. */
export interface Word {
  readonly movement: Movement;
  /** The term; of a movement that has none its name. */
  readonly text: string;
  readonly sayIt: string | null;
  readonly meaning: string;
  /** What other styles and schools call it. */
  readonly variants: readonly TermVariant[];
  /** How it is given to the voice. */
  readonly spoken: { readonly text: string; readonly language: CountLanguage };
  /** Slug of the first grade that asks it; null where none does. */
  readonly grade: string | null;
}

/** What of a ladder decides in which order words come. */
export interface WordLadder {
  readonly grades: readonly { readonly slug: string; readonly requirements: readonly { readonly movement: string }[] }[];
}

/** How a movement is said: French by a French voice, other languages as their letters are read in English, the rest by its name. */
function spokenOf({ term, name }: Movement): Word['spoken'] {
  if (term?.language === 'fr') return { text: term.text, language: 'fr' };
  if (term?.language === 'ko') return { text: term.text, language: 'en' };
  return { text: (term?.text ?? name).toLowerCase(), language: 'en' };
}

/**
 * The words of a programme: every movement with a term and, where the programme has few of them, those that its ladder asks by their names.
 * @returns in the order of the grades that ask them first, those that no grade asks at the end, each in the order of the alphabet
 */
export function wordsOf(library: Library, programme: ProgrammeSlug, ladder: WordLadder | null): readonly Word[] {
  const rungs = new Map<string, number>();
  ladder?.grades.forEach(({ requirements }, index) => {
    for (const { movement } of requirements) if (!rungs.has(movement)) rungs.set(movement, index);
  });
  const own = [...library.values()].filter(({ programmes }) => programmes.includes(programme));
  const withTerm = own.filter(({ term }) => term !== null);
  const chosen = withTerm.length >= fewTerms ? withTerm : own.filter(({ slug, term }) => term !== null || rungs.has(slug));
  const rungOf = ({ slug }: Movement): number => rungs.get(slug) ?? Number.MAX_SAFE_INTEGER;
  return chosen
    .toSorted((a, b) => rungOf(a) - rungOf(b) || a.name.localeCompare(b.name))
    .map((movement) => ({
      movement,
      text: movement.term?.text ?? movement.name,
      sayIt: movement.term?.sayIt ?? null,
      meaning: movement.term?.meaning ?? movement.plainMeaning,
      variants: movement.term?.variants ?? [],
      spoken: spokenOf(movement),
      grade: ladder?.grades[rungs.get(movement.slug) ?? -1]?.slug ?? null,
    }));
}

/** With fewer terms than this a programme is known by the names of what its ladder asks. */
const fewTerms = 10;
