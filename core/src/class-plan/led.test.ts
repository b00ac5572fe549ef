import { describe, expect, it } from 'vitest';
import { aChildInClass, aLibrary, aMovement, anItem, aPlan, evaluated, findingsOf } from '../testing/makers.js';
import { homeListOf, homeListWords } from '../versions/home-list.js';
import { applyEdit, type PlanEdit } from './edit.js';
import { type ItemTeaching } from './item-teaching.js';
import { readTeaching, writeTeaching } from './read-teaching.js';
import { teachingText } from './teaching-text.js';

const dose = { kind: 'reps', sets: 1, reps: 10, secondsPerRep: 2, restSeconds: 0 } as const;
const library = aLibrary(
  aMovement('shape', { name: 'Shapes', kind: 'game', prepares: ['hips', 'wrists'] }),
  aMovement('roll', { name: 'Roll', hazards: ['inverted'], loads: [{ region: 'neck', amount: 2 }], prepares: ['hips'] }),
);
const plan = aPlan({ combination: [anItem('shape', { dose })] });
const done = (edit: PlanEdit) => {
  const after = applyEdit(plan, edit, () => '');
  if (!after.ok) throw new Error(JSON.stringify(after.error));
  return after.value;
};
const led = (teaching: ItemTeaching) => done({ kind: 'set-teaching', item: 'shape', teaching });
const whole: ItemTeaching = {
  leader: 'a-child',
  stands: 'back-turned',
  helper: { who: 'partner', does: 'hold the cushion' },
  calls: { what: 'shapes', everySeconds: 4, from: 'kneeling' },
  choice: ['roll'],
  areEyesClosed: true,
  stopsWithMusic: true,
};

describe('what else an item says', () => {
  it('reads as one would say it, and names what may be chosen', () => {
    expect(teachingText(whole, (slug) => library.get(slug)?.name ?? slug)).toBe(
      'a child leads, back turned, call shapes every 4 s, from kneeling, or Roll, a partner to hold the cushion, eyes closed, still when the music stops',
    );
  });

  it('is typed where it is a word, and what is not typed stays', () => {
    const item = { dose, ...whole };
    expect(writeTeaching(item)).toBe('1x10 eyes closed music stops');
    const { leader, stands, helper, calls, choice } = whole;
    expect(readTeaching('2x8 follow music stops', item)?.teaching).toEqual({
      leader,
      stands,
      helper,
      calls,
      choice,
      way: 'follow',
      stopsWithMusic: true,
    });
  });

  it('on a call goes as fast as is called, and takes that long', () => {
    const called = led({ calls: { what: 'shapes', everySeconds: 5 } });
    expect(called.sections[0]?.items[0]?.dose).toMatchObject({ secondsPerRep: 5 });
    const seconds = (some: typeof plan) => evaluated(some, library).timeline.items[0]?.parts.work;
    expect([seconds(plan), seconds(called)]).toEqual([20, 50]);
  });

  it('lets a free choice bring the hazards and loads of each, and ready only what all of them ready', () => {
    const free = led({ choice: ['roll'] });
    expect(findingsOf('cold-load', plan, library)).toEqual([]);
    expect(findingsOf('cold-load', free, library)).toMatchObject([{ itemIds: ['shape'] }]);
    expect(evaluated(free, library).timeline.items[0]?.movement).toMatchObject({ name: 'Shapes', prepares: ['hips'] });
  });

  it.each([
    ['partner', { partner: false }],
    ['adult', { adult: 'not-at-hand' }],
  ] as const)('asks homes for the %s who helps, and the child does it all the same', (who, home) => {
    const helped = led({ helper: { who, does: 'hold the cushion' } });
    const said = { children: [aChildInClass('alone', {}, home), aChildInClass('two')] };
    expect(findingsOf(who, helped, library, said)).toMatchObject([{ severity: 'caution', childIds: ['alone'] }]);
    expect(evaluated(helped, library, said).versions.map(({ tier }) => tier)).toEqual(['core', 'core']);
    expect(findingsOf(who, plan, library, said)).toEqual([]);
  });

  it('tells the family what is built and what somebody at home does', () => {
    const helped = led({ helper: { who: 'adult', does: 'steady the feet' }, build: { what: 'a line of tape', seconds: 20 } });
    const child = aChildInClass('kid');
    const { versions, timeline } = evaluated(helped, library, { children: [child] });
    const words = homeListWords(
      homeListOf(
        child,
        versions,
        library,
        timeline.items.map(({ item }) => item),
      ),
    );
    expect(words).toContain('Shapes: an adult to steady the feet.');
    expect(words).toContain('For us to build: a line of tape.');
  });

  it('with eyes closed nobody travels, jumps or turns', () => {
    const turning = aLibrary(aMovement('turn', { hazards: ['rotation'] }), aMovement('stork'));
    const closed = (slug: string) => findingsOf('eyes-closed', aPlan({ skill: [anItem(slug, { areEyesClosed: true })] }), turning).length;
    expect([closed('turn'), closed('stork')]).toEqual([1, 0]);
  });
});

it('a story is told and taken away again; a home task without anything in it is none', () => {
  expect(done({ kind: 'set-story', story: 'pirates' }).story).toBe('pirates');
  expect(done({ kind: 'set-story', story: '' })).not.toHaveProperty('story');
  expect(done({ kind: 'set-home-task', homeTask: { tasks: [], note: '' } })).not.toHaveProperty('homeTask');
  const task = { movement: 'roll', dose, sides: 'none' } as const;
  const tooMany = applyEdit(
    plan,
    { kind: 'set-home-task', homeTask: { tasks: Array.from({ length: 7 }, () => task), note: '' } },
    () => '',
  );
  expect(tooMany).toMatchObject({ ok: false, error: { kind: 'too-many-tasks' } });
});
