import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { CalendarLinkMade, CalendarLinkResponse } from '@leiter/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../shared/api';
import { CopyLink } from '../shared/copy-link';
import { Refused } from '../shared/page';
import { palette } from '../shared/palette';
import { queryClient } from '../shared/query-client';
import { dateText } from '../shared/words';

const key = ['calendar-link'];

/** The link by which one's own calendar follows the classes: shown once, when it is made; made anew and ended here. */
export function CalendarLink() {
  const link = useQuery({ queryKey: key, queryFn: () => api<CalendarLinkResponse>('GET', 'calendar-link') });
  const [token, setToken] = useState<string | null>(null);
  const make = useMutation({
    mutationFn: () => api<CalendarLinkMade>('POST', 'calendar-link'),
    onSuccess: (made) => {
      setToken(made.token);
      void queryClient.invalidateQueries({ queryKey: key });
    },
  });
  const end = useMutation({
    mutationFn: () => api<undefined>('DELETE', 'calendar-link'),
    onSuccess: () => {
      setToken(null);
      void queryClient.invalidateQueries({ queryKey: key });
    },
  });
  const madeAt = link.data?.madeAt ?? null;
  return (
    <Box component="section" aria-label={t`Your calendar`} sx={{ mt: 4, maxWidth: 720 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>Your calendar</Trans>
      </Typography>
      <Typography sx={{ mb: 1.5, color: palette.soft }}>
        <Trans>
          Subscribe to your classes in the calendar of your phone or computer: it follows what is moved, added or does not take place. No
          child is named in it. Who has the link sees your classes: keep it to yourself.
        </Trans>
      </Typography>
      <Refused error={make.error ?? end.error} />
      {token !== null && <CopyLink label={t`Address to subscribe to`} path={`/api/calendars/${token}.ics`} />}
      <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', alignItems: 'center', mt: 1 }}>
        <Button
          variant="outlined"
          disabled={make.isPending}
          onClick={() => {
            make.mutate();
          }}
        >
          {madeAt === null ? t`Make a link` : t`Make a new link`}
        </Button>
        {madeAt !== null && (
          <>
            <Button
              variant="outlined"
              disabled={end.isPending}
              onClick={() => {
                end.mutate();
              }}
            >
              <Trans>End the link</Trans>
            </Button>
            <span style={{ color: palette.soft }}>
              {token === null
                ? t`A link was made on ${dateText(madeAt.slice(0, 10))}; it is not shown again. A new one ends it.`
                : t`It is shown this once. A new one ends it.`}
            </span>
          </>
        )}
      </Box>
    </Box>
  );
}
