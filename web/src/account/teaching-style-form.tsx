import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { teachingStyles, type TeachingStyle } from '@leiter/core';
import { useSaveStyle } from '../queries/session.queries';
import { palette } from '../shared/palette';
import { styleAbout, styleWords } from '../shared/words';

/** How one teaches: nothing moves the reckoning of a class as much. Saved as it is chosen. */
export function TeachingStyleForm({ style }: { readonly style: TeachingStyle }) {
  const save = useSaveStyle();
  const shown = save.isPending ? save.variables : style;
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, mt: 4, maxWidth: 620 }}>
      <Typography component="legend" variant="h2" sx={{ mb: 0.5, p: 0 }}>
        <Trans>How you teach</Trans>
      </Typography>
      <Typography variant="body2" sx={{ mb: 1.5, color: palette.soft }}>
        <Trans>
          Explaining decides the length of a class more than anything that is done. Your plans are reckoned with what you choose here; a
          plan can differ.
        </Trans>
      </Typography>
      {teachingStyles.map((one) => (
        <Box
          key={one}
          component="label"
          sx={{
            display: 'grid',
            gridTemplateColumns: '24px 150px 1fr',
            alignItems: 'start',
            py: 1,
            borderTop: `1px solid ${palette.line}`,
            cursor: 'pointer',
          }}
        >
          <input
            type="radio"
            name="style"
            value={one}
            checked={shown === one}
            onChange={() => {
              save.mutate(one);
            }}
            style={{ marginTop: 2 }}
          />
          <strong>{styleWords[one]}</strong>
          <span>{styleAbout[one]}</span>
        </Box>
      ))}
      <Box role="status" sx={{ fontSize: 14, color: save.isError ? palette.stop : palette.primary, minHeight: 22, mt: 0.5 }}>
        {save.isError && t`It could not be saved. Choose again in a moment.`}
        {save.isSuccess && t`Saved: your plans are reckoned with it.`}
      </Box>
    </Box>
  );
}
