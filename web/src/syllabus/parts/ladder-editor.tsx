import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { SavedSyllabusResponse, SyllabusResponse } from '@leiter/contract';
import { isChange, ladderLines, type LadderVersion, type Library } from '@leiter/core';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useStore } from 'zustand';
import { useDocumentSession, type SaveState } from '../../shared/document-session/use-document-session';
import { pageKeys } from '../../shared/page-keys';
import { queryClient } from '../../shared/query-client';
import { Page, Panel } from '../../shared/page';
import { palette } from '../../shared/palette';
import { ladderOf, withGrade, withoutGrade } from '../editing/ladder-draft';
import { ladderDocument, ladderKind } from '../editing/ladder-kind';
import { GradeEditor } from './grade-editor';
import { GradeList } from './grade-list';
import { LadderConflict } from './ladder-conflict';

interface Props {
  readonly syllabus: SyllabusResponse;
  readonly library: Library;
  readonly onLeave: () => void;
  readonly onSaved: (saved: SavedSyllabusResponse) => void;
}

interface Refusal {
  readonly why: string;
  readonly errors: readonly string[];
}

/**
 * Changes a ladder: grades and what they ask for, added, put in order, put away. Saved, it is the next version. What is not saved
 * yet stays in the browser, and is there when one comes back.
 */
export function LadderEditor({ syllabus, library, onLeave, onSaved }: Props) {
  const session = useDocumentSession({
    kind: ladderKind,
    id: syllabus.programme,
    initial: ladderOf(syllabus),
    stored: ladderDocument(syllabus),
    saves: 'when-told',
  });
  const { store, content: draft, state } = session;
  const [stored, setStored] = useState(() => ladderOf(syllabus));
  const [version, setVersion] = useState(syllabus.version);
  const past = useStore(store.temporal, ({ pastStates }) => pastStates.length);
  const [chosen, setChosen] = useState(syllabus.grades.find(({ isPutAway }) => !isPutAway)?.slug ?? '');
  const change = (ladder: LadderVersion): void => {
    store.setState({ content: ladder });
  };
  const undo = (): void => {
    store.temporal.getState().undo();
  };
  const redo = (): void => {
    store.temporal.getState().redo();
  };
  useHotkeys('mod+z', undo, pageKeys);
  useHotkeys('mod+shift+z', redo, pageKeys);
  const changes = ladderLines(stored, draft).filter(isChange).length;
  const grade = draft.grades.find(({ slug }) => slug === chosen);
  const save = async (): Promise<void> => {
    if (!(await session.save())) return;
    const saved = queryClient.getQueryData<SavedSyllabusResponse>(['saved-ladder', syllabus.programme]);
    if (saved) onSaved(saved);
  };
  const refusal = state.kind === 'refused' || state.kind === 'waiting' ? refusalOf(state) : null;
  return (
    <Page
      title={t`Change the ladder of ${syllabus.programmeName}`}
      about={
        changes === 0
          ? t`version ${version}, nothing changed yet`
          : t`${plural(changes, { one: '# change', other: '# changes' })}, kept here, not saved`
      }
      actions={
        <>
          <Button variant="outlined" disabled={past === 0} onClick={undo}>
            <Trans>Undo</Trans>
          </Button>
          {changes > 0 && (
            <Button
              variant="outlined"
              onClick={() => {
                session.drop();
                onLeave();
              }}
            >
              <Trans>Drop the changes</Trans>
            </Button>
          )}
          <Button variant="outlined" onClick={onLeave}>
            {changes === 0 ? t`Close` : t`Go on later`}
          </Button>
          <Button variant="contained" disabled={changes === 0 || state.kind === 'saving'} onClick={() => void save()}>
            <Trans>Save as version {version + 1}</Trans>
          </Button>
        </>
      }
    >
      <Panel label={t`Grades`} width={300} padding={1.5}>
        <GradeList draft={draft} chosen={chosen} onChoose={setChosen} onChange={change} />
      </Panel>
      <Panel label={t`The grade`}>
        {refusal && (
          <Alert severity="warning" sx={{ mb: 2, backgroundColor: palette.cautionPaper, color: palette.caution }}>
            {refusal.why}
            {refusal.errors.map((words) => (
              <div key={words}>{words}</div>
            ))}
          </Alert>
        )}
        {grade && !grade.isPutAway ? (
          <GradeEditor
            key={grade.slug}
            grade={grade}
            draft={draft}
            stored={stored}
            programme={syllabus.programme}
            library={library}
            onChange={(edit) => {
              change(withGrade(store.getState().content, grade.slug, edit));
            }}
            onRemove={() => {
              change(withoutGrade(draft, grade.slug, stored));
            }}
          />
        ) : (
          <Box sx={{ color: palette.soft }}>
            <Trans>Choose a grade at the left, or add one.</Trans>
          </Box>
        )}
      </Panel>
      {state.kind === 'conflict' && state.current && (
        <LadderConflict
          current={state.current}
          yours={draft}
          onSettle={(settled, current) => {
            setStored(current.content);
            setVersion(current.version);
            session.rebase(settled, current);
          }}
        />
      )}
    </Page>
  );
}

function refusalOf(state: Extract<SaveState<LadderVersion>, { readonly kind: 'refused' | 'waiting' }>): Refusal {
  return state.kind === 'waiting' ? { why: t`No answer just now. What you changed is kept; try again in a moment.`, errors: [] } : state;
}
