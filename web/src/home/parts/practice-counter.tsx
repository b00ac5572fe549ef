import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import type { HomeMovement, HomeTaskForChild } from '@leiter/contract';
import { doseText, practiceFeelings, type PracticeFeeling, type PracticeStep } from '@leiter/core';
import { Figure } from '../../shared/figure';
import { headingFont, palette } from '../../shared/palette';
import { usePracticeRun } from '../use-practice-run';
import { feelingWords } from './home-task';

const sideWords = { left: t`left`, right: t`right` } as const;

/** What a step begins with, as it is said and shown. */
function stepWords({ kind, side, set, sets }: PracticeStep): string {
  const which = side ? sideWords[side] : '';
  switch (kind) {
    case 'ready':
      return [t`Get ready`, which].filter((part) => part !== '').join(', ');
    case 'change':
      return t`Change: ${which}`;
    case 'rest':
      return t`Rest`;
    case 'work':
      return [t`Go`, which, sets > 1 ? t`${set} of ${sets}` : ''].filter((part) => part !== '').join(', ');
  }
}

/** One thing of the home task, done with a counter that speaks: seen from some metres away. */
export function PracticeCounter({
  item,
  movement,
  leadSide,
  onDone,
  onClose,
}: {
  readonly item: HomeTaskForChild['items'][number];
  readonly movement: HomeMovement | undefined;
  readonly leadSide: 'left' | 'right';
  readonly onDone: (feeling: PracticeFeeling) => void;
  readonly onClose: () => void;
}) {
  const run = usePracticeRun(item.dose, item.sides, leadSide, (step) => (step === 'over' ? t`Done. Well practised!` : stepWords(step)));
  const { step } = run;
  return (
    <Dialog
      open
      fullScreen
      onClose={onClose}
      aria-label={t`Practise ${movement?.name ?? item.movement}`}
      slotProps={{ paper: { sx: { backgroundColor: palette.paper } } }}
    >
      <Box sx={{ p: 2, display: 'flex', flexDirection: 'column', alignItems: 'center', minHeight: '100%', textAlign: 'center' }}>
        <Box sx={{ fontFamily: headingFont, fontWeight: 700, fontSize: 24 }}>{movement?.name ?? item.movement}</Box>
        <Box sx={{ color: palette.soft }}>{doseText(item.dose)}</Box>
        <Box sx={{ my: 1.5 }}>
          <Figure movement={movement} size={240} />
        </Box>
        {step ? (
          <>
            <Box role="status" sx={{ fontFamily: headingFont, fontWeight: 700, fontSize: 30, lineHeight: 1.2 }}>
              {stepWords(step)}
            </Box>
            <Box
              aria-hidden="true"
              sx={{ fontFamily: headingFont, fontWeight: 700, fontSize: 96, lineHeight: 1.05, color: palette.primary }}
            >
              {run.left}
            </Box>
            {movement?.cues.slice(0, 2).map((cue) => (
              <Box key={cue}>{cue}</Box>
            ))}
            <Box sx={{ mt: 'auto', pt: 2, display: 'flex', gap: 1 }}>
              <Button variant="contained" size="large" onClick={run.isPaused ? run.goOn : run.pause}>
                {run.isPaused ? t`Go on` : t`Pause`}
              </Button>
              <Button variant="outlined" size="large" onClick={onClose}>
                <Trans>Stop</Trans>
              </Button>
            </Box>
            <Box sx={{ mt: 1, color: palette.soft }}>
              <Trans>Stop when it hurts.</Trans>
            </Box>
          </>
        ) : (
          <>
            <Box role="status" sx={{ fontFamily: headingFont, fontWeight: 700, fontSize: 30, mb: 1.5 }}>
              <Trans>Done! How was it?</Trans>
            </Box>
            <Box sx={{ display: 'grid', gap: 1, width: '100%', maxWidth: 320 }}>
              {practiceFeelings.map((feeling) => (
                <Button
                  key={feeling}
                  size="large"
                  variant={feeling === 'well' ? 'contained' : 'outlined'}
                  onClick={() => {
                    onDone(feeling);
                  }}
                >
                  {feelingWords[feeling]}
                </Button>
              ))}
            </Box>
          </>
        )}
      </Box>
    </Dialog>
  );
}
