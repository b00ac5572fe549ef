import type { HomeMovement } from '@leiter/contract';
import { lazy, Suspense } from 'react';

/** Figures come after the rest: the page is there before all poses are. */
const Figure = lazy(async () => ({ default: (await import('../../shared/figure')).Figure }));

export function LateFigure({
  movement,
  size,
  behind,
}: {
  readonly movement: HomeMovement | undefined;
  readonly size: number;
  readonly behind?: string;
}) {
  return (
    <div className="figure">
      <Suspense fallback={null}>
        <Figure movement={movement} size={size} {...(behind === undefined ? {} : { behind })} />
      </Suspense>
    </div>
  );
}
