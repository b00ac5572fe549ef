import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import type { ClassPageResponse, StoredPlan } from '@leiter/contract';
import { evaluationContextOf } from '@leiter/contract/evaluation-context';
import { homeTaskLines, safetyTalkOf, usualVoice, waitsForSignal, type Library } from '@leiter/core';
import { DateTime } from 'luxon';
import { useEffect, useMemo, useState } from 'react';
import { noteTeaching } from '../queries/class.queries';
import { useClassContext } from '../queries/evaluation';
import { useGroupBoard } from '../queries/record.queries';
import { useSession } from '../queries/session.queries';
import { useClaps } from './claps/use-claps';
import { useClassAtHand } from '../at-hand/use-class-at-hand';
import { KeysHelp } from '../shared/keys-help';
import { insteadOf } from './run/instead-of';
import { useOffer } from './run/use-offer';
import { useHeldPlan } from './run/use-held-plan';
import { useClassKeys } from './keys/use-class-keys';
import { teachKeys } from './keys/use-keys';
import { usePlanAsked } from './run/use-plan-asked';
import { useTeaching } from './run/use-teaching';
import { useWakeLock } from './run/use-wake-lock';
import { useCalls } from './voice/use-calls';
import { useVoice } from './voice/use-voice';
import { AfterClass } from './parts/after-class';
import { BeforeClass, hasOpenStops } from './parts/before-class';
import { CallerPanel } from './parts/caller-panel';
import { CallingStage } from './parts/calling-stage';
import { Controls } from './parts/controls';
import { Dark } from './parts/dark';
import { Door } from './parts/door';
import { DoorMusic } from './music/door-music';
import { LiveLadder } from './parts/live-ladder';
import { Offer, PlanChanged } from './parts/offer';
import { PhraseLoop } from './parts/phrase-loop';
import { StageTop, StageView } from './parts/stage-view';
import { VoiceSign } from './parts/voice-sign';
import { WatchPanel } from './parts/watch-panel';
import { useWatch } from '../marking/use-watch';
import { MusicPanel } from './music/music-panel';
import { PicturesDialog } from './pictures/pictures-dialog';
import { useDoorPictures, type DoorPicture } from './pictures/use-door-pictures';
import { useMusic } from './music/use-music';
import { PhoneDialog, usePhoneLink } from './remote/phone-dialog';
import { doPress } from './remote/do-press';
import { stageShown } from './remote/stage-shown';
import { useStage } from './remote/use-stage';
import { markableNow } from './run/markable-now';

const noPictures: readonly DoorPicture[] = [];

/** A class that has a plan: before it begins, while it is taught, and when it is over. */
export function LiveClass({
  page,
  stored,
  library,
}: {
  readonly page: ClassPageResponse;
  readonly stored: StoredPlan;
  readonly library: Library;
}) {
  const session = useSession().data;
  const context = useClassContext(page);
  const held = useHeldPlan(page.class.id, stored);
  const live = useTeaching(page.class.id, held.plan, library, context);
  const board = useGroupBoard(page.class.groupId).data;
  const [isShowingPhone, setShowingPhone] = useState(false);
  const phoneLink = usePhoneLink(page.class.id);
  const showPhone = (): void => {
    if (!phoneLink.data && !phoneLink.isPending) phoneLink.mutate();
    setShowingPhone(true);
  };
  const { plan, evaluation, position } = live;
  const { items } = evaluation.timeline;
  const talk = useMemo(
    () => safetyTalkOf(evaluation.timeline, evaluation.versions, evaluationContextOf(page).children, library),
    [evaluation, page, library],
  );
  const homeTask = useMemo(() => homeTaskLines(plan.homeTask, library), [plan, library]);
  const nameOf = (slug: string): string => library.get(slug)?.name ?? slug;
  const settings = session?.voice ?? usualVoice;
  const atHand = useClassAtHand(page, items, library);
  const calling = useCalls(page, library, settings.countLanguage);
  const [isChoosingCalls, setChoosingCalls] = useState(false);
  const [showsMarks, setShowsMarks] = useState(true);
  const [isAtMusic, setAtMusic] = useState(false);
  const [isAtDoor, setAtDoor] = useState(false);
  const [isAtPictures, setAtPictures] = useState(false);
  const doorPictures = useDoorPictures();
  const voice = useVoice(live.run, items, settings, { callsOf: calling.callsOf, aside: calling.now?.aside ?? null });
  const stopping = useMemo(
    () => (calling.now?.stops ? { startsAt: calling.now.aside.startsAt, stops: calling.now.stops } : null),
    [calling.now],
  );
  const music = useMusic(voice.context, live.run, items, stopping);
  const isOver = position?.timed === null;
  const isPaused = position?.isPaused ?? false;
  useEffect(() => {
    document.title = t`${page.class.groupName}, live – Leiter`;
  }, [page.class.groupName]);
  const isWaiting = live.run !== null && position?.timed ? waitsForSignal(live.run, position.timed) : false;
  const isExplaining = isWaiting || position?.step?.kind === 'explain' || position?.step?.kind === 'go-to';
  // a signal begins what is explained, and does nothing else: somebody claps in a song
  const claps = useClaps(live.run !== null && !isOver, () => {
    if (isExplaining) live.move('go');
  });
  useWakeLock(live.run !== null && !isOver);
  const { offer, missing, take: takeOffer } = useOffer(page.class, live, library, context, session?.club.timeZone ?? 'utc');
  const { now: moment } = live;
  const itemIndex = live.run?.itemIndex ?? 0;
  const { now: round, stop } = calling;
  useEffect(() => {
    // a pause is for everything
    if (round && (moment > round.endsAt || isPaused || isOver)) stop();
  }, [round, moment, isPaused, isOver, stop]);
  const written = position?.timed?.movement.phrase ?? null;
  const [loop, setLoop] = useState<'opening' | 'open' | null>(null);
  // set while rendering, as React advises for state that follows another: it is over when the class goes on
  if (loop === 'opening' && isPaused) setLoop('open');
  if (loop === 'open' && !isPaused) setLoop(null);
  const again = (): void => {
    if (!live.run || written === null) return;
    if (loop !== null) {
      setLoop(null);
      live.move('resume');
    } else {
      setLoop('opening');
      if (!isPaused) live.move('pause');
    }
  };
  const isAskingForPlan = usePlanAsked(held.newer, itemIndex, isPaused);

  useClassKeys({
    live,
    voice,
    isWaiting,
    takeOffer,
    onCall: () => {
      if (!live.run) return;
      if (round) stop();
      else setChoosingCalls(!isChoosingCalls);
    },
    onMusic: () => {
      if (live.run && !isOver) setAtMusic(!isAtMusic);
    },
    onMarks: () => {
      setShowsMarks(!showsMarks);
    },
    onAgain: again,
  });
  const watched = board && position ? markableNow(items, position.itemIndex, plan, board, page) : null;
  const stepSide = position?.step && 'side' in position.step ? position.step.side : null;
  const side = stepSide === 'left' || stepSide === 'right' ? stepSide : null;
  const watch = useWatch(page, board, library, watched, watched && watched.slug === position?.timed?.movement.slug ? side : null);
  useStage(page.class.id, position && stageShown(live, position, watch, isWaiting), (press) => {
    doPress(press, live, watch);
  });
  const begin = (stopsNote: string): void => {
    held.hold(new Map(page.children.map(({ id, marks }) => [id, marks])));
    // the first word is heard from its beginning
    void voice.wake().then(() => {
      live.start(settings.go);
    });
    music.choose(null);
    setAtDoor(false);
    doorPictures.clear();
    void noteTeaching(page.class.id, { teaching: 'started', ...(stopsNote === '' ? {} : { stopsNote }) });
    void document.documentElement.requestFullscreen().catch(() => undefined);
  };
  const phone = isShowingPhone && (
    <PhoneDialog
      made={phoneLink}
      onClose={() => {
        setShowingPhone(false);
      }}
    />
  );

  if (!live.run && isAtDoor)
    return (
      <Dark>
        <Door
          page={page}
          evaluation={evaluation}
          library={library}
          timeZone={session?.club.timeZone ?? 'utc'}
          isFree={!hasOpenStops(evaluation)}
          music={<DoorMusic music={music} />}
          pictures={doorPictures.isAgreed ? doorPictures.pictures : noPictures}
          onPicturesShown={doorPictures.clear}
          onStart={() => {
            begin('');
          }}
          onClose={() => {
            music.choose(null);
            setAtDoor(false);
          }}
        />
      </Dark>
    );
  if (!live.run || !position)
    return (
      <BeforeClass
        page={page}
        evaluation={evaluation}
        library={library}
        voice={voice}
        atHand={atHand}
        dialogs={
          <>
            {phone}
            {isAtPictures && (
              <PicturesDialog
                door={doorPictures}
                onClose={() => {
                  setAtPictures(false);
                }}
              />
            )}
          </>
        }
        onPhone={showPhone}
        onPictures={() => {
          setAtPictures(true);
        }}
        onDoor={() => {
          void voice.wake();
          setAtDoor(true);
        }}
        onStart={begin}
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
          <AfterClass
            page={page}
            board={board}
            library={library}
            live={live}
            before={held.before}
            onStored={() => {
              live.forget();
              held.letGo();
            }}
          />
        ) : (
          <Box sx={{ flex: 1, minWidth: 0, position: 'relative', display: 'flex', flexDirection: 'column', height: '100%' }}>
            <StageTop
              position={position}
              clock={DateTime.now().toFormat('HH:mm')}
              endsAt={DateTime.now().plus({ seconds: left }).toFormat('HH:mm')}
            />
            <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, p: '8px 14px 0 36px', flexWrap: 'wrap' }}>
              <VoiceSign voice={voice} go={live.run.go} onGo={live.setGo} claps={claps} />
              <Controls
                live={live}
                isPaused={isPaused}
                isExplaining={isExplaining}
                showsMarks={showsMarks && watch !== null}
                onMarks={() => {
                  setShowsMarks(!showsMarks);
                }}
                onCall={() => {
                  setChoosingCalls(true);
                }}
                onPhone={showPhone}
                onMusic={() => {
                  setAtMusic(!isAtMusic);
                }}
                {...(written ? { onAgain: again } : {})}
              />
            </Box>
            <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
              <StageView
                position={position}
                talk={talk}
                homeTask={homeTask}
                nameOf={nameOf}
                instead={insteadOf(position.timed.item.id, evaluation, page, library)}
                stance={settings.stance}
                isWaiting={isWaiting}
                hasPanel={showsMarks && watch !== null}
                offer={
                  isAskingForPlan && held.newer ? (
                    <PlanChanged
                      newer={held.newer}
                      plan={held.plan}
                      library={library}
                      onTake={held.takeNewer}
                      onRefuse={held.refuseNewer}
                    />
                  ) : (
                    offer && <Offer fit={offer} missing={missing} plan={plan} library={library} onTake={takeOffer} />
                  )
                }
              />
              {showsMarks && watch && (
                <WatchPanel watch={watch} hasKeys={!isChoosingCalls && !round && !isAtMusic && loop === null} onPressed={live.pressed} />
              )}
            </Box>
            {loop === 'open' && written && (
              <PhraseLoop key={position.timed.item.id} written={written} position={position} side={side} onGoOn={again} />
            )}
            {round && <CallingStage calling={round} now={moment} library={library} onStop={stop} />}
            {isAtMusic && (
              <MusicPanel
                music={music}
                onClose={() => {
                  setAtMusic(false);
                }}
              />
            )}
            {isChoosingCalls && !round && (
              <CallerPanel
                calling={calling}
                onClose={() => {
                  setChoosingCalls(false);
                }}
              />
            )}
          </Box>
        )}
      </Box>
      {phone}
      <KeysHelp keys={teachKeys} />
    </Dark>
  );
}
