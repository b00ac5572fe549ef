import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { BadgeResponse } from '@leiter/contract';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useParams } from 'react-router';
import { api, ApiError } from '../shared/api';
import { LadderMark } from '../shared/ladder-mark';
import { Loaded } from '../shared/page';
import { palette } from '../shared/palette';
import { dateText } from '../shared/words';

/** Where the code on a certificate and a badge lead to: whether the club stands by it, and no more than the family allows. */
function VerifyPage() {
  const { id = '' } = useParams();
  const badge = useQuery({
    queryKey: ['badge', id],
    queryFn: () => api<BadgeResponse>('GET', `badges/${encodeURIComponent(id)}`),
    retry: false,
  });
  useEffect(() => {
    document.title = t`Is it genuine? – Leiter`;
  }, []);
  return (
    <Box component="main" sx={{ maxWidth: 560, mx: 'auto', p: { xs: 2, md: 5 } }}>
      {badge.error instanceof ApiError && (badge.error.status === 404 || badge.error.status === 400) ? (
        <>
          <Typography variant="h1" sx={{ color: palette.stop, mb: 1 }}>
            <Trans>Not known here</Trans>
          </Typography>
          <Typography>
            <Trans>No certificate and no badge has this address. Is the address complete?</Trans>
          </Typography>
        </>
      ) : (
        <Loaded query={badge} what={t`certificate`}>
          {(found) => <Verdict badge={found} id={id} />}
        </Loaded>
      )}
    </Box>
  );
}

function Verdict({ badge, id }: { readonly badge: BadgeResponse; readonly id: string }) {
  const { clubName, grade, isSigned } = badge;
  if (!grade)
    return (
      <>
        <Typography variant="h1" sx={{ color: palette.stop, mb: 1 }}>
          <Trans>Not valid any more</Trans>
        </Typography>
        <Typography>
          <Trans>{clubName} gave this once and has taken it back, or was asked to forget it.</Trans>
        </Typography>
      </>
    );
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', color: palette.primary, mb: 0.5 }}>
        <LadderMark size={30} filled={3} />
        <Typography variant="h1">
          <Trans>Genuine</Trans>
        </Typography>
      </Box>
      <Typography sx={{ mb: 2.5, color: palette.soft }}>
        <Trans>{clubName} says so itself, at this moment.</Trans>
      </Typography>
      {isSigned && (
        <img
          src={`/api/badges/${id}/badge.svg`}
          alt={t`The badge of ${grade.name}`}
          width={200}
          height={200}
          style={{ display: 'block', marginBottom: 20 }}
        />
      )}
      <Typography sx={{ fontSize: 20 }}>
        {grade.childName === null ? (
          <Trans>
            A child of {clubName} was given the grade <strong>{grade.name}</strong> in {grade.programmeName} on {dateText(grade.awardedOn)}.
          </Trans>
        ) : (
          <Trans>
            <strong>{grade.childName}</strong> was given the grade <strong>{grade.name}</strong> in {grade.programmeName} on{' '}
            {dateText(grade.awardedOn)}.
          </Trans>
        )}
      </Typography>
      {grade.childName === null && (
        <Typography sx={{ mt: 0.5, color: palette.soft, fontSize: 15 }}>
          <Trans>The name is not shown: the family has not allowed it.</Trans>
        </Typography>
      )}
      {grade.shown.length > 0 && (
        <>
          <Typography variant="h2" sx={{ mt: 3, mb: 0.5 }}>
            <Trans>What was shown</Trans>
          </Typography>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {grade.shown.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </Box>
        </>
      )}
      {isSigned && (
        <Box sx={{ mt: 3, display: 'flex', gap: 2.5, flexWrap: 'wrap' }}>
          <a href={`/api/badges/${id}/badge.svg`} download={`${grade.name}.svg`}>
            <Trans>Keep the badge (SVG)</Trans>
          </a>
          <a href={`/api/badges/${id}/credential`}>
            <Trans>The signed text of it (Open Badges 3.0)</Trans>
          </a>
        </Box>
      )}
    </>
  );
}

export { VerifyPage as Page };
