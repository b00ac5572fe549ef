import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { palette } from '../../shared/palette';
import type { Teaching } from '../run/use-teaching';

interface Props {
  readonly live: Teaching;
  readonly isPaused: boolean;
  /** The work of the item has not begun. */
  readonly isExplaining: boolean;
  readonly showsMarks: boolean;
  readonly onMarks: () => void;
  /** Something is to be called out. */
  readonly onCall: () => void;
  /** A phone is to be a remote. */
  readonly onPhone: () => void;
  readonly onMusic: () => void;
  /** A phrase again and again while the class waits; left out where none is done. */
  readonly onAgain?: () => void;
}

/** What can be pressed while a class is taught; all of it has a key as well. */
export function Controls({ live, isPaused, isExplaining, showsMarks, onMarks, onCall, onPhone, onMusic, onAgain }: Props) {
  return (
    <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap' }}>
      {isExplaining && (
        <Press
          onPress={() => {
            live.move('go');
          }}
        >
          <Trans>Begin the work</Trans>
        </Press>
      )}
      <Press
        onPress={() => {
          live.move('back');
        }}
      >
        <Trans>Back</Trans>
      </Press>
      <Press
        onPress={() => {
          live.move(isPaused ? 'resume' : 'pause');
        }}
      >
        {isPaused ? t`Go on` : t`Pause`}
      </Press>
      <Press
        onPress={() => {
          live.move('on');
        }}
      >
        <Trans>Next</Trans>
      </Press>
      {live.canPutOff && (
        <Press onPress={live.putOff}>
          <Trans>Put off</Trans>
        </Press>
      )}
      <Press onPress={live.onceMore}>
        <Trans>Once more</Trans>
      </Press>
      {live.canUndo && (
        <Press onPress={live.undo}>
          <Trans>Undo</Trans>
        </Press>
      )}
      <Press onPress={onCall}>
        <Trans>Call</Trans>
      </Press>
      {onAgain && (
        <Press onPress={onAgain}>
          <Trans>Again and again</Trans>
        </Press>
      )}
      <Press onPress={onMusic}>
        <Trans>Music</Trans>
      </Press>
      <Press onPress={onPhone}>
        <Trans>Phone</Trans>
      </Press>
      <Press onPress={onMarks} isOn={showsMarks}>
        <Trans>Marks</Trans>
      </Press>
    </Box>
  );
}

const look = { color: palette.cream, borderColor: palette.soft, minWidth: 0, fontSize: 13.5, px: 0.85 } as const;

interface PressProps {
  readonly onPress: () => void;
  /** Where it switches something: whether it is on. */
  readonly isOn?: boolean;
  readonly children: ReactNode;
}

function Press({ onPress, isOn, children }: PressProps) {
  return (
    <Button variant="outlined" sx={look} onClick={onPress} {...(isOn === undefined ? {} : { 'aria-pressed': isOn })}>
      {children}
    </Button>
  );
}
