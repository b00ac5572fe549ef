import { gradeAbove, groupBy, isMet, verdictOn, type Grade, type Observation, type Verdict } from '@leiter/core';
import type { BoardRow, GradeResponse, GroupBoardResponse, GroupResponse, SyllabusResponse } from '@leiter/contract';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { GroupsService } from '../groups/groups.service.js';
import { SyllabusService, coreSyllabus } from '../syllabus/syllabus.service.js';
import { observationColumns, observationOf, type ObservationRow } from './observation.mapper.js';

interface ChildRow {
  readonly id: string;
  readonly group_id: string;
  readonly given_name: string;
  readonly family_initial: string;
  readonly birth_date: string;
  readonly lead_side: 'left' | 'right';
  readonly last_seen: string | null;
}

/** Where a child is on the ladder of one programme. */
export interface Rung {
  /** In the order in which they were given, whatever the version of the ladder. */
  readonly earned: readonly { readonly gradeId: string; readonly slug: string; readonly name: string; readonly awardedOn: string }[];
  readonly inGradeSince: string;
  readonly classesSince: number;
}

@Injectable()
export class LadderService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly groups: GroupsService,
    private readonly syllabuses: SyllabusService,
  ) {}

  /** Children of a group × what each works on; a fixed number of queries, whatever the number of marks. */
  async board(clubId: string, groupId: string): Promise<GroupBoardResponse> {
    const [group, today, children] = await Promise.all([
      this.groups.find(clubId, groupId),
      this.clubs.today(clubId),
      this.childrenOf(clubId, [groupId]),
    ]);
    const [board] = await this.boardsOf(clubId, [group], children, today);
    return board ?? { group, columns: [], rows: [] };
  }

  /** The boards of all groups that are not put away; six queries for each programme, whatever the number of groups. */
  async boards(clubId: string): Promise<readonly GroupBoardResponse[]> {
    const [all, today] = await Promise.all([this.groups.list(clubId), this.clubs.today(clubId)]);
    const groups = all.filter(({ archived }) => !archived);
    const children = await this.childrenOf(
      clubId,
      groups.map(({ id }) => id),
    );
    const byProgramme = groupBy(groups, ({ programme }) => programme);
    const found = await Promise.all([...byProgramme.values()].map((own) => this.boardsOf(clubId, own, children, today)));
    const boards = new Map(found.flat().map((board) => [board.group.id, board]));
    return groups.map((group) => boards.get(group.id) ?? { group, columns: [], rows: [] });
  }

  /** @param groups of one programme @param children of these groups, and perhaps of others */
  private async boardsOf(
    clubId: string,
    groups: readonly GroupResponse[],
    children: readonly ChildRow[],
    today: string,
  ): Promise<readonly GroupBoardResponse[]> {
    const programme = groups[0]?.programme ?? '';
    const groupIds = new Set(groups.map(({ id }) => id));
    const own = children.filter(({ group_id }) => groupIds.has(group_id));
    const ids = [...new Set(own.map(({ id }) => id))];
    // what does not wait for another is asked at the same time
    const [climbed, rungs] = await Promise.all([this.syllabuses.climbed(clubId, programme), this.rungs(clubId, ids, programme, today)]);
    if (!climbed) return groups.map((group) => ({ group, columns: [], rows: [] }));
    const nextOf = (id: string): Grade | null => nextGradeOf(climbed.ladderOf(id), rungs.get(id));
    const wanted = [...new Set(ids.flatMap((id) => nextOf(id)?.requirements.map((one) => one.movement) ?? []))];
    const observations = await this.observationsOf(clubId, ids, wanted);
    const byChild = new Map<string, Observation[]>(ids.map((id) => [id, []]));
    for (const one of observations) byChild.get(one.childId)?.push(one);
    const ladders = new Set([climbed.newest, ...ids.map((id) => climbed.ladderOf(id))]);
    return groups.map((group) => {
      const rows = own
        .filter(({ group_id }) => group_id === group.id)
        .map((child) => boardRow(child, nextOf(child.id), rungs.get(child.id), byChild.get(child.id) ?? [], today));
      const inUse = new Set(rows.map(({ nextGradeId }) => nextGradeId));
      const columns = [...ladders].flatMap((ladder) =>
        ladder.grades
          .filter((grade) => inUse.has(grade.id))
          .map((grade) => ({ gradeId: grade.id, gradeName: nameIn(ladder, grade, climbed.newest), requirements: grade.requirements })),
      );
      return { group, columns, rows };
    });
  }

  /** Where each child is on the ladder of a programme; three queries. */
  async rungs(clubId: string, childIds: readonly string[], programme: string, today: string): Promise<ReadonlyMap<string, Rung>> {
    const parameters = [clubId, childIds, programme];
    const [awards, joined, attended] = await Promise.all([
      rows<{ child_id: string; grade_id: string; slug: string; name: string; awarded_on: string }>(
        this.source,
        `SELECT a.child_id, a.grade_id, g.slug, g.name, a.awarded_on FROM grade_award a
         JOIN grade g ON g.id = a.grade_id JOIN syllabus s ON s.id = g.syllabus_id JOIN programme p ON p.id = s.programme_id
         WHERE a.club_id = $1 AND a.child_id = ANY($2) AND p.slug = $3 ORDER BY a.awarded_on, g.position`,
        parameters,
      ),
      rows<{ child_id: string; since: string }>(
        this.source,
        `SELECT e.child_id, min(e.from_day) AS since FROM enrolment e
         JOIN teaching_group t ON t.id = e.group_id JOIN programme p ON p.id = t.programme_id
         WHERE e.club_id = $1 AND e.child_id = ANY($2) AND p.slug = $3 GROUP BY e.child_id`,
        parameters,
      ),
      rows<{ child_id: string; day: string }>(
        this.source,
        `SELECT a.child_id, c.day FROM attendance a JOIN class_session c ON c.id = a.class_id
         JOIN teaching_group t ON t.id = c.group_id JOIN programme p ON p.id = t.programme_id
         WHERE a.club_id = $1 AND a.child_id = ANY($2) AND p.slug = $3 AND a.status IN ('present', 'late') AND c.taught_at IS NOT NULL`,
        parameters,
      ),
    ]);
    return new Map(
      childIds.map((id) => {
        const earned = awards
          .filter((one) => one.child_id === id)
          .map(({ grade_id, slug, name, awarded_on }) => ({ gradeId: grade_id, slug, name, awardedOn: awarded_on }));
        const inGradeSince = earned.at(-1)?.awardedOn ?? joined.find((one) => one.child_id === id)?.since ?? today;
        const classesSince = attended.filter((one) => one.child_id === id && one.day >= inGradeSince).length;
        return [id, { earned, inGradeSince, classesSince }];
      }),
    );
  }

  async observationsOf(clubId: string, childIds: readonly string[], movements: readonly string[]): Promise<readonly Observation[]> {
    const found = await rows<ObservationRow>(
      this.source,
      `SELECT ${observationColumns} FROM observation o WHERE o.club_id = $1 AND o.child_id = ANY($2) AND o.movement_slug = ANY($3)`,
      [clubId, childIds, movements],
    );
    return found.map(observationOf);
  }

  private childrenOf(clubId: string, groupIds: readonly string[]): Promise<readonly ChildRow[]> {
    return rows<ChildRow>(
      this.source,
      `SELECT c.id, e.group_id, c.given_name, c.family_initial, c.birth_date, c.lead_side,
              (SELECT max(o.seen_on) FROM observation o WHERE o.child_id = c.id) AS last_seen
       FROM child c JOIN enrolment e ON e.child_id = c.id
       WHERE c.club_id = $1 AND e.group_id = ANY($2) AND e.to_day IS NULL AND c.archived_at IS NULL
       ORDER BY c.given_name COLLATE "und-x-icu", c.family_initial COLLATE "und-x-icu"`,
      [clubId, groupIds],
    );
  }
}

function nextGradeOf(syllabus: SyllabusResponse, rung: Rung | undefined): Grade | null {
  return gradeAbove(
    coreSyllabus(syllabus),
    (rung?.earned ?? []).map(({ slug }) => slug),
  );
}

/** A grade of an earlier version says so: another one of the same name may stand beside it. */
function nameIn(ladder: SyllabusResponse, grade: GradeResponse, newest: SyllabusResponse): string {
  return ladder.version === newest.version ? grade.name : `${grade.name} (version ${String(ladder.version)})`;
}

function boardRow(
  child: ChildRow,
  next: Grade | null,
  rung: Rung | undefined,
  observations: readonly Observation[],
  today: string,
): BoardRow {
  const verdict: Verdict | null = next
    ? verdictOn(
        next,
        observations,
        {
          birthDate: child.birth_date,
          leadSide: child.lead_side,
          inGradeSince: rung?.inGradeSince ?? today,
          classesSince: rung?.classesSince ?? 0,
        },
        today,
      )
    : null;
  return {
    childId: child.id,
    name: `${child.given_name} ${child.family_initial}`,
    leadSide: child.lead_side,
    earnedGrade: rung?.earned.at(-1)?.name ?? null,
    nextGradeId: next?.id ?? null,
    nextGradeName: next?.name ?? null,
    metCount: verdict?.metCount ?? 0,
    isEarned: verdict?.earned ?? false,
    lastSeenOn: child.last_seen,
    cells: (verdict?.standings ?? []).map((standing) => ({
      requirementId: standing.requirement.id,
      standing: standing.name,
      bestMark: standing.sides.map(({ bestMark }) => bestMark).find((mark) => mark !== null) ?? null,
      sidesOpen: isMet(standing)
        ? []
        : standing.sides.flatMap(({ side, name }) => (side && name !== 'met' && name !== 'fading' ? [side] : [])),
      unseenForDays: standing.unseenForDays,
    })),
  };
}
