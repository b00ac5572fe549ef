import { Trans } from '@lingui/react/macro';
import Typography from '@mui/material/Typography';
import { checksTold, type ClubRules } from '@leiter/core';
import { Link } from 'react-router';

/** What nobody looks for in this club: whoever reads that nothing is to mend has to know it. */
export function TurnedOff({ rules }: { readonly rules: ClubRules }) {
  const off = checksTold.filter(({ id }) => rules.off.some(({ check }) => check === id)).map(({ title }) => title);
  if (off.length === 0) return null;
  return (
    <Typography variant="body2" sx={{ mt: 1 }}>
      <Trans>
        Not looked for in your club: {off.join(', ')}. <Link to="/club/checks">Checks</Link>
      </Trans>
    </Typography>
  );
}
