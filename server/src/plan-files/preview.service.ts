import type { PlanFile, PlanPreviewResponse, PreviewChild, PreviewPlanRequest } from '@leiter/contract';
import {
  accepted,
  ageBandOf,
  ageOn,
  defaultTimingSettings,
  evaluatePlan,
  itemTotals,
  longestTalk,
  meanAge,
  paceOf,
  plainPace,
  readPlan,
  refused,
  sectionSeconds,
  versionWords,
  withTriedMends,
  wordsOf,
  type ChildInClass,
  type ClassPlan,
  type Evaluation,
  type EvaluationContext,
  type Library,
  type PlanFileFault,
  type Result,
  type WrittenPlan,
} from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { ClassesService } from '../classes/classes.service.js';
import { ChecksService } from '../club/checks.service.js';
import { ClubService } from '../club/club.service.js';
import type { Asker } from '../people/asker.js';
import { LibraryService } from '../library/library.service.js';
import { SyllabusService } from '../syllabus/syllabus.service.js';
import { broughtWithRows, withInline, type PreviewFault } from './brought-movements.js';

@Injectable()
export class PreviewService {
  constructor(
    private readonly library: LibraryService,
    private readonly classes: ClassesService,
    private readonly clubs: ClubService,
    private readonly checks: ChecksService,
    private readonly syllabuses: SyllabusService,
  ) {}

  /** Judges a plan for a group of the club, or for children that are told with it; nothing is stored. */
  async preview(asker: Asker, request: PreviewPlanRequest): Promise<Result<PlanPreviewResponse, readonly PreviewFault[]>> {
    const { clubId } = asker;
    const { plan: file, groupId, instructor } = request;
    const [today, ladder, group, own, rules] = await Promise.all([
      this.clubs.today(clubId),
      this.syllabuses.ladderOf(clubId, file.programme),
      groupId === undefined ? null : this.classes.comingContext(asker, groupId),
      this.library.library(clubId),
      this.checks.rules(clubId),
    ]);
    const library = withInline(own, file);
    if (!library.ok) return library;
    const faults = [
      ...(ladder ? [] : [{ field: 'plan.programme', message: `There is no programme “${file.programme}”.` }]),
      ...(request.children ?? []).flatMap(({ birthDate }, index) =>
        birthDate > today ? [{ field: `children.${String(index)}.birthDate`, message: 'This day has not come yet.' }] : [],
      ),
    ];
    if (faults.length > 0) return refused(faults);
    const children = request.children?.map((child) => childInClass(child, today)) ?? group?.children ?? [];
    const context: EvaluationContext = {
      settings: defaultTimingSettings,
      exposures: new Map((group?.exposures ?? []).map(({ movement, ...exposure }) => [movement, exposure])),
      pace: group && instructor?.learnedPace !== false ? paceOf(group.pace) : plainPace,
      style: instructor?.style ?? group?.style ?? 'as-it-comes',
      agesYears: children.map(({ ageYears }) => ageYears),
      programme: file.programme,
      slotMinutes: file.lengthMinutes,
      stretchingSchool: ladder?.stretchingSchool ?? 'early-static',
      children,
      ladder,
      startsAt: file.startsAt ?? group?.startsAt ?? null,
      room: null,
      rules,
    };
    const plan = readPlan(plainPlan(file), library.value, ageBandOf(meanAge(context.agesYears)));
    if (!plan.ok) return refused(plan.error.map(planFault));
    const reckoned = library.value === own ? await this.library.reckoned(clubId) : broughtWithRows(library.value);
    const evaluation = evaluatePlan(plan.value, reckoned, context);
    return accepted(answerOf(plan.value, withTriedMends(plan.value, reckoned, context, evaluation), reckoned, context));
  }
}

export function planFault(fault: PlanFileFault): PreviewFault {
  return { field: `plan.${fault.field}`, message: planFaultWords(fault) };
}

function planFaultWords(fault: PlanFileFault): string {
  switch (fault.kind) {
    case 'id-twice':
      return `The id “${fault.id}” is there twice.`;
    case 'movement-unknown':
      return `There is no movement “${fault.movement}”.`;
    case 'sides-unfit':
      return fault.choices.length === 1 && fault.choices[0] === 'none'
        ? 'This movement has no sides.'
        : `The sides can be ${listed(fault.choices)}.`;
    case 'tier-unknown':
      return `This movement has no version “${fault.tier}”: it can be ${listed(fault.choices)}.`;
    case 'tier-twice':
      return `The version “${fault.tier}” is there twice.`;
    case 'circuit-unknown':
      return `There is no circuit “${fault.circuit}” in the plan.`;
    case 'circuit-torn':
      return `The stations of the circuit “${fault.circuit}” do not stand next to each other in one section.`;
  }
}

const listed = (words: readonly string[]): string => words.join(', ');

/** The file as core knows it: plain values, without the classes that validated it. */
export function plainPlan(file: PlanFile): WrittenPlan {
  return JSON.parse(JSON.stringify(file)) as WrittenPlan; // validated field by field by its contract class
}

function childInClass({ id, birthDate, grade, household, standings }: PreviewChild, today: string): ChildInClass {
  return {
    id,
    ageYears: Math.max(0, ageOn(birthDate, today)),
    earned: grade ? [grade] : [],
    home: household ?? null,
    marks: (standings ?? []).map(({ movement, stage, mark }) => ({ movement, stage: stage ?? null, mark })),
  };
}

function answerOf(
  plan: ClassPlan,
  { timeline, span, effort, findings, versions }: Evaluation,
  library: Library,
  { ladder }: EvaluationContext,
): PlanPreviewResponse {
  return {
    timing: {
      totalSeconds: timeline.totalSeconds,
      span,
      longestTalkSeconds: longestTalk(timeline.items)?.seconds ?? 0,
      movingShare: timeline.movingShare,
      levelChanges: timeline.levelChanges,
      reframings: timeline.reframings,
      sections: sectionSeconds(plan, timeline).map(({ section, seconds }) => ({ kind: section.kind, seconds })),
      items: [...itemTotals(timeline.items)].map(([id, { first, seconds, parts }]) => ({
        id,
        startSecond: first.startSecond,
        seconds,
        way: first.way,
        parts,
      })),
    },
    findings: findings.map((finding) => {
      const { title, sentence } = wordsOf(finding, timeline, library);
      const { check, severity, itemIds, childIds = [], mend } = finding;
      return { check, severity, itemIds, childIds, message: `${title}. ${sentence}`, mend };
    }),
    versions: versions.map((version) => ({
      itemId: version.itemId,
      childId: version.childId,
      tier: version.tier,
      movement: version.movement,
      reason: versionWords(version, library, ladder),
    })),
    effort: effort.values,
  };
}
