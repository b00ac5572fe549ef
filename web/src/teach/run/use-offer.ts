import type { ClassResponse } from '@leiter/contract';
import type { EvaluationContext, Fit, Library } from '@leiter/core';
import { useMemo } from 'react';
import { lateStart, offerNow } from './live-plan';
import type { Teaching } from './use-teaching';

/** The least harmful way to end on time from here, and what takes it. */
export interface OfferNow {
  readonly offer: Fit | null;
  /** By how many seconds the class would end too late, in steps of a quarter of a minute. */
  readonly missing: number;
  readonly take: () => void;
}

export function useOffer(slot: ClassResponse, live: Teaching, library: Library, context: EvaluationContext, timeZone: string): OfferNow {
  const { run, position, plan, evaluation } = live;
  const { items, totalSeconds } = evaluation.timeline;
  const late = run ? lateStart(slot, timeZone, run.startedAt) : 0;
  // looked at anew every quarter of a minute: it takes a moment
  const missing = position ? Math.ceil((position.behindSeconds + late + totalSeconds - slot.lengthMinutes * 60) / 15) * 15 : 0;
  const itemIndex = run?.itemIndex ?? 0;
  const offer = useMemo(
    () => (run ? offerNow(run, items, plan, library, context, missing) : null),
    // oxlint-disable-next-line react/exhaustive-deps -- of the run it reads which item it is at
    [itemIndex, items, plan, library, context, missing],
  );
  return {
    offer,
    missing,
    take: () => {
      if (offer && offer.steps.length > 0) live.take(offer.steps.map(({ edit }) => edit));
    },
  };
}
