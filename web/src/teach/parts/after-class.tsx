import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse, GroupBoardResponse } from '@leiter/contract';
import { evaluationContextOf } from '@leiter/contract/evaluation-context';
import { clockText, evaluatePlan, isTryOfAClass, itemTimesOf, plainPace, type ItemTime, type Library } from '@leiter/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { noteTeaching, storeItemTimes } from '../../queries/class.queries';
import { palette } from '../../shared/palette';
import type { Teaching } from '../run/use-teaching';
import type { MarksBefore } from '../run/use-held-plan';
import { Goodbye } from './goodbye';
import { HomeTaskToSend, NoteOfClass, OpenMarks, RealTimes, RollLeft } from './class-done';

interface Props {
  readonly page: ClassPageResponse;
  /** Where everybody stands; nothing as long as it is not there. */
  readonly board: GroupBoardResponse | undefined;
  readonly library: Library;
  readonly live: Teaching;
  /** What was known of each child when the class began. */
  readonly before: MarksBefore;
  /** All that was kept of the run here is stored elsewhere now. */
  readonly onStored: () => void;
}

/** When the last item is over: what it took, what is still open, and all of it to the record. */
export function AfterClass({ page, board, library, live, before, onStored }: Props) {
  const navigate = useNavigate();
  const [note, setNote] = useState(page.class.note ?? '');
  const [isFailed, setFailed] = useState(false);
  const [isSayingGoodbye, setSayingGoodbye] = useState(false);
  const { plan, evaluation } = live;
  const real = live.run?.realSeconds ?? {};
  const total = Object.values(real).reduce((sum, seconds) => sum + seconds, 0);
  const isTry = isTryOfAClass(total, page.class.lengthMinutes);
  const finish = async (): Promise<void> => {
    // what is learned from: the same class as it would be for somebody of whom nothing is known
    const plain = evaluatePlan(plan, library, { ...evaluationContextOf(page), pace: plainPace }).timeline.items;
    const times = live.run ? itemTimesOf(live.run, evaluation.timeline.items, plain) : [];
    const visits = (live.run?.visits ?? []).map((visit) => ({ ...visit, item: live.plannedItem(visit.item) }));
    await storeItemTimes(page.class.id, byPlannedItem(times, live.plannedItem), visits);
    await noteTeaching(page.class.id, { teaching: 'ended', ...(note === (page.class.note ?? '') ? {} : { note }) });
  };
  /** What was taught stays in the run until it has arrived: pressing again sends it again. */
  const leave = (work: () => Promise<unknown>, to: string): void => {
    setFailed(false);
    work().then(
      () => {
        onStored();
        void navigate(to);
      },
      () => {
        setFailed(true);
      },
    );
  };
  const light = { fontSize: 18, backgroundColor: palette.cream, color: palette.night, '&:hover': { backgroundColor: palette.white } };
  const outlined = { color: palette.cream, borderColor: palette.nightSoft, fontSize: 16 };
  return (
    <Box sx={{ flex: 1, minWidth: 0, p: '30px 40px', display: 'flex', flexDirection: 'column', gap: 2, height: '100%' }}>
      <Box>
        <Typography component="h1" sx={{ fontSize: 50, fontWeight: 700, lineHeight: 1.1 }}>
          {isTry ? t`That was a try` : t`The class is over`}
        </Typography>
        <Typography sx={{ fontSize: 21, color: palette.nightSoft }}>
          <Trans>
            It took {clockText(total)}; planned were {clockText(evaluation.timeline.totalSeconds)}.{' '}
            {isTry
              ? t`Less than a third of a class is not counted: the class is still to be taught, and its times teach nothing.`
              : t`Note now what was seen, while you remember it.`}
          </Trans>
        </Typography>
      </Box>
      <Box sx={{ flex: 1, minHeight: 0, display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 5 }}>
        <RealTimes live={live} />
        <Box sx={{ overflowY: 'auto', minHeight: 0, pr: 1 }}>
          {board && !isTry && <OpenMarks page={page} board={board} library={library} plan={plan} />}
          <RollLeft page={page} />
          {!isTry && <NoteOfClass note={note} onNote={setNote} />}
          <HomeTaskToSend page={page} plan={plan} library={library} />
        </Box>
      </Box>
      {isSayingGoodbye && (
        <Goodbye
          page={page}
          plan={plan}
          library={library}
          before={before}
          onClose={() => {
            setSayingGoodbye(false);
          }}
        />
      )}
      {isFailed && (
        <Typography role="alert" sx={{ fontSize: 20 }}>
          <Trans>
            This browser could not keep it, and the server did not answer. What was taught is still here; press again in a moment.
          </Trans>
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        {isTry && (
          <Button
            variant="contained"
            size="large"
            onClick={() => {
              leave(() => noteTeaching(page.class.id, { teaching: 'ended', taughtSeconds: total }), `/classes/${page.class.id}/plan`);
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
        {!isTry && (
          <Button
            variant="outlined"
            size="large"
            onClick={() => {
              leave(finish, `/classes/${page.class.id}`);
            }}
            sx={outlined}
          >
            <Trans>To the page of the class</Trans>
          </Button>
        )}
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
        <Button
          variant="outlined"
          size="large"
          onClick={() => {
            setSayingGoodbye(true);
          }}
          sx={outlined}
        >
          <Trans>Wave goodbye</Trans>
        </Button>
        {!isTry && (
          <Box sx={{ alignSelf: 'center', fontSize: 16, color: palette.nightSoft }}>
            <Trans>Chapters for a recording are then on the page of the class.</Trans>
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** What was done once more counts to the item that it was. */
function byPlannedItem(times: readonly ItemTime[], plannedItem: (id: string) => string): readonly ItemTime[] {
  const sums = new Map<string, ItemTime>();
  for (const time of times) {
    const itemId = plannedItem(time.itemId);
    const before = sums.get(itemId);
    // the pace is learned from the first time: what is done again is not explained anew
    sums.set(itemId, before ? { ...before, realSeconds: before.realSeconds + time.realSeconds } : { ...time, itemId });
  }
  return [...sums.values()];
}
