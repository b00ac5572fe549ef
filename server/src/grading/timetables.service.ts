import type { GradingPageResponse, GradingTimetable } from '@leiter/contract';
import { accepted, examinersOf, groupBy, partySizes, refused, visitsOf, type Hall, type Party, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { LibraryService } from '../library/library.service.js';
import { LiveService } from '../live/live.service.js';
import type { Asker } from '../people/asker.js';
import { SyllabusService } from '../syllabus/syllabus.service.js';
import type { Answers } from '../work/tasks.js';
import { WorkersService } from '../work/workers.service.js';
import { CandidatesService, type Candidate } from './candidates.service.js';
import { GradingPageService } from './grading-page.service.js';
import { entriesOf, findGrading, lockGrading, type GradingRow } from './grading-row.js';

export type TimetableRefusal = { readonly kind: 'closed' } | { readonly kind: 'nobody-entered' } | { readonly kind: 'changed-meanwhile' };

/** So long a better timetable is looked for. */
const searchMilliseconds = 1800;

interface PartyOfChildren extends Party {
  readonly childIds: readonly string[];
}

/** When which children are where, and who looks at them. */
@Injectable()
export class TimetablesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly candidates: CandidatesService,
    private readonly library: LibraryService,
    private readonly syllabuses: SyllabusService,
    private readonly pages: GradingPageService,
    private readonly workers: WorkersService,
    private readonly live: LiveService,
  ) {}

  /** Makes the timetable of a grading day anew, the shortest that can be found; where something changed while it was looked for, once more. */
  async make({ clubId }: Asker, id: string): Promise<Result<GradingPageResponse, TimetableRefusal>> {
    const made = await this.makeOnce(clubId, id);
    return !made.ok && made.error.kind === 'changed-meanwhile' ? this.makeOnce(clubId, id) : made;
  }

  private async makeOnce(clubId: string, id: string): Promise<Result<GradingPageResponse, TimetableRefusal>> {
    const row = await findGrading(this.source, clubId, id);
    if (row.closed_at) return refused({ kind: 'closed' });
    const [entries, ladder, library] = await Promise.all([
      entriesOf(this.source, id),
      this.syllabuses.ladderOf(clubId, row.programme),
      this.library.library(clubId),
    ]);
    const gradeOf = new Map(entries.map((one) => [one.child_id, one.grade_id]));
    const entered = (await this.candidates.on(clubId, row.programme, row.day, gradeOf)).filter(({ childId }) => gradeOf.has(childId));
    if (entered.length === 0) return refused({ kind: 'nobody-entered' });
    const parties = partiesOf(entered, row, (slug) => library.get(slug)?.kind ?? 'skill');
    const hall: Hall = {
      examiners: row.examiner_ids.length,
      perVisit: row.per_visit,
      warmUpSlots: Math.ceil(row.warm_up_minutes / row.slot_minutes),
      // what is quick does not come after long stretching where the school says so
      last: ladder?.stretchingSchool === 'dynamic-first' ? 'stretching' : null,
    };
    const found = await this.workers.run('findTimetable', {
      parties: parties.map(({ childIds: _, ...party }) => party),
      hall,
      milliseconds: searchMilliseconds,
    });
    const timetable = asMinutes(parties, found, hall, row);
    const isStored = await this.source.transaction(async (manager) => {
      const now = await lockGrading(manager, clubId, id);
      const still = await entriesOf(manager, id);
      const isSame = JSON.stringify([still.map(whom), settings(now)]) === JSON.stringify([entries.map(whom), settings(row)]);
      if (!isSame || now.closed_at) return false;
      await manager.query('UPDATE grading_day SET timetable = $2 WHERE id = $1', [id, JSON.stringify(timetable)]);
      for (const party of parties)
        await manager.query('UPDATE grading_entry SET party = $3 WHERE grading_id = $1 AND child_id = ANY($2)', [
          id,
          party.childIds,
          party.id,
        ]);
      await this.live.emit(manager, clubId, { topic: 'grading', gradingId: id });
      return true;
    });
    return isStored ? accepted(await this.pages.page(clubId, id)) : refused({ kind: 'changed-meanwhile' });
  }
}

const whom = (one: { readonly child_id: string; readonly grade_id: string }): readonly string[] => [one.child_id, one.grade_id];
const settings = (row: GradingRow): readonly unknown[] => [
  row.warm_up_minutes,
  row.slot_minutes,
  row.together,
  row.per_visit,
  row.examiner_ids,
];

/** Children who go for one grade, those of an age together; the youngest first. */
function partiesOf(
  entered: readonly Candidate[],
  { together, slot_minutes }: GradingRow,
  kindOf: (slug: string) => Parameters<typeof visitsOf>[0][number]['kind'],
): readonly PartyOfChildren[] {
  const byGrade = groupBy(
    entered.toSorted((a, b) => (a.onLadder.birthDate < b.onLadder.birthDate ? 1 : -1)),
    ({ grade }) => grade?.id ?? '',
  );
  const parties = [...byGrade].flatMap(([gradeId, children]) => {
    const asked = (children[0]?.grade?.requirements ?? []).map((requirement) => ({ requirement, kind: kindOf(requirement.movement) }));
    let from = 0;
    return partySizes(children.length, together).map((size) => {
      const own = children.slice(from, (from += size));
      const visits = visitsOf(asked, size).map(({ station, minutes }) => ({ station, slots: Math.ceil(minutes / slot_minutes) }));
      return { gradeId, children: size, visits, childIds: own.map(({ childId }) => childId), youngest: own[0]?.onLadder.birthDate ?? '' };
    });
  });
  return parties
    .filter(({ visits }) => visits.length > 0)
    .toSorted((a, b) => (a.youngest < b.youngest ? 1 : -1))
    .map(({ youngest: _, ...party }, index) => ({ ...party, id: index + 1 }));
}

/** Slots as minutes from the beginning of the day, the first warm-up included. */
function asMinutes(
  parties: readonly PartyOfChildren[],
  { timetable, noneBefore, isBest }: Answers['findTimetable'],
  hall: Hall,
  { warm_up_minutes, slot_minutes, examiner_ids }: GradingRow,
): GradingTimetable {
  const at = (slot: number): number => warm_up_minutes + slot * slot_minutes;
  const looking = examinersOf(timetable, hall);
  const visits = timetable.map(({ party, station, start, end }, index) => ({
    party,
    station,
    from: at(start),
    to: at(end),
    examinerIds: (looking[index] ?? []).map((nth) => examiner_ids[nth] ?? ''),
  }));
  return {
    parties: parties
      .map(({ id, gradeId }) => {
        const own = visits.filter(({ party }) => party === id);
        const from = Math.min(...own.map((visit) => visit.from));
        return { id, gradeId, warmUpFrom: from - warm_up_minutes, from, to: Math.max(...own.map(({ to }) => to)) };
      })
      .toSorted((a, b) => a.from - b.from || a.id - b.id),
    visits: visits.toSorted((a, b) => a.from - b.from || a.party - b.party),
    endsAfter: Math.max(...visits.map(({ to }) => to)),
    noneBefore: at(noneBefore),
    isBest,
  };
}
