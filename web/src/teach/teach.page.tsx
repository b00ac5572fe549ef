import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import type { ClassPageResponse } from '@leiter/contract';
import { evaluationContextOf } from '@leiter/contract/evaluation-context';
import { groupBy, homeTaskLines, safetyTalkOf, usualVoice, waitsForSignal, type Evaluation, type Library } from '@leiter/core';
import { DateTime } from 'luxon';
import { useEffect, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useParams } from 'react-router';
import { useClassPage, useTeachingNoted } from '../queries/class.queries';
import { useClassContext } from '../queries/evaluation';
import { useLibrary, useMovements } from '../queries/library.queries';
import { useMay } from '../queries/may';
import { useSession } from '../queries/session.queries';
import { KeysHelp } from '../shared/keys-help';
import { Loaded, Message } from '../shared/page';
import { AfterClass } from './parts/after-class';
import { BeforeClass } from './parts/before-class';
import { CallerPanel } from './parts/caller-panel';
import { CallingStage } from './parts/calling-stage';
import { Controls } from './parts/controls';
import { Dark } from './parts/dark';
import { LiveLadder } from './parts/live-ladder';
import { StageView } from './parts/stage-view';
import { Offer } from './parts/offer';
import { VoiceSign } from './parts/voice-sign';
import { useVoice } from './voice/use-voice';
import { useCalls } from './voice/use-calls';
import { lateStart, offerNow } from './run/live-plan';
import { useTeaching } from './run/use-teaching';
import { useWakeLock } from './run/use-wake-lock';

const keys: readonly (readonly [string, string])[] = [
  [t`Space`, t`pause, go on; while the work waits for your signal: begin it`],
  ['G', t`the explaining is over: the work begins now`],
  ['S', t`the work begins on your signal, or by itself`],
  ['K', t`calls something out: shapes, stances, body parts, left and right …`],
  ['T', t`takes what is offered to end on time`],
  ['P', t`puts the item off, behind the next one`],
  ['Z', t`takes the last press back`],
  ['V', t`the voice, on and off`],
  [t`→ ↓ Page down`, t`on to the next item; while the work waits for your signal: begin it`],
  [t`← ↑ Page up`, t`back to the start of the item, again: the item before`],
];

/** Teaching a class: full screen, dark, hands-free. */
function TeachPage() {
  const { id = '' } = useParams();
  const page = useClassPage(id);
  const movements = useMovements();
  const library = useLibrary();
  const may = useMay();
  if (!may.change)
    return (
      <Message
        title={t`Only instructors teach`}
        text={t`The roll, the marks and the plan to read are on the page of the class.`}
        action={{ label: t`To the class`, href: `/classes/${id}` }}
      />
    );
  return (
    <Loaded query={page} what={t`class`}>
      {(data) => (
        <Loaded query={movements} what={t`library`}>
          {() =>
            data.stored ? (
              <Live key={id} page={data} plan={data.stored.plan} library={library} />
            ) : (
              <Message
                title={t`This class has no plan yet`}
                text={t`Teach goes by the plan. Start one; it takes a minute.`}
                action={{ label: t`Plan this class`, href: `/classes/${id}/plan` }}
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
  plan: stored,
  library,
}: {
  readonly page: ClassPageResponse;
  readonly plan: NonNullable<ClassPageResponse['stored']>['plan'];
  readonly library: Library;
}) {
  const session = useSession().data;
  const context = useClassContext(page);
  const live = useTeaching(page.class.id, stored, library, context);
  const { plan, evaluation, position } = live;
  const { items } = evaluation.timeline;
  const talk = useMemo(
    () => safetyTalkOf(evaluation.timeline, evaluation.versions, evaluationContextOf(page).children, library),
    [evaluation, page, library],
  );
  const homeTask = useMemo(() => homeTaskLines(plan.homeTask, library), [plan, library]);
  const nameOf = (slug: string): string => library.get(slug)?.name ?? slug;
  const settings = session?.voice ?? usualVoice;
  const calling = useCalls(page, library, settings.countLanguage);
  const [isChoosingCalls, setChoosingCalls] = useState(false);
  const voice = useVoice(live.run, items, settings, { callsOf: calling.callsOf, aside: calling.now?.aside ?? null });
  const noted = useTeachingNoted(page.class.id);
  const isOver = position !== null && position.timed === null;
  const isPaused = position?.isPaused ?? false;
  useEffect(() => {
    document.title = t`${page.class.groupName}, live – Leiter`;
  }, [page.class.groupName]);
  useWakeLock(live.run !== null && !isOver);
  const options = { preventDefault: true } as const;
  const isWaiting = live.run !== null && position?.timed ? waitsForSignal(live.run, position.timed) : false;
  // any key gives a browser leave to make a sound
  useHotkeys('*', () => void voice.wake());
  useHotkeys(
    'space',
    () => {
      live.move(isPaused ? 'resume' : isWaiting ? 'go' : 'pause');
    },
    options,
  );
  useHotkeys(
    ['arrowright', 'arrowdown', 'pagedown'],
    () => {
      live.move(isWaiting ? 'go' : 'on');
    },
    options,
  );
  const late = live.run ? lateStart(page.class, session?.club.timeZone ?? 'utc', live.run.startedAt) : 0;
  // looked at anew every quarter of a minute: it takes a moment
  const missing = position
    ? Math.ceil((position.behindSeconds + late + evaluation.timeline.totalSeconds - page.class.lengthMinutes * 60) / 15) * 15
    : 0;
  const itemIndex = live.run?.itemIndex ?? 0;
  const offer = useMemo(
    () => (live.run ? offerNow(live.run, items, plan, library, context, missing) : null),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- of the run it reads which item it is at
    [itemIndex, items, plan, library, context, missing],
  );
  const takeOffer = (): void => {
    if (offer && offer.steps.length > 0) live.take(offer.steps.map(({ edit }) => edit));
  };
  useHotkeys('t', takeOffer);
  useHotkeys('p', live.putOff);
  useHotkeys(['z', 'ctrl+z', 'meta+z'], live.undo, options);
  const { now: moment } = live;
  const { now: round, stop } = calling;
  useEffect(() => {
    // a pause is for everything
    if (round && (moment > round.endsAt || isPaused || isOver)) stop();
  }, [round, moment, isPaused, isOver, stop]);
  useHotkeys('k', () => {
    if (!live.run) return;
    if (round) stop();
    else setChoosingCalls(!isChoosingCalls);
  });
  useHotkeys('v', () => {
    voice.switchOn(!voice.isOn);
  });
  useHotkeys('s', () => {
    live.setGo(live.run?.go === 'on-signal' ? 'by-itself' : 'on-signal');
  });
  useHotkeys(
    ['arrowleft', 'arrowup', 'pageup'],
    () => {
      live.move('back');
    },
    options,
  );

  useHotkeys(
    'g',
    () => {
      live.move('go');
    },
    options,
  );

  if (!live.run || !position)
    return (
      <BeforeClass
        page={page}
        evaluation={evaluation}
        library={library}
        voice={voice}
        onStart={(stopsNote) => {
          // the first word is heard from its beginning
          void voice.wake().then(() => {
            live.start(settings.go);
          });
          noted.mutate({ teaching: 'started', ...(stopsNote === '' ? {} : { stopsNote }) });
          void document.documentElement.requestFullscreen().catch(() => undefined);
        }}
      />
    );
  const isExplaining = position.step?.kind === 'explain' || position.step?.kind === 'go-to';
  const elapsed = position.timed ? position.timed.seconds - position.remainingSeconds : 0;
  const left =
    evaluation.timeline.totalSeconds - (position.timed ? position.timed.startSecond + elapsed : evaluation.timeline.totalSeconds);
  return (
    <Dark>
      <Box sx={{ display: 'flex', height: '100%' }}>
        <LiveLadder items={items} itemIndex={position.itemIndex} elapsedShare={position.timed ? elapsed / position.timed.seconds : 0} />
        {isOver ? (
          <AfterClass page={page} plan={plan} library={library} evaluation={evaluation} live={live} />
        ) : (
          <Box sx={{ flex: 1, minWidth: 0, position: 'relative' }}>
            <StageView
              position={position}
              clock={DateTime.now().toFormat('HH:mm')}
              endsAt={DateTime.now().plus({ seconds: left }).toFormat('HH:mm')}
              talk={talk}
              homeTask={homeTask}
              nameOf={nameOf}
              instead={insteadOf(position.timed?.item.id, evaluation, page, library)}
              stance={settings.stance}
              isWaiting={isWaiting}
              offer={offer && <Offer fit={offer} missing={missing} plan={plan} library={library} onTake={takeOffer} />}
            />
            {round && <CallingStage calling={round} now={moment} library={library} onStop={stop} />}
            {isChoosingCalls && !round && (
              <CallerPanel
                calling={calling}
                onClose={() => {
                  setChoosingCalls(false);
                }}
              />
            )}
            <VoiceSign voice={voice} go={live.run.go} onGo={live.setGo} />
            <Controls
              live={live}
              isPaused={isPaused}
              isExplaining={isExplaining}
              classId={page.class.id}
              onCall={() => {
                setChoosingCalls(true);
              }}
            />
          </Box>
        )}
      </Box>
      <KeysHelp keys={keys} />
    </Dark>
  );
}

/** What those do who do another movement than the item says, each with their names: `Jog on the spot: Mei H., Mikko S.`. */
function insteadOf(
  itemId: string | undefined,
  { versions }: Evaluation,
  { children }: ClassPageResponse,
  library: Library,
): readonly string[] {
  const nameOf = (childId: string): string => children.find(({ id }) => id === childId)?.name ?? '';
  const others = groupBy(
    versions.filter((version) => version.itemId === itemId && version.tier === 'instead'),
    ({ movement }) => movement,
  );
  return [...others].map(
    ([movement, own]) => `${library.get(movement)?.name ?? movement}: ${own.map(({ childId }) => nameOf(childId)).join(', ')}`,
  );
}

export { TeachPage as Page };
