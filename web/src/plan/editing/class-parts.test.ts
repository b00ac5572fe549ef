import { aLibrary, aMovement, anItem, aPlan, evaluated } from '@leiter/core/testing';
import { describe, expect, it } from 'vitest';
import { changeParts, movingParts, sectionParts, totalParts } from './class-parts';

const library = aLibrary(aMovement('fold', { level: 'floor', view: { facing: 'side', framing: 'floor' } }));
const plan = aPlan({
  'warm-up': [anItem('jog')],
  mobilise: [anItem('fold'), anItem('fold', { id: 'again' })],
  closing: [anItem('breathe')],
});
const { timeline } = evaluated(plan, library);
const seconds = (text: string): number => text.split(':').reduce((sum, part) => sum * 60 + Number(part), 0);

describe('a figure of the class opens to its parts', () => {
  it('that add up: what is done, explained and changed makes the whole, item by item makes the section', () => {
    const sum = (parts: readonly (readonly [string, string])[]): number => parts.reduce((all, [, text]) => all + seconds(text), 0);
    expect(sum(totalParts(timeline))).toBe(Math.round(timeline.totalSeconds));
    expect(totalParts(timeline)[0]).toEqual(['Doing it', '4:00']);
    expect(sectionParts(plan, timeline, 'mobilise').map(([name]) => name)).toEqual(['fold', 'fold']);
    expect(sum(plan.sections.flatMap(({ id }) => sectionParts(plan, timeline, id)))).toBe(Math.round(timeline.totalSeconds));
    expect(sum(movingParts(timeline))).toBe(Math.round(timeline.totalSeconds));
  });

  it('names each change between standing and floor, as many as are counted', () => {
    const { level, camera } = changeParts(timeline, '16:30');
    expect(level).toEqual([
      ['fold', '16:31'],
      ['breathe', expect.stringMatching(/^16:3\d$/)],
    ]);
    expect([level.length, camera.length]).toEqual([timeline.levelChanges, timeline.reframings]);
  });

  it('of an empty plan has nothing in it', () => {
    const empty = evaluated(aPlan({ opening: [] }), library).timeline;
    expect([totalParts(empty), changeParts(empty, '16:30').level]).toEqual([[], []]);
  });
});
