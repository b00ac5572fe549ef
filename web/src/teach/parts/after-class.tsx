import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse } from '@leiter/contract';
import { evaluationContextOf } from '@leiter/contract/evaluation-context';
import {
  clockText,
  evaluatePlan,
  isTryOfAClass,
  itemTimesOf,
  plainPace,
  type ClassPlan,
  type Evaluation,
  type Library,
} from '@leiter/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { storeItemTimes, useTeachingNoted } from '../../queries/class.queries';
import { palette } from '../../shared/palette';
import type { LiveRun } from '../run/use-run';

/** When the last item is over: the real times go to the record, then the marks. */
export function AfterClass({
  page,
  plan,
  library,
  evaluation,
  live,
}: {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly library: Library;
  readonly evaluation: Evaluation;
  readonly live: LiveRun;
}) {
  const noted = useTeachingNoted(page.class.id);
  const real = live.run?.realSeconds ?? {};
  const total = Object.values(real).reduce((sum, seconds) => sum + seconds, 0);
  const finish = async (): Promise<void> => {
    // what is learned from: the same class as it would be for somebody of whom nothing is known
    const plain = evaluatePlan(plan, library, { ...evaluationContextOf(page), pace: plainPace }).timeline.items;
    const times = live.run ? itemTimesOf(live.run, evaluation.timeline.items, plain) : [];
    await storeItemTimes(page.class.id, times);
    await noted.mutateAsync({ teaching: 'ended' });
  };
  const navigate = useNavigate();
  const [isFailed, setFailed] = useState(false);
  const isTry = isTryOfAClass(total, page.class.lengthMinutes);
  /** What was taught stays in the run until it has arrived: pressing again sends it again. */
  const leave = (work: () => Promise<unknown>, to: string): void => {
    setFailed(false);
    work().then(
      () => {
        live.forget();
        void navigate(to);
      },
      () => {
        setFailed(true);
      },
    );
  };
  const light = { fontSize: 20, backgroundColor: palette.cream, color: palette.night, '&:hover': { backgroundColor: '#FFFFFF' } };
  const outlined = { color: palette.cream, borderColor: palette.nightSoft };
  return (
    <Box sx={{ p: 6, maxWidth: 940 }}>
      <Typography component="h1" sx={{ fontSize: 60, fontWeight: 700, lineHeight: 1.1 }}>
        {isTry ? t`That was a try` : t`The class is over`}
      </Typography>
      <Typography sx={{ fontSize: 24, mb: 4, color: palette.nightSoft }}>
        <Trans>
          It took {clockText(total)}; planned were {clockText(evaluation.timeline.totalSeconds)}.{' '}
          {isTry
            ? t`Less than a third of a class is not counted: the class is still to be taught, and its times teach nothing.`
            : t`Note now what was seen, while you remember it.`}
        </Trans>
      </Typography>
      {isFailed && (
        <Typography role="alert" sx={{ fontSize: 20, mb: 2 }}>
          <Trans>The server did not answer. The times are kept here; press again in a moment.</Trans>
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 2 }}>
        {isTry && (
          <Button
            variant="contained"
            size="large"
            onClick={() => {
              leave(() => noted.mutateAsync({ teaching: 'ended', taughtSeconds: total }), `/classes/${page.class.id}/plan`);
            }}
            sx={light}
          >
            <Trans>Still to be taught</Trans>
          </Button>
        )}
        <Button
          variant={isTry ? 'outlined' : 'contained'}
          size="large"
          onClick={() => {
            leave(finish, `/classes/${page.class.id}/marks`);
          }}
          sx={isTry ? outlined : light}
        >
          {isTry ? t`It was the class: mark what was seen` : t`Mark what was seen`}
        </Button>
        <Button
          variant="outlined"
          size="large"
          onClick={() => {
            live.move('back');
          }}
          sx={outlined}
        >
          <Trans>Back to the last item</Trans>
        </Button>
      </Box>
    </Box>
  );
}
