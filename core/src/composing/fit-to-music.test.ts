import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Dose } from '../movement/dose.js';
import { aContext, aLibrary, aMovement, anItem, aPlan, evaluated } from '../testing/makers.js';
import type { ClassPlan } from '../class-plan/class-plan.js';
import { applyEdits } from '../class-plan/edit.js';
import { fitToMusic, musicGaps, type MusicTarget } from './fit-to-music.js';
import { trackFaults, type Track } from '../class-plan/music.js';

const library = aLibrary(
  aMovement('skip', { kind: 'pulse-raiser', effort: 3 }),
  aMovement('swing', { kind: 'dynamic-stretch', sides: 'each' }),
  aMovement('hold', { kind: 'static-stretch' }),
  aMovement('phrase', { kind: 'combination' }),
);
const song = (seconds: number, bpm: number | null = null): Track => ({ name: 'The tide song', seconds, bpm });
const timed = (seconds: number): Dose => ({ kind: 'timed', seconds });
const reps = (count: number): Dose => ({ kind: 'reps', sets: 1, reps: count, secondsPerRep: 2, restSeconds: 0 });
const section = { section: 'warm-up' } as const;

function withTrack(plan: ClassPlan, music: Track): ClassPlan {
  const done = applyEdits(plan, [{ kind: 'set-section-music', section: 'warm-up', music }], () => '');
  if (!done.ok) throw new Error('a track that does not fit');
  return done.value;
}
function fitted(plan: ClassPlan, target: MusicTarget = section, ages: readonly number[] = [9]) {
  const context = aContext({ agesYears: ages });
  const fit = fitToMusic(plan, library, context, target);
  const done = applyEdits(plan, fit.edits, () => '');
  if (!done.ok) throw new Error('edits that do not fit');
  const [gap] = musicGaps(done.value, evaluated(done.value, library, { agesYears: ages }).timeline);
  expect(gap?.gapSeconds ?? 0).toBeCloseTo(fit.gapSeconds, 6);
  return { plan: done.value, gap: gap?.gapSeconds ?? 0, doses: done.value.sections.flatMap(({ items }) => items.map(({ dose }) => dose)) };
}

describe('a warm-up that is a song', () => {
  const warmUp = aPlan({ 'warm-up': [anItem('skip', { dose: timed(60) }), anItem('swing', { dose: reps(8), sides: 'both' })] });

  it('shows how much music is left over, from the first movement on', () => {
    const [skip, swing] = evaluated(warmUp, library).timeline.items;
    const [gap] = musicGaps(withTrack(warmUp, song(200)), evaluated(warmUp, library).timeline);
    expect(gap?.doneSeconds).toBeCloseTo((skip?.seconds ?? 0) - (skip?.parts.explain ?? 0) + (swing?.seconds ?? 0), 6);
    expect(gap?.gapSeconds).toBeCloseTo(200 - (gap?.doneSeconds ?? 0), 6);
  });

  it('ends with the music once it is fitted, longer or shorter', () => {
    for (const seconds of [90, 130, 180, 260]) {
      const { gap, doses } = fitted(withTrack(warmUp, song(seconds)));
      expect(Math.abs(gap)).toBeLessThanOrEqual(1);
      expect(doses).not.toEqual([timed(60), reps(8)]);
    }
  });

  it('comes no nearer than three times its doses allow, and shows the gap', () => {
    const { gap, doses } = fitted(withTrack(warmUp, song(1200)));
    expect(doses).toEqual([timed(180), reps(24)]);
    expect(gap).toBeGreaterThan(500);
  });

  it('is never further from the music than it was, whatever it is made of', () => {
    const dose = fc.oneof(
      fc.integer({ min: 10, max: 120 }).map(timed),
      fc.integer({ min: 1, max: 20 }).map(reps),
      fc.integer({ min: 1, max: 20 }).map((holdSeconds): Dose => ({ kind: 'hold', sets: 1, holdSeconds, restSeconds: 0 })),
      fc.integer({ min: 1, max: 8 }).map((eights): Dose => ({ kind: 'counts', eights, bpm: 100, repeats: 1, countIn: 4 })),
    );
    const item = fc.record({ movement: fc.constantFrom('skip', 'swing', 'hold', 'phrase'), dose });
    fc.assert(
      fc.property(fc.array(item, { minLength: 1, maxLength: 6 }), fc.integer({ min: 30, max: 400 }), (items, seconds) => {
        const some = withTrack(
          aPlan({ 'warm-up': items.map((one, index) => anItem(one.movement, { ...one, id: String(index) })) }),
          song(seconds),
        );
        const [before] = musicGaps(some, evaluated(some, library).timeline);
        expect(Math.abs(fitted(some).gap)).toBeLessThanOrEqual(Math.abs(before?.gapSeconds ?? 0) + 1e-6);
      }),
      { numRuns: 60 },
    );
  });

  it('holds nothing longer than the youngest should', () => {
    const held = aPlan({ 'warm-up': [anItem('hold', { dose: { kind: 'hold', sets: 1, holdSeconds: 8, restSeconds: 0 } })] });
    const { doses } = fitted(withTrack(held, song(60)), section, [6, 12]);
    expect(doses).toMatchObject([{ holdSeconds: 10 }]);
  });

  it('leaves a section without items, and one without a track, as they are', () => {
    expect(fitToMusic(withTrack(aPlan({ 'warm-up': [] }), song(60)), library, aContext(), section).edits).toEqual([]);
    expect(fitToMusic(warmUp, library, aContext(), section).edits).toEqual([]);
  });
});

describe('a phrase to its own track', () => {
  const counts: Dose = { kind: 'counts', eights: 4, bpm: 100, repeats: 1, countIn: 8 };
  const phrase = aPlan({ combination: [anItem('skip'), anItem('phrase', { dose: counts, music: song(50, 120) })] });

  it('is counted to its beat, and has as many 8-counts as the music', () => {
    const { doses, gap } = fitted(phrase, { item: 'phrase' });
    // 50 s less a count-in of 4 s at 120 beats a minute: 46 s, 11.5 8-counts of 4 s
    expect(doses[1]).toEqual({ ...counts, bpm: 120, eights: 11 });
    expect(gap).toBeCloseTo(2, 6);
    expect(doses[0]).toEqual(timed(60));
  });
});

it.each([
  [song(5), []],
  [song(4), ['seconds']],
  [song(3601), ['seconds']],
  [song(60, 29), ['bpm']],
  [song(60, 240), []],
  [song(Number.NaN, 300), ['seconds', 'bpm']],
])('a track %j is asked for what it lacks: %j', (track, faults) => {
  expect(trackFaults(track)).toEqual(faults);
});
