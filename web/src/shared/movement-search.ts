import { regionWord, type Movement } from '@leiter/core';
import MiniSearch from 'minisearch';
import { kindWords } from './words';

/**
 * Finds movements as one types: by name, term, meaning, kind and region; typing errors are forgiven.
 * The index is made when something is looked for the first time.
 */
export function movementSearch<Entry extends Movement>(movements: readonly Entry[]): (text: string) => readonly Entry[] {
  let index: ReturnType<typeof indexOf> | null = null;
  const bySlug = new Map(movements.map((movement) => [movement.slug as unknown, movement]));
  return (text) => {
    if (text.trim() === '') return movements;
    const typed = plain(text.trim());
    const typedWords = wordsIn(typed).length;
    // whoever types a name means the movement of that name, also with a slip, and not a longer one that has it in it
    const nearness = ({ name }: Entry, isByName: boolean): number => {
      if (plain(name) === typed) return 0;
      // of several that begin so the plainest name: Cartwheel before Cartwheel step in
      if (plain(name).startsWith(typed)) return 1 + wordsIn(plain(name)).length / 100;
      return isByName && wordsIn(plain(name)).length === typedWords ? 2 : 3;
    };
    index ??= indexOf(movements);
    return index
      .search(text)
      .flatMap(({ id, match }) => {
        const entry = bySlug.get(id);
        const isByName = Object.values(match).every((fields) => fields.includes('name'));
        return entry ? [{ entry, near: nearness(entry, isByName) }] : [];
      })
      .sort((one, other) => one.near - other.near)
      .map(({ entry }) => entry);
  };
}

const wordsIn = (text: string): readonly string[] => text.match(/[\p{L}\p{N}]+/gu) ?? [];

function plain(text: string): string {
  return text.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');
}

function indexOf(movements: readonly Movement[]) {
  const index = new MiniSearch<{ id: string; name: string; term: string; meaning: string; kind: string; regions: string }>({
    fields: ['name', 'term', 'meaning', 'kind', 'regions'],
    searchOptions: { prefix: true, fuzzy: 0.2, boost: { name: 4, term: 3 }, combineWith: 'AND' },
    // accents are typed or not: both find
    processTerm: (term) => plain(term),
  });
  index.addAll(
    movements.map((movement) => ({
      id: movement.slug,
      name: movement.name,
      term: movement.term
        ? [movement.term.text, movement.term.meaning, ...(movement.term.variants ?? []).map(({ text }) => text)].join(' ')
        : '',
      meaning: movement.plainMeaning,
      kind: kindWords[movement.kind],
      // by the word for a child and by the word for a coach: back of the thighs, hamstrings
      regions: [...movement.prepares, ...movement.lengthens, ...movement.loads.map(({ region }) => region)]
        .flatMap((region) => [regionWord(region), region])
        .join(' '),
    })),
  );
  return index;
}
