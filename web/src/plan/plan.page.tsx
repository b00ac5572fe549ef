import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ClassPageResponse, MovementResponse } from '@leiter/contract';
import {
  calmerOrder,
  type CalmerOrder,
  ageBandOf,
  findItem,
  itemOf,
  meanAge,
  type ClassPlan,
  type Library,
  type Movement,
  type Place,
  type PlanEdit,
} from '@leiter/core';
import { useCallback, useMemo, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useStore } from 'zustand';
import { useLibrary, useMovements } from '../library/library.queries';
import { GiveOut } from '../shared/give-out';
import { KeysHelp } from '../shared/keys-help';
import { Loaded, Page } from '../shared/page';
import { palette } from '../shared/palette';
import { dayText, plural } from '../shared/words';
import { draftOf, useAutosave } from './autosave';
import { useClassPage, useTemplates } from './class.queries';
import { contextOf, evaluationOf } from './evaluation';
import { ClassInspector } from './parts/class-inspector';
import { ConflictDialog } from './parts/conflict-dialog';
import { FitDialog } from './parts/fit-dialog';
import { FindingsList } from './parts/findings-list';
import { Gauge } from './parts/gauge';
import { ItemInspector } from './parts/item-inspector';
import { LibraryDrawer } from './parts/library-drawer';
import { RunningOrder } from './parts/running-order';
import { SaveNote } from './parts/save-note';
import { TemplateChooser } from './parts/template-chooser';
import { TemplateDialog } from './parts/template-dialog';
import { WhoDoesWhat } from './parts/who-does-what';
import { edit, makePlanStore } from './plan-store';
import { planKeysHelp, usePlanKeys } from './use-plan-keys';

/** The plan of one class: chosen from a template first, then written. */
export function PlanPage() {
  const { id = '' } = useParams();
  const page = useClassPage(id);
  const movements = useMovements();
  const templates = useTemplates();
  const library = useLibrary();
  const [started, setStarted] = useState<ClassPlan | null>(null);
  return (
    <Loaded query={page} what="class">
      {(data) => (
        <Loaded query={movements} what="library">
          {(all) => {
            const plan = started ?? draftOf(id)?.plan ?? data.stored?.plan;
            if (plan) return <Editor key={id} page={data} movements={all} library={library} initial={plan} />;
            return (
              <Page title={data.class.groupName} about={aboutClass(data)}>
                <Loaded query={templates} what="templates">
                  {(found) => <TemplateChooser page={data} templates={found} library={library} onStart={setStarted} />}
                </Loaded>
              </Page>
            );
          }}
        </Loaded>
      )}
    </Loaded>
  );
}

function aboutClass(page: ClassPageResponse): string {
  const coming = page.children.filter(({ attendance }) => attendance !== 'absent').length;
  return `${dayText(page.class.day)} · ${page.class.startsAt} · ${plural(coming, 'child', 'children')} coming`;
}

interface EditorProps {
  readonly page: ClassPageResponse;
  readonly movements: readonly MovementResponse[];
  readonly library: Library;
  readonly initial: ClassPlan;
}

function Editor({ page, movements, library, initial }: EditorProps) {
  const [store] = useState(() => makePlanStore(initial));
  const plan = useStore(store, (state) => state.plan);
  const evaluation = useMemo(() => evaluationOf(plan, library, page), [plan, library, page]);
  const [wanted, setChosen] = useState<string | null>(null);
  // what was chosen may be gone after an undo
  const chosen = wanted !== null && findItem(plan, wanted) ? wanted : null;
  const [section, setSection] = useState<string | null>(null);
  const { state, settle } = useAutosave(page.class.id, plan, page.stored);
  const [open, setOpen] = useState<'fit' | 'who' | 'keep' | null>(null);
  const [calmed, setCalmed] = useState<string | null>(null);
  const close = (): void => {
    setOpen(null);
  };
  const input = useRef<HTMLInputElement>(null);
  const inspector = useRef<HTMLDivElement>(null);

  const change = useCallback(
    (edits: readonly PlanEdit[]): void => {
      const done = edit(store, edits);
      if ('added' in done && done.added !== null) setChosen(done.added);
    },
    [store],
  );
  const chosenSection =
    plan.sections.find(({ items }) => items.some((item) => item.id === chosen)) ?? plan.sections.find(({ id }) => id === section);
  const add = (movement: Movement): void => {
    const place = placeFor(plan, chosen, chosenSection?.id ?? null, movement);
    if (place) change([{ kind: 'insert', item: itemOf(movement, ageBandOf(meanAge(contextOf(page).agesYears))), place }]);
  };
  const chooseSection = (id: string): void => {
    setSection(id);
    setChosen(null);
    input.current?.focus();
  };
  usePlanKeys({ store, library, chosen, setChosen, change, input, inspector });

  const timed = evaluation.timeline.items.find(({ item }) => item.id === chosen);
  const pace = timed && page.paces.find(({ kind }) => kind === timed.movement.kind);
  return (
    <Page
      title={page.class.groupName}
      about={aboutClass(page)}
      actions={
        <>
          <SaveNote state={state} />
          <Gauge totalSeconds={evaluation.timeline.totalSeconds} lengthMinutes={page.class.lengthMinutes} startsAt={page.class.startsAt} />
          <GiveOut
            files={[
              {
                label: 'On paper (PDF)',
                href: `/api/classes/${page.class.id}/plan/paper`,
                name: `${page.class.groupName} ${page.class.day}.pdf`,
              },
              {
                label: 'As a plan file',
                href: `/api/classes/${page.class.id}/plan/export`,
                name: `${page.class.groupName} ${page.class.day}.json`,
              },
            ]}
          />
          <Button component={Link} to={`/classes/${page.class.id}/teach`} variant="contained">
            Teach this class
          </Button>
        </>
      }
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
        startsAt={page.class.startsAt}
        chosen={chosen}
        chosenSection={chosen === null ? section : null}
        onChoose={setChosen}
        onChooseSection={chooseSection}
        onMove={(item: string, place: Place) => {
          change([{ kind: 'move', item, place }]);
        }}
      />
      <Box
        ref={inspector}
        component="section"
        aria-label="Details"
        tabIndex={0}
        sx={{
          width: 296,
          flexShrink: 0,
          borderLeft: `1px solid ${palette.line}`,
          overflowY: 'auto',
          p: 2,
          '&:focus-visible': { outlineOffset: '-3px' },
        }}
      >
        {timed && <ItemInspector plan={plan} timed={timed} pace={pace?.factor ?? 1} paceItems={pace?.items ?? 0} onEdit={change} />}
        <FindingsList evaluation={evaluation} library={library} onChoose={setChosen} onEdit={change} />
        {!timed && (
          <ClassInspector
            page={page}
            plan={plan}
            evaluation={evaluation}
            library={library}
            onFit={() => {
              setOpen('fit');
            }}
            calmed={calmed}
            onCalm={() => {
              const calmer = calmerOrder(plan, library, contextOf(page));
              if (calmer.edits.length > 0) change(calmer.edits);
              setCalmed(calmedWords(calmer));
            }}
            onKeep={() => {
              setOpen('keep');
            }}
            onWho={() => {
              setOpen('who');
            }}
          />
        )}
      </Box>
      <KeysHelp keys={planKeysHelp} />
      {open === 'fit' && <FitDialog plan={plan} library={library} context={contextOf(page)} onTake={change} onClose={close} />}
      {open === 'keep' && (
        <TemplateDialog
          page={page}
          plan={plan}
          onClose={close}
          onKept={(name) => {
            setCalmed(`“${name}” is kept: any class of the programme can start from it.`);
            close();
          }}
        />
      )}
      {open === 'who' && <WhoDoesWhat page={page} evaluation={evaluation} library={library} onEdit={change} onClose={close} />}
      {state.kind === 'conflict' && (
        <ConflictDialog
          current={state.current}
          yours={plan}
          library={library}
          onSettle={(settled) => {
            store.setState({ plan: settled });
            settle(settled, state.current);
          }}
        />
      )}
    </Page>
  );
}

function calmedWords({ edits, before, after }: CalmerOrder): string {
  if (edits.length === 0) return 'It is as calm as it can be without breaking a preparation.';
  return `Standing ↔ floor ${String(before.levelChanges)} → ${String(after.levelChanges)}, camera ${String(before.reframings)} → ${String(after.reframings)}. Ctrl Z takes it back.`;
}

/** What is added goes after the item chosen, to the section chosen, or to the first section that it fits. */
function placeFor(plan: ClassPlan, chosen: string | null, section: string | null, movement: Movement): Place | null {
  if (chosen !== null) return { at: 'after', item: chosen };
  const fitting =
    plan.sections.find(({ id }) => id === section) ??
    plan.sections.find(({ kind }) => movement.sections.includes(kind)) ??
    plan.sections[0];
  return fitting ? { at: 'end-of', section: fitting.id } : null;
}
