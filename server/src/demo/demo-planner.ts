import {
  ageBandOf,
  applyEdit,
  defaultTimingSettings,
  evaluatePlan,
  fillSlot,
  gradeAbove,
  itemOf,
  placedItems,
  plainPace,
  planFromTemplate,
  proposeHomeTask,
  templatesFor,
  usualRules,
  type ChildInClass,
  type ClassPlan,
  type EvaluationContext,
  type Library,
  type Timeline,
} from '@leiter/core';
import type { GroupResponse, SyllabusResponse } from '@leiter/contract';
import { shippedTemplates } from '../library/shipped-content.js';
import { coreSyllabus } from '../syllabus/syllabus.service.js';
import type { Chance } from './chance.js';
import type { DemoChild, DemoLists } from './demo-lists.js';

/** Whoever knows its own pace leaves some air. */
const plannedShare = 0.92;

type PlannedGroup = Pick<GroupResponse, 'programme' | 'lengthMinutes'>;

/** The plans of the demo club, made from the templates that ship. */
export class DemoPlanner {
  constructor(
    private readonly library: Library,
    private readonly ladders: readonly SyllabusResponse[],
    private readonly homes: DemoLists['homes'],
    private readonly chance: Chance,
  ) {}

  /** Two movements a week, going round what the children of the group work on. */
  focusOf(group: PlannedGroup, children: readonly DemoChild[], week: number): readonly string[] {
    const ladder = this.ladders.find(({ programme }) => programme === group.programme);
    if (!ladder) return [];
    const asked = new Set(children.flatMap((child) => this.nextGrade(ladder, child)?.requirements.map(({ movement }) => movement) ?? []));
    const skills = [...asked].filter((slug) => this.library.get(slug)?.kind === 'skill');
    return [...new Set([0, 1].map((nth) => skills[(week * 2 + nth) % skills.length] ?? ''))].filter((slug) => slug !== '');
  }

  nextGrade(ladder: SyllabusResponse, written: DemoChild): ReturnType<typeof gradeAbove> {
    const earned = ladder.grades.filter(({ slug }) => slug === written.grade).map(({ slug }) => slug);
    return gradeAbove(coreSyllabus(ladder), earned);
  }

  /**
   * @param isLate whether the class was one of the last: what was given to practise then is still practised
   * @param focus of a class that was taught; null for one that is to come, whose focus is what its own plan has of the skills of the group
   * @returns null where no template fits
   */
  planFor(
    group: PlannedGroup,
    focus: readonly string[] | null,
    enrolled: readonly DemoChild[],
    { isLate }: { readonly isLate: boolean },
  ): { readonly plan: ClassPlan; readonly timeline: Timeline } | null {
    const agesYears = enrolled.map(({ ageYears }) => Math.floor(ageYears));
    const ageBand = ageBandOf(agesYears.reduce((sum, age) => sum + age, 0) / Math.max(1, agesYears.length));
    const [template] = templatesFor(shippedTemplates(), { ...group, ageBand });
    if (!template) return null;
    const started = planFromTemplate(template, this.library, () => this.chance.uuid());
    if (!started.ok) return null;
    const context: EvaluationContext = {
      settings: defaultTimingSettings,
      // what is planned for the coming week was done in the weeks before it
      exposures:
        focus === null
          ? new Map(
              placedItems(started.value).map(({ item }) => [item.movement, { shareInLastTwoClasses: 0.85, shareInLastEightWeeks: 1 }]),
            )
          : new Map(),
      pace: plainPace,
      style: 'as-it-comes',
      agesYears,
      programme: group.programme,
      slotMinutes: group.lengthMinutes,
      stretchingSchool: 'early-static',
      children: [],
      ladder: null,
      startsAt: null,
      room: null,
      rules: usualRules,
    };
    const plan =
      focus === null
        ? this.withOwnFocus(
            fillSlot(started.value, this.library, { ...context, slotMinutes: group.lengthMinutes * plannedShare }),
            group,
            enrolled,
          )
        : this.withFocus(started.value, focus, ageBand);
    const given = isLate ? this.withHomeTask(plan, group, enrolled, ageBand) : plan;
    return { plan: given, timeline: evaluatePlan(given, this.library, context).timeline };
  }

  /** In focus is what the plan has of the skills that the children work on. */
  private withOwnFocus(plan: ClassPlan, group: PlannedGroup, children: readonly DemoChild[]): ClassPlan {
    const ladder = this.ladders.find(({ programme }) => programme === group.programme);
    if (!ladder) return plan;
    const asked = new Set(children.flatMap((child) => this.nextGrade(ladder, child)?.requirements.map(({ movement }) => movement) ?? []));
    const slugs = placedItems(plan).map(({ item }) => item.movement);
    return { ...plan, focus: [...new Set(slugs.filter((slug) => asked.has(slug)))].slice(0, 2) };
  }

  /** What was practised after a class: what every child of the group may do at home. */
  private withHomeTask(
    plan: ClassPlan,
    group: PlannedGroup,
    enrolled: readonly DemoChild[],
    ageBand: ReturnType<typeof ageBandOf>,
  ): ClassPlan {
    const written = this.ladders.find(({ programme }) => programme === group.programme);
    const ladder = written ? coreSyllabus(written) : null;
    const children = enrolled.map(({ givenName, ageYears, grade, home }): ChildInClass => ({
      id: givenName,
      ageYears: Math.floor(ageYears),
      earned:
        grade === null
          ? []
          : (ladder?.grades ?? []).slice(0, (ladder?.grades.findIndex(({ slug }) => slug === grade) ?? -1) + 1).map(({ slug }) => slug),
      home: this.homes[home] ?? null,
      marks: [],
    }));
    return { ...plan, homeTask: proposeHomeTask(plan, this.library, ageBand, { children, ladder }) };
  }

  private withFocus(plan: ClassPlan, focus: readonly string[], ageBand: ReturnType<typeof ageBandOf>): ClassPlan {
    const skill = plan.sections.find((section) => section.kind === 'skill');
    let current: ClassPlan = { ...plan, focus };
    for (const slug of focus) {
      const movement = this.library.get(slug);
      if (!movement || !skill || placedItems(current).some(({ item }) => item.movement === slug)) continue;
      const edit = { kind: 'insert', item: itemOf(movement, ageBand), place: { at: 'end-of', section: skill.id } } as const;
      const next = applyEdit(current, edit, () => this.chance.uuid());
      if (next.ok) current = next.value;
    }
    return current;
  }
}
