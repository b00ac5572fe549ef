/** 0 rest, 1 gentle, 2 moderate, 3 hard, 4 peak. */
export type Effort = 0 | 1 | 2 | 3 | 4;

export const effortWords = ['rest', 'gentle', 'moderate', 'hard', 'peak'] as const;

/** @returns the word for an effort, the same everywhere: colour never stands alone. */
export function effortWord(effort: Effort): (typeof effortWords)[number] {
  return effortWords[effort];
}
