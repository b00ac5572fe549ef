import { Trans } from '@lingui/react/macro';
import type { HomeWord } from '@leiter/contract';
import { computerVoice } from '../../shared/voice/computer-voice';

/** Whether the phone has a voice. */
export const canHear = (): boolean => 'speechSynthesis' in window;

/** Says a word with the voice of the phone; nothing where it has none. */
export function HearIt({ word: { spoken } }: { readonly word: HomeWord }) {
  if (!canHear()) return null;
  return (
    <button
      type="button"
      onClick={() => {
        computerVoice(1, spoken.language)?.say(spoken.text, 0);
      }}
    >
      <Trans>Hear it</Trans>
    </button>
  );
}
