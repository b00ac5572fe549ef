import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ClassPageResponse, LiveEvent } from '@leiter/contract';
import {
  ageBandOf,
  evaluatePlan,
  findItem,
  meanAge,
  refusalWords,
  stepDose,
  type ClassPlan,
  type Library,
  type PlanEdit,
} from '@leiter/core';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { planVersion } from '../../queries/class.queries';
import { useClassContext } from '../../queries/evaluation';
import { ButtonLink } from '../../shared/button-link';
import type { KeptHistory } from '../../shared/document-session/kept-history';
import { useDocumentSession } from '../../shared/document-session/use-document-session';
import { useOthersChanges } from '../../shared/document-session/use-others-changes';
import { Page, Panel } from '../../shared/page';
import { palette } from '../../shared/palette';
import { forgetUndo, offerUndo } from '../../shared/undo-bar';
import { aboutClass } from '../about-class';
import { edit } from '../editing/plan-edits';
import { planKind, storedDocument } from '../editing/plan-kind';
import { Gauge } from '../header/gauge';
import { SaveNote } from '../../shared/document-session/save-note';
import { SwapField } from '../inspector/swap-field';
import { ConflictDialog } from '../sheets/conflict-dialog';
import { BeforeClass, PlanReading } from './plan-reading';

interface Props {
  readonly page: ClassPageResponse;
  readonly library: Library;
  readonly initial: ClassPlan;
  readonly kept: KeptHistory<ClassPlan> | null;
}

/** The plan on a phone: to read, and for what one changes on the way: more or less of it, another movement, none. */
export function PhonePlan({ page, library, initial, kept }: Props) {
  const id = page.class.id;
  const session = useDocumentSession({
    kind: planKind,
    id,
    initial,
    stored: storedDocument(page.stored),
    history: kept,
    saves: 'by-itself',
  });
  const { store, content: plan, state, settle } = session;
  const context = useClassContext(page);
  const evaluation = useMemo(() => evaluatePlan(plan, library, context), [plan, library, context]);
  const [said, setSaid] = useState('');
  const changedBy = useOthersChanges({
    kind: planKind,
    id,
    session,
    versionIn: useCallback((event: LiveEvent) => (event.topic === 'plan' && event.classId === id ? event.version : null), [id]),
    askVersion: useCallback(() => planVersion(id), [id]),
    onShown: useCallback(() => undefined, []),
  });
  const change = (edits: readonly PlanEdit[], done: string): void => {
    const result = edit(store, edits);
    if ('refusal' in result) setSaid(refusalWords(result.refusal));
    else {
      setSaid('');
      offerUndo(done, () => {
        // as the key does: what others changed meanwhile is not written over
        store.temporal.getState().undo();
        return Promise.resolve();
      });
    }
  };
  // who left the plan takes nothing of it back from another page
  useEffect(() => forgetUndo, []);
  const band = ageBandOf(meanAge(context.agesYears));
  const actionsOf = (itemId: string, close: () => void) => {
    const item = findItem(plan, itemId)?.item;
    const movement = item && library.get(item.movement);
    if (!movement) return null;
    const step = (direction: 'more' | 'less'): void => {
      change([{ kind: 'set-dose', item: itemId, dose: stepDose(item.dose, direction) }], `${movement.name}: ${direction}`);
    };
    return (
      <Box sx={{ mt: 2, display: 'grid', gap: 1.25 }}>
        {said !== '' && (
          <Box role="alert" sx={{ color: palette.caution }}>
            {said}
          </Box>
        )}
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <Button
            variant="outlined"
            onClick={() => {
              step('less');
            }}
          >
            <Trans>Less</Trans>
          </Button>
          <Button
            variant="outlined"
            onClick={() => {
              step('more');
            }}
          >
            <Trans>More</Trans>
          </Button>
          <Button
            variant="outlined"
            color="error"
            onClick={() => {
              change([{ kind: 'remove', item: itemId }], t`${movement.name} is taken out`);
              close();
            }}
          >
            <Trans>Take it out</Trans>
          </Button>
        </Box>
        <SwapField
          id={item.id}
          movement={movement}
          library={library}
          programme={page.class.programme}
          band={band}
          onEdit={(edits) => {
            change(edits, t`${movement.name} is swapped`);
            close();
          }}
        />
      </Box>
    );
  };
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
          <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
            <ButtonLink to={`/classes/${id}/teach`} variant="contained">
              <Trans>Teach</Trans>
            </ButtonLink>
            <ButtonLink to={`/classes/${id}`}>
              <Trans>The class</Trans>
            </ButtonLink>
            <SaveNote state={state} changedBy={changedBy} />
          </Box>
        </>
      }
    >
      <Panel label={t`Running order`}>
        <PlanReading page={page} plan={plan} evaluation={evaluation} library={library} actionsOf={actionsOf} />
      </Panel>
      <Panel label={t`Before class`}>
        <BeforeClass plan={plan} evaluation={evaluation} context={context} library={library} />
      </Panel>
      {state.kind === 'conflict' && (
        <ConflictDialog
          current={state.current}
          yours={plan}
          library={library}
          onSettle={(settled) => {
            settle(settled, state.current);
          }}
        />
      )}
    </Page>
  );
}
