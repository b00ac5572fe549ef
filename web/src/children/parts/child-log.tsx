import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ChildLogEntry } from '@leiter/contract';
import { palette } from '../../shared/palette';
import { dateText } from '../../shared/words';
import { logWords } from '../../shared/log-words';

/** Who changed who sees the child, and who wrote or handed out what is kept of it. */
export function ChildLog({ log }: { readonly log: readonly ChildLogEntry[] }) {
  if (log.length === 0) return null;
  return (
    <Box component="section" aria-label={t`What was done`} sx={{ mb: 3 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>What was done</Trans>
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, fontSize: 14 }}>
        {log.slice(0, 8).map((entry) => (
          <Box
            component="li"
            key={`${entry.at} ${entry.kind} ${JSON.stringify(entry.detail)}`}
            sx={{ borderTop: `1px solid ${palette.line}`, py: 0.6 }}
          >
            {logWords(entry)}
            <Box sx={{ color: palette.soft, fontSize: 13 }}>
              {dateText(entry.at.slice(0, 10))}, {entry.by ?? t`somebody who is gone`}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
