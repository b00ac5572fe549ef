import { describe, expect, it, vi } from 'vitest';
import { entriesOf } from './entries-of';

interface Entry {
  readonly slug: string;
  readonly says: string;
}
const entry = (index: number): Entry => ({ slug: `step-${String(index)}`, says: `[\n“ü”, ${'x'.repeat(40)}\n]` });
const many = Array.from({ length: 300 }, (_, index) => entry(index));
const byLine = (entries: readonly Entry[]): string => `[\n${entries.map((one) => JSON.stringify(one)).join(',\n')}\n]`;

/** An answer whose bytes come so many at a time, cut through letters as well. */
function answer(text: string, bytes: number): Response {
  const all = new TextEncoder().encode(text);
  let from = 0;
  return new Response(
    new ReadableStream({
      pull(controller) {
        if (from >= all.length) controller.close();
        else controller.enqueue(all.slice(from, (from += bytes)));
      },
    }),
  );
}
const nothing = (): undefined => undefined;

describe('a list that is read while it comes', () => {
  it('is the whole list, however it is cut on its way', async () => {
    for (const bytes of [1, 7, 64, 100_000])
      expect(await entriesOf(answer(byLine(many.slice(0, 40)), bytes), nothing)).toEqual(many.slice(0, 40));
    expect(await entriesOf(answer(byLine([]), 5), nothing)).toEqual([]);
  });

  it('is read as well where it is written without lines, as an older Leiter keeps it', async () => {
    expect(await entriesOf(answer(JSON.stringify(many), 50), nothing)).toEqual(many);
    expect(await entriesOf(answer('[]', 1), nothing)).toEqual([]);
  });

  it('shows its beginning before its end is there', async () => {
    let now = 0;
    vi.spyOn(performance, 'now').mockImplementation(() => (now += 1));
    const seen: number[] = [];
    await entriesOf<Entry>(answer(byLine(many), 500), (some) => {
      expect(some[0]).toEqual(many[0]);
      seen.push(some.length);
      return undefined;
    });
    expect(seen[0]).toBeLessThan(20);
    expect(seen.length).toBeGreaterThan(20);
    vi.restoreAllMocks();
  });

  it('is not taken for whole where it was cut off', async () => {
    for (const text of [byLine(many).slice(0, -1), byLine(many).slice(0, -500), '[\n', '', JSON.stringify(many).slice(0, -1)])
      await expect(entriesOf(answer(text, 999), nothing)).rejects.toThrow();
  });
});
