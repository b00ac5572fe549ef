import { regionWord, type Movement } from '@leiter/core';
import MiniSearch from 'minisearch';
import { kindWords } from './words';

/** Finds movements as one types: by name, term, meaning, kind and region; typing errors are forgiven. */
export function movementSearch<Entry extends Movement>(movements: readonly Entry[]): (text: string) => readonly Entry[] {
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
      term: movement.term ? `${movement.term.text} ${movement.term.meaning}` : '',
      meaning: movement.plainMeaning,
      kind: kindWords[movement.kind],
      regions: [...movement.prepares, ...movement.loads.map(({ region }) => region)].map(regionWord).join(' '),
    })),
  );
  const bySlug = new Map(movements.map((movement) => [movement.slug as unknown, movement]));
  return (text) => {
    if (text.trim() === '') return movements;
    const typed = plain(text.trim());
    // whoever types a name means the movement of that name, and not a longer one that has it in it
    const nearness = ({ name }: Entry): number => (plain(name) === typed ? 0 : plain(name).startsWith(typed) ? 1 : 2);
    return index
      .search(text)
      .flatMap(({ id }) => bySlug.get(id) ?? [])
      .sort((one, other) => nearness(one) - nearness(other));
  };
}

function plain(text: string): string {
  return text.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');
}
