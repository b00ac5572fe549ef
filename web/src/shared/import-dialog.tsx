import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import type { FieldProblem } from '@leiter/contract';
import { useRef, useState, type ChangeEvent } from 'react';
import { ApiError } from './api';
import { palette } from './palette';
import { textOf } from './read-file';

/** What a file would change, or did. */
export interface ImportTold {
  /** `3 added, 2 changed, 40 the same`. */
  readonly summary: string;
  /** Everything that becomes different, line by line. */
  readonly lines: readonly string[];
  readonly importId: string | null;
}

interface Props<Input> {
  readonly title: string;
  /** What kind of file is taken, and what is not in it. */
  readonly about: string;
  /** The kinds of files, as a file chooser takes them. */
  readonly accept: string;
  /** Reads the text of a file; or says why it is none of these. */
  readonly read: (text: string, fileName: string) => { readonly input: Input } | { readonly why: string };
  readonly look: (input: Input) => Promise<ImportTold>;
  readonly takeIn: (input: Input) => Promise<ImportTold>;
  readonly undo: (importId: string) => Promise<void>;
  readonly onClose: () => void;
}

type State<Input> =
  | { readonly kind: 'choosing'; readonly why?: string; readonly errors?: readonly FieldProblem[] }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'looking'; readonly input: Input; readonly told: ImportTold }
  | { readonly kind: 'taken'; readonly told: ImportTold }
  | { readonly kind: 'undone' };

/** Takes in a file: first shown what it would change, then all or nothing, then undone if it was a mistake. */
export function ImportDialog<Input>({ title, about, accept, read, look, takeIn, undo, onClose }: Props<Input>) {
  const [state, setState] = useState<State<Input>>({ kind: 'choosing' });
  const input = useRef<HTMLInputElement>(null);
  const attempt = async (work: () => Promise<State<Input>>): Promise<void> => {
    setState({ kind: 'waiting' });
    try {
      setState(await work());
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setState({
        kind: 'choosing',
        why: error.isAway ? t`No answer just now. Nothing was stored; try again in a moment.` : error.message,
        ...(error.problem?.errors ? { errors: error.problem.errors } : {}),
      });
    }
  };
  const choose = (event: ChangeEvent<HTMLInputElement>): void => {
    const [chosen] = event.target.files ?? [];
    if (!chosen) return;
    void attempt(async () => {
      const found = read(textOf(new Uint8Array(await chosen.arrayBuffer())), chosen.name);
      if ('why' in found) return { kind: 'choosing', why: t`${found.why} Nothing was stored.` };
      return { kind: 'looking', input: found.input, told: await look(found.input) };
    });
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="import-title" maxWidth="sm" fullWidth>
      <DialogTitle id="import-title">{title}</DialogTitle>
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
              <Trans>{about} You see first what it would change; nothing is stored before you say so.</Trans>
            </Typography>
            <Button variant="outlined" onClick={() => input.current?.click()}>
              <Trans>Choose a file</Trans>
            </Button>
            <input ref={input} type="file" accept={accept} hidden aria-label={t`File`} onChange={choose} />
          </>
        )}
        {state.kind === 'waiting' && (
          <Typography>
            <Trans>Reading …</Trans>
          </Typography>
        )}
        {state.kind === 'looking' && <Changes told={state.told} />}
        {state.kind === 'taken' && (
          <Typography role="status">
            <Trans>Imported: {state.told.summary}.</Trans>
          </Typography>
        )}
        {state.kind === 'undone' && (
          <Typography role="status">
            <Trans>It is all as it was before.</Trans>
          </Typography>
        )}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button variant="outlined" onClick={onClose}>
          {state.kind === 'looking' || state.kind === 'choosing' ? t`Cancel` : t`Close`}
        </Button>
        {state.kind === 'looking' && (
          <Button
            variant="contained"
            disabled={state.told.lines.length === 0}
            onClick={() => {
              void attempt(async () => ({ kind: 'taken', told: await takeIn(state.input) }));
            }}
          >
            <Trans>Import it</Trans>
          </Button>
        )}
        {state.kind === 'taken' && state.told.importId !== null && (
          <Button
            variant="outlined"
            onClick={() => {
              const id = state.told.importId ?? '';
              void attempt(async () => {
                await undo(id);
                return { kind: 'undone' };
              });
            }}
          >
            <Trans>Undo</Trans>
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}

const mostListed = 60;

function Changes({ told }: { readonly told: ImportTold }) {
  const { summary, lines } = told;
  return (
    <>
      <Typography sx={{ mb: 1 }}>
        {lines.length === 0 ? t`Nothing would change` : t`It would change`}: {summary}.
      </Typography>
      <Box component="ul" aria-label={t`What would change`} sx={{ m: 0, pl: 2.5, fontSize: 14.5 }}>
        {lines.slice(0, mostListed).map((line) => (
          <li key={line}>{line}</li>
        ))}
        {lines.length > mostListed && (
          <li>
            <Trans>and {lines.length - mostListed} more</Trans>
          </li>
        )}
      </Box>
    </>
  );
}

function Errors({ errors }: { readonly errors: readonly FieldProblem[] }) {
  return (
    <Box component="ul" aria-label={t`What is wrong`} sx={{ mt: 0, mb: 2, pl: 2.5, fontSize: 14.5 }}>
      {errors.slice(0, mostListed).map(({ field, message }) => (
        <li key={`${field} ${message}`}>
          <strong>{field}</strong> {message}
        </li>
      ))}
    </Box>
  );
}
