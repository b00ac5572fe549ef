import { plural, t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import { palette } from '../palette';
import type { PaperState } from './use-paper';

/** How far the file is, or why it did not come. */
export function PaperProgress({ paper: { progress, failed } }: { readonly paper: PaperState }) {
  if (failed !== null)
    return (
      <Box role="alert" sx={{ color: palette.stop, fontSize: 14, mt: 1 }}>
        {failed}
      </Box>
    );
  if (!progress || progress.of === 0) return null;
  const { set, of } = progress;
  return (
    <Box sx={{ mt: 1, maxWidth: 280, fontSize: 14 }}>
      {/* before the first page is set all of them are measured */}
      <LinearProgress
        variant={set === 0 ? 'indeterminate' : 'determinate'}
        value={(set / of) * 100}
        aria-label={t`Certificates that are set`}
      />
      {plural(of, { one: `${set} of # set`, other: `${set} of # set` })}
    </Box>
  );
}
