import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ChildResponse, Consent, ConsentKind, FamilyContact, HomeLinkMade, HomeLinkResponse, Practice } from '@leiter/contract';
import { groupBy, type Library, type PracticeFeeling } from '@leiter/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { LinkLetter } from './link-letter';
import { api } from '../../shared/api';
import { CopyLink } from '../../shared/copy-link';
import { Refused } from '../../shared/page';
import { palette } from '../../shared/palette';
import { queryClient } from '../../shared/query-client';
import { dateText } from '../../shared/words';

const consentWords: Readonly<Record<ConsentKind, string>> = { pictures: t`pictures`, clips: t`clips`, badges: t`badges to be verified` };
const feelingWords: Readonly<Record<PracticeFeeling, string>> = { well: t`well`, hard: t`hard`, hurt: t`it hurt` };

/** The page of the family: its link, made and ended here; what was practised at home; what the family allows. */
export function FamilyPage({
  child: { id: childId, givenName: childName, familyLanguage },
  contacts,
  library,
  mayChange,
}: {
  readonly child: Pick<ChildResponse, 'id' | 'givenName' | 'familyLanguage'>;
  readonly contacts: readonly FamilyContact[];
  readonly library: Library;
  readonly mayChange: boolean;
}) {
  const key = ['child', childId, 'home'];
  const addresses = contacts.flatMap(({ email }) => email ?? []);
  // who is not of its staff is not told: then nothing stands here
  const about = useQuery({ queryKey: key, queryFn: () => api<HomeLinkResponse>('GET', `children/${childId}/home`), retry: false });
  const [token, setToken] = useState<string | null>(null);
  const make = useMutation({
    mutationFn: () => api<HomeLinkMade>('POST', `children/${childId}/home`),
    onSuccess: (made) => {
      setToken(made.token);
      void queryClient.invalidateQueries({ queryKey: key });
    },
  });
  const end = useMutation({
    mutationFn: () => api<undefined>('DELETE', `children/${childId}/home`),
    onSuccess: () => {
      setToken(null);
      void queryClient.invalidateQueries({ queryKey: key });
    },
  });
  if (!about.data) return null;
  const { madeAt, lastOpenedAt, practice, consents } = about.data;
  return (
    <Box component="section" aria-label={t`The family’s page`} sx={{ mb: 2.5 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>The family’s page</Trans>
      </Typography>
      <Box sx={{ color: palette.soft, fontSize: 14.5, mb: 1 }}>
        {madeAt === null
          ? t`What comes next, the home task with a counter, the ladder and bests, on the family’s phone – of this child alone, without an account.`
          : lastOpenedAt === null
            ? t`Link made on ${dateText(madeAt.slice(0, 10))}; not opened yet.`
            : t`Link made on ${dateText(madeAt.slice(0, 10))}; opened last on ${dateText(lastOpenedAt.slice(0, 10))}.`}
      </Box>
      <Refused error={make.error ?? end.error} />
      {token !== null && (
        <>
          <CopyLink label={t`Link for the family`} path={`/home#${token}`} />
          {addresses.length > 0 && (
            <LinkLetter
              childId={childId}
              childName={childName}
              language={familyLanguage ?? 'en'}
              to={addresses}
              link={`${window.location.origin}/home#${token}`}
            />
          )}
          <Box sx={{ color: palette.soft, fontSize: 14, mb: 1 }}>
            <Trans>It is shown this once. Send it to the family alone; a new one ends it.</Trans>
            {/^(?:127\.0\.0\.1|localhost|\[::1\])$/.test(window.location.hostname) && (
              <Box sx={{ color: palette.caution }}>
                <Trans>
                  Leiter is only reached from this machine at the moment: a family’s phone opens this page once Leiter has an address of its
                  own.
                </Trans>
              </Box>
            )}
          </Box>
        </>
      )}
      {mayChange && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}>
          <Button
            size="small"
            variant="outlined"
            disabled={make.isPending}
            onClick={() => {
              make.mutate();
            }}
          >
            {madeAt === null ? t`Make the link` : t`Make a new link`}
          </Button>
          {madeAt !== null && (
            <Button
              size="small"
              variant="outlined"
              disabled={end.isPending}
              onClick={() => {
                end.mutate();
              }}
            >
              <Trans>End the link</Trans>
            </Button>
          )}
        </Box>
      )}
      {consents.some(({ kind, isGiven }) => kind === 'clips' && isGiven) && (
        <Box sx={{ fontSize: 14.5, mb: 1 }}>
          <Link to={`/children/${childId}/clips`}>{t`Clips that ${childName} sent`}</Link>
        </Box>
      )}
      <Practised practice={practice} library={library} />
      <Allowed consents={consents} />
    </Box>
  );
}

/** Practice of four weeks, by movement; what hurt stands first and by itself. */
function Practised({ practice, library }: { readonly practice: readonly Practice[]; readonly library: Library }) {
  if (practice.length === 0) return null;
  const nameOf = (slug: string): string => library.get(slug)?.name ?? slug;
  const hurt = practice.filter(({ feeling }) => feeling === 'hurt');
  return (
    <Box sx={{ fontSize: 14.5, mb: 1 }}>
      {hurt.map(({ id, movement, day }) => (
        <Box key={id} sx={{ color: palette.stop }}>
          {t`It hurt: ${nameOf(movement)}, ${dateText(day)}`}
        </Box>
      ))}
      {[...groupBy(practice, ({ movement }) => movement)].map(([movement, own]) => (
        <Box key={movement} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.5 }}>
          {t`${nameOf(movement)}: practised ${plural(own.length, { one: 'once', other: '# times' })} in four weeks, the last time ${dateText(own[0]?.day ?? '')}, ${feelingWords[own[0]?.feeling ?? 'well']}`}
        </Box>
      ))}
    </Box>
  );
}

function Allowed({ consents }: { readonly consents: readonly Consent[] }) {
  if (consents.length === 0) return null;
  return (
    <Box sx={{ fontSize: 14.5 }}>
      {consents.map(({ kind, isGiven, at, by }) => (
        <Box key={kind} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.5 }}>
          {isGiven
            ? t`Allowed: ${consentWords[kind]}, ${dateText(at.slice(0, 10))}, ${by ?? t`by the family`}`
            : t`Not allowed: ${consentWords[kind]}, since ${dateText(at.slice(0, 10))}, ${by ?? t`by the family`}`}
        </Box>
      ))}
    </Box>
  );
}
