import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { palette } from '../../shared/palette';
import type { Music } from './use-music';

/** What plays until the class begins: a file of one's own, or a beat. */
export function DoorMusic({ music }: { readonly music: Music }) {
  const { chosen, tracks } = music;
  return (
    <Box
      component="select"
      aria-label={t`Music until it begins`}
      value={chosen === null ? '' : chosen.kind === 'file' ? chosen.id : 'beat'}
      onChange={(event) => {
        const { value } = event.target;
        music.choose(value === '' ? null : value === 'beat' ? { kind: 'beat', bpm: 100, metre: 4 } : { kind: 'file', id: value });
      }}
      sx={{
        ml: 'auto',
        p: '8px 12px',
        font: 'inherit',
        fontSize: 16,
        color: palette.cream,
        backgroundColor: palette.nightShade,
        border: '1px solid #4A5A5F',
        borderRadius: '4px',
      }}
    >
      <option value="">{t`no music`}</option>
      <option value="beat">{t`a quiet beat`}</option>
      {tracks.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </Box>
  );
}
