import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ClassPageResponse } from '@leiter/contract';
import { evaluationContextOf } from '@leiter/contract/evaluation-context';
import { isThere } from '@leiter/contract/who-comes';
import {
  homeTaskLines,
  safetyTalkOf,
  usualVoice,
  waitsForSignal,
  type ClassPlan,
  type Debrief,
  type Library,
  type Mark,
  type RollDebrief,
} from '@leiter/core';
import { DateTime } from 'luxon';
import { useEffect, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link } from 'react-router';
import type { CallAnswers } from '../../marking/call-lines';
import { markOfKey } from '../../marking/mark-grid';
import { useClassContext } from '../../queries/evaluation';
import { useGroupBoard } from '../../queries/record.queries';
import { useSession } from '../../queries/session.queries';
import { KeysHelp } from '../../shared/keys-help';
import { palette } from '../../shared/palette';
import { useMusic } from '../music/use-music';
import { Dark } from '../parts/dark';
import { StageTop, StageView } from '../parts/stage-view';
import { VoiceSign } from '../parts/voice-sign';
import { insteadOf } from '../run/instead-of';
import { markableNow } from '../run/markable-now';
import { useClassKeys } from '../keys/use-class-keys';
import { prevented, rehearsalKeys } from '../keys/use-keys';
import { useTeaching } from '../run/use-teaching';
import { useCalls } from '../voice/use-calls';
import { useVoice } from '../voice/use-voice';
import { DebriefView } from './debrief-view';
import { RehearsalRoll } from './rehearsal-roll';
import { useRehearsal } from './use-rehearsal';
import { Wall } from './wall';

interface Props {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly library: Library;
  readonly seed: number;
  readonly onAgain: () => void;
}

const nothing = (): void => undefined;

/** One rehearsal, from its first word to what was seen. */
export function RehearsalClass({ page, plan, library, seed, onAgain }: Props) {
  const session = useSession().data;
  const context = useClassContext(page);
  // a run of its own: that of the class itself is another
  const live = useTeaching(`rehearsal ${page.class.id} ${String(seed)}`, plan, library, context);
  const board = useGroupBoard(page.class.groupId).data ?? null;
  const { evaluation, position, run } = live;
  const { items } = evaluation.timeline;
  const settings = session?.voice ?? usualVoice;
  const calling = useCalls(page, library, settings.countLanguage);
  const voice = useVoice(run, items, settings, { callsOf: calling.callsOf, aside: null });
  useMusic(voice.context, run, items, null);
  const movement = board && position ? markableNow(items, position.itemIndex, live.plan, board, page) : null;
  const rehearsal = useRehearsal(page, board, library, live, movement, seed);
  const [chosen, setChosen] = useState<string | null>(null);
  const [isRoll, setRoll] = useState(false);
  const [answers, setAnswers] = useState<CallAnswers>({});
  const [debrief, setDebrief] = useState<{ readonly class: Debrief; readonly roll: RollDebrief } | null>(null);
  const talk = useMemo(
    () => safetyTalkOf(evaluation.timeline, evaluation.versions, evaluationContextOf(page).children, library),
    [evaluation, page, library],
  );
  const homeTask = useMemo(() => homeTaskLines(live.plan.homeTask, library), [live.plan, library]);
  const isOver = position?.timed === null;
  const isPaused = position?.isPaused ?? false;
  const isWaiting = run !== null && position?.timed ? waitsForSignal(run, position.timed) : false;
  useEffect(() => {
    document.title = t`${page.class.groupName}, rehearsal – Leiter`;
  }, [page.class.groupName]);
  const end = (): void => {
    setDebrief({ class: rehearsal.debrief(), roll: rehearsal.rollDebrief() });
    live.forget();
  };
  useEffect(() => {
    // oxlint-disable-next-line react/set-state-in-effect -- the clock came to the end of the class
    if (isOver) end();
    // oxlint-disable-next-line react/exhaustive-deps -- once, when it is over
  }, [isOver]);
  const { wall } = rehearsal;
  const mark = (childId: string, given: Mark): void => {
    const before = wall.find(({ child }) => child === childId)?.given;
    rehearsal.mark(childId, { mark: given, faults: given === 'clean' ? [] : (before?.faults ?? []) });
  };
  const choose = (childId: string): void => {
    setChosen(childId);
    rehearsal.look(childId);
  };
  useClassKeys({ live, voice, isWaiting, takeOffer: nothing, onCall: nothing, onMusic: nothing, onMarks: nothing, onAgain: nothing });
  useHotkeys(
    ['1', '2', '3', '4', 'f', 'tab', 'shift+tab'],
    (event) => {
      const at = wall.findIndex(({ child }) => child === chosen);
      const child = wall[at];
      if (event.key === 'Tab') {
        const next = wall.at((at + (event.shiftKey ? -1 : 1)) % Math.max(1, wall.length));
        if (next) choose(next.child);
        return;
      }
      const change = markOfKey(event.key);
      if (!child || !movement || !change) return;
      if (change.kind === 'mark') mark(child.child, change.mark);
      else if (child.given) {
        const slugs = movement.faults.map(({ slug }) => slug);
        const next = slugs[child.given.faults[0] === undefined ? 0 : slugs.indexOf(child.given.faults[0]) + 1];
        rehearsal.mark(child.child, {
          mark: child.given.mark === 'clean' ? 'alone' : child.given.mark,
          faults: next === undefined ? [] : [next],
        });
      }
    },
    prevented,
  );

  if (debrief)
    return (
      <Dark>
        <DebriefView
          debrief={debrief.class}
          roll={debrief.roll}
          nameOf={(childId) => page.children.find(({ id }) => id === childId)?.name ?? ''}
          library={library}
          classId={page.class.id}
          onAgain={onAgain}
        />
      </Dark>
    );
  const rollDialog = isRoll && (
    <RehearsalRoll
      screens={rehearsal.screens}
      group={page.children.filter(isThere)}
      known={answers}
      onTake={(there, said) => {
        rehearsal.takeRoll(there);
        setAnswers(said);
        setRoll(false);
      }}
      onClose={() => {
        setRoll(false);
      }}
    />
  );
  if (!run || !position)
    return (
      <Dark>
        <Box sx={{ maxWidth: 820, mx: 'auto', pt: 10, px: 4, fontSize: 21, lineHeight: 1.45 }}>
          <Box component="h1" sx={{ m: 0, fontSize: 52, lineHeight: 1.1 }}>
            <Trans>Rehearse {page.class.groupName}</Trans>
          </Box>
          <p>
            <Trans>
              The children are drawn: each does its own version as well as its record says, with its own faults, a moment late, in its own
              room. One goes out of the picture, one stops.
            </Trans>
          </p>
          <p>
            <Trans>
              Teach to them. Press a picture when you have looked at a child; mark it with 1 to 4, a fault with F. Afterwards you are told
              what you saw and what you missed. Nothing of it is kept.
            </Trans>
          </p>
          <p>
            <Trans>
              Names stand below the pictures as families set them, and devices that tell nothing: take the roll, before it begins and when
              somebody comes or leaves.
            </Trans>
          </p>
          <Box sx={{ display: 'flex', gap: 2, mt: 3, flexWrap: 'wrap', alignItems: 'center' }}>
            <Button
              variant="contained"
              size="large"
              autoFocus
              onClick={() => {
                void voice.wake().then(() => {
                  live.start(settings.go);
                });
              }}
              sx={{ fontSize: 20, backgroundColor: palette.cream, color: palette.night, '&:hover': { backgroundColor: palette.white } }}
            >
              <Trans>Begin the rehearsal</Trans>
            </Button>
            <Button
              variant="outlined"
              size="large"
              onClick={() => {
                setRoll(true);
              }}
              sx={{ color: palette.cream, borderColor: palette.nightSoft }}
            >
              {rehearsal.rollCount === 0 ? t`Take the roll` : t`Take the roll again`}
            </Button>
            <Button
              component={Link}
              to={`/classes/${page.class.id}`}
              variant="outlined"
              size="large"
              sx={{ color: palette.cream, borderColor: palette.nightSoft }}
            >
              <Trans>To the class</Trans>
            </Button>
          </Box>
          {rollDialog}
        </Box>
      </Dark>
    );
  const chosenChild = wall.find(({ child }) => child === chosen);
  return (
    <Dark>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)', height: '100%' }}>
        <Box sx={{ display: 'flex', flexDirection: 'column', minHeight: 0, backgroundColor: '#0A0F11' }}>
          <Box
            sx={{ p: '10px 14px 2px', fontSize: 16, color: palette.nightSoft, display: 'flex', justifyContent: 'space-between', gap: 1 }}
          >
            <span>{movement ? t`Watch: ${movement.name}` : t`Nothing to mark yet`}</span>
            <span>
              {chosenChild?.given && chosenChild.given.faults.length > 0 && movement
                ? chosenChild.given.faults.map((slug) => movement.faults.find((fault) => fault.slug === slug)?.name ?? slug).join(', ')
                : t`Rehearsal: nothing is kept`}
            </span>
          </Box>
          <Wall wall={wall} chosen={chosen} onChoose={choose} onMark={mark} canMark={movement !== null} />
        </Box>
        <Box sx={{ display: 'flex', flexDirection: 'column', minHeight: 0 }}>
          <StageTop position={position} clock={DateTime.now().toFormat('HH:mm')} />
          <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, p: '8px 36px 0', flexWrap: 'wrap' }}>
            <VoiceSign voice={voice} go={run.go} onGo={live.setGo} />
            <Box sx={{ display: 'flex', gap: 1 }}>
              <Press
                label={t`Roll`}
                onPress={() => {
                  setRoll(true);
                }}
              />
              <Press
                label={isPaused ? t`Go on` : t`Pause`}
                onPress={() => {
                  live.move(isPaused ? 'resume' : 'pause');
                }}
              />
              <Press
                label={t`Next`}
                onPress={() => {
                  live.move('on');
                }}
              />
              <Press label={t`End the rehearsal`} onPress={end} />
            </Box>
          </Box>
          <StageView
            position={position}
            talk={talk}
            homeTask={homeTask}
            nameOf={(slug) => library.get(slug)?.name ?? slug}
            instead={insteadOf(position.timed?.item.id, evaluation, page, library)}
            stance={settings.stance}
            isWaiting={isWaiting}
            hasPanel
            isHalf
            offer={null}
          />
        </Box>
      </Box>
      <KeysHelp keys={rehearsalKeys} />
      {rollDialog}
    </Dark>
  );
}

function Press({ label, onPress }: { readonly label: string; readonly onPress: () => void }) {
  return (
    <Button variant="outlined" sx={{ color: palette.cream, borderColor: palette.soft, minWidth: 0, fontSize: 14 }} onClick={onPress}>
      {label}
    </Button>
  );
}
