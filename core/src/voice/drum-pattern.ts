import type { Seconds } from '../values/unit.js';

/** Beats in a bar. */
export const metres = [2, 3, 4, 6] as const;
export type Metre = (typeof metres)[number];

export type Drum = 'low' | 'high' | 'tick';

/** One stroke, in seconds from the first beat. */
export interface Stroke {
  readonly at: Seconds;
  readonly drum: Drum;
}

/** The drums of each beat of a bar; a tick stands on every half beat between. */
const bars: Readonly<Record<Metre, readonly (readonly Drum[])[]>> = {
  2: [['low'], ['high']],
  3: [['low'], ['tick'], ['tick']],
  4: [['low'], ['high'], ['low'], ['high']],
  6: [['low'], ['tick'], ['tick'], ['high'], ['tick'], ['tick']],
};

/**
 * The strokes of a beat of our own within a time, at their exact moments: the nth beat is at n · 60 / bpm.
 * @param from inclusive @param to exclusive
 */
export function strokesBetween(bpm: number, metre: Metre, from: Seconds, to: Seconds): readonly Stroke[] {
  const half = 30 / bpm;
  const strokes: Stroke[] = [];
  // what lies a rounding before the edge lies on it
  for (let nth = Math.max(0, Math.ceil(from / half - 1e-9)); nth * half < to - 1e-9; nth += 1) {
    const at = nth * half;
    const drums: readonly Drum[] = nth % 2 === 1 ? ['tick'] : (bars[metre][(nth / 2) % metre] ?? []);
    strokes.push(...drums.map((drum) => ({ at, drum })));
  }
  return strokes;
}

/** A tempo from taps: of the last ones, the middle of the times between them; null before the third. @param taps milliseconds, rising */
export function tappedBpm(taps: readonly number[]): number | null {
  const gaps = taps.slice(1).map((tap, index) => tap - (taps[index] ?? tap));
  if (gaps.length < 2) return null;
  const middle = gaps.toSorted((a, b) => a - b)[Math.floor(gaps.length / 2)] ?? 0;
  // the mean of those near the middle: one late tap changes nothing
  const near = gaps.filter((gap) => Math.abs(gap - middle) <= middle * 0.15);
  const mean = near.reduce((sum, gap) => sum + gap, 0) / near.length;
  return Math.round((60_000 / mean) * 10) / 10;
}
