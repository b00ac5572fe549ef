import type { ImportPlanRequest, PlanImportResponse } from '@leiter/contract';
import {
  accepted,
  ageBandOf,
  libraryIntake,
  meanAge,
  readPlan,
  refused,
  writtenPlan,
  type ClassPlan,
  type Movement,
  type Result,
  type WrittenPlan,
} from '@leiter/core';
import { Injectable } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { ClassesService } from '../classes/classes.service.js';
import { lockFor } from '../database/locks.js';
import { notFound } from '../http/problem.js';
import { ImportsService } from '../imports/imports.service.js';
import { refusalOfUndo, restoreEntries, storeEntries, type EntryBefore } from '../library/library-import.service.js';
import { LibraryService } from '../library/library.service.js';
import type { Asker } from '../people/asker.js';
import { PlansService, type SavePlanRefusal } from '../plans/plans.service.js';
import { withInline, type PreviewFault } from './brought-movements.js';
import { plainPlan, planFault } from './preview.service.js';

export type ImportRefusal = { readonly kind: 'faults'; readonly faults: readonly PreviewFault[] } | SavePlanRefusal;
export type UndoPlanRefusal = { readonly kind: 'changed-since' } | { readonly kind: 'in-use'; readonly slug: string };

/** What an import did: to the plan of a class, null where it had none, and to the library. */
interface Before {
  readonly classId: string;
  /** The version that the import stored. */
  readonly version: number;
  readonly plan: ClassPlan | null;
  readonly entries: readonly EntryBefore[];
}

/** Leaves a transaction that has written: nothing of it stays. */
class Refusal extends Error {
  constructor(readonly refusal: SavePlanRefusal) {
    super(refusal.kind);
  }
}

/** The plan of a class as a `leiter-plan/1` file. */
@Injectable()
export class PlanFileService {
  constructor(
    private readonly classes: ClassesService,
    private readonly plans: PlansService,
    private readonly library: LibraryService,
    private readonly imports: ImportsService,
  ) {}

  async export(clubId: string, classId: string): Promise<WrittenPlan & { readonly movements: readonly Movement[] }> {
    const session = await this.classes.find(clubId, classId);
    const stored = await this.plans.find(clubId, classId);
    if (!stored) throw notFound('plan');
    const { programme, lengthMinutes, startsAt } = session;
    return writtenPlan(stored.plan, { programme, lengthMinutes, startsAt }, await this.library.library(clubId));
  }

  /**
   * Puts the running order of a file into a class, with the movements that the club does not have; those it has stay as they are.
   * Plan and movements are stored together or not at all.
   */
  async import(
    asker: Asker,
    classId: string,
    { file, version }: ImportPlanRequest,
    { isDryRun }: { readonly isDryRun: boolean },
  ): Promise<Result<PlanImportResponse, ImportRefusal>> {
    const page = await this.classes.page(asker, classId);
    try {
      return await this.imports.run(asker, 'plan', { isDryRun }, async (manager) => {
        await lockFor(manager, 'import', `library ${asker.clubId}`);
        const own = await this.library.library(asker.clubId);
        const library = withInline(own, file);
        if (!library.ok) return refused({ kind: 'faults' as const, faults: library.error });
        const ages = page.children.map(({ ageYears }) => ageYears);
        const plan = readPlan(plainPlan(file), library.value, ageBandOf(meanAge(ages)));
        if (!plan.ok) return refused({ kind: 'faults' as const, faults: plan.error.map(planFault) });
        const missing = [...library.value.values()].filter(({ slug }) => !own.has(slug));
        const intake = libraryIntake(own, missing);
        if (!intake.ok)
          return refused({
            kind: 'faults' as const,
            faults: intake.error.map(({ entry, field, found }) => ({ field: `plan.movements.${entry}.${field}`, message: found })),
          });
        const store = async (): Promise<Before> => {
          const entries = missing.length === 0 ? [] : await storeEntries(manager, asker.clubId, missing);
          const saved = await this.plans.saveIn(manager, asker, classId, { version, plan: plan.value });
          if (!saved.ok) throw new Refusal(saved.error);
          return { classId, version: saved.value.version, plan: page.stored?.plan ?? null, entries };
        };
        return accepted({ told: { addedMovements: missing.map(({ slug }) => slug), version: version + (isDryRun ? 0 : 1) }, store });
      });
    } catch (error) {
      if (error instanceof Refusal) return refused(error.refusal);
      throw error;
    }
  }

  /** Puts back the plan that a class had before an import, while nobody has changed it since; the movements that came with it go. */
  undo(asker: Asker, id: string): Promise<Result<undefined, UndoPlanRefusal>> {
    const { clubId } = asker;
    return this.imports.undo<Before, UndoPlanRefusal>(clubId, 'plan', id, async (manager, { before, importedAt }) => {
      await lockFor(manager, 'import', `library ${clubId}`);
      const isGone = await this.putBack(manager, asker, before);
      if (!isGone) return refused({ kind: 'changed-since' });
      const refusal = await refusalOfUndo(manager, clubId, { before: before.entries, importedAt });
      // a movement that came along is used elsewhere by now: it stays, and the plan is as it was
      if (!refusal) await restoreEntries(manager, clubId, before.entries);
      return accepted(undefined);
    });
  }

  /** @returns false where the plan is not the one that the import stored; then nothing was written */
  private async putBack(manager: EntityManager, asker: Asker, { classId, version, plan }: Before): Promise<boolean> {
    if (plan) return (await this.plans.saveIn(manager, asker, classId, { version, plan })).ok;
    return this.plans.removeIn(manager, asker, classId, version);
  }
}
