import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ClassPageResponse, LiveEvent, MovementResponse } from '@leiter/contract';
import {
  ageBandOf,
  calmerOrder,
  evaluatePlan,
  findItem,
  fitToMusic,
  itemTotals,
  meanAge,
  musicGaps,
  newCircuit,
  refusalWords,
  safetyTalkOf,
  type ClassPlan,
  type Library,
  type Movement,
  type MusicTarget,
  type Place,
  type PlanEdit,
} from '@leiter/core';
import { useCallback, useDeferredValue, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { ExportMenu } from '../shared/export-menu';
import { KeysHelp } from '../shared/keys-help';
import { Page } from '../shared/page';
import { palette } from '../shared/palette';
import { useIsSettled } from '../shared/use-is-settled';
import { useStable } from '../shared/use-stable';
import { aboutClass } from './about-class';
import type { KeptHistory } from '../shared/document-session/kept-history';
import { useDocumentSession } from '../shared/document-session/use-document-session';
import { useOthersChanges } from '../shared/document-session/use-others-changes';
import { usePresence } from '../shared/live/use-presence';
import { planVersion } from '../queries/class.queries';
import { useClassAtHand } from '../at-hand/use-class-at-hand';
import { useClassContext } from '../queries/evaluation';
import { calmedWords, filesOf, placeFor, placeToWrite } from './editing/plan-actions';
import { edit } from './editing/plan-edits';
import { planKind, storedDocument } from './editing/plan-kind';
import { itemWritten, nameable } from './editing/written-item';
import { planKeysHelp, usePlanKeys } from './editing/use-plan-keys';
import { ClassInspector, type ClassAction } from './inspector/class-inspector';
import { ConflictDialog } from './sheets/conflict-dialog';
import { FindingsList } from './findings/findings-list';
import { LastChange } from './findings/last-change';
import { Gauge } from './header/gauge';
import { ItemInspector } from './inspector/item-inspector';
import { LibraryDrawer } from './drawer/library-drawer';
import { PlanDrag } from './running-order/plan-drag';
import { PlanPrint } from './sheets/plan-print';
import { PlanSheet } from './sheets/plan-sheet';
import { RunningOrder } from './running-order/running-order';
import { SaveNote } from '../shared/document-session/save-note';
import { WhoIsHere } from './header/who-is-here';
import { SectionInspector } from './inspector/section-inspector';
import { WriteHere } from './running-order/write-here';

interface Props {
  readonly page: ClassPageResponse;
  readonly movements: readonly MovementResponse[];
  readonly library: Library;
  readonly initial: ClassPlan;
  /** What the browser kept of earlier steps; null where it kept nothing. */
  readonly kept: KeptHistory<ClassPlan> | null;
}

/** The plan of a class being written: the library, the running order, the details. */
export function PlanEditor({ page, movements, library, initial, kept }: Props) {
  const classId = page.class.id;
  const session = useDocumentSession({
    kind: planKind,
    id: classId,
    initial,
    stored: storedDocument(page.stored),
    history: kept,
    saves: 'by-itself',
  });
  const { store, content: plan, state, settle } = session;
  const context = useClassContext(page);
  const evaluation = useMemo(() => evaluatePlan(plan, library, context), [plan, library, context]);
  // what is read, not written, may come a moment after the key
  const reckoned = useDeferredValue(useMemo(() => ({ plan, evaluation }), [plan, evaluation]));
  const later = reckoned.evaluation;
  useClassAtHand(page, later.timeline.items, library);
  const talk = (): readonly string[] => safetyTalkOf(evaluation.timeline, evaluation.versions, context.children, library);
  const named = useMemo(() => nameable(library, page.class.programme), [library, page.class.programme]);
  const names = useMemo(() => new Map(page.children.map(({ id, name }) => [id, name])), [page.children]);
  const gaps = useMemo(() => musicGaps(plan, evaluation.timeline), [plan, evaluation]);
  const [wanted, setChosen] = useState<string | null>(null);
  // what was chosen may be gone after an undo
  const chosen = wanted !== null && findItem(plan, wanted) ? wanted : null;
  const [sectionId, setSection] = useState<string | null>(null);
  /** An item, or nothing: then the class as a whole is shown, whatever section was looked at. */
  const choose = (id: string | null): void => {
    setChosen(id);
    if (id === null) setSection(null);
  };
  // the running order is drawn first: one can read and write it while the rest comes
  const isSettled = useIsSettled();
  const [isWriting, setWriting] = useState(false);
  const writingAt = chosen === null && sectionId === null ? null : placeToWrite(plan, chosen, sectionId);
  const others = usePresence(classId, chosen);
  const [open, setOpen] = useState<Exclude<ClassAction, 'calm'> | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const close = (): void => {
    setOpen(null);
  };
  const input = useRef<HTMLInputElement>(null);
  const inspector = useRef<HTMLDivElement>(null);

  const [news, setNews] = useState<ClassPlan | null>(null);
  const changedBy = useOthersChanges({
    kind: planKind,
    id: classId,
    session,
    versionIn: useCallback((event: LiveEvent) => (event.topic === 'plan' && event.classId === classId ? event.version : null), [classId]),
    askVersion: useCallback(() => planVersion(classId), [classId]),
    onShown: useCallback(({ content }: { readonly content: ClassPlan }) => {
      setNews(content);
    }, []),
  });

  const change = useCallback(
    (edits: readonly PlanEdit[]): void => {
      const done = edit(store, edits);
      if ('refusal' in done) setSaid(refusalWords(done.refusal));
      else if (done.added !== null) setChosen(done.added);
    },
    [store],
  );
  const chosenSection =
    plan.sections.find(({ items }) => items.some((item) => item.id === chosen)) ?? plan.sections.find(({ id }) => id === sectionId);
  const band = ageBandOf(meanAge(context.agesYears));
  const addAt = (movement: Movement, place: Place | null, dose = ''): void => {
    if (place) change([{ kind: 'insert', item: itemWritten(movement, dose, band), place }]);
  };
  const add = useStable((movement: Movement) => {
    addAt(movement, placeFor(plan, chosen, chosenSection?.id ?? null, movement));
  });
  const fitMusic = (target: MusicTarget): void => {
    change(fitToMusic(plan, library, context, target).edits);
  };
  const act = (action: ClassAction): void => {
    if (action !== 'calm') {
      setOpen(action);
      return;
    }
    const calmer = calmerOrder(plan, library, context);
    if (calmer.edits.length > 0) change(calmer.edits);
    setSaid(calmedWords(calmer));
  };
  const files = useMemo(() => filesOf(page.class), [page.class]);
  usePlanKeys({
    store,
    library,
    chosen,
    setChosen: choose,
    change,
    input,
    inspector,
    write: () => {
      // without a place chosen the line is where the next item is wanted: a line needs a place
      const place = placeToWrite(plan, chosen, sectionId);
      if (!place) return;
      if ('item' in place) setChosen(place.item);
      else setSection(place.section);
      setWriting(true);
    },
  });

  const total = itemTotals(evaluation.timeline.items).get(chosen ?? '');
  const shownSection = total ? undefined : plan.sections.find(({ id }) => id === sectionId);
  return (
    <Page
      title={page.class.groupName}
      about={aboutClass(page)}
      actions={
        <>
          <WhoIsHere others={others} plan={plan} library={library} />
          <SaveNote state={state} changedBy={plan === news ? changedBy : null} />
          <Gauge
            timeline={evaluation.timeline}
            span={evaluation.span}
            lengthMinutes={page.class.lengthMinutes}
            startsAt={page.class.startsAt}
          />
          <ExportMenu files={files} />
          <Button component={Link} to={`/classes/${classId}/teach`} variant="contained">
            <Trans>Teach this class</Trans>
          </Button>
        </>
      }
    >
      <PlanDrag
        library={library}
        onMove={(item, place) => {
          change([{ kind: 'move', item, place }]);
        }}
        onAdd={addAt}
      >
        <LibraryDrawer
          movements={movements}
          programme={page.class.programme}
          section={chosenSection?.kind ?? null}
          input={input}
          onAdd={add}
        />
        <RunningOrder
          plan={plan}
          evaluation={evaluation}
          library={library}
          context={context}
          names={names}
          startsAt={page.class.startsAt}
          chosen={chosen}
          chosenSection={chosen === null ? sectionId : null}
          others={others}
          onChoose={setChosen}
          onChooseSection={(id) => {
            // pressed again, the class is shown
            setSection(chosen === null && id === sectionId ? null : id);
            setChosen(null);
          }}
          writing={
            isWriting && writingAt
              ? {
                  at: writingAt,
                  line: (top) => (
                    <WriteHere
                      movements={named}
                      top={top}
                      onAdd={(movement, dose) => {
                        addAt(movement, writingAt, dose);
                      }}
                      onAddBlock={(written, { parts, of, rounds }) => {
                        const items = written.map((movement, index) => itemWritten(movement, parts[index]?.dose ?? '', band));
                        // what comes without a rest of its own: the next round begins after a breath
                        change([
                          {
                            kind: 'insert-block',
                            items,
                            place: writingAt,
                            of,
                            rounds,
                            restSeconds: of === 'circuit' ? newCircuit.restSeconds : 0,
                          },
                        ]);
                      }}
                      onClose={() => {
                        setWriting(false);
                      }}
                    />
                  ),
                }
              : null
          }
        />
      </PlanDrag>
      <Box
        ref={inspector}
        component="section"
        aria-label={t`Details`}
        tabIndex={0}
        sx={{
          width: 286,
          flexShrink: 0,
          borderLeft: `1px solid ${palette.line}`,
          overflowY: 'auto',
          p: 2,
          '&:focus-visible': { outlineOffset: '-3px' },
        }}
      >
        {said !== null && !total && (
          <Box role="status" sx={{ fontSize: 14, mb: 1.5, p: 1, backgroundColor: palette.shade, borderRadius: '6px' }}>
            {said}
          </Box>
        )}
        {total && (
          <ItemInspector
            plan={plan}
            total={total}
            pace={page.pace}
            library={library}
            programme={page.class.programme}
            band={band}
            movements={named}
            gap={gaps.find(({ target }) => 'item' in target && target.item === chosen)}
            onFitMusic={() => {
              fitMusic({ item: total.first.item.id });
            }}
            onEdit={change}
          />
        )}
        {shownSection && (
          <SectionInspector
            plan={plan}
            section={shownSection}
            style={plan.style ?? page.style}
            timeline={evaluation.timeline}
            gap={gaps.find(({ target }) => 'section' in target && target.section === shownSection.id)}
            onFitMusic={() => {
              fitMusic({ section: shownSection.id });
            }}
            onEdit={change}
          />
        )}
        <LastChange timeline={later.timeline} />
        <FindingsList reckoned={reckoned} library={library} context={context} onChoose={setChosen} onEdit={change} />
        {!total && !shownSection && isSettled && (
          <ClassInspector page={page} plan={plan} evaluation={later} library={library} context={context} onAction={act} onEdit={change} />
        )}
      </Box>
      <KeysHelp keys={planKeysHelp} />
      {isSettled && <PlanPrint page={page} plan={plan} evaluation={evaluation} library={library} talk={talk} />}
      {open && (
        <PlanSheet
          open={open}
          page={page}
          plan={plan}
          library={library}
          context={context}
          evaluation={evaluation}
          talk={talk}
          onEdit={change}
          onSaid={setSaid}
          onTaken={session.goOnFrom}
          onClose={close}
        />
      )}
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
