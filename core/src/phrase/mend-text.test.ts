import { describe, expect, it } from 'vitest';
import { aPhrase } from '../testing/phrases.js';
import { mendedText } from './mend-text.js';
import { walk } from './walk.js';

const text = `# One
1 R fwd / say walk, 2 R fwd, 3 L fwd
easier: 3 R touch
# Two
5 R fwd, 6 L fwd
1 L fwd / arms L high`;

describe('a step on the wrong foot', () => {
  it('is put on the other foot where it is written, and nothing else changes', () => {
    expect(mendedText(text, 1, 'right', 'other-foot')).toBe(text.replace('2 R fwd', '2 L fwd'));
    expect(mendedText(text, 5, 'left', 'other-foot')).toBe(text.replace('1 L fwd', '1 R fwd'));
  });

  it('or has a change of weight before it, also over the end of a group; then it can be danced', () => {
    const changed = mendedText(text, 1, 'right', 'ball-change') ?? '';
    expect(changed).toContain('1 R fwd / say walk, & L place, 2 R fwd');
    const twice = mendedText(changed, 6, 'left', 'ball-change') ?? '';
    expect(twice).toContain('\n& R place, 1 L fwd / arms L high');
    expect(walk(aPhrase(text)).findings.map(({ row }) => row)).toEqual([1, 5]);
    expect(walk(aPhrase(twice)).findings).toEqual([]);
  });

  it('that is not there is left alone', () => {
    expect(mendedText(text, 6, 'left', 'other-foot')).toBeNull();
    expect(mendedText('1-4 / free', 0, 'left', 'other-foot')).toBeNull();
  });
});
