import type { GradingChild, GradingMark, GradingPageResponse, MissingResponse, ReadinessResponse } from '@leiter/contract';
import { findingsOf, readinessFor, verdictOn, type Missing, type Observation, type Readiness } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { PeopleService } from '../people/people.service.js';
import { CandidatesService, type Candidate } from './candidates.service.js';
import { gradingMarks } from './grading-mark-row.js';
import { entriesOf, findGrading, gradingResponse, type EntryRow, type GradingRow } from './grading-row.js';

/** A child that is entered, with what its marks of the day and its record say together. */
export interface Judged {
  readonly candidate: Candidate;
  readonly entry: EntryRow;
  /** What counts of the day, as marks of the record. */
  readonly shown: readonly { readonly counts: GradingMark; readonly observation: Observation }[];
  readonly verdict: ReturnType<typeof verdictOn>;
}

/** All that the page of a grading day shows, and what was found of each child. */
@Injectable()
export class GradingPageService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly candidates: CandidatesService,
    private readonly people: PeopleService,
  ) {}

  async page(clubId: string, id: string): Promise<GradingPageResponse> {
    const row = await findGrading(this.source, clubId, id);
    const [{ all, judged, marks }, people] = await Promise.all([this.judge(clubId, row), this.people.list(clubId)]);
    const grades = [...new Map(all.flatMap(({ grade }) => (grade ? [[grade.id, grade] as const] : []))).values()];
    return {
      grading: gradingResponse(row),
      people: people
        .filter((person) => !person.isPutAway || row.examiner_ids.includes(person.id))
        .map((person) => ({ id: person.id, name: person.name })),
      children: all.map((candidate) => childOf(candidate, judged.find((one) => one.candidate === candidate) ?? null, row)),
      grades,
      timetable: row.timetable,
      marks,
    };
  }

  /** Who may come, who does, and what was found of each so far. */
  async judge(
    clubId: string,
    row: GradingRow,
  ): Promise<{ readonly all: readonly Candidate[]; readonly judged: readonly Judged[]; readonly marks: readonly GradingMark[] }> {
    const [entries, marks] = await Promise.all([entriesOf(this.source, row.id), gradingMarks(this.source, row.id)]);
    const all = await this.candidates.on(clubId, row.programme, row.day, new Map(entries.map((one) => [one.child_id, one.grade_id])));
    const judged = all.flatMap((candidate): readonly Judged[] => {
      const entry = entries.find(({ child_id }) => child_id === candidate.childId);
      const { grade } = candidate;
      if (!entry || !grade) return [];
      const shown = findingsOf(marks.filter(({ childId }) => childId === candidate.childId)).flatMap(({ counts }) => {
        const requirement = grade.requirements.find(({ id }) => id === counts.requirementId);
        return requirement ? [{ counts, observation: observationOn(row.day, counts, requirement) }] : [];
      });
      // once it is closed they are in the record
      const added = row.closed_at ? [] : shown.map(({ observation }) => observation);
      const verdict = verdictOn(grade, [...candidate.observations, ...added], candidate.onLadder, row.day);
      return [{ candidate, entry, shown, verdict }];
    });
    return { all, judged, marks };
  }
}

/** What an examiner wrote, as a mark of the record. */
function observationOn(
  day: string,
  { id, childId, side, mark, help, measure, faults, givenAt }: GradingMark,
  { movement, stage }: { readonly movement: string; readonly stage: number | null },
): Observation {
  return {
    id,
    childId,
    movement,
    stage,
    side,
    mark,
    help,
    measure,
    faults,
    note: '',
    seenOn: day,
    recordedAt: givenAt,
    source: 'grading',
    classId: null,
    supersedes: null,
  };
}

function childOf(candidate: Candidate, judged: Judged | null, row: GradingRow): GradingChild {
  const { childId, name, ageYears, groupName, grade, observations, onLadder } = candidate;
  const before =
    row.closed_at === null ? observations : observations.filter(({ source, seenOn }) => source !== 'grading' || seenOn !== row.day);
  return {
    childId,
    name,
    ageYears,
    leadSide: onLadder.leadSide,
    groupName,
    gradeId: grade?.id ?? null,
    gradeName: grade?.name ?? null,
    readiness: grade && readinessResponse(readinessFor(grade, before, onLadder, row.day)),
    entry: judged && {
      size: judged.entry.size,
      party: judged.entry.party,
      decision: judged.entry.decision,
      reason: judged.entry.reason,
      result: {
        isEarned: judged.verdict.earned,
        metCount: judged.verdict.metCount,
        missing: judged.verdict.missing.map(missingResponse),
      },
    },
  };
}

function readinessResponse(readiness: Readiness): ReadinessResponse {
  switch (readiness.kind) {
    case 'earned':
      return readiness;
    case 'on-the-day':
      return { kind: 'on-the-day', open: readiness.open.map(({ id }) => id) };
    case 'not-yet':
      return { kind: 'not-yet', missing: readiness.missing.map(missingResponse) };
  }
}

function missingResponse(missing: Missing): MissingResponse {
  return missing.kind === 'requirement' ? { kind: 'requirement', requirementId: missing.standing.requirement.id } : missing;
}
