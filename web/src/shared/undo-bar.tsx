import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect } from 'react';
import { create } from 'zustand';
import { isTyping } from './page-keys';
import { palette } from './palette';
import { onPhone } from './screen';

interface Offer {
  /** What was done, as a sentence without its full stop: “Roza was archived”. */
  readonly done: string;
  readonly undo: () => Promise<unknown>;
}

interface Bar {
  readonly offer: Offer | null;
  readonly state: 'offered' | 'undoing' | 'refused';
  /** Counts what was offered, so that each stands its whole time. */
  readonly nth: number;
}

const useUndoBar = create<Bar>(() => ({ offer: null, state: 'offered', nth: 0 }));

/** So long can a step be taken back from the bar; what it did stays to be changed where it stands. */
const offeredMs = 20_000;

/** Says what was done and offers to take it back, by the bar at the foot or by Ctrl Z. The last step counts. */
export function offerUndo(done: string, undo: () => Promise<unknown>): void {
  useUndoBar.setState(({ nth }) => ({ offer: { done, undo }, state: 'offered', nth: nth + 1 }));
}

/** What was offered is no longer to be had: somebody left the page, or it was undone elsewhere. */
export function forgetUndo(): void {
  useUndoBar.setState({ offer: null, state: 'offered' });
}

async function takeBack(): Promise<void> {
  const { offer, state } = useUndoBar.getState();
  if (!offer || state === 'undoing') return;
  useUndoBar.setState({ state: 'undoing' });
  try {
    await offer.undo();
    // what was offered meanwhile stands
    if (useUndoBar.getState().offer === offer) forgetUndo();
  } catch {
    if (useUndoBar.getState().offer === offer) useUndoBar.setState({ state: 'refused' });
  }
}

/** The bar at the foot of the window; one for the whole application. */
export function UndoBar() {
  const { offer, state, nth } = useUndoBar();
  useEffect(() => {
    if (!offer || state === 'undoing') return;
    const timer = setTimeout(forgetUndo, offeredMs);
    return () => {
      clearTimeout(timer);
    };
  }, [offer, nth, state]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      // a page with an undo of its own has taken the key already
      if (event.defaultPrevented || !(event.ctrlKey || event.metaKey) || event.shiftKey || event.key.toLowerCase() !== 'z') return;
      if (isTyping(event) || !useUndoBar.getState().offer) return;
      event.preventDefault();
      void takeBack();
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, []);
  return (
    <Box
      role="status"
      aria-live="polite"
      sx={{
        position: 'fixed',
        zIndex: 1400,
        left: '50%',
        bottom: 20,
        transform: 'translateX(-50%)',
        maxWidth: 'calc(100vw - 24px)',
        [onPhone]: { bottom: 68, width: 'calc(100vw - 24px)' },
      }}
    >
      {offer && (
        <Box
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 2,
            pl: 2,
            pr: 1,
            py: 0.75,
            backgroundColor: palette.ink,
            color: palette.cream,
            borderRadius: '6px',
            border: `1px solid ${palette.cream}`,
          }}
        >
          <Box sx={{ mr: 'auto' }}>
            {state === 'refused' ? t`That could not be taken back just now. Try again in a moment.` : `${offer.done}.`}
          </Box>
          <Button
            sx={{ color: palette.cream, textDecoration: 'underline', flexShrink: 0 }}
            disabled={state === 'undoing'}
            title={t`Ctrl Z`}
            onClick={() => void takeBack()}
          >
            <Trans>Undo</Trans>
          </Button>
          <Button sx={{ color: palette.cream, minWidth: 36, flexShrink: 0 }} aria-label={t`Close`} onClick={forgetUndo}>
            ✕
          </Button>
        </Box>
      )}
    </Box>
  );
}
