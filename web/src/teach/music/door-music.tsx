import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { DarkSelect } from '../../shared/dark-select';
import type { Music } from './use-music';

/** What plays until the class begins: a file of one's own, or a beat. */
export function DoorMusic({ music }: { readonly music: Music }) {
  const { chosen, tracks } = music;
  return (
    <Box sx={{ ml: 'auto' }}>
      <DarkSelect
        label={t`Music until it begins`}
        value={chosen === null ? '' : chosen.kind === 'file' ? chosen.id : 'beat'}
        onChoose={(value) => {
          music.choose(value === '' ? null : value === 'beat' ? { kind: 'beat', bpm: 100, metre: 4 } : { kind: 'file', id: value });
        }}
        options={[['', t`no music`], ['beat', t`a quiet beat`], ...tracks.map(({ id, name }) => [id, name] as const)]}
      />
    </Box>
  );
}
