import { t } from '@lingui/core/macro';
import type { ClassPageResponse, StoredPlan } from '@leiter/contract';
import type { Library } from '@leiter/core';
import type { ReactNode } from 'react';
import { LoadedClass } from '../queries/loaded-class';
import { useMay } from '../queries/may';
import { Message } from '../shared/page';

interface Props {
  readonly id: string;
  /** What is said to who may not: `Only instructors teach`. */
  readonly refusal: string;
  readonly children: (page: ClassPageResponse, stored: StoredPlan, library: Library) => ReactNode;
}

/** A class with a plan, for who may teach; else a sentence and a way on. */
export function PlannedClass({ id, refusal, children }: Props) {
  const may = useMay();
  if (!may.change)
    return (
      <Message
        title={refusal}
        text={t`The roll, the marks and the plan to read are on the page of the class.`}
        action={{ label: t`To the class`, href: `/classes/${id}` }}
      />
    );
  return (
    <LoadedClass id={id}>
      {(page, library) =>
        page.stored ? (
          children(page, page.stored, library)
        ) : (
          <Message
            title={t`This class has no plan yet`}
            text={t`Teach and rehearsal go by the plan. Start one; it takes a minute.`}
            action={{ label: t`Plan this class`, href: `/classes/${id}/plan` }}
          />
        )
      }
    </LoadedClass>
  );
}
