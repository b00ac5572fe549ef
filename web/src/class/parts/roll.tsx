import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ClassPageResponse } from '@leiter/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link } from 'react-router';
import { AttendanceChoice } from '../../marking/attendance-choice';
import { sayAttendance, setRoll } from '../../queries/class.queries';
import { palette } from '../../shared/palette';
import { offerUndo } from '../../shared/undo-bar';
import { FromTheCall } from './from-the-call';

/** Who was there; before the class, who told that it does not come. At any time, also the day after. */
export function Roll({ page }: { readonly page: ClassPageResponse }) {
  const { class: session, children } = page;
  const [isFromCall, setFromCall] = useState(false);
  const unsaid = children.filter(({ attendance: status }) => status === null);
  const there = children.filter(({ attendance: status }) => status === 'present' || status === 'late').length;
  return (
    <Box component="section" aria-label={t`Roll`} sx={{ mb: 3 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mb: 0.5 }}>
        <Typography variant="h2" sx={{ mr: 'auto' }}>
          <Trans>Who was there</Trans>
        </Typography>
        {children.length > 0 && (
          <Button
            variant="outlined"
            onClick={() => {
              setFromCall(true);
            }}
          >
            <Trans>From the call</Trans>
          </Button>
        )}
        {unsaid.length > 0 && children.length > 0 && (
          <Button
            variant="outlined"
            onClick={() => {
              const ids = unsaid.map(({ id }) => id);
              void setRoll(session.id, ids, 'present').then(() => {
                offerUndo(t`${plural(ids.length, { one: '# child is', other: '# children are' })} down as there`, () =>
                  setRoll(session.id, ids, null),
                );
              });
            }}
          >
            {unsaid.length === children.length ? t`All there` : t`All others there`}
          </Button>
        )}
      </Box>
      {isFromCall && (
        <FromTheCall
          page={page}
          onClose={() => {
            setFromCall(false);
          }}
        />
      )}
      <Typography variant="body2" sx={{ color: palette.soft, mb: 0.5 }}>
        {children.length === 0
          ? t`Nobody is in this group yet.`
          : t`${there} of ${children.length} there${unsaid.length > 0 ? t`, ${unsaid.length} not said` : ''}`}
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {children.map((child) => (
          <Box
            component="li"
            key={child.id}
            sx={{ borderTop: `1px solid ${palette.line}`, py: 0.4, display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}
          >
            <Box sx={{ flex: 1, minWidth: 110, overflowWrap: 'anywhere' }}>
              <Link to={`/children/${child.id}`}>{child.name}</Link>
            </Box>
            <AttendanceChoice
              child={child}
              onChosen={(status) => {
                sayAttendance(session.id, { childId: child.id, status });
              }}
            />
          </Box>
        ))}
      </Box>
    </Box>
  );
}
