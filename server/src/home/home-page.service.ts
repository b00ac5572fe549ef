import { homeLooks, type HomeLadder, type HomeLook, type HomeMovement, type HomePageResponse, type HomeStep } from '@leiter/contract';
import {
  ageBandOf,
  ageOn,
  gradeAbove,
  homeTaskBar,
  partnerOn,
  phraseRead,
  measuredLines,
  currentObservations,
  termWords,
  verdictOn,
  type Library,
  type Observation,
  type Phrase,
} from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ClipsService } from '../clips/clips.service.js';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { beginsAt, type TimetableFacts } from '../grading/grading-times.js';
import { notFound } from '../http/problem.js';
import { LibraryService } from '../library/library.service.js';
import { LadderService } from '../record/ladder.service.js';
import { observationColumns, observationOf, type ObservationRow } from '../record/observation.mapper.js';
import { SyllabusService, coreSyllabus } from '../syllabus/syllabus.service.js';
import { FromHomeService } from './from-home.service.js';
import { childrenAtHome, HomeClassesService, type ChildAtHome } from './home-classes.service.js';
import type { HomeChild } from './home-links.service.js';
import { withoutOthers } from './without-others.js';

/** So many words of what the instructor wrote are shown, the newest. */
const mostNotes = 10;
const mostLooks = 20;

/** The page of a family: of its child, and of nobody else. What others wrote is shown without the names of other children. */
@Injectable()
export class HomePageService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly library: LibraryService,
    private readonly syllabuses: SyllabusService,
    private readonly ladders: LadderService,
    private readonly classes: HomeClassesService,
    private readonly told: FromHomeService,
    private readonly clips: ClipsService,
  ) {}

  async page({ clubId, childId }: HomeChild): Promise<HomePageResponse> {
    const [club, today, library, child, others, observations, groups] = await Promise.all([
      this.clubs.find(clubId),
      this.clubs.today(clubId),
      this.library.reckoned(clubId),
      childrenAtHome(this.source, clubId, [childId]).then((found) => found.get(childId)),
      this.namesOfOthers(clubId, childId),
      this.observations(clubId, childId),
      rows<{ id: string; programme: string }>(
        this.source,
        `SELECT t.id, p.slug AS programme FROM enrolment e JOIN teaching_group t ON t.id = e.group_id AND t.archived_at IS NULL
         JOIN programme p ON p.id = t.programme_id WHERE e.club_id = $1 AND e.child_id = $2 AND e.to_day IS NULL ORDER BY t.weekday, t.starts_at`,
        [clubId, childId],
      ),
    ]);
    if (!child) throw notFound('child');
    const clean = (text: string): string => withoutOthers(text, others);
    const groupIds = groups.map(({ id }) => id);
    const programmes = [...new Set(groups.map(({ programme }) => programme))];
    const [coming, task, grading, about, ladders, clips, looks] = await Promise.all([
      this.classes.coming(clubId, child, groupIds, today, library),
      this.classes.task(clubId, child, groupIds, today, library),
      this.grading(clubId, childId, today),
      this.told.about(clubId, childId),
      Promise.all(programmes.map((programme) => this.ladder(clubId, child, programme, observations, library, today))),
      this.clips.sent(clubId, childId),
      this.looks(clubId, childId),
    ]);
    const climbed = ladders.flatMap((ladder) => ladder ?? []);
    const bests = measuredLines(observations);
    const named = new Set([
      ...(task?.items.map(({ movement }) => movement) ?? []),
      ...climbed.flatMap(({ shown }) => shown.next?.asked.map(({ movement }) => movement) ?? []),
      ...bests.map(({ movement }) => movement),
      ...about.practice.map(({ movement }) => movement),
      ...clips.map(({ movement }) => movement),
    ]);
    const notes = currentObservations(observations)
      .filter(({ note }) => note !== '')
      .toReversed()
      .slice(0, mostNotes);
    return {
      clubName: club.name,
      language: child.language,
      today,
      child: {
        givenName: child.givenName,
        leadSide: child.leadSide,
        ageBand: ageBandOf(ageOn(child.birthDate, today)),
        household: child.household,
        householdVersion: child.householdVersion,
        isHomeKnown: child.isHomeKnown,
      },
      movements: [...named, ...notes.map(({ movement }) => movement)]
        .filter((slug, index, all) => all.indexOf(slug) === index)
        .flatMap((slug) => {
          const movement = library.get(slug);
          return movement ? [homeMovement(movement)] : [];
        }),
      coming: coming.map((one) => ({ ...one, off: one.off === null ? null : clean(one.off) })),
      grading,
      task: task && { ...task, note: clean(task.note) },
      practice: about.practice,
      ladders: climbed.map(({ shown }) => shown),
      bests,
      words: climbed.flatMap(({ words }) => words),
      notes: notes.map(({ seenOn, movement, note }) => ({ day: seenOn, movement, note: clean(note) })),
      phrases: [...named].flatMap((slug) => {
        const written = library.get(slug)?.phrase;
        const [own, other] = written ? [phraseRead(written), phraseRead(written, true)] : [null, null];
        return written && own && other ? [{ movement: slug, beats: written.beats, own: stepsOf(own), other: stepsOf(other) }] : [];
      }),
      clips,
      looks,
      consents: about.consents.map(({ by, ...consent }) => ({ ...consent, by: by === null ? null : club.name })),
    };
  }

  private async looks(clubId: string, childId: string): Promise<HomePageResponse['looks']> {
    const found = await rows<{ at: Date; by: string | null; kind: HomeLook }>(
      this.source,
      `SELECT l.at, p.name AS by, l.kind FROM child_log l LEFT JOIN person p ON p.id = l.by_id
       WHERE l.club_id = $1 AND l.child_id = $2 AND l.kind = ANY($3) ORDER BY l.at DESC, l.id DESC LIMIT ${String(mostLooks)}`,
      [clubId, childId, homeLooks],
    );
    return found.map(({ at, ...look }) => ({ ...look, at: at.toISOString() }));
  }

  /** Of everybody else in the club, archived ones included. */
  private async namesOfOthers(clubId: string, childId: string): Promise<readonly string[]> {
    const found = await rows<{ name: string }>(
      this.source,
      `SELECT DISTINCT c.given_name AS name FROM child c WHERE c.club_id = $1 AND c.id <> $2
         AND c.given_name <> (SELECT given_name FROM child WHERE id = $2)`,
      [clubId, childId],
    );
    return found.map(({ name }) => name);
  }

  private async observations(clubId: string, childId: string): Promise<readonly Observation[]> {
    const found = await rows<ObservationRow>(
      this.source,
      `SELECT ${observationColumns} FROM observation o WHERE o.club_id = $1 AND o.child_id = $2`,
      [clubId, childId],
    );
    return found.map(observationOf);
  }

  private async ladder(
    clubId: string,
    child: ChildAtHome,
    programme: string,
    observations: readonly Observation[],
    library: Library,
    today: string,
  ): Promise<{ readonly shown: HomeLadder; readonly words: HomePageResponse['words'] } | null> {
    const climbed = await this.syllabuses.climbed(clubId, programme);
    if (!climbed) return null;
    const ladder = climbed.ladderOf(child.id);
    const rung = (await this.ladders.rungs(clubId, [child.id], programme, today)).get(child.id);
    const earned = rung?.earned ?? [];
    const next = gradeAbove(
      coreSyllabus(ladder),
      earned.map(({ slug }) => slug),
    );
    const verdict =
      next &&
      verdictOn(
        next,
        observations,
        {
          birthDate: child.birthDate,
          leadSide: child.leadSide,
          inGradeSince: rung?.inGradeSince ?? today,
          classesSince: rung?.classesSince ?? 0,
        },
        today,
      );
    const inClass = await this.classes.inClass(clubId, child, programme, today);
    const isForHome = (slug: string): boolean => {
      const movement = library.get(slug);
      return movement !== undefined && homeTaskBar(movement, inClass, coreSyllabus(ladder)) === null;
    };
    const shown: HomeLadder = {
      programme,
      programmeName: ladder.programmeName,
      startsAs: ladder.startsAs,
      grades: ladder.grades
        .filter(({ isPutAway, slug }) => !isPutAway || earned.some((one) => one.slug === slug))
        .map(({ id, slug, name }) => {
          const held = earned.find((one) => one.slug === slug);
          return { gradeId: held?.gradeId ?? id, name, awardedOn: held?.awardedOn ?? null };
        }),
      next: verdict && {
        name: verdict.grade.name,
        metCount: verdict.metCount,
        asked: verdict.standings.map(({ requirement, name }) => ({
          movement: requirement.movement,
          stage: requirement.stage,
          standing: name,
          isForHome: isForHome(requirement.movement),
        })),
      },
    };
    const words = termWords(library, programme, ladder).filter(({ grade }) => grade !== null && grade === next?.slug);
    return { shown, words: words.map(({ text, sayIt, meaning, spoken }) => ({ text, sayIt, meaning, spoken })) };
  }

  /** Grading days to come to which the child is entered, and when it begins there. */
  private async grading(clubId: string, childId: string, today: string): Promise<HomePageResponse['grading']> {
    const found = await rows<{ day: string; starts_at: string; party: number | null; timetable: TimetableFacts | null; grade: string }>(
      this.source,
      `SELECT d.day, d.starts_at, e.party, d.timetable, g.name AS grade FROM grading_entry e JOIN grading_day d ON d.id = e.grading_id
       JOIN grade g ON g.id = e.grade_id WHERE e.club_id = $1 AND e.child_id = $2 AND d.closed_at IS NULL AND d.day >= $3 ORDER BY d.day`,
      [clubId, childId, today],
    );
    return found.map(({ day, starts_at, party, timetable, grade }) => ({
      day,
      startsAt: starts_at.slice(0, 5),
      warmUpAt: beginsAt(starts_at, timetable, party),
      gradeName: grade,
    }));
  }
}

function homeMovement({ slug, name, plainMeaning, figure, view, dose, cues, stages }: HomeMovement): HomeMovement {
  return { slug, name, plainMeaning, figure, view, dose, cues, stages };
}

/** Rows with what a partner does on their counts. */
const stepsOf = (phrase: Phrase): readonly HomeStep[] =>
  phrase.rows.map((row, index) => {
    const partner = partnerOn(phrase, index);
    return partner.length === 0 ? row : { ...row, partner };
  });
