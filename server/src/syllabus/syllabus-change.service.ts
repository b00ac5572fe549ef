import type { SavedSyllabusResponse, SaveSyllabusRequest, SyllabusFile, SyllabusImportResponse, SyllabusResponse } from '@leiter/contract';
import {
  accepted,
  differingFields,
  isChange,
  ladderLines,
  nextLadder,
  refused,
  syllabusFaults,
  syllabusHints,
  type LadderVersion,
  type Result,
  type SyllabusFault,
  type WrittenSyllabus,
} from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import { ImportsService } from '../imports/imports.service.js';
import { LibraryService } from '../library/library.service.js';
import { LiveService } from '../live/live.service.js';
import type { Asker } from '../people/asker.js';
import { keepClimbers, storeLadder } from './ladder-store.js';
import { ProgrammeEntity } from './programme.entity.js';
import { SyllabusService, writtenLadder } from './syllabus.service.js';

/** What is wrong with the ladder of a programme. */
export interface LadderFault extends SyllabusFault {
  readonly programme: string;
}

export type SaveLadderRefusal =
  { readonly kind: 'changed-meanwhile' } | { readonly kind: 'faults'; readonly faults: readonly LadderFault[] };

export interface UndoRefusal {
  readonly kind: 'in-use' | 'changed-since';
  readonly programme: string;
}

type Entry = SyllabusFile['syllabuses'][number];

/** What an import did to a programme: the version it stored, and the programme as it was; null for one it made. */
interface Before {
  readonly programmeId: string;
  readonly syllabusId: string | null;
  readonly programme: Pick<ProgrammeEntity, 'name' | 'stretchingSchool' | 'startsAs'> | null;
}

/** One programme of a file, and what taking it in would do. */
interface Intake {
  readonly entry: Entry;
  readonly current: SyllabusResponse | null;
  readonly next: LadderVersion;
  readonly told: SyllabusImportResponse['programmes'][number];
}

@Injectable()
export class SyllabusChangeService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly syllabuses: SyllabusService,
    private readonly library: LibraryService,
    private readonly imports: ImportsService,
    private readonly live: LiveService,
  ) {}

  /** Stores a ladder as the next version, where something is different; grades that were earned stay earned. */
  async save(asker: Asker, programme: string, request: SaveSyllabusRequest): Promise<Result<SavedSyllabusResponse, SaveLadderRefusal>> {
    const { clubId } = asker;
    const current = await this.syllabuses.ladderOf(clubId, programme);
    if (!current) throw notFound('programme');
    if (current.version !== request.version) return refused({ kind: 'changed-meanwhile' });
    const faults = await this.faultsOf(clubId, [{ programme, grades: request.grades }]);
    if (faults.length > 0) return refused({ kind: 'faults', faults });
    const next = nextLadder(writtenLadder(current), { grades: request.grades });
    const lines = ladderLines(writtenLadder(current), next).filter(isChange);
    if (lines.length === 0) return accepted({ syllabus: current, lines, finishingOnEarlier: 0 });
    const stored = await this.source.transaction((manager) => this.storeNext(manager, asker, current, next));
    if (!stored) return refused({ kind: 'changed-meanwhile' });
    const syllabus = (await this.syllabuses.ladderOf(clubId, programme)) ?? current;
    return accepted({ syllabus, lines, finishingOnEarlier: stored.staying });
  }

  /** Takes in the ladders of a file, all or none. */
  take(
    asker: Asker,
    file: Pick<SyllabusFile, 'syllabuses'>,
    { isDryRun }: { readonly isDryRun: boolean },
  ): Promise<Result<SyllabusImportResponse, readonly LadderFault[]>> {
    return this.imports.run(asker, 'syllabuses', { isDryRun }, async (manager) => {
      const faults = await this.faultsOf(asker.clubId, file.syllabuses);
      const twice = file.syllabuses.filter(
        (one, index) => file.syllabuses.findIndex(({ programme }) => programme === one.programme) < index,
      );
      faults.push(
        ...twice.map(({ programme }) => ({ programme, grade: '', movement: '', kind: 'programme-twice' as const, found: programme })),
      );
      if (faults.length > 0) return refused(faults);
      // locked first, read after: who saves a ladder at the same time comes before or after, never in between
      await manager.query('SELECT 1 FROM programme WHERE club_id = $1 ORDER BY slug FOR UPDATE', [asker.clubId]);
      const ladders = await this.syllabuses.list(asker.clubId, manager);
      const intakes = file.syllabuses.map((entry) =>
        intakeOf(entry, ladders.find(({ programme }) => programme === entry.programme) ?? null),
      );
      const touched = intakes.filter(({ told }) => told.isNew || told.fields.length > 0 || told.lines.some(isChange));
      const store = async (): Promise<readonly Before[]> => {
        const before: Before[] = [];
        for (const intake of touched) before.push(await this.storeIntake(manager, asker, intake));
        return before;
      };
      return accepted({ told: { programmes: intakes.map(({ told }) => told) }, store: touched.length === 0 ? null : store });
    });
  }

  /** Puts the ladders back as they were before an import, while nobody has earned a grade of it or climbs a version made since. */
  undo(clubId: string, id: string): Promise<Result<undefined, UndoRefusal>> {
    return this.imports.undo<readonly Before[], UndoRefusal>(clubId, 'syllabuses', id, async (manager, { before }) => {
      for (const one of before) {
        const refusal = await refusalOfUndo(manager, one);
        if (refusal) return refused(refusal);
      }
      for (const { programmeId, syllabusId, programme } of before) {
        await manager.query('DELETE FROM syllabus WHERE id = $1', [syllabusId]);
        // whoever stays on what is the newest again climbs the newest
        await manager.query(
          'DELETE FROM ladder_pin WHERE programme_id = $1 AND syllabus_id = (SELECT id FROM syllabus WHERE programme_id = $1 ORDER BY version DESC LIMIT 1)',
          [programmeId],
        );
        if (programme) await manager.update(ProgrammeEntity, { id: programmeId }, programme);
        else await manager.delete(ProgrammeEntity, { id: programmeId });
      }
      return accepted(undefined);
    });
  }

  private async faultsOf(clubId: string, ladders: readonly WrittenSyllabus[]): Promise<LadderFault[]> {
    const library = await this.library.reckoned(clubId);
    return ladders.flatMap((ladder) =>
      syllabusFaults(ladder, library)
        .filter(({ kind }) => !syllabusHints.has(kind))
        .map((fault) => ({ ...fault, programme: ladder.programme })),
    );
  }

  /** @returns null when another version was stored meanwhile. */
  private async storeNext(
    manager: EntityManager,
    asker: Asker,
    current: SyllabusResponse,
    next: LadderVersion,
  ): Promise<{ readonly syllabusId: string; readonly programmeId: string; readonly staying: number } | null> {
    const { clubId } = asker;
    // locked first, read after: who waited sees what the other stored
    await manager.query('SELECT 1 FROM programme WHERE club_id = $1 AND slug = $2 FOR UPDATE', [clubId, current.programme]);
    const [place] = await rows<{ id: string; newest: string | null; version: number }>(
      manager,
      `SELECT p.id, s.id AS newest, coalesce(s.version, 0) AS version FROM programme p
       LEFT JOIN LATERAL (SELECT id, version FROM syllabus WHERE programme_id = p.id ORDER BY version DESC LIMIT 1) s ON true
       WHERE p.club_id = $1 AND p.slug = $2`,
      [clubId, current.programme],
    );
    if (place?.version !== current.version) return null;
    const programmeId = place.id;
    const syllabusId = await storeLadder(manager, { clubId, programmeId, version: current.version + 1, madeBy: asker.id }, next);
    const staying = place.newest ? await keepClimbers(manager, { clubId, programmeId, syllabusId: place.newest }, current, next) : 0;
    const [person] = await rows<{ name: string }>(manager, 'SELECT name FROM person WHERE id = $1', [asker.id]);
    const version = current.version + 1;
    await this.live.emit(manager, clubId, { topic: 'ladder', programme: current.programme, version, savedBy: person?.name ?? '' });
    return { syllabusId, programmeId, staying };
  }

  private async storeIntake(manager: EntityManager, asker: Asker, { entry, current, next, told }: Intake): Promise<Before> {
    const { clubId } = asker;
    const about = { name: entry.name, stretchingSchool: entry.stretchingSchool, startsAs: entry.startsAs };
    if (!current) {
      const programme = await manager.save(manager.create(ProgrammeEntity, { clubId, slug: entry.programme, ...about }));
      const syllabusId = await storeLadder(manager, { clubId, programmeId: programme.id, version: 1, madeBy: asker.id }, next);
      return { programmeId: programme.id, syllabusId, programme: null };
    }
    const there = await manager.findOneByOrFail(ProgrammeEntity, { clubId, slug: entry.programme });
    const { name, stretchingSchool, startsAs } = there;
    const isDifferent = told.lines.some(isChange);
    const stored = isDifferent ? await this.storeNext(manager, asker, current, next) : null;
    if (isDifferent && !stored) throw new Error('a ladder that was locked has changed');
    await manager.update(ProgrammeEntity, { id: there.id }, about);
    return { programmeId: there.id, syllabusId: stored?.syllabusId ?? null, programme: { name, stretchingSchool, startsAs } };
  }
}

function intakeOf(entry: Entry, current: SyllabusResponse | null): Intake {
  const before = current && writtenLadder(current);
  const next = nextLadder(before, entry);
  const { programme, name, stretchingSchool, startsAs } = entry;
  const fields = current
    ? differingFields(
        { name: current.programmeName, stretchingSchool: current.stretchingSchool, startsAs: current.startsAs },
        { name, stretchingSchool, startsAs },
      )
    : [];
  return { entry, current, next, told: { programme, name, isNew: !current, fields, lines: ladderLines(before, next) } };
}

async function refusalOfUndo(manager: EntityManager, { programmeId, syllabusId, programme }: Before): Promise<UndoRefusal | null> {
  const [state] = await rows<{ slug: string; newer: boolean; used: boolean; groups: boolean }>(
    manager,
    `SELECT p.slug,
       EXISTS (SELECT 1 FROM syllabus s WHERE s.programme_id = p.id AND s.version > (SELECT version FROM syllabus WHERE id = $2)) AS newer,
       EXISTS (SELECT 1 FROM grade_award a JOIN grade g ON g.id = a.grade_id WHERE g.syllabus_id = $2)
         OR EXISTS (SELECT 1 FROM grading_entry e JOIN grade g ON g.id = e.grade_id WHERE g.syllabus_id = $2) AS used,
       EXISTS (SELECT 1 FROM teaching_group t WHERE t.programme_id = p.id) AS groups
     FROM programme p WHERE p.id = $1`,
    [programmeId, syllabusId],
  );
  if (!state) return null;
  if (state.newer) return { kind: 'changed-since', programme: state.slug };
  return state.used || (programme === null && state.groups) ? { kind: 'in-use', programme: state.slug } : null;
}
