import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { LetterFacts, LetterKind, LetterResponse, LettersToWriteResponse } from '@leiter/contract';
import { groupBy } from '@leiter/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation, useParams } from 'react-router';
import { ApiError, api } from '../shared/api';
import { ChoiceRow, ChoiceRows } from '../shared/choice-row';
import { ButtonLink } from '../shared/button-link';
import { ChoiceBar } from '../shared/choice-bar';
import { languageNames } from '../shared/family/languages';
import type { LetterWords } from '../shared/family/letter-words';
import { newId } from '../shared/new-id';
import { Loaded, Message, Page, Panel, Refused } from '../shared/page';
import { palette } from '../shared/palette';
import { queryClient } from '../shared/query-client';
import { dayText } from '../shared/words';
import { kindWords, stateWords } from './parts/letter-state';
import { useProposals } from './parts/use-proposals';

/** Letters to the families of a class or a grading day: made from it, read, changed, and only then sent. */
function LettersPage() {
  const { id = '' } = useParams();
  const of = useLocation().pathname.startsWith('/gradings/') ? 'gradings' : 'classes';
  const query = useQuery({
    queryKey: ['letters', of, id],
    queryFn: () => api<LettersToWriteResponse>('GET', `${of}/${id}/letters`),
    retry: false,
  });
  return (
    <Loaded query={query} what={t`letters`}>
      {(page) => <Letters key={id} page={page} aboutId={id} back={`/${of}/${id}`} />}
    </Loaded>
  );
}

function Letters({ page, aboutId, back }: { readonly page: LettersToWriteResponse; readonly aboutId: string; readonly back: string }) {
  const { families, letters } = page;
  const [chosen, setChosen] = useState(families[0]?.childId ?? '');
  const [isOwn, setOwn] = useState(false);
  const [edited, setEdited] = useState<ReadonlyMap<string, LetterWords>>(new Map());
  // one id a letter, made before it is sent: pressed twice it goes out once
  const [ids, setIds] = useState<ReadonlyMap<string, string>>(() => new Map(families.map(({ childId }) => [childId, newId()])));
  const kindOf = (family: LetterFacts): LetterKind => (isOwn ? 'own' : (family.kinds[0] ?? 'own'));
  const proposals = useProposals(page, kindOf);
  const key = (family: LetterFacts): string => `${family.childId} ${kindOf(family)}`;
  const wordsOf = (family: LetterFacts): LetterWords | null => edited.get(key(family)) ?? proposals?.get(family.childId) ?? null;
  const sentTo = (family: LetterFacts): LetterResponse | undefined =>
    letters.find(({ childId, kind }) => childId === family.childId && kind === kindOf(family));
  const send = useMutation({
    mutationFn: async (some: readonly LetterFacts[]) => {
      for (const family of some) {
        const words = wordsOf(family);
        if (!words) continue;
        await api<LetterResponse>('PUT', `letters/${ids.get(family.childId) ?? newId()}`, {
          childId: family.childId,
          kind: kindOf(family),
          aboutId,
          language: family.language,
          ...words,
        });
        setIds((now) => new Map(now).set(family.childId, newId()));
      }
    },
    onSettled: () => queryClient.invalidateQueries({ queryKey: ['letters'] }),
  });
  const left = families.filter((family) => family.to.length > 0 && !sentTo(family));
  // an invitation to come does not go out with what those are told who come
  const kindsLeft = left.length > 1 ? [...groupBy(left, kindOf)] : [];
  const family = families.find(({ childId }) => childId === chosen) ?? families[0];
  return (
    <Page
      title={t`Letters to families`}
      about={`${page.title} · ${dayText(page.day)}`}
      actions={
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <ChoiceBar
            label={t`Which letter`}
            choices={[
              { value: 'made', words: t`Proposed` },
              { value: 'own', words: t`My own words` },
            ]}
            value={isOwn ? 'own' : 'made'}
            onChange={(value) => {
              setOwn(value === 'own');
            }}
          />
          <ButtonLink to={back}>
            <Trans>Back</Trans>
          </ButtonLink>
          <ButtonLink to="/letters">
            <Trans>All letters</Trans>
          </ButtonLink>
        </Box>
      }
    >
      {family ? (
        <>
          <Panel label={t`Families`} width={360}>
            <ChoiceRows>
              {families.map((one) => (
                <FamilyLine
                  key={one.childId}
                  family={one}
                  kind={kindOf(one)}
                  sent={sentTo(one)}
                  isChosen={one === family}
                  onChoose={() => {
                    setChosen(one.childId);
                  }}
                />
              ))}
            </ChoiceRows>
            {!isOwn &&
              kindsLeft.map(([kind, some]) => (
                <Button
                  key={kind}
                  fullWidth
                  variant="outlined"
                  sx={{ mt: 2 }}
                  disabled={send.isPending || proposals === null}
                  onClick={() => {
                    send.mutate(some);
                  }}
                >
                  {kindsLeft.length > 1 || some.length === 1
                    ? plural(some.length, { one: `Send # letter: ${kindWords(kind)}`, other: `Send # letters: ${kindWords(kind)}` })
                    : plural(some.length, { one: 'Send # letter', other: 'Send all # letters' })}
                </Button>
              ))}
          </Panel>
          <Panel label={t`The letter`}>
            <Refused
              error={
                send.error instanceof ApiError && send.error.problem?.errors ? new Error(send.error.problem.errors[0]?.message) : send.error
              }
            />
            <OneLetter
              key={key(family)}
              family={family}
              words={wordsOf(family)}
              sent={sentTo(family)}
              isSending={send.isPending}
              onChange={(words) => {
                setEdited((now) => new Map(now).set(key(family), words));
              }}
              onSend={() => {
                send.mutate([family]);
              }}
            />
          </Panel>
        </>
      ) : (
        <Message title={t`Nobody to write to`} text={t`No child is expected here.`} action={{ label: t`Back`, href: back }} />
      )}
    </Page>
  );
}

function FamilyLine({
  family,
  kind,
  sent,
  isChosen,
  onChoose,
}: {
  readonly family: LetterFacts;
  readonly kind: LetterKind;
  readonly sent: LetterResponse | undefined;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}) {
  return (
    <ChoiceRow isChosen={isChosen} onChoose={onChoose}>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <strong>{`${family.givenName} ${family.familyInitial}`}</strong>
        <Box sx={{ ml: 'auto', fontSize: 13.5, color: palette.soft }}>{languageNames[family.language]}</Box>
      </Box>
      <Box sx={{ fontSize: 13.5, color: family.to.length === 0 ? palette.caution : palette.soft }}>
        {sent ? stateWords(sent) : family.to.length === 0 ? t`${kindWords(kind)} – no address: copy the text` : kindWords(kind)}
      </Box>
    </ChoiceRow>
  );
}

function OneLetter({
  family,
  words,
  sent,
  isSending,
  onChange,
  onSend,
}: {
  readonly family: LetterFacts;
  readonly words: LetterWords | null;
  readonly sent: LetterResponse | undefined;
  readonly isSending: boolean;
  readonly onChange: (words: LetterWords) => void;
  readonly onSend: () => void;
}) {
  const [isCopied, setCopied] = useState(false);
  if (!words)
    return (
      <Box role="status" sx={{ color: palette.soft }}>
        <Trans>One moment …</Trans>
      </Box>
    );
  const { subject, body } = words;
  const isWhole = subject.trim() !== '' && body.trim() !== '';
  return (
    <Box sx={{ maxWidth: 720, display: 'grid', gap: 1.5 }}>
      <Box sx={{ fontSize: 14.5, color: palette.soft }}>
        {family.to.length > 0
          ? t`To ${family.to.join(', ')}`
          : t`No e-mail address of this family is kept. Copy the text, or add a contact on the child’s page.`}
      </Box>
      <TextField
        label={t`Subject`}
        value={subject}
        lang={family.language}
        onChange={(event) => {
          onChange({ subject: event.target.value.replaceAll('\n', ' '), body });
        }}
      />
      <TextField
        label={t`Text`}
        multiline
        minRows={10}
        value={body}
        lang={family.language}
        onChange={(event) => {
          onChange({ subject, body: event.target.value });
        }}
      />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        {family.to.length > 0 && (
          <Button variant="contained" disabled={isSending || !isWhole} onClick={onSend}>
            {sent ? t`Send it once more` : t`Send it to the family of ${family.givenName}`}
          </Button>
        )}
        <Button
          variant="outlined"
          onClick={() => {
            void navigator.clipboard.writeText(`${subject}\n\n${body}`).then(
              () => {
                setCopied(true);
              },
              () => undefined,
            );
          }}
        >
          {isCopied ? t`Copied` : t`Copy the text`}
        </Button>
        {family.to.length > 0 && (
          <a
            href={`mailto:${family.to.map(encodeURIComponent).join(',')}?subject=${encodeURIComponent(subject)}&body=${encodeURIComponent(body)}`}
          >
            <Trans>In my own mail program</Trans>
          </a>
        )}
      </Box>
      {sent && (
        <Typography variant="body2" sx={{ color: palette.soft }}>
          {stateWords(sent)}
          {sent.whyNot !== null && ` – ${sent.whyNot}`}
        </Typography>
      )}
    </Box>
  );
}

export { LettersPage as Page };
