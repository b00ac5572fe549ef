import type { ImportPlanRequest, PlanImportResponse } from '@leiter/contract';
import { accepted, ageBandOf, meanAge, readPlan, refused, writtenPlan, type Movement, type Result, type WrittenPlan } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { ClassesService } from '../classes/classes.service.js';
import { notFound } from '../http/problem.js';
import { LibraryImportService } from '../library/library-import.service.js';
import { LibraryService } from '../library/library.service.js';
import type { Asker } from '../people/session.guard.js';
import { PlansService, type SavePlanRefusal } from '../plans/plans.service.js';
import { plainPlan, planFault, withInline, type PreviewFault } from './preview.service.js';

export type ImportRefusal = { readonly kind: 'faults'; readonly faults: readonly PreviewFault[] } | SavePlanRefusal;

/** The plan of a class as a `leiter-plan/1` file. */
@Injectable()
export class PlanFileService {
  constructor(
    private readonly classes: ClassesService,
    private readonly plans: PlansService,
    private readonly library: LibraryService,
    private readonly imports: LibraryImportService,
  ) {}

  async export(clubId: string, classId: string): Promise<WrittenPlan & { readonly movements: readonly Movement[] }> {
    const session = await this.classes.find(clubId, classId);
    const stored = await this.plans.find(clubId, classId);
    if (!stored) throw notFound('plan');
    const { programme, lengthMinutes, startsAt } = session;
    return writtenPlan(stored.plan, { programme, lengthMinutes, startsAt }, await this.library.library(clubId));
  }

  /** Puts the running order of a file into a class, with the movements that the club does not have; those it has stay as they are. */
  async import(
    asker: Asker,
    classId: string,
    { file, version }: ImportPlanRequest,
    { isDryRun }: { readonly isDryRun: boolean },
  ): Promise<Result<PlanImportResponse, ImportRefusal>> {
    const page = await this.classes.page(asker, classId);
    const own = await this.library.library(asker.clubId);
    const library = withInline(own, file);
    if (!library.ok) return refused({ kind: 'faults', faults: library.error });
    const ages = page.children.map(({ ageYears }) => ageYears);
    const plan = readPlan(plainPlan(file), library.value, ageBandOf(meanAge(ages)));
    if (!plan.ok) return refused({ kind: 'faults', faults: plan.error.map(planFault) });
    const missing = [...library.value.values()].filter(({ slug }) => !own.has(slug));
    if (missing.length > 0) {
      const taken = await this.imports.take(asker, missing, { isDryRun });
      if (!taken.ok)
        return refused({
          kind: 'faults',
          faults: taken.error.map(({ entry, field, found }) => ({ field: `plan.movements.${entry}.${field}`, message: found })),
        });
    }
    if (isDryRun) return accepted({ addedMovements: missing.map(({ slug }) => slug), version });
    // validated as a file above: the same shape that the page saves
    const saved = await this.plans.save(asker, classId, { version, plan: structuredClone(plan.value) as never });
    if (!saved.ok) return saved;
    return accepted({ addedMovements: missing.map(({ slug }) => slug), version: saved.value.version });
  }
}
