import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { GradingChild, GradingPageResponse } from '@leiter/contract';
import { agreementOf, findingsOf, type Library } from '@leiter/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../../queries/may';
import { useSession } from '../../queries/session.queries';
import { ChoiceBar } from '../../shared/choice-bar';
import { Message, Panel, Refused } from '../../shared/page';
import { palette } from '../../shared/palette';
import { PaperButton } from '../../shared/paper/paper-button';
import { onPhone } from '../../shared/screen';
import { ReasonForm } from '../../shared/reason-form';
import { TextButton } from '../../shared/text-button';
import { closeGrading, reopenGrading } from '../../queries/grading.queries';
import { missingWords, requirementName } from '../grading-words';

interface Choice {
  readonly isGranted: boolean;
  readonly reason: string;
}

/** What the marks come to, child by child, and what is given. */
export function Outcome({ page, library }: { readonly page: GradingPageResponse; readonly library: Library }) {
  const { grading, children, marks } = page;
  const may = useMay();
  const today = useSession().data?.today ?? '';
  const [choices, setChoices] = useState<Readonly<Record<string, Choice>>>({});
  const [isAsking, setAsking] = useState(false);
  const entered = children.filter(({ entry }) => entry !== null);
  const choiceOf = (child: GradingChild): Choice =>
    choices[child.childId] ?? { isGranted: child.entry?.result.isEarned ?? false, reason: '' };
  const close = useMutation({
    mutationFn: () =>
      closeGrading(
        grading.id,
        entered.map((child) => ({ childId: child.childId, ...choiceOf(child) })),
      ),
    onSettled: () => {
      setAsking(false);
    },
  });
  if (entered.length === 0)
    return (
      <Panel label={t`Grades`}>
        <Message title={t`Nobody comes yet`} text={t`Choose children first, under “Who comes”.`} />
      </Panel>
    );
  const isClosed = grading.closedAt !== null;
  const granted = entered.filter((child) => choiceOf(child).isGranted);
  const agreement = agreementOf(entered.flatMap(({ childId }) => findingsOf(marks.filter((mark) => mark.childId === childId))));
  const isDay = today >= grading.day;
  return (
    <Panel label={t`Grades`}>
      <Refused error={close.error} />
      {close.data && close.data.left.length > 0 && (
        <Box role="status" sx={{ backgroundColor: palette.cautionPaper, color: palette.caution, p: 1.25, mb: 1.5, borderRadius: 1 }}>
          <Trans>Left the club meanwhile, and was given nothing: {close.data.left.join(', ')}.</Trans>
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', mb: 2 }}>
        <Box sx={{ flex: '1 1 320px' }}>
          {isClosed ? (
            <Trans>
              <strong>{plural(grading.granted, { one: '# grade was given.', other: '# grades were given.' })}</strong> The marks are in the
              record of each child.
            </Trans>
          ) : (
            <Trans>What the marks of this day and the record say together. It is all given at once, and can be taken back.</Trans>
          )}
          {agreement.both > 0 && (
            <Box sx={{ color: palette.soft }}>
              {t`The examiners agree on ${agreement.same} of ${agreement.both} that both marked; on ${agreement.next} they are one mark apart.`}
            </Box>
          )}
        </Box>
        {isClosed && grading.granted > 0 && may.change && (
          <PaperButton path={`gradings/${grading.id}/certificates`} variant="contained">
            <Trans>All certificates</Trans>
          </PaperButton>
        )}
        {may.change && (
          <Button variant="outlined" component="a" href={`/api/gradings/${grading.id}/order`} download={`order-${grading.day}.csv`}>
            <Trans>Belts and badges to order</Trans>
          </Button>
        )}
      </Box>
      <Box role="table" aria-label={t`Grades`}>
        {entered.map((child) => (
          <ChildOutcome
            key={child.childId}
            child={child}
            page={page}
            library={library}
            choice={choiceOf(child)}
            canDecide={may.change && !isClosed && isDay}
            onChoose={(choice) => {
              setChoices((before) => ({ ...before, [child.childId]: choice }));
            }}
          />
        ))}
      </Box>
      {may.change && !isClosed && (
        <Box sx={{ mt: 2.5, display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
          {isDay ? (
            <>
              {isAsking && (
                <Box role="alert">
                  {granted.length === 0
                    ? t`No grade is given; the marks go into the record.`
                    : t`Given to ${granted.map(({ name, gradeName }) => `${name} (${gradeName ?? ''})`).join(', ')}.`}
                </Box>
              )}
              <Button
                variant="contained"
                disabled={close.isPending}
                onClick={() => {
                  if (isAsking) close.mutate();
                  else setAsking(true);
                }}
              >
                {isAsking ? t`Yes, close the day` : t`Give the grades and close the day`}
              </Button>
              {isAsking && (
                <TextButton
                  label={t`Not yet`}
                  onClick={() => {
                    setAsking(false);
                  }}
                />
              )}
            </>
          ) : (
            <Box sx={{ color: palette.soft }}>
              <Trans>Grades are given on the day itself.</Trans>
            </Box>
          )}
        </Box>
      )}
      {may.change && isClosed && (
        <Box sx={{ mt: 2.5 }}>
          <ReasonForm
            opening={t`Something was wrong: take this day back`}
            label={t`Why its grades and marks are taken back`}
            onSend={(reason) => reopenGrading(grading.id, reason)}
          />
        </Box>
      )}
    </Panel>
  );
}

function ChildOutcome({
  child,
  page,
  library,
  choice,
  canDecide,
  onChoose,
}: {
  readonly child: GradingChild;
  readonly page: GradingPageResponse;
  readonly library: Library;
  readonly choice: Choice;
  readonly canDecide: boolean;
  readonly onChoose: (choice: Choice) => void;
}) {
  const { childId, name, gradeId, gradeName, entry } = child;
  const [isWriting, setWriting] = useState(false);
  if (!entry) return null;
  const { result, decision, reason } = entry;
  const asked = page.grades.find(({ id }) => id === gradeId)?.requirements.length ?? 0;
  const missing = result.missing.map((one) => missingWords(one, (id) => requirementName(page, library, id)));
  const needsReason = choice.isGranted && !result.isEarned;
  return (
    <Box
      role="row"
      sx={{
        display: 'grid',
        gridTemplateColumns: '190px minmax(0, 1fr) 210px',
        gap: 1.5,
        borderTop: `1px solid ${palette.line}`,
        py: 1,
        alignItems: 'start',
        [onPhone]: { gridTemplateColumns: '1fr' },
      }}
    >
      <Box role="rowheader" sx={{ lineHeight: 1.3 }}>
        <Link to={`/children/${childId}`}>{name}</Link>
        <Box sx={{ fontSize: 13.5, color: palette.soft }}>{gradeName}</Box>
      </Box>
      <Box role="cell" sx={{ lineHeight: 1.35 }}>
        <strong>{result.isEarned ? t`earned` : t`${result.metCount} of ${asked} met`}</strong>
        {missing.length > 0 && <Box sx={{ fontSize: 14, color: palette.soft }}>{t`missing: ${missing.join(', ')}`}</Box>}
        {reason !== '' && <Box sx={{ fontSize: 14 }}>{reason}</Box>}
        {canDecide && !choice.isGranted && !isWriting && choice.reason === '' && (
          <Box sx={{ fontSize: 14 }}>
            <TextButton
              label={t`Write what to show again`}
              onClick={() => {
                setWriting(true);
              }}
            />
          </Box>
        )}
        {canDecide && (needsReason || choice.reason !== '' || (isWriting && !choice.isGranted)) && (
          <TextField
            size="small"
            fullWidth
            sx={{ mt: 1, maxWidth: 460 }}
            label={needsReason ? t`Why is it given although not all was seen?` : t`What to show again (may be empty)`}
            value={choice.reason}
            autoFocus={isWriting}
            required={needsReason}
            error={needsReason && choice.reason.trim() === ''}
            onChange={(event) => {
              onChoose({ ...choice, reason: event.target.value });
            }}
            slotProps={{ htmlInput: { maxLength: 300 } }}
          />
        )}
      </Box>
      <Box role="cell">
        {canDecide ? (
          <ChoiceBar
            label={t`Grade of ${name}`}
            choices={[
              { value: 'granted', words: t`given` },
              { value: 'not-yet', words: t`not yet` },
            ]}
            value={choice.isGranted ? 'granted' : 'not-yet'}
            onChange={(value) => {
              if (value) onChoose({ ...choice, isGranted: value === 'granted' });
            }}
          />
        ) : decision === 'granted' && gradeId !== null ? (
          <>
            <strong>{t`given`}</strong> ·{' '}
            <a href={`/api/children/${childId}/certificates/${gradeId}`} target="_blank" rel="noreferrer">
              <Trans>certificate</Trans>
            </a>
          </>
        ) : decision === 'not-yet' ? (
          t`not yet`
        ) : null}
      </Box>
    </Box>
  );
}
