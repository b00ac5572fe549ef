import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { palette } from '../palette';
import type { SaveState } from './use-document-session';

/** Of a document that saves itself: what is saved, what is not yet, and why. */
export function SaveNote({ state, changedBy }: { readonly state: SaveState<unknown>; readonly changedBy: string | null }) {
  return (
    <Box role="status" aria-live="polite" sx={{ fontSize: 13.5, color: state.kind === 'refused' ? palette.stop : palette.soft }}>
      {state.kind === 'saved' && changedBy !== null ? t`${changedBy} changed it: shown` : words(state)}
    </Box>
  );
}

function words(state: SaveState<unknown>): string {
  switch (state.kind) {
    case 'saved':
      return t`saved`;
    case 'saving':
    case 'unsaved':
      return t`saving …`;
    case 'waiting':
      return t`kept here, saved when there is an answer`;
    case 'refused':
      return t`not saved: ${state.errors[0]?.replace(/^[^:]*: /, '') ?? state.why}`;
    case 'conflict':
      return t`changed by two: see below`;
  }
}
