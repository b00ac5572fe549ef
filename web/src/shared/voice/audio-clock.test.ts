import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AudioClock } from './audio-clock';

describe('the clock of the sound card', () => {
  it('is known to a few milliseconds though it is read late and in steps, and drifts', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -2e-4, max: 2e-4, noNaN: true }),
        fc.array(fc.integer({ min: 0, max: 40 }), { minLength: 60, maxLength: 60 }),
        (drift, lates) => {
          const clock = new AudioClock();
          const trueAt = (now: number): number => ((now - 1_000_000) / 1000) * (1 + drift);
          // ten minutes on, the last five seconds count
          lates.forEach((late, index) => {
            const now = 1_600_000 + index * 100;
            clock.read(now, Math.floor(trueAt(now - (index % 7 === 0 ? 0 : late)) / 0.003) * 0.003);
          });
          const now = 1_600_000 + 60 * 100;
          expect(Math.abs((clock.audioAt(now) ?? 0) - trueAt(now))).toBeLessThan(0.005);
        },
      ),
    );
  });

  it('stays even where the sound card stood still for a moment, and is right again after a while', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.45, noNaN: true }), fc.integer({ min: 0, max: 4000 }), (stood, when) => {
        const clock = new AudioClock();
        let last: number | null = null;
        let uneven = 0;
        for (let now = 0; now <= 120_000; now += 50) {
          clock.read(now, now / 1000 - (now > 6000 + when ? stood : 0));
          const at = clock.audioAt(now) ?? 0;
          // a tick of 50 ms is never shorter or longer than by a fiftieth of it
          if (last !== null) uneven = Math.max(uneven, Math.abs(at - last - 0.05));
          last = at;
        }
        expect(uneven).toBeLessThanOrEqual(0.001 + 1e-9);
        expect(Math.abs((last ?? 0) - (120 - stood))).toBeLessThan(0.001);
      }),
      { numRuns: 25 },
    );
  });

  it('is right at once where it may be: between two beats', () => {
    const clock = new AudioClock();
    for (let now = 0; now <= 12_000; now += 50) clock.read(now, now / 1000 - (now > 6000 ? 0.8 : 0));
    expect(clock.audioAt(12_000)).toBeGreaterThan(11.5);
    clock.settle();
    expect(clock.audioAt(12_000)).toBeCloseTo(11.2, 9);
  });

  it('is set anew where the sound card stood still for long', () => {
    const clock = new AudioClock();
    for (let now = 0; now <= 6000; now += 50) clock.read(now, now / 1000);
    for (let now = 8000; now <= 14_000; now += 50) clock.read(now, now / 1000 - 2);
    expect(clock.audioAt(14_000)).toBeCloseTo(12, 9);
  });

  it('says nothing until it was read, and nothing of before after a sleep', () => {
    const clock = new AudioClock();
    expect(clock.audioAt(5)).toBeNull();
    clock.read(1000, 1);
    clock.forget();
    expect(clock.audioAt(1000)).toBeNull();
    clock.read(9000, 1.5);
    expect(clock.audioAt(9000)).toBeCloseTo(1.5, 9);
  });
});
