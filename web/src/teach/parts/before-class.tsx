import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse } from '@leiter/contract';
import { isExpected } from '@leiter/contract/who-comes';
import { clockText, itemTotals, wordsOf, type Evaluation, type Library } from '@leiter/core';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { AtHand } from '../../at-hand/use-class-at-hand';
import { palette } from '../../shared/palette';
import type { Voice } from '../voice/use-voice';
import { Dark } from './dark';
import { voiceWords } from './voice-sign';

const openStops = ({ findings }: Evaluation) =>
  findings.filter(({ severity, acceptedBecause }) => severity === 'stop' && acceptedBecause === undefined);

/** Whether something has to be dealt with before the class may begin. */
export const hasOpenStops = (evaluation: Evaluation): boolean => openStops(evaluation).length > 0;

/** Before the clock runs: what is still to be looked at. Stops have to be dealt with on purpose. */
export function BeforeClass({
  page,
  evaluation,
  library,
  voice,
  atHand,
  onDoor,
  dialogs,
  onPhone,
  onPictures,
  onStart,
}: {
  readonly page: ClassPageResponse;
  readonly evaluation: Evaluation;
  readonly library: Library;
  readonly voice: Voice;
  /** Opens the screen that is shared until it begins. */
  readonly onDoor: () => void;
  /** Whether the class can be taught from here without a connection. */
  readonly atHand: AtHand;
  /** The code for a phone, the pictures for the door: while they are open. */
  readonly dialogs: ReactNode;
  readonly onPhone: () => void;
  readonly onPictures: () => void;
  readonly onStart: (stopsNote: string) => void;
}) {
  const stops = openStops(evaluation);
  const [note, setNote] = useState('');
  const coming = page.children.filter(isExpected);
  return (
    <Dark>
      {dialogs}
      <Box sx={{ maxWidth: 900, height: '100%', overflowY: 'auto', mx: 'auto', pt: 7, px: 4 }}>
        <Typography component="h1" sx={{ fontSize: 54, fontWeight: 700, lineHeight: 1.1 }}>
          {page.class.groupName}
        </Typography>
        <Typography sx={{ fontSize: 24, mb: 3, color: palette.nightSoft }}>
          <Trans>
            <Plural value={itemTotals(evaluation.timeline.items).size} one="# item" other="# items" />,{' '}
            {clockText(evaluation.timeline.totalSeconds)} of {page.class.lengthMinutes}
            :00. Step back until you see yourself whole; the clock goes on by itself.
          </Trans>
        </Typography>
        {page.stored?.plan.story !== undefined && (
          <Typography sx={{ fontSize: 24, mb: 3 }}>
            <span style={{ color: palette.nightSoft }}>
              <Trans>Story</Trans>
            </span>{' '}
            {page.stored.plan.story}
          </Typography>
        )}
        {stops.length > 0 && (
          <Box component="ul" sx={{ pl: 3, fontSize: 20, mb: 3 }} aria-label={t`Stops`}>
            {stops.map((finding, index) => {
              const words = wordsOf(finding, evaluation.timeline, library);
              return (
                <li key={`${finding.check} ${String(index)}`}>
                  <strong>{words.title}.</strong> {words.sentence}
                </li>
              );
            })}
          </Box>
        )}
        {stops.length > 0 && (
          <TextField
            label={t`How have you dealt with this?`}
            value={note}
            multiline
            autoFocus
            fullWidth
            onChange={(event) => {
              setNote(event.target.value);
            }}
            slotProps={{ htmlInput: { maxLength: 500 } }}
            sx={{
              mb: 3,
              '& label': { color: palette.nightSoft },
              '& label.Mui-focused': { color: palette.cream },
              '& .MuiInputBase-root': { backgroundColor: palette.cream },
            }}
          />
        )}
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          <Button
            variant="contained"
            size="large"
            autoFocus={stops.length === 0}
            disabled={stops.length > 0 && note.trim() === ''}
            onClick={() => {
              onStart(note.trim());
            }}
            sx={{
              fontSize: 22,
              px: 4,
              py: 1.5,
              backgroundColor: palette.cream,
              color: palette.night,
              '&:hover': { backgroundColor: palette.white },
              '&.Mui-disabled': { backgroundColor: palette.nightLine, color: palette.nightSoft },
            }}
          >
            {stops.length > 0 ? t`I have dealt with this: start` : t`Start the class`}
          </Button>
          <Button
            component={Link}
            to={`/classes/${page.class.id}/plan`}
            variant="outlined"
            size="large"
            sx={{ color: palette.cream, borderColor: palette.nightSoft, fontSize: 18 }}
          >
            <Trans>Back to the plan</Trans>
          </Button>
          <Button
            variant="outlined"
            size="large"
            onClick={onDoor}
            sx={{ color: palette.cream, borderColor: palette.nightSoft, fontSize: 18 }}
          >
            <Trans>Open the door</Trans>
          </Button>
          <Button
            variant="outlined"
            size="large"
            onClick={onPictures}
            sx={{ color: palette.cream, borderColor: palette.nightSoft, fontSize: 18 }}
          >
            <Trans>Pictures for the door</Trans>
          </Button>
          <Button
            variant="outlined"
            size="large"
            onClick={onPhone}
            sx={{ color: palette.cream, borderColor: palette.nightSoft, fontSize: 18 }}
          >
            <Trans>A phone as remote</Trans>
          </Button>
        </Box>
        <VoiceProgress voice={voice} />
        {atHand === 'all' && (
          <Box sx={{ fontSize: 17, color: palette.nightSoft }}>
            <Trans>All of this class is in this browser: it goes on without a connection.</Trans>
          </Box>
        )}
        <Typography sx={{ mt: 4, color: palette.nightSoft }}>
          <Trans>Space pauses. Arrows and page keys go on and back, so a clicker works as well. ? shows the keys.</Trans>
        </Typography>
        <Typography component="h2" sx={{ mt: 5, mb: 1, fontSize: 24, fontWeight: 700 }}>
          <Trans>
            <Plural value={coming.length} one="# child" other="# children" /> coming
          </Trans>
        </Typography>
        <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, columnCount: 3, fontSize: 20, lineHeight: 1.7 }}>
          {coming.map(({ id, name, ageYears, gradeName }) => (
            <li key={id}>
              {name}{' '}
              <Box component="span" sx={{ color: palette.nightSoft, fontSize: 16 }}>
                {ageYears}, {gradeName ?? t`no grade yet`}
              </Box>
            </li>
          ))}
        </Box>
      </Box>
    </Dark>
  );
}

/** How many of the words of the class are here already; one can begin before. */
function VoiceProgress({ voice: { progress, state } }: { readonly voice: Voice }) {
  const { there, of } = progress;
  if (of === 0) return null;
  const isAll = there === of;
  return (
    <Box sx={{ mt: 3, maxWidth: 420 }}>
      <Box sx={{ fontSize: 17, color: palette.nightSoft }} role="status">
        {state === 'no-sound' || state === 'beeps'
          ? voiceWords(state)
          : isAll
            ? t`The voice has all ${of} words of this class.`
            : t`The voice has ${there} of ${of} words of this class.`}
      </Box>
      {!isAll && state === 'loading' && (
        <Box
          role="progressbar"
          aria-label={t`Words of the voice`}
          aria-valuenow={there}
          aria-valuemax={of}
          sx={{ height: 6, mt: 0.75, borderRadius: '3px', backgroundColor: palette.nightLine, overflow: 'hidden' }}
        >
          <Box sx={{ height: '100%', width: `${String((100 * there) / of)}%`, backgroundColor: palette.glow }} />
        </Box>
      )}
    </Box>
  );
}
