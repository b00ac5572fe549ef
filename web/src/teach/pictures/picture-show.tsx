import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { useEffect, useState } from 'react';
import { palette } from '../../shared/palette';
import { Picture } from './picture';
import type { DoorPicture } from './use-door-pictures';

const each = 8000;

/** The pictures of families at the door, one after the other, each once. */
export function PictureShow({ pictures, onEnd }: { readonly pictures: readonly DoorPicture[]; readonly onEnd: () => void }) {
  const [at, setAt] = useState(0);
  useEffect(() => {
    const timer = setTimeout(() => {
      if (at + 1 < pictures.length) setAt(at + 1);
      else onEnd();
    }, each);
    return () => {
      clearTimeout(timer);
    };
  }, [at, pictures.length, onEnd]);
  const picture = pictures[at];
  if (!picture) return null;
  return (
    <Box
      component="section"
      aria-label={t`Pictures from families`}
      sx={{ minHeight: 0, display: 'grid', gridTemplateRows: '1fr auto', gap: 1 }}
    >
      <Box sx={{ minHeight: 0, minWidth: 0 }}>
        <Picture key={picture.id} picture={picture} label={t`picture ${at + 1} of ${pictures.length}`} />
      </Box>
      <Box sx={{ display: 'flex', gap: '6px', justifyContent: 'center' }}>
        {pictures.map(({ id }, index) => (
          <Box key={id} sx={{ width: 26, height: 4, backgroundColor: index <= at ? palette.cream : palette.nightLine }} />
        ))}
      </Box>
    </Box>
  );
}
