import { t } from '@lingui/core/macro';
import type { ClassPageResponse, StoredPlan } from '@leiter/contract';
import type { Library } from '@leiter/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import { PlannedClass } from './planned-class';
import { RehearsalClass } from './rehearsal/rehearsal-class';
import { forgetRehearsals } from './run/run-store';

/** Rehearsing a class: taught to children that are drawn, and nothing of it kept. */
function RehearsalPage() {
  const { id = '' } = useParams();
  return (
    <PlannedClass id={id} refusal={t`Only instructors rehearse`}>
      {(page, stored, library) => <Rehearsals page={page} stored={stored} library={library} />}
    </PlannedClass>
  );
}

/** One rehearsal after the other: each with other chances. */
function Rehearsals({
  page,
  stored,
  library,
}: {
  readonly page: ClassPageResponse;
  readonly stored: StoredPlan;
  readonly library: Library;
}) {
  const [seed, setSeed] = useState(() => {
    forgetRehearsals();
    return Math.floor(performance.timeOrigin + performance.now());
  });
  return (
    <RehearsalClass
      key={seed}
      page={page}
      plan={stored.plan}
      library={library}
      seed={seed}
      onAgain={() => {
        setSeed(seed + 1);
      }}
    />
  );
}

export { RehearsalPage as Page };
