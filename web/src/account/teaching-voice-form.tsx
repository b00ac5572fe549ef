import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { countLanguages, goWays, stances, type TeachingVoice } from '@leiter/core';
import { useState, type ReactNode } from 'react';
import { useSaveVoice } from '../queries/session.queries';
import { ChoiceBar } from '../shared/choice-bar';
import { palette } from '../shared/palette';
import { countLanguageWords, goWords, nameSourceWords, stanceWords } from '../shared/voice-words';
import { sayOnce } from '../shared/voice/say-once';

type Spoken = 'counts' | 'sides' | 'names' | 'cues' | 'halves';

/** How one leads a class: what Leiter says aloud, when the work begins, which side one moves. Saved as it is chosen. */
export function TeachingVoiceForm({ voice }: { readonly voice: TeachingVoice }) {
  const save = useSaveVoice();
  const shown = save.isPending ? save.variables : voice;
  const [heard, setHeard] = useState('');
  const set = (change: Partial<TeachingVoice>): void => {
    save.mutate({ ...shown, ...change });
  };
  const [percent, setPercent] = useState(Math.round(voice.loudness * 100));
  const keepLoudness = (): void => {
    if (percent !== Math.round(shown.loudness * 100)) set({ loudness: percent / 100 });
  };
  const spoken: readonly (readonly [Spoken, string])[] = [
    ['counts', t`the count of reps and beats, and the last three seconds of a hold`],
    ['sides', t`left, right, change, rest, hold, go and stop`],
    ['names', t`the name of what comes`],
    ['cues', t`a cue in what is held or goes on for a while`],
    ['halves', t`halfway, and the last ten seconds`],
  ];
  return (
    <Box component="section" aria-label={t`The voice in Teach`} sx={{ mt: 4, maxWidth: 720 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>The voice in Teach</Trans>
      </Typography>
      <Typography variant="body2" sx={{ mb: 1, color: palette.soft }}>
        <Trans>Leiter says on the beat what you would have to say while you show, watch and breathe.</Trans>
      </Typography>
      {spoken.map(([what, words]) => (
        <label key={what} style={{ display: 'flex', gap: 2, alignItems: 'center', padding: '4px 0', cursor: 'pointer' }}>
          <input
            type="checkbox"
            checked={shown[what]}
            onChange={(event) => {
              set({ [what]: event.target.checked });
            }}
          />
          {words}
        </label>
      ))}
      <Row label={t`Counting`}>
        <ChoiceBar
          label={t`Counting`}
          choices={[
            { value: 'up', words: t`up` },
            { value: 'down', words: t`down` },
          ]}
          value={shown.counting}
          onChange={(counting) => {
            if (counting) set({ counting });
          }}
        />
        <ChoiceBar
          label={t`Language of the count`}
          choices={countLanguages.map((value) => ({ value, words: countLanguageWords[value] }))}
          value={shown.countLanguage}
          onChange={(countLanguage) => {
            if (countLanguage) set({ countLanguage });
          }}
        />
      </Row>
      <Row label={t`Names and cues`}>
        <ChoiceBar
          label={t`Who says names and cues`}
          choices={(['clips', 'computer'] as const).map((value) => ({ value, words: nameSourceWords[value] }))}
          value={shown.nameSource}
          onChange={(nameSource) => {
            if (nameSource) set({ nameSource });
          }}
        />
      </Row>
      <Row label={t`Loudness`}>
        <input
          type="range"
          min={0}
          max={100}
          step={10}
          aria-label={t`Loudness`}
          value={percent}
          // one save when one lets go, not one for each step on the way
          onChange={(event) => {
            setPercent(Number(event.target.value));
          }}
          onPointerUp={keepLoudness}
          onKeyUp={keepLoudness}
          onBlur={keepLoudness}
          style={{ width: 180, accentColor: palette.primary }}
        />
        <Button
          variant="outlined"
          onClick={() => {
            void sayOnce({ ...shown, loudness: percent / 100 }).then((isHeard) => {
              setHeard(isHeard ? '' : t`There is no voice here just now: counts are beeps.`);
            });
          }}
        >
          <Trans>Try it</Trans>
        </Button>
        <Box role="status" sx={{ fontSize: 14, color: palette.caution }}>
          {heard}
        </Box>
      </Row>
      <Row label={t`The work begins`}>
        <ChoiceBar
          label={t`The work begins`}
          choices={goWays.map((value) => ({ value, words: goWords[value] }))}
          value={shown.go}
          onChange={(go) => {
            if (go) set({ go });
          }}
        />
      </Row>
      <Row label={t`You stand`}>
        <ChoiceBar
          label={t`You stand`}
          choices={stances.map((value) => ({ value, words: stanceWords[value] }))}
          value={shown.stance}
          onChange={(stance) => {
            if (stance) set({ stance });
          }}
        />
      </Row>
      <Box role="status" sx={{ fontSize: 14, color: palette.stop, minHeight: 20 }}>
        {save.isError && t`It could not be saved. Choose again in a moment.`}
      </Box>
    </Box>
  );
}

function Row({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center', py: 1, borderTop: `1px solid ${palette.line}` }}>
      <Box component="span" aria-hidden="true" sx={{ width: 150, fontWeight: 700 }}>
        {label}
      </Box>
      {children}
    </Box>
  );
}
