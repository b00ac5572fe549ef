import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { LetterResponse, LettersResponse } from '@leiter/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '../shared/api';
import { ChoiceRow, ChoiceRows } from '../shared/choice-row';
import { languageNames } from '../shared/family/languages';
import { Loaded, Message, Page, Panel, Refused } from '../shared/page';
import { palette } from '../shared/palette';
import { queryClient } from '../shared/query-client';
import { kindWords, stateWords } from './parts/letter-state';

/** Every letter that was written from here: sent, on its way, or caught where no mail server is set. */
function MailboxPage() {
  const query = useQuery({ queryKey: ['letters', 'all'], queryFn: () => api<LettersResponse>('GET', 'letters'), refetchInterval: 10_000 });
  return (
    <Loaded query={query} what={t`letters`}>
      {(page) => <Mailbox page={page} />}
    </Loaded>
  );
}

function Mailbox({ page: { isSent, letters } }: { readonly page: LettersResponse }) {
  const [chosen, setChosen] = useState<string | null>(null);
  const letter = letters.find(({ id }) => id === chosen) ?? letters[0];
  return (
    <Page title={t`Letters`} about={plural(letters.length, { one: '# letter', other: '# letters' })}>
      <Panel label={t`Letters`} width={420}>
        {!isSent && (
          <Typography variant="body2" sx={{ color: palette.caution, backgroundColor: palette.cautionPaper, p: 1.25, mb: 1.5 }}>
            <Trans>No mail server is set: letters are kept here and go to nobody. Copy them, or set LEITER_SMTP_URL.</Trans>
          </Typography>
        )}
        <ChoiceRows>
          {letters.map((one) => (
            <ChoiceRow
              key={one.id}
              isChosen={one === letter}
              onChoose={() => {
                setChosen(one.id);
              }}
            >
              <strong>{one.subject}</strong>
              <Box
                sx={{
                  fontSize: 13.5,
                  color: one.state === 'failed' || one.state === 'unsure' ? palette.stop : palette.soft,
                }}
              >
                {t`family of ${one.childName}`} · {stateWords(one)}
              </Box>
            </ChoiceRow>
          ))}
        </ChoiceRows>
        {letters.length === 0 && (
          <Message
            title={t`Nothing was written yet`}
            text={t`Letters are made from a class or a grading day: open one and choose Letters.`}
          />
        )}
      </Panel>
      <Panel label={t`The letter`}>{letter && <OneLetter letter={letter} />}</Panel>
    </Page>
  );
}

function OneLetter({ letter }: { readonly letter: LetterResponse }) {
  const again = useMutation({
    mutationFn: () => api<undefined>('POST', `letters/${letter.id}/again`),
    onSettled: () => queryClient.invalidateQueries({ queryKey: ['letters'] }),
  });
  return (
    <Box sx={{ maxWidth: 720 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {letter.subject}
      </Typography>
      <Box sx={{ fontSize: 14.5, color: palette.soft, mb: 2 }}>
        <Link to={`/children/${letter.childId}`}>{letter.childName}</Link> · {letter.to.join(', ')} · {languageNames[letter.language]} ·{' '}
        {kindWords(letter.kind)}
        {letter.writtenBy !== null && t` · written by ${letter.writtenBy}`}
        <div>
          {stateWords(letter)}
          {letter.whyNot !== null && ` – ${letter.whyNot}`}
        </div>
      </Box>
      <Refused error={again.error} />
      {(letter.state === 'failed' || letter.state === 'unsure') && (
        <Button
          variant="outlined"
          sx={{ mb: 2 }}
          disabled={again.isPending}
          onClick={() => {
            again.mutate();
          }}
        >
          <Trans>Send it again</Trans>
        </Button>
      )}
      <Box lang={letter.language} sx={{ whiteSpace: 'pre-wrap', overflowWrap: 'anywhere', lineHeight: 1.5 }}>
        {letter.body}
      </Box>
    </Box>
  );
}

export { MailboxPage as Page };
