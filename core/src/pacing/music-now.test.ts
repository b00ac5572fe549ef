import { describe, expect, it } from 'vitest';
import { musicStops, musicStopSettings } from '../timing/music-stops.js';
import { aLibrary, aMovement, anItem, aPlan, evaluated } from '../testing/makers.js';
import { musicNow, musicSeed } from './music-now.js';
import { caughtUp, moved, startRun } from './run.js';

const library = aLibrary(aMovement('jog'), aMovement('hop'), aMovement('freeze', { kind: 'game' }), aMovement('breathe'));
const song = { name: 'Harbour song', seconds: 90, bpm: 112 };
const wind = { name: 'Wind', seconds: 60, bpm: null };
const dose = { kind: 'timed', seconds: 60 } as const;
const plan = aPlan({
  opening: [anItem('jog', { dose }), anItem('hop', { dose, music: wind })],
  drills: [anItem('freeze', { dose: { kind: 'timed', seconds: 120 }, stopsWithMusic: true })],
  'cool-down': [anItem('breathe', { dose })],
});
const withMusic = {
  ...plan,
  sections: plan.sections.map((section) => (section.kind === 'opening' ? { ...section, music: song } : section)),
};
const { items } = evaluated(withMusic, library).timeline;
const [jog, hop, freeze, breathe] = items;
if (!jog || !hop || !freeze || !breathe) throw new Error('four items');
const at = (second: number) => {
  const run = caughtUp(startRun(0), items, second * 1000);
  return musicNow(run, items, second * 1000);
};

describe('the music of a class', () => {
  it('begins when the bodies do, goes on through its section, and gives way to that of an item', () => {
    expect(at(0.5)).toBeNull();
    expect(at(jog.workStartSecond + 10)).toMatchObject({ track: song, second: 10, isStill: false });
    expect(at(hop.workStartSecond + 3)).toMatchObject({ track: wind, second: 3 });
    expect(at(breathe.workStartSecond + 3)).toBeNull();
    expect(at(100_000)).toBeNull();
  });

  it('begins anew with an item that begins anew, and stands still in a pause', () => {
    let run = caughtUp(startRun(0), items, (hop.workStartSecond + 20) * 1000);
    run = moved(run, 'back', items, (hop.workStartSecond + 20) * 1000);
    expect(musicNow(run, items, (hop.workStartSecond + 20) * 1000)?.second ?? 0).toBeLessThan(1);
    const moment = (jog.workStartSecond + 10) * 1000;
    const paused = moved(caughtUp(startRun(0), items, moment), 'pause', items, moment);
    expect(musicNow(paused, items, moment + 30_000)?.second).toBeCloseTo(10, 6);
  });

  it('stops where everybody is to be still, each time for as long, never foreseen', () => {
    const work = freeze.startSecond + freeze.seconds - freeze.workStartSecond;
    const stops = musicStops(work, musicSeed(2));
    expect(stops.length).toBeGreaterThan(3);
    for (const { at: stop, until } of stops) {
      expect(at(freeze.workStartSecond + stop - 0.1)?.isStill).toBe(false);
      expect(at(freeze.workStartSecond + stop + 0.1)?.isStill).toBe(true);
      expect(at(freeze.workStartSecond + until + 0.1)?.isStill).toBe(false);
    }
  });

  it('plays for six to twenty seconds between two stops, over many seeds, and each stop is whole', () => {
    const { leastPlayed, mostPlayed, still } = musicStopSettings;
    const played: number[] = [];
    for (let seed = 0; seed < 300; seed += 1) {
      let from = 0;
      for (const { at: stop, until } of musicStops(180, seed)) {
        played.push(stop - from);
        expect(until - stop).toBeCloseTo(still, 9);
        expect(until).toBeLessThanOrEqual(180);
        from = until;
      }
    }
    expect(Math.min(...played)).toBeGreaterThanOrEqual(leastPlayed);
    expect(Math.max(...played)).toBeLessThanOrEqual(mostPlayed);
    // all of the range is used
    expect(Math.max(...played) - Math.min(...played)).toBeGreaterThan(12);
  });
});
