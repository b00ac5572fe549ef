import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { hasTier, phraseTiers, type CompactChange, type Phrase, type PhraseRoom, type PhraseTierName } from '@leiter/core';
import { palette } from '../../shared/palette';
import { countSign } from './score';

/** The floors that homes have, in metres across the picture and away from the camera. */
const rooms: readonly PhraseRoom[] = [
  { widthM: 1.5, lengthM: 1.5 },
  { widthM: 2, lengthM: 2 },
  { widthM: 2.5, lengthM: 2 },
  { widthM: 3, lengthM: 2.5 },
  { widthM: 4, lengthM: 3 },
];
const tierWords: Readonly<Record<PhraseTierName, string>> = { easier: t`easier`, harder: t`harder`, small: t`for little room` };

/** As which of its versions a phrase is looked at, and in which room. */
export interface Looked {
  readonly tier: PhraseTierName | null;
  readonly room: PhraseRoom | null;
  /** Whether it is made to fit the room. */
  readonly isFitted: boolean;
}

interface Props {
  /** With all its versions. */
  readonly phrase: Phrase;
  /** As it is looked at, before anything is made to fit. */
  readonly chosen: Phrase;
  readonly looked: Looked;
  readonly onLook: (next: Looked) => void;
  /** Which row leaves the room; null where none does. */
  readonly leaves: number | null;
  /** What was changed so that it fits; null where nothing can be. */
  readonly changes: readonly CompactChange[] | null;
  /** What it needs at its smallest, where it cannot be made to fit. */
  readonly needs: PhraseRoom | null;
}

const roomName = ({ widthM, lengthM }: PhraseRoom): string => `${String(widthM)} × ${String(lengthM)} m`;

/** Which version is shown, and whether it fits the smallest room: at which count it leaves it, and what is done about that. */
export function InARoom({ phrase, chosen, looked, onLook, leaves, changes, needs }: Props) {
  const { tier, room, isFitted } = looked;
  const tiers = phraseTiers.filter((one) => hasTier(phrase, one));
  const leavesOn = leaves === null ? null : countSign(chosen.rows[leaves]?.at ?? 0, chosen.beats);
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center', mb: 2 }}>
      {tiers.length > 0 && (
        <TextField
          select
          size="small"
          label={t`Version`}
          value={tier ?? ''}
          onChange={(event) => {
            onLook({ ...looked, tier: phraseTiers.find((one) => one === event.target.value) ?? null });
          }}
          slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
        >
          <option value="">{t`as it is written`}</option>
          {tiers.map((one) => (
            <option key={one} value={one}>
              {tierWords[one]}
            </option>
          ))}
        </TextField>
      )}
      <TextField
        select
        size="small"
        label={t`Room`}
        value={room ? roomName(room) : ''}
        onChange={(event) => {
          onLook({ ...looked, room: rooms.find((one) => roomName(one) === event.target.value) ?? null, isFitted: false });
        }}
        slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
      >
        <option value="">{t`as much as it takes`}</option>
        {rooms.map((one) => (
          <option key={roomName(one)} value={roomName(one)}>
            {roomName(one)}
          </option>
        ))}
      </TextField>
      {room && (
        <span
          role="status"
          aria-label={t`How it fits`}
          style={{ color: needs || (leavesOn !== null && !isFitted) ? palette.caution : palette.soft }}
        >
          {needs ? (
            <Trans>It cannot be made to fit: at its smallest it takes {roomName(roundedUp(needs))}.</Trans>
          ) : isFitted ? (
            changesText(changes ?? [], chosen)
          ) : leavesOn === null ? (
            <Trans>It fits.</Trans>
          ) : (
            <Trans>It leaves this room on {leavesOn}.</Trans>
          )}
        </span>
      )}
      {room && !needs && (leavesOn !== null || isFitted) && (
        <Box component="label" sx={{ display: 'inline-flex', gap: 0.75, alignItems: 'center', cursor: 'pointer' }}>
          <input
            type="checkbox"
            checked={isFitted}
            onChange={(event) => {
              onLook({ ...looked, isFitted: event.target.checked });
            }}
          />
          <Trans>made to fit</Trans>
        </Box>
      )}
    </Box>
  );
}

/** Up to the next ten centimetres: what is shown is enough. */
const roundedUp = ({ widthM, lengthM }: PhraseRoom): PhraseRoom => ({
  widthM: Math.ceil(widthM * 10 - 1e-6) / 10,
  lengthM: Math.ceil(lengthM * 10 - 1e-6) / 10,
});

function changesText(changes: readonly CompactChange[], { rows, beats }: Phrase): string {
  return changes
    .map((change) => {
      switch (change.kind) {
        case 'small-rows':
          return t`with what is written for little room`;
        case 'shorter-steps': {
          const percent = Math.round(change.stride * 100);
          return t`steps of ${percent} %`;
        }
        case 'on-the-spot': {
          const where = change.rows.map((row) => countSign(rows[row]?.at ?? 0, beats)).join(', ');
          return plural(change.rows.length, { one: `on the spot on ${where}`, other: `on the spot on ${where}` });
        }
      }
    })
    .join('; ');
}
