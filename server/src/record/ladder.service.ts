import {
  addDays,
  gradeAbove,
  groupBy,
  groupProgress,
  progressOf,
  verdictOn,
  type ChildToForecast,
  type Grade,
  type Observation,
  type Progress,
} from '@leiter/core';
import type { GroupBoardResponse, GroupResponse, SyllabusResponse } from '@leiter/contract';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { OfVersion } from '../database/of-version.js';
import { rows } from '../database/rows.js';
import { GroupsService } from '../groups/groups.service.js';
import { LibraryService } from '../library/library.service.js';
import { SyllabusService, coreSyllabus, type Climbed } from '../syllabus/syllabus.service.js';
import { boardRow, comingDays, nameIn, type Ahead, type ChildRow, type Climber } from './board-row.js';
import { Forecasts } from './forecasts.js';
import type { Rung } from './rung.js';
import { observationColumns, observationOf, type ObservationRow } from './observation.mapper.js';

/** A child of a group, and what a verdict on it rests on; null for who has no grade above. */
export interface AskedChild {
  readonly childId: string;
  readonly name: string;
  readonly asked: ChildToForecast | null;
}

/** A mark that was neither taken back nor corrected. */
const stands = 'NOT o.is_withdrawal AND NOT EXISTS (SELECT 1 FROM observation n WHERE n.supersedes = o.id)';

@Injectable()
export class LadderService {
  private readonly forecasts = new Forecasts();
  /** How a programme gets on, until yesterday: the same all day. */
  private readonly progress = new OfVersion<Progress>();

  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly groups: GroupsService,
    private readonly syllabuses: SyllabusService,
    private readonly library: LibraryService,
  ) {}

  /** Children of a group × what each works on; a fixed number of queries, whatever the number of marks. */
  async board(clubId: string, groupId: string): Promise<GroupBoardResponse> {
    const [group, today] = await Promise.all([this.groups.find(clubId, groupId), this.clubs.today(clubId)]);
    const [board] = await this.boardsOf(clubId, [group], this.childrenOf(clubId, [groupId], today), today, this.ahead(clubId, today));
    return board ?? { group, columns: [], rows: [] };
  }

  /** The boards of all groups that are not put away; six queries for each programme, whatever the number of groups. */
  async boards(clubId: string): Promise<readonly GroupBoardResponse[]> {
    const [all, today] = await Promise.all([this.groups.list(clubId), this.clubs.today(clubId)]);
    const groups = all.filter(({ archived }) => !archived);
    if (groups.length === 0) return [];
    const children = this.childrenOf(
      clubId,
      groups.map(({ id }) => id),
      today,
    );
    const ahead = this.ahead(clubId, today);
    const byProgramme = groupBy(groups, ({ programme }) => programme);
    const found = await Promise.all([...byProgramme.values()].map((own) => this.boardsOf(clubId, own, children, today, ahead)));
    const boards = new Map(found.flat().map((board) => [board.group.id, board]));
    return groups.map((group) => boards.get(group.id) ?? { group, columns: [], rows: [] });
  }

  /**
   * What does not wait for another is asked at the same time.
   * @param groups of one programme @param asked children of these groups, and perhaps of others @param comes what decides when classes are
   */
  private async boardsOf(
    clubId: string,
    groups: readonly GroupResponse[],
    asked: Promise<readonly ChildRow[]>,
    today: string,
    comes: Promise<Ahead>,
  ): Promise<readonly GroupBoardResponse[]> {
    const programme = groups[0]?.programme ?? '';
    const [climbed, children, ahead] = await Promise.all([this.syllabuses.climbed(clubId, programme), asked, comes]);
    const [climbers, club] = await Promise.all([
      this.climbers(clubId, groups, children, today, climbed),
      this.progressOfProgramme(clubId, programme, today),
    ]);
    if (!climbed) return groups.map((group) => ({ group, columns: [], rows: [] }));
    return groups.map((group) => {
      const own = climbers.filter(({ child }) => child.group_id === group.id);
      const progress = groupProgress(progressOf(own.flatMap(({ asked }) => asked ?? [])), club);
      const coming = comingDays(group.weekday, ahead.taughtToday.has(group.id) ? addDays(today, 1) : today, ahead.holidays);
      const rows = own.map((climber) => boardRow(climber, this.forecasts.of(climber, progress, coming, today)));
      const inUse = new Set(rows.map(({ nextGradeId }) => nextGradeId));
      const ladders = new Set([climbed.newest, ...climbers.map(({ child }) => climbed.ladderOf(child.id))]);
      const columns = [...ladders].flatMap((ladder) =>
        ladder.grades
          .filter((grade) => inUse.has(grade.id))
          .map((grade) => ({ gradeId: grade.id, gradeName: nameIn(ladder, grade, climbed.newest), requirements: grade.requirements })),
      );
      return { group, columns, rows };
    });
  }

  /** What decides on which days classes are to come. */
  private async ahead(clubId: string, today: string): Promise<Ahead> {
    const [holidays, taught] = await Promise.all([
      rows<Ahead['holidays'][number]>(this.source, 'SELECT from_day, to_day FROM holiday WHERE club_id = $1 AND to_day >= $2', [
        clubId,
        today,
      ]),
      rows<{ group_id: string }>(
        this.source,
        'SELECT group_id FROM class_session WHERE club_id = $1 AND day = $2 AND (taught_at IS NOT NULL OR cancelled_because IS NOT NULL)',
        [clubId, today],
      ),
    ]);
    return { holidays, taughtToday: new Set(taught.map(({ group_id }) => group_id)) };
  }

  /** Where the children of some groups of one programme stand, and what a forecast of them rests on. */
  private async climbers(
    clubId: string,
    groups: readonly GroupResponse[],
    children: readonly ChildRow[],
    today: string,
    known?: Climbed | null,
  ): Promise<readonly Climber[]> {
    const programme = groups[0]?.programme ?? '';
    const groupIds = groups.map(({ id }) => id);
    const own = children.filter(({ group_id }) => groupIds.includes(group_id));
    const ids = [...new Set(own.map(({ id }) => id))];
    const [climbed, rungs, library, held] = await Promise.all([
      known === undefined ? this.syllabuses.climbed(clubId, programme) : known,
      this.rungs(clubId, ids, programme, today),
      this.library.library(clubId),
      rows<{ group_id: string; day: string }>(
        this.source,
        'SELECT group_id, day FROM class_session WHERE club_id = $1 AND group_id = ANY($2) AND taught_at IS NOT NULL AND day <= $3',
        [clubId, groupIds, today],
      ),
    ]);
    if (!climbed) return [];
    const nextOf = (id: string): Grade | null => nextGradeOf(climbed.ladderOf(id), rungs.get(id));
    const wanted = [...new Set(ids.flatMap((id) => nextOf(id)?.requirements.map((one) => one.movement) ?? []))];
    const byChild = groupBy(await this.observationsOf(clubId, ids, wanted), ({ childId }) => childId);
    const restsOn = new Map(wanted.map((slug) => [slug, (library.get(slug)?.prerequisites ?? []).map(({ movement }) => movement)]));
    return own.map((child): Climber => {
      const [next, rung, observations] = [nextOf(child.id), rungs.get(child.id), byChild.get(child.id) ?? []];
      const onLadder = {
        birthDate: child.birth_date,
        leadSide: child.lead_side,
        inGradeSince: rung?.inGradeSince ?? today,
        classesSince: rung?.classesSince ?? 0,
      };
      const verdict = next && verdictOn(next, observations, onLadder, today);
      const attended = rung?.attendedSince ?? [];
      const since = held.filter(({ group_id, day }) => group_id === child.group_id && day >= onLadder.inGradeSince).length;
      const asked = verdict && {
        id: child.id,
        grade: verdict.grade,
        standings: verdict.standings,
        child: onLadder,
        attended,
        held: Math.max(since, attended.length),
        restsOn,
      };
      return { child, next, rung, verdict, asked, marks: observations.length };
    });
  }

  /** How the children of all groups of a programme get on, by what was seen until yesterday. */
  private progressOfProgramme(clubId: string, programme: string, today: string): Promise<Progress> {
    return this.progress.of(`${clubId} ${programme}`, today, async () => {
      const groups = (await this.groups.list(clubId)).filter((group) => !group.archived && group.programme === programme);
      const yesterday = addDays(today, -1);
      const children = await this.childrenOf(
        clubId,
        groups.map(({ id }) => id),
        yesterday,
      );
      return progressOf((await this.climbers(clubId, groups, children, yesterday)).flatMap(({ asked }) => asked ?? []));
    });
  }

  /** Every group that is not put away, with what a verdict on each of its children rests on. */
  async askedOf(clubId: string): Promise<readonly { readonly group: GroupResponse; readonly children: readonly AskedChild[] }[]> {
    const [all, today] = await Promise.all([this.groups.list(clubId), this.clubs.today(clubId)]);
    const groups = all.filter(({ archived }) => !archived);
    const children = await this.childrenOf(
      clubId,
      groups.map(({ id }) => id),
      today,
    );
    const byProgramme = [...groupBy(groups, ({ programme }) => programme).values()];
    const climbers = (await Promise.all(byProgramme.map((own) => this.climbers(clubId, own, children, today)))).flat();
    return groups.map((group) => ({
      group,
      children: climbers
        .filter(({ child }) => child.group_id === group.id)
        .map(({ child, asked }) => ({ childId: child.id, name: `${child.given_name} ${child.family_initial}`, asked })),
    }));
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
         WHERE a.club_id = $1 AND a.child_id = ANY($2) AND p.slug = $3 AND a.status IN ('present', 'late') AND c.taught_at IS NOT NULL ORDER BY c.day`,
        parameters,
      ),
    ]);
    return new Map(
      childIds.map((id) => {
        const earned = awards
          .filter((one) => one.child_id === id)
          .map(({ grade_id, slug, name, awarded_on }) => ({ gradeId: grade_id, slug, name, awardedOn: awarded_on }));
        const inGradeSince = earned.at(-1)?.awardedOn ?? joined.find((one) => one.child_id === id)?.since ?? today;
        const attendedSince = attended
          .filter((one) => one.child_id === id && one.day >= inGradeSince && one.day <= today)
          .map(({ day }) => day);
        return [id, { earned, inGradeSince, classesSince: attendedSince.length, attendedSince }];
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

  private childrenOf(clubId: string, groupIds: readonly string[], today: string): Promise<readonly ChildRow[]> {
    return rows<ChildRow>(
      this.source,
      `SELECT c.id, e.group_id, c.given_name, c.family_initial, c.birth_date, c.lead_side,
              (SELECT max(o.seen_on) FROM observation o WHERE o.child_id = c.id AND ${stands}) AS last_seen,
              (SELECT count(*)::int FROM attendance a JOIN class_session s ON s.id = a.class_id
               WHERE a.child_id = c.id AND s.group_id = e.group_id AND a.status IN ('present', 'late') AND s.taught_at IS NOT NULL
                 AND s.day < $3 AND s.day > coalesce((
                   SELECT max(o.seen_on) FROM observation o LEFT JOIN class_session w ON w.id = o.class_id
                   WHERE o.child_id = c.id AND (w.id IS NULL OR w.group_id = e.group_id) AND ${stands}), '-infinity')) AS unlooked
       FROM child c JOIN enrolment e ON e.child_id = c.id
       WHERE c.club_id = $1 AND e.group_id = ANY($2) AND e.to_day IS NULL AND c.archived_at IS NULL
       ORDER BY c.given_name COLLATE "und-x-icu", c.family_initial COLLATE "und-x-icu"`,
      [clubId, groupIds, today],
    );
  }
}

function nextGradeOf(syllabus: SyllabusResponse, rung: Rung | undefined): Grade | null {
  return gradeAbove(
    coreSyllabus(syllabus),
    (rung?.earned ?? []).map(({ slug }) => slug),
  );
}
