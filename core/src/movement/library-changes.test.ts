import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aLibrary, aMovement } from '../testing/makers.js';
import { libraryChanges } from './library-changes.js';
import { libraryFaultWords } from './library-fault.js';
import { readLibrary } from './library-file.js';

describe('what taking in a library changes', () => {
  const current = aLibrary(aMovement('lever'), aMovement('roll', { cues: ['Chin in'] }));

  it('is told apart: added, changed by field, the same', () => {
    expect(libraryChanges(current, [aMovement('lever'), aMovement('roll', { cues: ['Round'], effort: 3 }), aMovement('new')])).toEqual({
      added: ['new'],
      changed: [{ slug: 'roll', fields: ['effort', 'cues'] }],
      same: ['lever'],
    });
  });

  it('is nothing for what was written out of it, whatever the order of the fields', () => {
    const written = [...current.values()].map((movement) => Object.fromEntries(Object.entries(movement).reverse()));
    const read = readLibrary(JSON.parse(JSON.stringify(written)) as readonly unknown[]);
    expect(read.ok && libraryChanges(current, read.value.values())).toMatchObject({ added: [], changed: [] });
  });
});

describe('reading whatever somebody sends', () => {
  it('never throws, and says of every fault where it is, in a sentence', () => {
    fc.assert(
      fc.property(fc.array(fc.jsonValue({ maxDepth: 4 }), { maxLength: 5 }), (entries) => {
        const result = readLibrary(entries);
        if (!result.ok) for (const fault of result.error) expect(libraryFaultWords(fault)).toMatch(/\.$/);
      }),
    );
  });

  it('of a whole entry with any one field replaced by anything either reads it or names that entry', () => {
    const whole = JSON.parse(JSON.stringify(aMovement('lever'))) as Record<string, unknown>;
    fc.assert(
      fc.property(fc.constantFrom(...Object.keys(whole)), fc.jsonValue({ maxDepth: 3 }), (field, value) => {
        const result = readLibrary([{ ...whole, [field]: value }]);
        if (!result.ok) expect(result.error.length).toBeGreaterThan(0);
        else expect([...result.value.values()]).toHaveLength(1);
      }),
      { numRuns: 400 },
    );
  });
});
