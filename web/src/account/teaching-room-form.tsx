import { surfaceWords } from '../shared/household-words';
import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { frameOf, surfaces, type TeachingRoom } from '@leiter/core';
import { useState } from 'react';
import { Figure } from '../shared/figure';
import { Refused } from '../shared/page';
import { palette } from '../shared/palette';
import { useSaveRoom } from '../queries/session.queries';

const usual: TeachingRoom = { clearLengthM: 3, clearWidthM: 2.5, cameraDistanceM: 3, cameraHeightM: 0.9, viewAngleDegrees: 70 };

const fields: readonly { readonly name: Exclude<keyof TeachingRoom, 'surface'>; readonly label: string; readonly step: number }[] = [
  { name: 'clearLengthM', label: t`Clear length (m)`, step: 0.1 },
  { name: 'clearWidthM', label: t`Clear width (m)`, step: 0.1 },
  { name: 'cameraDistanceM', label: t`Camera to you (m)`, step: 0.1 },
  { name: 'cameraHeightM', label: t`Camera height (m)`, step: 0.1 },
  { name: 'viewAngleDegrees', label: t`Angle of view (°)`, step: 1 },
];

/** Where one teaches and what the camera sees of it, with a drawing of the frame at that distance. */
export function TeachingRoomForm({ room }: { readonly room: TeachingRoom | null }) {
  const [typed, setTyped] = useState<TeachingRoom>(room ?? usual);
  const save = useSaveRoom();
  const { widthM, heightM } = frameOf(typed);
  return (
    <Box component="section" aria-label={t`Where you teach`} sx={{ mt: 4, maxWidth: 760 }}>
      <Typography variant="h2">
        <Trans>Where you teach</Trans>
      </Typography>
      <Typography sx={{ mb: 1.5, color: palette.soft }}>
        <Trans>
          Plans of your classes then say what leaves your room or your picture. A camera built into a laptop sees 60 to 80 degrees.
        </Trans>
      </Typography>
      <Refused error={save.error} />
      <Box
        component="form"
        sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', mb: 2 }}
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate(typed);
        }}
      >
        {fields.map(({ name, label, step }) => (
          <TextField
            key={name}
            type="number"
            label={label}
            value={typed[name]}
            sx={{ width: 124 }}
            onChange={(event) => {
              setTyped({ ...typed, [name]: Number(event.target.value) });
            }}
            slotProps={{ htmlInput: { step, min: 0 }, inputLabel: { shrink: true } }}
          />
        ))}
        <TextField
          select
          label={t`Floor`}
          value={typed.surface ?? ''}
          sx={{ width: 124 }}
          onChange={(event) => {
            const surface = surfaces.find((one) => one === event.target.value);
            setTyped(({ surface: _before, ...others }) => (surface ? { ...others, surface } : others));
          }}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
        >
          <MenuItem value="">
            <Trans>not told</Trans>
          </MenuItem>
          {surfaces.map((surface) => (
            <MenuItem key={surface} value={surface}>
              {surfaceWords[surface]}
            </MenuItem>
          ))}
        </TextField>
        <Button type="submit" variant="contained" disabled={save.isPending}>
          {room ? t`Keep the change` : t`Keep this`}
        </Button>
      </Box>
      <FramePicture widthM={widthM} heightM={heightM} />
      <Typography role="status" sx={{ mt: 1 }}>
        <Trans>
          {save.isSuccess ? t`Kept. ` : ''}At {typed.cameraDistanceM} m the picture is {widthM.toFixed(1)} m wide and {heightM.toFixed(1)} m
          high:{' '}
          {heightM >= 2.6
            ? t`jumps with long arms fit.`
            : heightM >= 2.2
              ? t`you fit with arms up; jumps are cut.`
              : t`long arms are cut; step back.`}
        </Trans>
      </Typography>
    </Box>
  );
}

const pixelsPerMetre = 84;
const grown = { figure: ['stand-arms-up'], view: { facing: 'front', framing: 'standing' }, plainMeaning: '' } as const;

/** The frame with a grown-up of 1.75 m in it, arms up, and a metre beside it. */
function FramePicture({ widthM, heightM }: { readonly widthM: number; readonly heightM: number }) {
  const scale = Math.min(pixelsPerMetre, 700 / Math.max(widthM, 1), 250 / Math.max(heightM, 1));
  const [width, height] = [widthM * scale, heightM * scale];
  // the figure with lifted arms takes its square; with arms up a person of 1.75 m reaches 2.2 m
  const size = 2.36 * scale;
  return (
    <svg width={width + 40} height={height + 34} role="img" aria-label={t`A picture ${widthM.toFixed(1)} by ${heightM.toFixed(1)} metres`}>
      <clipPath id="frame">
        <rect x="2" y="2" width={width} height={height} rx="6" />
      </clipPath>
      <rect x="2" y="2" width={width} height={height} rx="6" fill={palette.white} stroke={palette.ink} strokeWidth="2.5" />
      <g clipPath="url(#frame)">
        <Figure movement={grown} size={size} behind={palette.white} place={{ x: 2 + width / 2 - size / 2, y: height - size * 0.94 }} />
      </g>
      <path
        d={`M4 ${String(height + 16)}H${String(4 + scale)}M4 ${String(height + 11)}v10M${String(4 + scale)} ${String(height + 11)}v10`}
        stroke={palette.soft}
      />
      <text x={10 + scale} y={height + 21} fontSize="13" fill={palette.soft}>
        1 m
      </text>
    </svg>
  );
}
