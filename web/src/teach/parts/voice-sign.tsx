import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { GoWay } from '@leiter/core';
import { palette } from '../../shared/palette';
import type { Claps, ClapsState } from '../claps/use-claps';
import type { Voice, VoiceState } from '../voice/use-voice';

const look = { color: palette.cream, borderColor: palette.soft, minWidth: 0, fontSize: 13.5, px: 0.85 } as const;

/** Whether Leiter speaks, and how the work of an item begins; each is changed by one press. */
export function VoiceSign({
  voice,
  go,
  onGo,
  claps,
}: {
  readonly voice: Voice;
  readonly go: GoWay;
  readonly onGo: (go: GoWay) => void;
  /** Left out where claps are no signal. */
  readonly claps?: Claps;
}) {
  const { isOn, state, switchOn, wake } = voice;
  const words = voiceWords(state);
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
      <Button
        variant="outlined"
        sx={look}
        aria-pressed={isOn}
        onClick={() => {
          if (state === 'blocked') void wake();
          else switchOn(!isOn);
        }}
      >
        {isOn ? t`Voice on` : t`Voice off`}
      </Button>
      <Button
        variant="outlined"
        sx={look}
        aria-pressed={go === 'on-signal'}
        onClick={() => {
          onGo(go === 'on-signal' ? 'by-itself' : 'on-signal');
        }}
      >
        {go === 'on-signal' ? t`On my signal` : t`By itself`}
      </Button>
      {claps && (
        <Button
          variant="outlined"
          sx={look}
          aria-pressed={claps.state !== 'off'}
          onClick={() => {
            claps.switchOn(claps.state === 'off');
          }}
        >
          {claps.state === 'off' ? t`No claps` : t`Two claps`}
        </Button>
      )}
      {claps && clapsWords(claps.state) !== '' && (
        <Box role="status" sx={{ fontSize: 16, color: palette.glow }}>
          {clapsWords(claps.state)}
        </Box>
      )}
      {words !== '' && (
        <Box role="status" sx={{ fontSize: 16, color: palette.glow }}>
          {words}
        </Box>
      )}
    </Box>
  );
}

/** What is to be known of claps; nothing while they are heard, or not wanted. */
function clapsWords(state: ClapsState): string {
  switch (state) {
    case 'off':
    case 'listening':
      return '';
    case 'asking':
      return t`Allow the microphone: claps are heard, nothing is kept.`;
    case 'measuring':
      return t`Listening to the room …`;
    case 'refused':
      return t`The microphone is refused: a key or a clicker does the same.`;
    case 'no-microphone':
      return t`No microphone: a key or a clicker does the same.`;
  }
}

/** What is to be known of the voice; nothing while all is well. */
export function voiceWords(state: VoiceState): string {
  switch (state) {
    case 'silent':
    case 'speaking':
      return '';
    case 'loading':
      return t`The words are still on their way.`;
    case 'beeps':
      return t`Some words are missing: beeps stand for them.`;
    case 'blocked':
      return t`The browser gives no sound yet: press any key, or Voice.`;
    case 'no-sound':
      return t`This device has no sound. The screen counts.`;
  }
}
