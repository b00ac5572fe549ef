import { addDays, weekdayOf, writePlan, type Day, type Library, type Timeline } from '@leiter/core';
import type { GroupResponse, SyllabusResponse } from '@leiter/contract';
import type { EntityManager } from 'typeorm';
import { ChildEntity } from '../children/child.entity.js';
import { EnrolmentEntity } from '../children/enrolment.entity.js';
import { GradeAwardEntity } from '../children/grade-award.entity.js';
import { ClassSessionEntity } from '../classes/class-session.entity.js';
import { ItemTimeEntity } from '../classes/item-time.entity.js';
import { GroupEntity } from '../groups/group.entity.js';
import { shippedLibrary } from '../library/shipped-content.js';
import { PersonEntity } from '../people/person.entity.js';
import { ProgrammeEntity } from '../syllabus/programme.entity.js';
import { Chance } from './chance.js';
import { storeGrading, type DemoCandidate } from './demo-grading.js';
import { demoTimes } from './demo-times.js';
import { demoLists, type DemoChild } from './demo-lists.js';
import { demoMarks, type AttendedClass } from './demo-marks.js';
import { demoPeople } from './demo-people.js';
import { DemoPlanner } from './demo-planner.js';
import { storeMark } from './store-mark.js';

const seed = 20_417;
const weeksTaught = 10;
const weeksToCome = 4;
/** What was given in a class is practised for so long. */
const daysPractised = 14;
/** Which programme has a grading day in three weeks. */
const gradedProgramme = 'gymnastics';
/** Whose next class is planned; the others are still to be. */
const plannedGroups: ReadonlySet<string> = new Set(['Puffins', 'Tide Pool', 'Lanterns']);
/** Of whom a family told something of its child’s health. */
const sparingGroup = 'Tide Pool';
/** Who lost a day to the weather. */
const stormyGroup = 'Kittiwakes';

interface DemoGroup extends Pick<GroupResponse, 'id' | 'name' | 'programme' | 'lengthMinutes'> {
  readonly instructorId: string | null;
  readonly entity: GroupEntity;
}

interface PlacedChild {
  readonly written: DemoChild;
  readonly entity: ChildEntity;
}

/** One term of the demo club: ten weeks taught, four to come. */
export class DemoTerm {
  private readonly chance = new Chance(seed);
  private readonly library: Library = shippedLibrary();
  private readonly lists = demoLists();
  private readonly planner: DemoPlanner;

  constructor(
    private readonly manager: EntityManager,
    private readonly clubId: string,
    private readonly today: Day,
    private readonly ladders: readonly SyllabusResponse[],
  ) {
    this.planner = new DemoPlanner(this.library, ladders, this.lists.homes, this.chance);
  }

  async store(): Promise<void> {
    const groups = await this.storeGroups();
    const children = await this.storeChildren(groups);
    const graded: DemoCandidate[] = [];
    for (const group of groups) {
      const own = children.filter(({ written }) => written.group === group.name);
      const sessions = await this.storeSessions(group);
      const attended = new Map<string, AttendedClass[]>(own.map(({ entity }) => [entity.id, []]));
      const taught = sessions.filter(({ taughtAt }) => taughtAt !== null);
      for (const [week, session] of taught.entries()) await this.teach(group, session, week, own, attended);
      const candidates = await this.storeMarks(group, own, attended);
      if (group.programme === gradedProgramme) graded.push(...candidates);
      const next = sessions.find(({ day }) => day >= this.today);
      if (next && plannedGroups.has(group.name)) await this.planNext(group, next, own);
    }
    await this.storeHealthNote(children);
    await this.storeHoliday();
    const people = await this.manager.findBy(PersonEntity, { clubId: this.clubId });
    const examiners = people.filter(
      ({ role, id }) => role === 'owner' || groups.some((one) => one.instructorId === id && one.programme === gradedProgramme),
    );
    await storeGrading(
      this.manager,
      this.clubId,
      { programme: gradedProgramme, today: this.today, examinerIds: examiners.map(({ id }) => id) },
      graded,
    );
  }

  private async storeGroups(): Promise<readonly DemoGroup[]> {
    const programmes = await this.manager.findBy(ProgrammeEntity, { clubId: this.clubId });
    const people = await this.manager.findBy(PersonEntity, { clubId: this.clubId });
    const groups: DemoGroup[] = [];
    for (const { name, programme, weekday, startsAt, lengthMinutes } of this.lists.groups) {
      const email = demoPeople.find((person) => person.programme === programme)?.email;
      const instructorId = people.find((person) => person.email === email)?.id ?? null;
      const programmeId = programmes.find(({ slug }) => slug === programme)?.id ?? '';
      const slot = { name, weekday, startsAt, lengthMinutes, instructorId };
      const entity = await this.manager.save(
        this.manager.create(GroupEntity, { clubId: this.clubId, programmeId, ...slot, archivedAt: null }),
      );
      groups.push({ id: entity.id, name, programme, lengthMinutes, instructorId, entity });
    }
    return groups;
  }

  private async storeChildren(groups: readonly DemoGroup[]): Promise<readonly PlacedChild[]> {
    const placed: PlacedChild[] = [];
    for (const written of this.lists.children) {
      const { about: _about, ...household } = this.lists.homes[written.home] ?? { about: '' };
      const entity = await this.manager.save(
        this.manager.create(ChildEntity, {
          clubId: this.clubId,
          givenName: written.givenName,
          familyInitial: written.familyInitial,
          birthDate: addDays(this.today, -Math.round(written.ageYears * 365.25)),
          leadSide: written.leadSide,
          household: household as ChildEntity['household'], // our own file, checked in a test
          archivedAt: null,
        }),
      );
      placed.push({ written, entity });
      await this.enrol(written, entity, groups);
      await this.awardEarlier(written, entity, groups);
    }
    return placed;
  }

  private async enrol(written: DemoChild, child: ChildEntity, groups: readonly DemoGroup[]): Promise<void> {
    const enrolment = (groupName: string, fromDay: Day, toDay: Day | null): EnrolmentEntity =>
      this.manager.create(EnrolmentEntity, {
        clubId: this.clubId,
        childId: child.id,
        groupId: groups.find(({ name }) => name === groupName)?.id ?? '',
        fromDay,
        toDay,
      });
    const longAgo = addDays(this.today, -7 * 60);
    const joined = written.joinsInWeek === undefined ? longAgo : this.weekStart(written.joinsInWeek);
    const stopped = written.stopsAfterWeek === undefined ? null : this.weekStart(written.stopsAfterWeek + 1);
    if (written.movedFrom) await this.manager.save(enrolment(written.movedFrom, longAgo, joined));
    await this.manager.save(enrolment(written.group, joined, stopped));
  }

  /** The Monday of a week of the term, 1 for the first of the ten taught. */
  private weekStart(week: number): Day {
    const monday = addDays(this.today, 1 - weekdayOf(this.today));
    return addDays(monday, -7 * (weeksTaught + 1 - week));
  }

  private async awardEarlier(written: DemoChild, child: ChildEntity, groups: readonly DemoGroup[]): Promise<void> {
    const programme = groups.find(({ name }) => name === written.group)?.programme;
    const grades = this.ladders.find((ladder) => ladder.programme === programme)?.grades ?? [];
    const last = grades.findIndex(({ slug }) => slug === written.grade);
    const awards = grades.slice(0, last + 1).map((grade, index) =>
      this.manager.create(GradeAwardEntity, {
        clubId: this.clubId,
        childId: child.id,
        gradeId: grade.id,
        awardedOn: addDays(this.today, -7 * (13 + (last - index) * 15)),
        awardedBy: null,
      }),
    );
    await this.manager.save(awards);
  }

  /**
   * Ten classes taught behind today and four to come; the first to come is the next slot of the group. One group lost a day to the
   * weather, and has one class more behind it.
   */
  private storeSessions(group: DemoGroup): Promise<readonly ClassSessionEntity[]> {
    const { weekday, startsAt, lengthMinutes } = group.entity;
    const next = addDays(this.today, (weekday - weekdayOf(this.today) + 7) % 7);
    const isStormy = group.name === stormyGroup;
    const before = weeksTaught + (isStormy ? 1 : 0);
    const days = Array.from({ length: before + weeksToCome }, (_, index) => addDays(next, 7 * (index - before)));
    return this.manager.save(
      days.map((day, index) => {
        const isCancelled = isStormy && index === before - 2;
        const taughtAt = index < before && !isCancelled ? new Date(`${day}T${startsAt}:20Z`) : null;
        return this.manager.create(ClassSessionEntity, {
          clubId: this.clubId,
          groupId: group.id,
          day,
          startsAt,
          lengthMinutes,
          instructorId: group.instructorId,
          taughtAt,
          endedAt: taughtAt && new Date(taughtAt.getTime() + lengthMinutes * 60_000),
          cancelledBecause: isCancelled ? 'Storm: the ferry stayed in, and the island had no power' : null,
        });
      }),
    );
  }

  private async teach(
    group: DemoGroup,
    session: ClassSessionEntity,
    week: number,
    children: readonly PlacedChild[],
    attended: ReadonlyMap<string, AttendedClass[]>,
  ): Promise<void> {
    const enrolled = children.filter(
      ({ written }) =>
        (written.joinsInWeek ?? 1) <= week + 1 && (written.stopsAfterWeek === undefined || week + 1 <= written.stopsAfterWeek),
    );
    const focus = this.planner.focusOf(
      group,
      children.map(({ written }) => written),
      week,
    );
    const timeline = await this.storePlan(group, session, focus, enrolled);
    if (timeline) await this.storeTimes(session, timeline);
    for (const { written, entity } of enrolled) {
      const isSure = week >= weeksTaught - 2 && (written.course === 'ready' || written.course === 'one-side');
      const roll = this.chance.next();
      const status = isSure || roll < 0.82 ? 'present' : roll < 0.88 ? 'late' : roll < 0.91 ? 'watched' : 'absent';
      await this.manager.query('INSERT INTO attendance (class_id, child_id, club_id, status) VALUES ($1, $2, $3, $4)', [
        session.id,
        entity.id,
        this.clubId,
        status,
      ]);
      if (status === 'present' || status === 'late') attended.get(entity.id)?.push({ classId: session.id, day: session.day, week, focus });
    }
  }

  private async storePlan(
    group: DemoGroup,
    session: ClassSessionEntity,
    focus: readonly string[] | null,
    enrolled: readonly PlacedChild[],
  ): Promise<Timeline | null> {
    const made = this.planner.planFor(
      group,
      focus,
      enrolled.map(({ written }) => written),
      { isLate: session.taughtAt !== null && session.day >= addDays(this.today, -daysPractised) },
    );
    if (!made) return null;
    await this.manager.query(
      'INSERT INTO class_plan (class_id, club_id, version, document, saved_by, saved_at) VALUES ($1, $2, 1, $3, $4, $5)',
      [
        session.id,
        this.clubId,
        JSON.stringify(writePlan(made.plan)),
        group.instructorId,
        session.taughtAt ?? new Date(`${addDays(this.today, -1)}T19:40:00Z`),
      ],
    );
    return made.timeline;
  }

  /** What a class took, and when it was over. */
  private async storeTimes(session: ClassSessionEntity, timeline: Timeline): Promise<void> {
    const times = demoTimes(timeline, this.chance);
    for (const time of times) await this.manager.insert(ItemTimeEntity, { classId: session.id, clubId: this.clubId, ...time });
    const seconds = times.reduce((sum, { realSeconds }) => sum + realSeconds, 0);
    if (session.taughtAt)
      await this.manager.update(ClassSessionEntity, session.id, { endedAt: new Date(session.taughtAt.getTime() + seconds * 1000) });
  }

  /** The next class of a group that was planned the evening before. */
  private async planNext(group: DemoGroup, session: ClassSessionEntity, children: readonly PlacedChild[]): Promise<void> {
    const enrolled = children.filter(({ written }) => written.stopsAfterWeek === undefined);
    await this.storePlan(group, session, null, enrolled);
    const away = enrolled[1];
    if (away)
      await this.manager.query(`INSERT INTO attendance (class_id, child_id, club_id, status) VALUES ($1, $2, $3, 'absent')`, [
        session.id,
        away.entity.id,
        this.clubId,
      ]);
  }

  /** A child that has to spare a thigh for some weeks. */
  private async storeHealthNote(children: readonly PlacedChild[]): Promise<void> {
    const child = children.find(({ written }) => written.group === sparingGroup && written.course === 'improves');
    const note = {
      text: 'Pulled a muscle at the back of the thigh; the doctor says no splits.',
      regions: [],
      hazards: ['split'],
      untilDay: addDays(this.today, 17),
    };
    if (child) await this.manager.query('UPDATE child SET health_notes = $2 WHERE id = $1', [child.entity.id, JSON.stringify([note])]);
  }

  private async storeHoliday(): Promise<void> {
    const monday = addDays(this.today, 1 - weekdayOf(this.today));
    await this.manager.query('INSERT INTO holiday (club_id, name, from_day, to_day) VALUES ($1, $2, $3, $4)', [
      this.clubId,
      'Half-term',
      addDays(monday, 35),
      addDays(monday, 41),
    ]);
  }

  private async storeMarks(
    group: DemoGroup,
    children: readonly PlacedChild[],
    attended: ReadonlyMap<string, readonly AttendedClass[]>,
  ): Promise<readonly DemoCandidate[]> {
    const ladder = this.ladders.find(({ programme }) => programme === group.programme);
    if (!ladder) return [];
    const marks = children.flatMap(({ written, entity }) => {
      const next = this.planner.nextGrade(ladder, written);
      const { leadSide, course } = written;
      return next
        ? demoMarks({ childId: entity.id, leadSide, course, next }, attended.get(entity.id) ?? [], this.library, this.chance)
        : [];
    });
    for (const [nth, mark] of marks.entries()) await storeMark(this.manager, this.clubId, mark, { nth, recordedBy: group.instructorId });
    return children.flatMap(({ written, entity }): readonly DemoCandidate[] => {
      const grade = this.planner.nextGrade(ladder, written);
      if (!grade || written.stopsAfterWeek !== undefined) return [];
      const observations = marks.flatMap((mark) =>
        mark.childId === entity.id ? [{ ...mark, recordedAt: `${mark.seenOn}T18:00:00Z` }] : [],
      );
      const onLadder = {
        birthDate: entity.birthDate,
        leadSide: entity.leadSide,
        inGradeSince: written.joinsInWeek === undefined ? addDays(this.today, -7 * 13) : this.weekStart(written.joinsInWeek),
        classesSince: attended.get(entity.id)?.length ?? 0,
      };
      return [{ childId: entity.id, ageYears: written.ageYears, grade, observations, onLadder }];
    });
  }
}
