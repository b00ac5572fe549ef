import type { Foot } from './phrase.js';
import { partsOfLine } from './phrase-line.js';
import { isRowLine } from './phrase-text.js';

/** How a step that is on the wrong foot is mended. */
export const footMends = ['other-foot', 'ball-change'] as const;
export type FootMend = (typeof footMends)[number];

const signs = { left: 'L', right: 'R' } as const;
const other = { left: 'right', right: 'left' } as const;
const footAt = /^(\s*\S+\s+)(R|L|right|left)\b/;

/**
 * The steps with one row on the other foot, or with a change of weight on the half before it; everything else stays as it is written.
 * @param row counted as it is read @param foot that acts in it
 * @returns null where the row is not there, or no foot acts in it
 */
export function mendedText(text: string, row: number, foot: Foot, mend: FootMend): string | null {
  const lines = text.split('\n');
  let passed = 0;
  for (const [index, line] of lines.entries()) {
    if (!isRowLine(line)) continue;
    const parts = [...partsOfLine(line)];
    for (const [at, part] of parts.entries()) {
      if (part.trim() === '') continue;
      passed += 1;
      if (passed <= row) continue;
      if (!footAt.test(part)) return null;
      const mended =
        mend === 'other-foot'
          ? part.replace(footAt, (_all, before: string) => `${before}${signs[other[foot]]}`)
          : `${/^\s*/.exec(part)?.[0] ?? ''}& ${signs[other[foot]]} place, ${part.trimStart()}`;
      return lines.with(index, parts.with(at, mended).join(',')).join('\n');
    }
  }
  return null;
}
