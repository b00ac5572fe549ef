import type { ClassOutlook } from '@leiter/contract';
import { evaluationContextOf } from '@leiter/contract/evaluation-context';
import { evaluatePlan, groupBy } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { setImmediate } from 'node:timers/promises';
import { LibraryService } from '../library/library.service.js';
import type { Asker } from '../people/asker.js';
import { CalendarService } from './calendar.service.js';
import { ClassesService } from './classes.service.js';

/** What plans come to, reckoned as the Plan page does. */
@Injectable()
export class OutlookService {
  constructor(
    private readonly calendar: CalendarService,
    private readonly classes: ClassesService,
    private readonly library: LibraryService,
  ) {}

  /** Of the classes of a week that are planned and still to be taught; one after the other, so that others are answered between. */
  async ofWeek(asker: Asker, day: string): Promise<readonly ClassOutlook[]> {
    const { entries } = await this.calendar.week(asker.clubId, day);
    const library = await this.library.reckoned(asker.clubId);
    const outlooks: ClassOutlook[] = [];
    for (const { class: session } of entries) {
      if (!session?.hasPlan || session.taughtAt !== null || session.cancelledBecause !== null) continue;
      const page = await this.classes.page(asker, session.id);
      if (!page.stored) continue;
      const { timeline, findings } = evaluatePlan(page.stored.plan, library, evaluationContextOf(page));
      const open = groupBy(
        findings.filter(({ acceptedBecause }) => acceptedBecause === undefined),
        ({ severity }) => severity,
      );
      outlooks.push({
        classId: session.id,
        totalSeconds: timeline.totalSeconds,
        stops: open.get('stop')?.length ?? 0,
        cautions: open.get('caution')?.length ?? 0,
      });
      await setImmediate();
    }
    return outlooks;
  }
}
