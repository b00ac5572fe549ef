import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { SavedSyllabusResponse, SyllabusResponse } from '@leiter/contract';
import { isChange, ladderLines, type LadderVersion, type Library } from '@leiter/core';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useStore } from 'zustand';
import { ApiError } from '../../shared/api';
import { Page, Panel } from '../../shared/page';
import { palette } from '../../shared/palette';
import { plural } from '../../shared/words';
import { ladderOf, makeDraftStore, withGrade, withoutGrade } from '../ladder-draft';
import { saveSyllabus } from '../syllabus.queries';
import { GradeEditor } from './grade-editor';
import { GradeList } from './grade-list';

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

/** Changes a ladder: grades and what they ask for, added, put in order, put away. Saved, it is the next version. */
export function LadderEditor({ syllabus, library, onLeave, onSaved }: Props) {
  const [store] = useState(() => makeDraftStore(syllabus));
  const [stored] = useState(() => ladderOf(syllabus));
  const draft = useStore(store, ({ ladder }) => ladder);
  const past = useStore(store.temporal, ({ pastStates }) => pastStates.length);
  const [chosen, setChosen] = useState(syllabus.grades.find(({ isPutAway }) => !isPutAway)?.slug ?? '');
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [isSaving, setSaving] = useState(false);
  const change = (ladder: LadderVersion): void => {
    store.setState({ ladder });
  };
  const undo = (): void => {
    store.temporal.getState().undo();
  };
  const redo = (): void => {
    store.temporal.getState().redo();
  };
  useHotkeys('mod+z', undo, { preventDefault: true });
  useHotkeys('mod+shift+z', redo, { preventDefault: true });
  const changes = ladderLines(stored, draft).filter(isChange).length;
  const grade = draft.grades.find(({ slug }) => slug === chosen);
  const save = async (): Promise<void> => {
    setSaving(true);
    try {
      onSaved(await saveSyllabus(syllabus, draft));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setRefusal({
        why: error.isAway ? 'No answer just now. What you changed is kept; try again in a moment.' : error.message,
        errors: (error.problem?.errors ?? []).map(({ field, message }) => `${field}: ${message}`),
      });
      setSaving(false);
    }
  };
  return (
    <Page
      title={`Change the ladder of ${syllabus.programmeName}`}
      about={
        changes === 0 ? `version ${String(syllabus.version)}, nothing changed yet` : `${plural(changes, 'change', 'changes')}, not saved`
      }
      actions={
        <>
          <Button variant="outlined" disabled={past === 0} onClick={undo}>
            Undo
          </Button>
          <Button variant="outlined" onClick={onLeave}>
            Leave it
          </Button>
          <Button variant="contained" disabled={changes === 0 || isSaving} onClick={() => void save()}>
            Save as version {syllabus.version + 1}
          </Button>
        </>
      }
    >
      <Panel label="Grades" width={300} padding={1.5}>
        <GradeList draft={draft} chosen={chosen} onChoose={setChosen} onChange={change} />
      </Panel>
      <Panel label="The grade">
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
              change(withGrade(store.getState().ladder, grade.slug, edit));
            }}
            onRemove={() => {
              change(withoutGrade(draft, grade.slug, stored));
            }}
          />
        ) : (
          <Box sx={{ color: palette.soft }}>Choose a grade at the left, or add one.</Box>
        )}
      </Panel>
    </Page>
  );
}
