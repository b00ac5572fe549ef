import type { FamilyLanguage, HomeClass, HomeTaskForChild, Household } from '@leiter/contract';
import {
  addDays,
  ageOn,
  defaultTimingSettings,
  evaluatePlan,
  homeListOf,
  homeTaskBar,
  homeTaskSeconds,
  openPlan,
  plainPace,
  sparesOn,
  usualRules,
  type ChildInClass,
  type ClassPlan,
  type HealthNote,
  type HomeList,
  type KnownMark,
  type Library,
  type Side,
} from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { CalendarService } from '../classes/calendar.service.js';
import { rows } from '../database/rows.js';
import { SyllabusService, coreSyllabus } from '../syllabus/syllabus.service.js';

/** What is known of the child whose family looks. */
export interface ChildAtHome {
  readonly id: string;
  readonly givenName: string;
  readonly birthDate: string;
  readonly leadSide: Side;
  readonly household: Household;
  readonly householdVersion: number;
  readonly isHomeKnown: boolean;
  readonly healthNotes: readonly HealthNote[];
  readonly language: FamilyLanguage | null;
}

/** @returns those of the club, by id */
export async function childrenAtHome(
  source: DataSource,
  clubId: string,
  ids: readonly string[],
): Promise<ReadonlyMap<string, ChildAtHome>> {
  const found = await rows<ChildAtHome>(
    source,
    `SELECT id, given_name AS "givenName", birth_date AS "birthDate", lead_side AS "leadSide", household, household_version AS "householdVersion",
            home_known AS "isHomeKnown", health_notes AS "healthNotes", family_language AS language
     FROM child WHERE club_id = $1 AND id = ANY($2)`,
    [clubId, ids],
  );
  return new Map(found.map((child) => [child.id, child]));
}

/** So far ahead a family sees classes, and so many of them. */
const [daysAhead, mostClasses] = [35, 4];
/** A task is practised until the next class, and over a holiday. */
const taskDays = 28;

/** What a family needs of the classes of its child: what comes, what to lay out, and what is practised until then. */
@Injectable()
export class HomeClassesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly calendar: CalendarService,
    private readonly syllabuses: SyllabusService,
  ) {}

  async coming(
    clubId: string,
    child: ChildAtHome,
    groupIds: readonly string[],
    today: string,
    library: Library,
  ): Promise<readonly HomeClass[]> {
    const entries = (await this.calendar.between(clubId, today, addDays(today, daysAhead)))
      .filter(({ group, movedTo, class: session }) => groupIds.includes(group.id) && movedTo === null && session?.endedAt == null)
      .slice(0, mostClasses);
    const away = await this.awayFrom(child.id);
    const plans = await this.plans(entries.flatMap(({ class: session }) => (session?.hasPlan ? [session.id] : [])));
    const own = new Map<string, ChildInClass>();
    return Promise.all(
      entries.map(async ({ group, day, startsAt, lengthMinutes, class: session, holiday, focus }): Promise<HomeClass> => {
        const plan = plans.get(session?.id ?? '');
        const inClass = own.get(group.programme) ?? (await this.inClass(clubId, child, group.programme, day));
        own.set(group.programme, inClass);
        return {
          groupId: group.id,
          groupName: group.name,
          day,
          startsAt,
          lengthMinutes,
          off: session ? session.cancelledBecause : holiday,
          isAway: session !== null && away.has(session.id),
          focus: focus.map((slug) => library.get(slug)?.name ?? slug),
          layOut: plan ? await this.layOut(clubId, plan, inClass, { programme: group.programme, startsAt, lengthMinutes }, library) : null,
        };
      }),
    );
  }

  /** The task of the last class of its groups that gave one: of it what this child may do at home. */
  async task(
    clubId: string,
    child: ChildAtHome,
    groupIds: readonly string[],
    today: string,
    library: Library,
  ): Promise<HomeTaskForChild | null> {
    const found = await rows<{ document: unknown; day: string; group_name: string; programme: string }>(
      this.source,
      `SELECT l.document, c.day, t.name AS group_name, p.slug AS programme FROM class_session c JOIN class_plan l ON l.class_id = c.id
       JOIN teaching_group t ON t.id = c.group_id JOIN programme p ON p.id = t.programme_id
       WHERE c.club_id = $1 AND c.group_id = ANY($2) AND c.taught_at IS NOT NULL AND c.day BETWEEN $3 AND $4 ORDER BY c.day DESC LIMIT 6`,
      [clubId, groupIds, addDays(today, -taskDays), today],
    );
    for (const { document, day, group_name, programme } of found) {
      const plan = openPlan(document);
      if (!plan.ok) continue;
      const task = await this.taskIn(clubId, plan.value, await this.inClass(clubId, child, programme, today), programme, library);
      if (task) return { groupName: group_name, day, ...task };
    }
    return null;
  }

  /** The task of a plan: of it what this child may do at home; null where nothing of it is left. */
  async taskIn(
    clubId: string,
    { homeTask }: ClassPlan,
    child: ChildInClass,
    programme: string,
    library: Library,
  ): Promise<Pick<HomeTaskForChild, 'minutes' | 'note' | 'items'> | null> {
    if (!homeTask) return null;
    const ladder = await this.ladderOf(clubId, programme);
    const tasks = homeTask.tasks.filter(({ movement: slug }) => {
      const movement = library.get(slug);
      return movement !== undefined && homeTaskBar(movement, child, ladder) === null;
    });
    if (tasks.length === 0 && homeTask.note === '') return null;
    return {
      minutes: Math.max(1, Math.round(homeTaskSeconds({ ...homeTask, tasks }) / 60)),
      note: homeTask.note,
      items: tasks.map(({ movement, dose, sides }) => ({
        movement,
        dose,
        sides,
        isWithAdult: library.get(movement)?.homeTask === 'with-adult' || library.get(movement)?.needs.adult !== 'none',
      })),
    };
  }

  /** What this child’s versions of the items want of its home; nobody else is looked at. */
  async layOut(
    clubId: string,
    plan: ClassPlan,
    child: ChildInClass,
    slot: { readonly programme: string; readonly startsAt: string; readonly lengthMinutes: number },
    library: Library,
  ): Promise<HomeList> {
    const evaluation = evaluatePlan(plan, library, {
      settings: defaultTimingSettings,
      exposures: new Map(),
      pace: plainPace,
      style: 'as-it-comes',
      agesYears: [child.ageYears],
      programme: slot.programme,
      slotMinutes: slot.lengthMinutes,
      stretchingSchool: 'early-static',
      children: [child],
      ladder: await this.ladderOf(clubId, slot.programme),
      startsAt: slot.startsAt,
      room: null,
      rules: usualRules,
    });
    return homeListOf(
      child,
      evaluation.versions,
      library,
      evaluation.timeline.items.map(({ item }) => item),
    );
  }

  private async ladderOf(clubId: string, programme: string): Promise<ReturnType<typeof coreSyllabus> | null> {
    const ladder = await this.syllabuses.ladderOf(clubId, programme);
    return ladder && coreSyllabus(ladder);
  }

  /** The child as a plan is reckoned for it on a day. */
  async inClass(clubId: string, child: ChildAtHome, programme: string, day: string): Promise<ChildInClass> {
    const [marks, earned] = await Promise.all([
      rows<KnownMark>(
        this.source,
        'SELECT movement_slug AS movement, nullif(stage, 0) AS stage, best AS mark FROM recent_mark WHERE club_id = $1 AND child_id = $2',
        [clubId, child.id],
      ),
      rows<{ slug: string }>(
        this.source,
        `SELECT g.slug FROM grade_award w JOIN grade g ON g.id = w.grade_id JOIN syllabus s ON s.id = g.syllabus_id
         JOIN programme p ON p.id = s.programme_id WHERE w.club_id = $1 AND w.child_id = $2 AND p.slug = $3`,
        [clubId, child.id, programme],
      ),
    ]);
    const spares = sparesOn(child.healthNotes, day);
    return {
      id: child.id,
      ageYears: ageOn(child.birthDate, day),
      earned: earned.map(({ slug }) => slug),
      home: child.household,
      marks,
      ...(spares ? { spares } : {}),
    };
  }

  /** Classes of which it was told that this child does not come. */
  private async awayFrom(childId: string): Promise<ReadonlySet<string>> {
    const found = await rows<{ class_id: string }>(
      this.source,
      `SELECT class_id FROM attendance WHERE child_id = $1 AND status = 'absent'`,
      [childId],
    );
    return new Set(found.map(({ class_id }) => class_id));
  }

  private async plans(classIds: readonly string[]): Promise<ReadonlyMap<string, ClassPlan>> {
    const found = await rows<{ class_id: string; document: unknown }>(
      this.source,
      'SELECT class_id, document FROM class_plan WHERE class_id = ANY($1)',
      [classIds],
    );
    return new Map(
      found.flatMap(({ class_id, document }) => {
        const plan = openPlan(document);
        return plan.ok ? [[class_id, plan.value] as const] : [];
      }),
    );
  }
}
