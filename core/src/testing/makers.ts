import type { Finding } from '../checks/all-checks.js';
import { usualRules } from '../checks/club-rules.js';
import type { ClassPlan, Item } from '../class-plan/class-plan.js';
import type { PlanEdit } from '../class-plan/edit.js';
import { applyEdits } from '../class-plan/edit.js';
import { evaluatePlan, type Evaluation, type EvaluationContext } from '../composing/evaluation.js';
import type { Dose } from '../movement/dose.js';
import { libraryOf, type Library } from '../movement/library.js';
import type { Movement } from '../movement/movement.js';
import type { SectionKind } from '../movement/section-kind.js';
import type { Observation } from '../record/observation.js';
import { criterionDefaults, type Criterion, type Requirement } from '../syllabus/syllabus.js';
import type { ChildInClass, Home } from '../versions/child-in-class.js';
import { plainPace } from '../timing/pace.js';
import { defaultTimingSettings } from '../timing/settings.js';

/** A movement of which only what matters is said: else a known standing mobiliser that asks nothing of anybody. */
export function aMovement(slug: string, said: Partial<Movement> = {}): Movement {
  const dose: Dose = { kind: 'timed', seconds: 60 };
  return {
    slug,
    name: slug,
    programmes: [],
    kind: 'mobiliser',
    sections: ['warm-up'],
    plainMeaning: slug,
    term: null,
    posture: { from: 'standing', through: [], to: 'standing' },
    level: 'standing',
    effort: 1,
    prepares: [],
    loads: [],
    lengthens: [],
    hazards: [],
    undoneBy: [],
    needs: {
      surface: 'any-dry',
      footprint: { lengthM: 1, widthM: 1 },
      headroomM: 2,
      equipment: [],
      wall: false,
      partner: false,
      adult: 'none',
      quiet: 'quiet',
    },
    equipmentStandIns: {},
    leastAge: 4,
    homeTask: 'yes',
    instead: null,
    sides: 'none',
    dose: { '4-6': dose, '7-9': dose, '10-13': dose },
    stages: [],
    prerequisites: [],
    leadsTo: [],
    tiers: {},
    cues: [],
    picture: null,
    faults: [],
    support: null,
    cautions: [],
    view: { facing: 'front', framing: 'standing' },
    figure: ['stand'],
    ...said,
  };
}

/** What a class is usually made of, under short names. */
export const classics: readonly Movement[] = [
  aMovement('talk', { kind: 'talk', sections: ['safety'], effort: 0, view: null, level: 'either' }),
  aMovement('drink', { kind: 'break', effort: 0, view: null, level: 'either' }),
  aMovement('jog', { kind: 'pulse-raiser', effort: 3 }),
  aMovement('stretch', { kind: 'static-stretch', effort: 1, level: 'floor' }),
  aMovement('breathe', { kind: 'breathing', effort: 0 }),
];

export function anItem(movement: string, said: Partial<Item> = {}): Item {
  return {
    id: movement,
    movement,
    dose: { kind: 'timed', seconds: 60 },
    sides: 'none',
    tiers: ['core'],
    familiarity: 'routine',
    ...said,
  };
}

/** A plan of one section per entry, each named by its kind. */
export function aPlan(sections: Partial<Record<SectionKind, readonly Item[]>>): ClassPlan {
  return {
    sections: (Object.entries(sections) as [SectionKind, readonly Item[]][]).map(([kind, items]) => ({ id: kind, kind, items })),
    focus: [],
  };
}

export function aLibrary(...movements: readonly Movement[]): Library {
  return libraryOf([...classics, ...movements]);
}

/** Nine-year-olds in a class of 45 minutes, nobody's pace known. */
export function aContext(said: Partial<EvaluationContext> = {}): EvaluationContext {
  return {
    settings: defaultTimingSettings,
    exposures: new Map(),
    pace: plainPace,
    style: 'as-it-comes',
    agesYears: [9],
    programme: 'gymnastics',
    slotMinutes: 45,
    stretchingSchool: 'early-static',
    children: [],
    ladder: null,
    startsAt: null,
    room: null,
    rules: usualRules,
    ...said,
  };
}

export function evaluated(plan: ClassPlan, library: Library, said: Partial<EvaluationContext> = {}): Evaluation {
  return evaluatePlan(plan, library, aContext(said));
}

/** What one check says of a plan. */
export function findingsOf(
  check: Finding['check'],
  plan: ClassPlan,
  library: Library,
  said: Partial<EvaluationContext> = {},
): readonly Finding[] {
  return evaluated(plan, library, said).findings.filter((finding) => finding.check === check);
}

/** The plan after the mend of a finding; throws where there is none or it does not fit: a test that asks for a mend expects one. */
export function mended(plan: ClassPlan, finding: Finding | undefined): ClassPlan {
  let count = 0;
  const edits: readonly PlanEdit[] = finding?.mend ?? [];
  const result = applyEdits(plan, edits, () => `mend-${String(++count)}`);
  if (edits.length === 0 || !result.ok) throw new Error(`no mend that fits: ${JSON.stringify(finding)}`);
  return result.value;
}

/** A nine-year-old who has a mat, a large room, an adult and a partner, and of whom nothing is known. */
export function aChildInClass(id: string, said: Partial<ChildInClass> = {}, home: Partial<Home> = {}): ChildInClass {
  return {
    id,
    ageYears: 9,
    earned: [],
    marks: [],
    home: {
      surface: 'mat',
      clearLengthM: 4,
      clearWidthM: 4,
      things: [],
      adult: 'in-the-room',
      partner: true,
      quietHours: null,
      ...home,
    },
    ...said,
  };
}

let observationCount = 0;

export function anObservation(said: Partial<Observation> = {}): Observation {
  observationCount += 1;
  return {
    id: `o${String(observationCount).padStart(4, '0')}`,
    childId: 'child',
    movement: 'cartwheel',
    stage: null,
    side: 'none',
    mark: 'alone',
    help: null,
    measure: {},
    faults: [],
    note: '',
    seenOn: '2026-11-02',
    recordedAt: `2026-11-02T16:${String(observationCount % 60).padStart(2, '0')}:00.000Z`,
    source: 'class',
    classId: null,
    supersedes: null,
    ...said,
  };
}

export function aRequirement(criterion: Partial<Criterion> = {}, said: Partial<Requirement> = {}): Requirement {
  return {
    id: 'r1',
    movement: 'cartwheel',
    stage: null,
    criterion: { leastMark: 'alone', sides: 'none', faults: [], ...criterionDefaults, ...criterion },
    ...said,
  };
}
