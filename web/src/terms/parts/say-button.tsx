import { t } from '@lingui/core/macro';
import Button from '@mui/material/Button';
import { usualVoice } from '@leiter/core';
import { useState } from 'react';
import { useSession } from '../../queries/session.queries';
import { sayWords, type SaidWord } from '../../shared/voice/say-words';
import { palette } from '../../shared/palette';

/** Says a word, or several, by the voice of the class. */
export function SayButton({
  words,
  label,
  children,
  isLarge = false,
  tone = 'day',
}: {
  readonly words: readonly SaidWord[];
  readonly label: string;
  readonly children: string;
  readonly isLarge?: boolean;
  readonly tone?: 'day' | 'night';
}) {
  const loudness = useSession().data?.voice.loudness ?? usualVoice.loudness;
  const [isMute, setMute] = useState(false);
  return (
    <Button
      variant="outlined"
      size={isLarge ? 'large' : 'small'}
      aria-label={label}
      onClick={() => {
        void sayWords(words, loudness, 1.1).then((isHeard) => {
          setMute(!isHeard);
        });
      }}
      sx={{
        minWidth: 0,
        whiteSpace: 'nowrap',
        ...(isLarge ? { fontSize: 24, px: 4, py: 1.5 } : {}),
        ...(tone === 'night' ? { color: 'inherit', borderColor: palette.soft } : {}),
      }}
    >
      {isMute ? t`no voice here` : children}
    </Button>
  );
}
