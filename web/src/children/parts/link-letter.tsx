import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { FamilyLanguage, LetterResponse } from '@leiter/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../shared/api';
import { familyTexts } from '../../shared/family/family-texts';
import { linkLetter } from '../../shared/family/letter-words';
import { newId } from '../../shared/new-id';
import { Refused } from '../../shared/page';
import { palette } from '../../shared/palette';

/** Sends the link of its page to a family, by Leiter or by one's own mail program. */
export function LinkLetter({
  childId,
  childName,
  language,
  to,
  link,
}: {
  readonly childId: string;
  readonly childName: string;
  readonly language: FamilyLanguage;
  readonly to: readonly string[];
  readonly link: string;
}) {
  const [id] = useState(newId);
  const words = useQuery({
    queryKey: ['link-letter', language, childName, link],
    queryFn: async () => linkLetter(await familyTexts(language), childName, link),
    staleTime: Infinity,
    // a link is told once and kept nowhere
    gcTime: 0,
  });
  const send = useMutation({
    mutationFn: () => api<LetterResponse>('PUT', `letters/${id}`, { childId, kind: 'link', language, ...words.data }),
  });
  if (!words.data) return null;
  const { subject, body } = words.data;
  return (
    <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center', my: 1 }}>
      <Refused error={send.error} />
      <Button
        size="small"
        variant="contained"
        disabled={send.isPending || send.isSuccess}
        onClick={() => {
          send.mutate();
        }}
      >
        {send.isSuccess ? t`Written` : t`Send it to ${to.join(', ')}`}
      </Button>
      {send.data?.state === 'caught' && (
        <Box sx={{ fontSize: 14, color: palette.caution }}>
          <Trans>No mail server is set: it lies in Leiter’s mailbox.</Trans>
        </Box>
      )}
      <a href={`mailto:${to.map(encodeURIComponent).join(',')}?subject=${encodeURIComponent(subject)}&body=${encodeURIComponent(body)}`}>
        <Trans>In my own mail program</Trans>
      </a>
    </Box>
  );
}
