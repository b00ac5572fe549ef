import { Trans } from '@lingui/react/macro';
import { t } from '@lingui/core/macro';
import type { ClassPageResponse } from '@leiter/contract';
import { evaluatePlan, type ClassPlan, type Library } from '@leiter/core';
import { useMemo } from 'react';
import { useClassContext } from '../../queries/evaluation';
import { ButtonLink } from '../../shared/button-link';
import { Page, Panel } from '../../shared/page';
import { aboutClass } from '../about-class';
import { Gauge } from '../header/gauge';
import { BeforeClass, PlanReading } from './plan-reading';

interface Props {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly library: Library;
}

/** The plan for who helps in the class: all of it is told, nothing of it can be changed. */
export function PlanReader({ page, plan, library }: Props) {
  const context = useClassContext(page);
  const evaluation = useMemo(() => evaluatePlan(plan, library, context), [plan, library, context]);
  return (
    <Page
      title={page.class.groupName}
      about={aboutClass(page)}
      actions={
        <>
          <Gauge
            timeline={evaluation.timeline}
            span={evaluation.span}
            lengthMinutes={page.class.lengthMinutes}
            startsAt={page.class.startsAt}
          />
          <ButtonLink to={`/classes/${page.class.id}`}>
            <Trans>The class</Trans>
          </ButtonLink>
          <ButtonLink to={`/classes/${page.class.id}/marks`}>
            <Trans>Marks</Trans>
          </ButtonLink>
        </>
      }
    >
      <Panel label={t`Running order`}>
        <PlanReading page={page} plan={plan} evaluation={evaluation} library={library} />
      </Panel>
      <Panel label={t`Before class`} width={400}>
        <BeforeClass plan={plan} evaluation={evaluation} context={context} library={library} />
      </Panel>
    </Page>
  );
}
