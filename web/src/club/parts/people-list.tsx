import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { InvitationResponse, MadeInvitation, PersonResponse, Role } from '@leiter/contract';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Refused } from '../../shared/page';
import { palette } from '../../shared/palette';
import { TextButton } from '../../shared/text-button';
import { dateText } from '../../shared/words';
import { changePerson, makeResetLink, useInvitations, withdrawInvitation } from '../../queries/people.queries';
import { roleWords } from './role-words';
import { InviteDialog, LinkDialog } from './invite-dialog';

const roles = Object.keys(roleWords) as Role[]; // the keys of the record are its type

/** The people who work in the club; the owner invites, changes and puts away. */
export function PeopleList({
  people,
  isOwner,
  ownId,
}: {
  readonly people: readonly PersonResponse[];
  readonly isOwner: boolean;
  readonly ownId: string;
}) {
  const [isInviting, setInviting] = useState(false);
  const [isShowingAway, setShowingAway] = useState(false);
  const invitations = useInvitations({ isWanted: isOwner });
  const away = people.filter(({ isPutAway }) => isPutAway);
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'center', mb: 1 }}>
        <Typography variant="h2" sx={{ mr: 'auto' }}>
          <Trans>People</Trans>
        </Typography>
        {isOwner && (
          <Button
            variant="outlined"
            onClick={() => {
              setInviting(true);
            }}
          >
            <Trans>Invite a person</Trans>
          </Button>
        )}
      </Box>
      <Box component="ul" aria-label={t`People`} sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {people
          .filter(({ isPutAway }) => !isPutAway || isShowingAway)
          .map((person) => (
            <Person key={person.id} person={person} isOwner={isOwner} isSelf={person.id === ownId} />
          ))}
      </Box>
      {away.length > 0 && (
        <TextButton
          label={isShowingAway ? t`Hide those put away` : t`Show those put away (${away.length})`}
          onClick={() => {
            setShowingAway(!isShowingAway);
          }}
        />
      )}
      {(invitations.data ?? []).length > 0 && (
        <>
          <Typography variant="h3" sx={{ mt: 3, mb: 0.5 }}>
            <Trans>Links on their way</Trans>
          </Typography>
          <Box component="ul" aria-label={t`Invitations`} sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {(invitations.data ?? []).map((one) => (
              <Invitation key={one.id} invitation={one} />
            ))}
          </Box>
        </>
      )}
      {isInviting && (
        <InviteDialog
          onClose={() => {
            setInviting(false);
          }}
        />
      )}
    </>
  );
}

function Person({ person, isOwner, isSelf }: { readonly person: PersonResponse; readonly isOwner: boolean; readonly isSelf: boolean }) {
  const [isOpen, setOpen] = useState(false);
  const [made, setMade] = useState<MadeInvitation | null>(null);
  const change = useMutation({ mutationFn: (request: { role?: Role; isPutAway?: boolean }) => changePerson(person.id, request) });
  const reset = useMutation({ mutationFn: () => makeResetLink(person.id), onSuccess: setMade });
  return (
    <Box component="li" sx={{ borderTop: `1px solid ${palette.line}`, py: 1, opacity: person.isPutAway ? 0.75 : 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Box sx={{ mr: 'auto', minWidth: 0 }}>
          {person.name}, {person.isPutAway ? t`put away` : person.role}
          <Box sx={{ fontSize: 13.5, color: palette.soft, overflowWrap: 'anywhere' }}>{person.email}</Box>
        </Box>
        {isOwner && (
          <Button
            size="small"
            variant="outlined"
            aria-expanded={isOpen}
            aria-label={t`Change ${person.name}`}
            onClick={() => {
              setOpen(!isOpen);
            }}
          >
            <Trans>Change</Trans>
          </Button>
        )}
      </Box>
      {isOpen && (
        <Box sx={{ display: 'grid', gap: 1.25, justifyItems: 'start', py: 1.25 }}>
          <Refused error={change.error ?? reset.error} />
          <TextField
            select
            size="small"
            label={t`Role`}
            value={person.role}
            disabled={change.isPending || person.isPutAway}
            onChange={(event) => {
              const role = roles.find((one) => one === event.target.value);
              if (role) change.mutate({ role });
            }}
            sx={{ minWidth: 160 }}
          >
            {roles.map((role) => (
              <MenuItem key={role} value={role}>
                {role}
              </MenuItem>
            ))}
          </TextField>
          {!person.isPutAway && !isSelf && (
            <Button
              size="small"
              variant="outlined"
              disabled={reset.isPending}
              onClick={() => {
                reset.mutate();
              }}
            >
              <Trans>Make a link for a new password</Trans>
            </Button>
          )}
          <Button
            size="small"
            variant="outlined"
            disabled={change.isPending}
            onClick={() => {
              change.mutate({ isPutAway: !person.isPutAway });
            }}
          >
            {person.isPutAway ? t`Bring back` : t`Put away: works here no more`}
          </Button>
          <Typography variant="caption">
            {person.isPutAway
              ? t`Brought back, the person signs in with the same password.`
              : t`Put away, the person is signed out at once. What they wrote stays, and they can be brought back.`}
          </Typography>
        </Box>
      )}
      {made && (
        <LinkDialog
          made={made}
          onClose={() => {
            setMade(null);
          }}
        />
      )}
    </Box>
  );
}

function Invitation({ invitation }: { readonly invitation: InvitationResponse }) {
  const withdraw = useMutation({ mutationFn: () => withdrawInvitation(invitation.id) });
  return (
    <Box component="li" sx={{ borderTop: `1px solid ${palette.line}`, py: 1, fontSize: 14.5 }}>
      {invitation.name}: {invitation.kind === 'join' ? t`to join as ${invitation.role}` : t`a new password`}
      <Box sx={{ fontSize: 13.5, color: palette.soft }}>
        <Trans>good until {dateText(invitation.endsAt.slice(0, 10))}</Trans>
      </Box>
      <Refused error={withdraw.error} />
      <TextButton
        label={t`Take the link for ${invitation.name} back`}
        onClick={() => {
          withdraw.mutate();
        }}
      />
    </Box>
  );
}
