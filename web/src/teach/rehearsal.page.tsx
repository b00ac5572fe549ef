import { t } from '@lingui/core/macro';
import type { ClassPageResponse, StoredPlan } from '@leiter/contract';
import type { Library } from '@leiter/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useClassPage } from '../queries/class.queries';
import { useLibrary, useMovements } from '../queries/library.queries';
import { useMay } from '../queries/may';
import { Loaded, Message } from '../shared/page';
import { forgetRehearsals } from './run/run-store';
import { RehearsalClass } from './rehearsal/rehearsal-class';

/** Rehearsing a class: taught to children that are drawn, and nothing of it kept. */
function RehearsalPage() {
  const { id = '' } = useParams();
  const page = useClassPage(id);
  const movements = useMovements();
  const library = useLibrary();
  const may = useMay();
  if (!may.change)
    return (
      <Message
        title={t`Only instructors rehearse`}
        text={t`The plan to read is on the page of the class.`}
        action={{ label: t`To the class`, href: `/classes/${id}` }}
      />
    );
  return (
    <Loaded query={page} what={t`class`}>
      {(data) => (
        <Loaded query={movements} what={t`library`}>
          {() =>
            data.stored ? (
              <Rehearsals page={data} stored={data.stored} library={library} />
            ) : (
              <Message
                title={t`This class has no plan yet`}
                text={t`A rehearsal goes by the plan. Start one; it takes a minute.`}
                action={{ label: t`Plan this class`, href: `/classes/${id}/plan` }}
              />
            )
          }
        </Loaded>
      )}
    </Loaded>
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
