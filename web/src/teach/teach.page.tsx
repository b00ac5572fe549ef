import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse } from '@leiter/contract';
import { clockText, wordsOf, type Evaluation, type Library } from '@leiter/core';
import { DateTime } from 'luxon';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useParams } from 'react-router';
import { storeItemTimes, useClassPage, useTeachingNoted } from '../plan/class.queries';
import { evaluationOf } from '../plan/evaluation';
import { useLibrary, useMovements } from '../library/library.queries';
import { KeysHelp } from '../shared/keys-help';
import { Loaded, Message } from '../shared/page';
import { palette } from '../shared/palette';
import { plural } from '../shared/words';
import { LiveLadder } from './parts/live-ladder';
import { StageView } from './parts/stage-view';
import { useRun, type LiveRun } from './use-run';

const keys: readonly (readonly [string, string])[] = [
  ['Space', 'pause, go on'],
  ['→ ↓ Page down', 'on to the next item'],
  ['← ↑ Page up', 'back to the start of the item, again: the item before'],
];

/** Teaching a class: full screen, dark, hands-free. */
export function TeachPage() {
  const { id = '' } = useParams();
  const page = useClassPage(id);
  const movements = useMovements();
  const library = useLibrary();
  return (
    <Loaded query={page} what="class">
      {(data) => (
        <Loaded query={movements} what="library">
          {() =>
            data.stored ? (
              <Live page={data} plan={data.stored.plan} library={library} />
            ) : (
              <Message
                title="This class has no plan yet"
                text="Teach goes by the plan. Start one; it takes a minute."
                action={{ label: 'Plan this class', href: `/classes/${id}/plan` }}
              />
            )
          }
        </Loaded>
      )}
    </Loaded>
  );
}

function Live({
  page,
  plan,
  library,
}: {
  readonly page: ClassPageResponse;
  readonly plan: NonNullable<ClassPageResponse['stored']>['plan'];
  readonly library: Library;
}) {
  const evaluation = useMemo(() => evaluationOf(plan, library, page), [plan, library, page]);
  const { items } = evaluation.timeline;
  const live = useRun(page.class.id, items);
  const noted = useTeachingNoted(page.class.id);
  const { position } = live;
  const isOver = position !== null && position.timed === null;
  useEffect(() => {
    document.title = `${page.class.groupName}, live – Leiter`;
  }, [page.class.groupName]);
  useWakeLock(live.run !== null && !isOver);
  const options = { preventDefault: true } as const;
  useHotkeys(
    'space',
    () => {
      live.move(position?.isPaused ? 'resume' : 'pause');
    },
    options,
  );
  useHotkeys(
    ['arrowright', 'arrowdown', 'pagedown'],
    () => {
      live.move('on');
    },
    options,
  );
  useHotkeys(
    ['arrowleft', 'arrowup', 'pageup'],
    () => {
      live.move('back');
    },
    options,
  );

  if (!live.run || !position)
    return (
      <Before
        page={page}
        evaluation={evaluation}
        library={library}
        onStart={(stopsNote) => {
          live.start();
          noted.mutate({ teaching: 'started', ...(stopsNote === '' ? {} : { stopsNote }) });
          void document.documentElement.requestFullscreen().catch(() => undefined);
        }}
      />
    );
  const elapsed = position.timed ? position.timed.seconds - position.remainingSeconds : 0;
  const left =
    evaluation.timeline.totalSeconds - (position.timed ? position.timed.startSecond + elapsed : evaluation.timeline.totalSeconds);
  return (
    <Dark>
      <Box sx={{ display: 'flex', height: '100%' }}>
        <LiveLadder items={items} itemIndex={position.itemIndex} elapsedShare={position.timed ? elapsed / position.timed.seconds : 0} />
        {isOver ? (
          <After page={page} evaluation={evaluation} live={live} />
        ) : (
          <Box sx={{ flex: 1, minWidth: 0, position: 'relative' }}>
            <StageView
              position={position}
              clock={DateTime.now().toFormat('HH:mm')}
              endsAt={DateTime.now().plus({ seconds: left }).toFormat('HH:mm')}
            />
            <Controls live={live} isPaused={position.isPaused} classId={page.class.id} />
          </Box>
        )}
      </Box>
      <KeysHelp keys={keys} />
    </Dark>
  );
}

function Dark({ children }: { readonly children: ReactNode }) {
  return (
    <Box
      component="main"
      sx={{
        height: '100%',
        backgroundColor: palette.night,
        color: palette.cream,
        overflow: 'hidden',
        '& *:focus-visible': { outlineColor: palette.cream },
      }}
    >
      {children}
    </Box>
  );
}

/** Before the clock runs: what is still to be looked at. Stops have to be dealt with on purpose. */
function Before({
  page,
  evaluation,
  library,
  onStart,
}: {
  readonly page: ClassPageResponse;
  readonly evaluation: Evaluation;
  readonly library: Library;
  readonly onStart: (stopsNote: string) => void;
}) {
  const stops = evaluation.findings.filter(({ severity }) => severity === 'stop');
  const [note, setNote] = useState('');
  const coming = page.children.filter(({ attendance }) => attendance !== 'absent');
  return (
    <Dark>
      <Box sx={{ maxWidth: 900, height: '100%', overflowY: 'auto', mx: 'auto', pt: 7, px: 4 }}>
        <Typography component="h1" sx={{ fontSize: 54, fontWeight: 700, lineHeight: 1.1 }}>
          {page.class.groupName}
        </Typography>
        <Typography sx={{ fontSize: 24, mb: 3, color: palette.nightSoft }}>
          {evaluation.timeline.items.length} items, {clockText(evaluation.timeline.totalSeconds)} of {page.class.lengthMinutes}:00. Step
          back until you see yourself whole; the clock goes on by itself.
        </Typography>
        {stops.length > 0 && (
          <Box component="ul" sx={{ pl: 3, fontSize: 20, mb: 3 }} aria-label="Stops">
            {stops.map((finding, index) => {
              const words = wordsOf(finding, evaluation.timeline, library);
              return (
                <li key={`${finding.check} ${String(index)}`}>
                  <strong>{words.title}.</strong> {words.sentence}
                </li>
              );
            })}
          </Box>
        )}
        {stops.length > 0 && (
          <TextField
            label="How have you dealt with this?"
            value={note}
            multiline
            autoFocus
            fullWidth
            onChange={(event) => {
              setNote(event.target.value);
            }}
            slotProps={{ htmlInput: { maxLength: 500 } }}
            sx={{ mb: 3, backgroundColor: palette.cream, borderRadius: '6px' }}
          />
        )}
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          <Button
            variant="contained"
            size="large"
            autoFocus={stops.length === 0}
            disabled={stops.length > 0 && note.trim() === ''}
            onClick={() => {
              onStart(note.trim());
            }}
            sx={{
              fontSize: 22,
              px: 4,
              py: 1.5,
              backgroundColor: palette.cream,
              color: palette.night,
              '&:hover': { backgroundColor: '#FFFFFF' },
            }}
          >
            {stops.length > 0 ? 'I have dealt with this: start' : 'Start the class'}
          </Button>
          <Button
            component={Link}
            to={`/classes/${page.class.id}/plan`}
            variant="outlined"
            size="large"
            sx={{ color: palette.cream, borderColor: palette.nightSoft, fontSize: 18 }}
          >
            Back to the plan
          </Button>
        </Box>
        <Typography sx={{ mt: 4, color: palette.nightSoft }}>
          Space pauses. Arrows and page keys go on and back, so a clicker works as well. ? shows the keys.
        </Typography>
        <Typography component="h2" sx={{ mt: 5, mb: 1, fontSize: 24, fontWeight: 700 }}>
          {plural(coming.length, 'child', 'children')} coming
        </Typography>
        <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, columnCount: 3, fontSize: 20, lineHeight: 1.7 }}>
          {coming.map(({ id, name, ageYears, gradeName }) => (
            <li key={id}>
              {name}{' '}
              <Box component="span" sx={{ color: palette.nightSoft, fontSize: 16 }}>
                {ageYears}, {gradeName ?? 'no grade yet'}
              </Box>
            </li>
          ))}
        </Box>
      </Box>
    </Dark>
  );
}

function Controls({ live, isPaused, classId }: { readonly live: LiveRun; readonly isPaused: boolean; readonly classId: string }) {
  const look = { color: palette.cream, borderColor: '#4A5A5F', minWidth: 0, fontSize: 14 };
  return (
    <Box sx={{ position: 'absolute', right: 36, top: 58, display: 'flex', gap: 1 }}>
      <Button
        variant="outlined"
        sx={look}
        onClick={() => {
          live.move('back');
        }}
      >
        Back
      </Button>
      <Button
        variant="outlined"
        sx={look}
        onClick={() => {
          live.move(isPaused ? 'resume' : 'pause');
        }}
      >
        {isPaused ? 'Go on' : 'Pause'}
      </Button>
      <Button
        variant="outlined"
        sx={look}
        onClick={() => {
          live.move('on');
        }}
      >
        On
      </Button>
      <Button variant="outlined" sx={look} component={Link} to={`/classes/${classId}/marks`}>
        Mark
      </Button>
    </Box>
  );
}

/** When the last item is over: the real times go to the record, then the marks. */
function After({ page, evaluation, live }: { readonly page: ClassPageResponse; readonly evaluation: Evaluation; readonly live: LiveRun }) {
  const noted = useTeachingNoted(page.class.id);
  const real = live.run?.realSeconds ?? {};
  const total = Object.values(real).reduce((sum, seconds) => sum + seconds, 0);
  const finish = async (): Promise<void> => {
    const times = evaluation.timeline.items.flatMap(({ item, seconds }) => {
      const realSeconds = real[item.id];
      return realSeconds === undefined ? [] : [{ itemId: item.id, plannedSeconds: seconds, realSeconds }];
    });
    await storeItemTimes(page.class.id, times);
    await noted.mutateAsync({ teaching: 'ended' });
  };
  return (
    <Box sx={{ p: 6, maxWidth: 720 }}>
      <Typography component="h1" sx={{ fontSize: 60, fontWeight: 700, lineHeight: 1.1 }}>
        The class is over
      </Typography>
      <Typography sx={{ fontSize: 24, mb: 4, color: palette.nightSoft }}>
        It took {clockText(total)}; planned were {clockText(evaluation.timeline.totalSeconds)}. Note now what was seen, while you remember
        it.
      </Typography>
      <Box sx={{ display: 'flex', gap: 2 }}>
        <Button
          variant="contained"
          size="large"
          component={Link}
          to={`/classes/${page.class.id}/marks`}
          onClick={() => {
            // kept in the run until it has arrived: pressing again sends it again
            void finish().then(live.forget, () => undefined);
          }}
          sx={{ fontSize: 20, backgroundColor: palette.cream, color: palette.night, '&:hover': { backgroundColor: '#FFFFFF' } }}
        >
          Mark what was seen
        </Button>
        <Button
          variant="outlined"
          size="large"
          onClick={() => {
            live.move('back');
          }}
          sx={{ color: palette.cream, borderColor: palette.nightSoft }}
        >
          Back to the last item
        </Button>
      </Box>
    </Box>
  );
}

/** Keeps the screen awake while a class runs, where the browser can. */
function useWakeLock(isWanted: boolean): void {
  useEffect(() => {
    if (!isWanted || !('wakeLock' in navigator)) return;
    const request = navigator.wakeLock.request('screen').catch(() => null);
    return () => {
      void request.then((lock) => lock?.release());
    };
  }, [isWanted]);
}
