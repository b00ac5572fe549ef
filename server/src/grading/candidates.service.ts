import { addDays, ageOn, gradeAbove, groupBy, type ChildOnLadder, type Observation, type Side } from '@leiter/core';
import type { GradeResponse } from '@leiter/contract';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { comingDays } from '../record/board-row.js';
import { LadderService } from '../record/ladder.service.js';
import { SyllabusService, coreSyllabus } from '../syllabus/syllabus.service.js';

/** A child that may go for a grade, with what a verdict on it rests on, as it will be on a day. */
export interface Candidate {
  readonly childId: string;
  readonly name: string;
  readonly ageYears: number;
  readonly groupName: string | null;
  readonly grade: GradeResponse | null;
  readonly observations: readonly Observation[];
  readonly onLadder: ChildOnLadder;
}

interface ChildRow {
  readonly id: string;
  readonly given_name: string;
  readonly family_initial: string;
  readonly birth_date: string;
  readonly lead_side: Side;
  readonly group_name: string | null;
  readonly weekday: number | null;
}

/** Who of a programme may come to a grading day. */
@Injectable()
export class CandidatesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly ladders: LadderService,
    private readonly syllabuses: SyllabusService,
  ) {}

  /**
   * Children of the groups of a programme, by name, and those entered already, wherever they are now. Until a day to come each is
   * taken to come to every class of its group that is still to be.
   * @param entered the grade each child that is entered goes for, by child
   */
  async on(clubId: string, programme: string, day: string, entered: ReadonlyMap<string, string>): Promise<readonly Candidate[]> {
    const [today, climbed] = await Promise.all([this.clubs.today(clubId), this.syllabuses.climbed(clubId, programme)]);
    if (!climbed) return [];
    const children = await this.children(clubId, programme, [...entered.keys()]);
    const ids = children.map(({ id }) => id);
    const [enteredFor, rungs, holidays] = await Promise.all([
      this.syllabuses.gradesById(clubId, [...new Set(entered.values())]),
      this.ladders.rungs(clubId, ids, programme, today),
      rows<{ from_day: string; to_day: string }>(this.source, 'SELECT from_day, to_day FROM holiday WHERE club_id = $1 AND to_day >= $2', [
        clubId,
        today,
      ]),
    ]);
    const grades = new Map<string, GradeResponse | null>();
    for (const { id } of children) {
      const ladder = climbed.ladderOf(id);
      const next = gradeAbove(coreSyllabus(ladder), rungs.get(id)?.earned.map(({ slug }) => slug) ?? []);
      // what it was entered for, whatever it holds by now
      grades.set(id, enteredFor.get(entered.get(id) ?? '') ?? ladder.grades.find((grade) => grade.id === next?.id) ?? null);
    }
    const wanted = [...new Set([...grades.values()].flatMap((grade) => grade?.requirements.map(({ movement }) => movement) ?? []))];
    const marks = groupBy(await this.ladders.observationsOf(clubId, ids, wanted), ({ childId }) => childId);
    return children.map((child): Candidate => {
      const rung = rungs.get(child.id);
      const grade = grades.get(child.id) ?? null;
      // the grade that is gone for may be held by now: then it counts from the day of the one before
      const before = rung?.earned.filter(({ gradeId }) => gradeId !== grade?.id).at(-1)?.awardedOn;
      const isHeld = rung?.earned.some(({ gradeId }) => gradeId === grade?.id) ?? false;
      const toCome =
        child.weekday === null || day <= today
          ? 0
          : comingDays(child.weekday, addDays(today, 1), holidays).filter((one) => one < day).length;
      return {
        childId: child.id,
        name: `${child.given_name} ${child.family_initial}`,
        ageYears: ageOn(child.birth_date, day),
        groupName: child.group_name,
        grade,
        observations: marks.get(child.id) ?? [],
        onLadder: {
          birthDate: child.birth_date,
          leadSide: child.lead_side,
          inGradeSince: isHeld ? (before ?? child.birth_date) : (rung?.inGradeSince ?? today),
          // who holds it has been asked for nothing more
          classesSince: isHeld ? Number.MAX_SAFE_INTEGER : (rung?.classesSince ?? 0) + toCome,
        },
      };
    });
  }

  private children(clubId: string, programme: string, entered: readonly string[]): Promise<readonly ChildRow[]> {
    return rows<ChildRow>(
      this.source,
      `SELECT c.id, c.given_name, c.family_initial, c.birth_date, c.lead_side, g.name AS group_name, g.weekday
       FROM child c LEFT JOIN LATERAL (
         SELECT t.name, t.weekday FROM enrolment e JOIN teaching_group t ON t.id = e.group_id AND t.archived_at IS NULL
         JOIN programme p ON p.id = t.programme_id
         WHERE e.child_id = c.id AND e.to_day IS NULL AND p.slug = $2 ORDER BY e.from_day DESC LIMIT 1) g ON true
       WHERE c.club_id = $1 AND ((g.name IS NOT NULL AND c.archived_at IS NULL) OR c.id = ANY($3))
       ORDER BY c.given_name COLLATE "und-x-icu", c.family_initial COLLATE "und-x-icu"`,
      [clubId, programme, entered],
    );
  }
}
