import { Trans } from '@lingui/react/macro';
import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Library } from '@leiter/core';
import { Figure } from '../../shared/figure';
import { headingFont, palette } from '../../shared/palette';
import { calledAt, callerAt, type CallingNow } from '../voice/use-calls';
import { callListWords } from './caller-panel';
import { InsteadOfStage } from './stage-overlay';

interface Props {
  readonly calling: CallingNow;
  /** In milliseconds of the page's clock. */
  readonly now: number;
  readonly library: Library;
  readonly onStop: () => void;
}

/** A round that goes on: what was called last, as large as it can be. */
export function CallingStage({ calling, now, library, onStop }: Props) {
  const called = calledAt(calling, now);
  const caller = callerAt(calling, now);
  const left = Math.max(0, Math.ceil((calling.endsAt - now) / 1000));
  const movement = calling.shown === 'figure' ? library.get(called?.calls.at(-1)?.movement ?? '') : undefined;
  const words = called?.calls.map(({ text }) => text).join(', ') ?? '';
  const quiet = { fontSize: 60, color: palette.nightSoft } as const;
  return (
    <InsteadOfStage label={t`Calls`}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', fontSize: 24, color: palette.nightSoft }}>
        <span>
          <Trans>
            {callListWords[calling.list.kind]} · {left} s left
          </Trans>
        </span>
        <Button variant="outlined" sx={{ color: palette.cream, borderColor: palette.soft, fontSize: 17 }} onClick={onStop}>
          <Trans>Stop (K)</Trans>
        </Button>
      </Box>
      <Box sx={{ flex: 1, display: 'flex', alignItems: 'center', justifyContent: 'center' }}>
        {caller !== null ? (
          <Box sx={{ textAlign: 'center' }}>
            <Box sx={{ fontFamily: headingFont, fontWeight: 750, fontSize: 110, lineHeight: 1.05, color: palette.glow }}>
              <Trans>{caller} calls</Trans>
            </Box>
            <Box sx={{ fontSize: 34, mt: 3, lineHeight: 1.4, maxWidth: 900 }}>{calling.list.calls.map(({ text }) => text).join(' · ')}</Box>
          </Box>
        ) : called === null ? (
          <Box sx={quiet}>
            <Trans>Get ready</Trans>
          </Box>
        ) : movement ? (
          <Figure movement={movement} size={460} tone="night" isDecoration={false} />
        ) : calling.shown === 'neither' ? (
          <Box sx={quiet}>
            <Trans>Listen</Trans>
          </Box>
        ) : (
          <Box
            sx={{
              fontFamily: headingFont,
              fontWeight: 750,
              fontSize: words.length > 22 ? 92 : 150,
              lineHeight: 1.05,
              textAlign: 'center',
              color: palette.glow,
            }}
          >
            {words}
          </Box>
        )}
      </Box>
    </InsteadOfStage>
  );
}
