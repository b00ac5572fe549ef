import { describe, expect, it } from 'vitest';
import { aChildInClass, aLibrary, aMovement, anItem, aPlan, findingsOf, mended } from '../testing/makers.js';
import type { ClassPlan } from '../class-plan/class-plan.js';
import { homeTaskBar, homeTaskSeconds, proposeHomeTask } from './home-task.js';
import { homeTaskLines } from './home-task-words.js';

const hold = { kind: 'hold', sets: 2, holdSeconds: 20, restSeconds: 5 } as const;
const doses = { '4-6': hold, '7-9': hold, '10-13': hold };
const needs = aMovement('x').needs;
const library = aLibrary(
  aMovement('rock', { name: 'Rock', kind: 'drill', dose: doses }),
  aMovement('roll', {
    name: 'Roll',
    kind: 'skill',
    hazards: ['inverted'],
    homeTask: 'with-adult',
    dose: doses,
    prerequisites: [{ movement: 'rock', mark: 'alone' }],
  }),
  aMovement('salto', { name: 'Salto', kind: 'skill', homeTask: 'no' }),
  aMovement('plank', { name: 'Plank', kind: 'strength', dose: doses }),
  aMovement('stretch-long', { name: 'Long stretch', kind: 'static-stretch', dose: doses, sides: 'each' }),
  aMovement('beam', { name: 'Beam', kind: 'drill', needs: { ...needs, footprint: { lengthM: 6, widthM: 1 } } }),
);
const able = [{ movement: 'rock', stage: null, mark: 'alone' as const }];
const child = (adult: 'in-the-room' | 'not-at-hand') => aChildInClass(adult, { marks: able }, { adult });
const roll = library.get('roll') ?? aMovement('gone');
const withTask = (...movements: readonly string[]): ClassPlan => ({
  ...aPlan({ skill: [anItem('roll')], strength: [anItem('plank')], 'cool-down': [anItem('stretch-long')] }),
  focus: ['roll'],
  homeTask: { tasks: movements.map((movement) => ({ movement, dose: hold, sides: 'none' })), note: '' },
});

describe('what a child may do at home', () => {
  it.each([
    ['an adult at hand', child('in-the-room'), null],
    ['none at hand', child('not-at-hand'), 'adult'],
    ['nobody knows', aChildInClass('unknown', { marks: able, home: null }), 'adult'],
    ['not shown what it rests on', aChildInClass('new'), 'prerequisite'],
  ] as const)('a roll, with %s', (_what, of, kind) => {
    expect(homeTaskBar(roll, of, null)?.kind ?? null).toBe(kind);
  });

  it('is asked of the room, of health and of what is never for home', () => {
    const at = (slug: string, of = child('in-the-room')) => homeTaskBar(library.get(slug) ?? roll, of, null);
    expect(at('salto')).toEqual({ kind: 'not-for-home' });
    expect(at('beam')).toEqual({ kind: 'home', need: 'space' });
    const sore = { ...child('in-the-room'), spares: { regions: [], hazards: ['inverted' as const] } };
    expect(at('roll', sore)).toEqual({ kind: 'health' });
  });
});

describe('home-task-unsafe', () => {
  it('stops a task that is not for home, and one that wants an adult where none is; leaves it out for the mend', () => {
    const children = [child('in-the-room'), child('not-at-hand')];
    expect(findingsOf('home-task-unsafe', withTask('rock', 'plank'), library, { children })).toEqual([]);
    const plan = withTask('rock', 'roll');
    const [finding] = findingsOf('home-task-unsafe', plan, library, { children });
    expect(finding).toMatchObject({ severity: 'stop', childIds: ['not-at-hand'], fact: { movements: ['roll'] } });
    expect(mended(plan, finding).homeTask?.tasks.map(({ movement }) => movement)).toEqual(['rock']);
    expect(findingsOf('home-task-unsafe', withTask('roll'), library, { children: children.slice(0, 1) })).toEqual([]);
    expect(findingsOf('home-task-unsafe', withTask('salto'), library)).toHaveLength(1);
  });

  it('is what no-home-task asks for; a story for the way home is none', () => {
    const tale = aLibrary(...library.values(), aMovement('story-rest', { kind: 'talk', sections: ['closing'], effort: 0 }));
    const story = aPlan({ closing: [anItem('story-rest')] });
    expect(findingsOf('no-home-task', story, tale)).toHaveLength(1);
    expect(findingsOf('no-home-task', { ...story, homeTask: { tasks: [], note: 'Five a day.' } }, tale)).toEqual([]);
  });
});

describe('the task that is proposed', () => {
  const proposed = (of: Parameters<typeof proposeHomeTask>[3]) => proposeHomeTask(withTask(), library, '7-9', of);

  it('is a step towards the focus that every child may do, and something that strengthens and stretches, within a day’s time', () => {
    const task = proposed({ children: [child('in-the-room'), child('not-at-hand')], ladder: null });
    expect(task.tasks.map(({ movement }) => movement)).toEqual(['rock', 'plank', 'stretch-long']);
    expect(homeTaskSeconds(task)).toBeLessThanOrEqual(300);
    // both sides of a stretch, with a breath around it
    expect(task.tasks[2]?.sides).toBe('both');
  });

  it('is never what a home does not allow', () => {
    const cramped = aChildInClass('cramped', { marks: able }, { clearLengthM: 0.5, clearWidthM: 0.5 });
    expect(proposed({ children: [cramped], ladder: null }).tasks).toEqual([]);
  });

  it('reads as a family reads it, without what their child leaves out', () => {
    const plan = withTask('rock', 'roll');
    const task = plan.homeTask && { ...plan.homeTask, note: 'Film one.' };
    expect(homeTaskLines(task, library)).toEqual([
      'Until next time, once a day, about 2 min:',
      'Rock, 2 × 20 s.',
      'Roll, 2 × 20 s.',
      'Film one.',
    ]);
    expect(homeTaskLines(task, library, { child: child('not-at-hand'), ladder: null })).toEqual([
      'Until next time, once a day, about 1 min:',
      'Rock, 2 × 20 s.',
      'Film one.',
    ]);
    expect(homeTaskLines(undefined, library)).toEqual([]);
  });
});
