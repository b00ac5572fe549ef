import type { ClassPlan, Criterion, Grade, Movement, Requirement } from '@leiter/core';
import { movementSchema } from '@leiter/core';
import { describe, expect, it } from 'vitest';
import type { PlanDocument } from './class-plan.js';
import type { WrittenCriterion, WrittenGrade, WrittenRequirement } from './syllabus.js';

/** The names of the fields of a document, all the way down; a map by ids has none. */
type Names<Value> = Value extends string | number | boolean
  ? 'value'
  : Value extends readonly (infer One)[]
    ? Names<One>[]
    : Value extends object
      ? string extends keyof Value
        ? 'map'
        : { [Field in keyof Value]-?: Names<NonNullable<Value[Field]>> }
      : 'value';

/** `true` where a class of the contract has the fields of core's plain type, no other ones, and no value that core does not take. */
type Fits<Class, Plain> = Class extends Plain
  ? Names<Class> extends Names<Plain>
    ? Names<Plain> extends Names<Class>
      ? true
      : 'the class has a field that core does not know'
    : 'the class lacks a field of core'
  : 'the class lets a value through that core does not take';

// what does not fit, the compiler refuses to build: the test below says so to who reads it
const fits: {
  readonly plan: Fits<Omit<PlanDocument, 'v'>, ClassPlan>;
  readonly criterion: Fits<WrittenCriterion, Partial<Criterion>>;
  readonly requirement: Fits<
    Omit<WrittenRequirement, 'criterion' | 'isPutAway'>,
    Partial<Omit<Requirement, 'id' | 'criterion'>> & Pick<Requirement, 'movement'>
  >;
  readonly grade: Fits<Omit<WrittenGrade, 'requirements' | 'isPutAway'>, Omit<Grade, 'id' | 'requirements' | 'isPutAway'>>;
} = { plan: true, criterion: true, requirement: true, grade: true };

/** Every field of an entry, by a list that the compiler holds against the plain type. */
const fieldsOfAnEntry: Readonly<Record<keyof Movement, true>> = {
  slug: true,
  name: true,
  programmes: true,
  kind: true,
  sections: true,
  plainMeaning: true,
  term: true,
  posture: true,
  level: true,
  effort: true,
  prepares: true,
  loads: true,
  lengthens: true,
  hazards: true,
  undoneBy: true,
  needs: true,
  equipmentStandIns: true,
  leastAge: true,
  homeTask: true,
  instead: true,
  sides: true,
  dose: true,
  stages: true,
  prerequisites: true,
  leadsTo: true,
  tiers: true,
  cues: true,
  picture: true,
  faults: true,
  support: true,
  cautions: true,
  view: true,
  phrase: true,
  figure: true,
};

describe('a document and the rules it is checked by', () => {
  it.each(Object.entries(fits))('have the same fields: %s', (_name, does) => {
    expect(does).toBe(true);
  });

  it('have the same fields: an entry of the library, whose table of shapes is core’s own', () => {
    const { properties } = movementSchema() as { readonly properties?: object };
    expect(Object.keys(properties ?? {}).toSorted()).toEqual(Object.keys(fieldsOfAnEntry).toSorted());
  });
});
