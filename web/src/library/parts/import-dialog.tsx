import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import type { FieldProblem, LibraryImportResponse } from '@leiter/contract';
import { useRef, useState, type ChangeEvent } from 'react';
import { ApiError } from '../../shared/api';
import { palette } from '../../shared/palette';
import { plural } from '../../shared/words';
import { lookAtImport, takeIn, undoImport } from '../library.queries';

type State =
  | { readonly kind: 'choosing'; readonly why?: string; readonly errors?: readonly FieldProblem[] }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'looking'; readonly file: unknown; readonly changes: LibraryImportResponse }
  | { readonly kind: 'taken'; readonly changes: LibraryImportResponse }
  | { readonly kind: 'undone' };

/** Takes in a library file: first shown what it would change, then all or nothing, then undone if it was a mistake. */
export function ImportDialog({ onClose }: { readonly onClose: () => void }) {
  const [state, setState] = useState<State>({ kind: 'choosing' });
  const input = useRef<HTMLInputElement>(null);
  const attempt = async (work: () => Promise<State>): Promise<void> => {
    setState({ kind: 'waiting' });
    try {
      setState(await work());
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setState({
        kind: 'choosing',
        why: error.isAway ? 'No answer just now. Nothing was stored; try again in a moment.' : error.message,
        ...(error.problem?.errors ? { errors: error.problem.errors } : {}),
      });
    }
  };
  const choose = (event: ChangeEvent<HTMLInputElement>): void => {
    const [chosen] = event.target.files ?? [];
    if (!chosen) return;
    void attempt(async () => {
      const file = parsed(await chosen.text());
      if (file === null) return { kind: 'choosing', why: 'This file is not JSON. Nothing was stored.' };
      return { kind: 'looking', file, changes: await lookAtImport(file) };
    });
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="import-title" maxWidth="sm" fullWidth>
      <DialogTitle id="import-title">Take in a library file</DialogTitle>
      <DialogContent>
        {state.kind === 'choosing' && (
          <>
            {state.why !== undefined && (
              <Alert severity="warning" sx={{ mb: 2, backgroundColor: palette.cautionPaper, color: palette.caution }}>
                {state.why}
              </Alert>
            )}
            {state.errors && <Errors errors={state.errors} />}
            <Typography sx={{ mb: 2 }}>
              A leiter-library/1 file, as “Give out” writes it. You see first what it would change; nothing is stored before you say so.
            </Typography>
            <Button variant="outlined" onClick={() => input.current?.click()}>
              Choose a file
            </Button>
            <input ref={input} type="file" accept=".json,application/json" hidden aria-label="Library file" onChange={choose} />
          </>
        )}
        {state.kind === 'waiting' && <Typography>Reading …</Typography>}
        {state.kind === 'looking' && <Changes changes={state.changes} />}
        {state.kind === 'taken' && (
          <Typography role="status">
            {plural(state.changes.added.length, 'movement', 'movements')} added, {state.changes.changed.length} changed.
          </Typography>
        )}
        {state.kind === 'undone' && <Typography role="status">It is all as it was before.</Typography>}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button variant="outlined" onClick={onClose}>
          {state.kind === 'looking' || state.kind === 'choosing' ? 'Leave it' : 'Close'}
        </Button>
        {state.kind === 'looking' && (
          <Button
            variant="contained"
            disabled={state.changes.added.length + state.changes.changed.length === 0}
            onClick={() => {
              void attempt(async () => ({ kind: 'taken', changes: await takeIn(state.file) }));
            }}
          >
            Take it in
          </Button>
        )}
        {state.kind === 'taken' && state.changes.importId !== null && (
          <Button
            variant="outlined"
            onClick={() => {
              const id = state.changes.importId ?? '';
              void attempt(async () => {
                await undoImport(id);
                return { kind: 'undone' };
              });
            }}
          >
            Undo
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

const mostListed = 40;

function Changes({ changes }: { readonly changes: LibraryImportResponse }) {
  const lines = [
    ...changes.added.map((slug) => `${slug}: added`),
    ...changes.changed.map(({ slug, fields }) => `${slug}: ${fields.join(', ')} changed`),
  ];
  return (
    <>
      <Typography sx={{ mb: 1 }}>
        <strong>{changes.added.length}</strong> would be added, <strong>{changes.changed.length}</strong> changed,{' '}
        <strong>{changes.same.length}</strong> are the same already.
      </Typography>
      <Box component="ul" aria-label="What would change" sx={{ m: 0, pl: 2.5, fontSize: 14.5 }}>
        {lines.slice(0, mostListed).map((line) => (
          <li key={line}>{line}</li>
        ))}
        {lines.length > mostListed && <li>and {lines.length - mostListed} more</li>}
      </Box>
    </>
  );
}

function Errors({ errors }: { readonly errors: readonly FieldProblem[] }) {
  return (
    <Box component="ul" aria-label="What is wrong" sx={{ mt: 0, mb: 2, pl: 2.5, fontSize: 14.5 }}>
      {errors.slice(0, mostListed).map(({ field, message }) => (
        <li key={`${field} ${message}`}>
          <strong>{field}</strong> {message}
        </li>
      ))}
    </Box>
  );
}
