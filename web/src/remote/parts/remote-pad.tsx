import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import type { StageRequest } from '@leiter/contract';
import { clockText, marks, type Mark } from '@leiter/core';
import { useEffect, useState, type ReactNode } from 'react';
import { headingFont, palette } from '../../shared/palette';
import { Rungs } from '../../shared/rungs';
import { markWords } from '../../shared/words';
import type { BesideClass } from './use-stage-view';

/** A child as it stands on the pad. */
export interface PadChild {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly mark: Mark | null;
  /** Its mark has not arrived yet. */
  readonly isWaiting: boolean;
}

interface Props {
  readonly beside: BesideClass;
  readonly watching: { readonly name: string; readonly side: 'left' | 'right' | 'none'; readonly children: readonly PadChild[] } | null;
  readonly onMark: (childId: string, mark: Mark | null) => void;
  /** Where one goes from here; nothing on a phone that came by a link. */
  readonly wayBack?: ReactNode;
}

/** A phone beside the class: what is now and next, the presses of a clicker, and the children with four marks. */
export function RemotePad({ beside, watching, onMark, wayBack }: Props) {
  const { line, view, isUnanswered, press } = beside;
  const stage = view?.stage ?? null;
  return (
    <Box
      component="main"
      sx={{ minHeight: '100%', backgroundColor: palette.night, color: palette.cream, p: '12px 14px 28px', maxWidth: 560, mx: 'auto' }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, fontSize: 15, color: palette.nightSoft }}>
        <span>{view?.groupName ?? t`Leiter`}</span>
        <span role="status">
          {line === 'reaching' ? t`no answer, trying again …` : isUnanswered ? t`the device that teaches did not answer` : ''}
        </span>
        {wayBack}
      </Box>
      {line === 'over' ? (
        <Said title={t`This is over`} text={t`The link ends with its class. For the next one, scan the new code.`} />
      ) : stage === null ? (
        <Said
          title={view === null ? t`One moment …` : t`Nobody teaches yet`}
          text={view === null ? '' : t`As soon as the class is started on the other device, it is shown here.`}
        />
      ) : (
        <>
          <NowAndNext stage={stage} cameAt={beside.cameAt} />
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, my: 1.5 }}>
            <Thumb
              isMain
              isWide
              label={stage.isWaiting ? t`Begin the work` : stage.isPaused ? t`Go on` : t`Next`}
              isOff={stage.isOver}
              onPress={() => {
                press(stage.isWaiting ? 'go' : stage.isPaused ? 'resume' : 'on');
              }}
            />
            <Thumb
              label={t`Back`}
              onPress={() => {
                press('back');
              }}
            />
            <Thumb
              label={t`Pause`}
              isOff={stage.isPaused || stage.isOver}
              onPress={() => {
                press('pause');
              }}
            />
            <Thumb
              label={t`Put off`}
              isOff={!stage.canPutOff}
              onPress={() => {
                press('put-off');
              }}
            />
            <Thumb
              label={t`Undo`}
              isOff={!stage.canUndo}
              onPress={() => {
                press('undo');
              }}
            />
          </Box>
          {watching && <PadMarks watching={watching} onMark={onMark} />}
        </>
      )}
    </Box>
  );
}

function Said({ title, text }: { readonly title: string; readonly text: string }) {
  return (
    <Box sx={{ mt: 6, textAlign: 'center' }}>
      <Box component="h1" sx={{ fontFamily: headingFont, fontSize: 30 }}>
        {title}
      </Box>
      <Box sx={{ fontSize: 18, color: palette.nightSoft }}>{text}</Box>
    </Box>
  );
}

function NowAndNext({ stage, cameAt }: { readonly stage: StageRequest; readonly cameAt: number }) {
  const [now, setNow] = useState(() => performance.now());
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(performance.now());
    }, 250);
    return () => {
      clearInterval(timer);
    };
  }, []);
  const stands = stage.isPaused || stage.isWaiting;
  const left = stands ? stage.remainingSeconds : Math.max(0, stage.remainingSeconds - Math.max(0, now - cameAt) / 1000);
  return (
    <>
      <Box component="h1" sx={{ fontFamily: headingFont, fontSize: stage.item.length > 18 ? 28 : 36, lineHeight: 1.1, m: '10px 0 4px' }}>
        {stage.item}
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'baseline', fontSize: 20 }}>
        <span>
          {stage.what}
          {stage.side !== null && <strong style={{ color: palette.glow, marginLeft: 10 }}>{stage.side}</strong>}
        </span>
        {!stage.isOver && <span style={{ fontVariantNumeric: 'tabular-nums' }}>{clockText(Math.ceil(left))}</span>}
      </Box>
      {stage.next !== null && (
        <Box sx={{ fontSize: 17, color: palette.nightSoft }}>
          <Trans>then: {stage.next}</Trans>
        </Box>
      )}
    </>
  );
}

function PadMarks({ watching, onMark }: { readonly watching: NonNullable<Props['watching']>; readonly onMark: Props['onMark'] }) {
  const { name, side } = watching;
  const [children, hold] = useStill(watching.children, `${name} ${side}`);
  return (
    <Box component="section" aria-label={t`Marks`}>
      <Box component="h2" sx={{ fontFamily: headingFont, fontSize: 20, m: '14px 0 4px' }}>
        {name}
        {side === 'none' ? '' : side === 'left' ? t`, on the left` : t`, on the right`}
      </Box>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {children.map((child) => (
          <Box component="li" key={child.id} sx={{ borderTop: '1px solid #2A373C', py: 0.75 }}>
            <Box sx={{ display: 'flex', justifyContent: 'space-between', fontSize: 17, mb: 0.5 }}>
              <span>{child.name}</span>
              <span style={{ color: palette.nightSoft, fontSize: 15 }}>
                {child.mark === null ? child.note : markWords[child.mark]}
                {child.isWaiting && ' …'}
              </span>
            </Box>
            <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 0.75 }}>
              {marks.map((mark, index) => (
                <Box
                  key={mark}
                  component="button"
                  type="button"
                  aria-label={t`${child.name}: ${markWords[mark]}`}
                  aria-pressed={child.mark === mark}
                  onClick={() => {
                    hold();
                    onMark(child.id, child.mark === mark ? null : mark);
                  }}
                  sx={{
                    minHeight: 48,
                    display: 'flex',
                    flexDirection: 'column',
                    alignItems: 'center',
                    justifyContent: 'center',
                    gap: '2px',
                    border: `2px solid ${child.mark === mark ? palette.glow : palette.soft}`,
                    borderRadius: '8px',
                    background: child.mark === mark ? palette.nightRaised : 'none',
                    color: palette.cream,
                    font: 'inherit',
                    fontSize: 13,
                  }}
                >
                  <Rungs climbed={index} tone="night" height={16} />
                  {markWords[mark]}
                </Box>
              ))}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** So long after a press the children stay where they are: the next one must not come under the thumb. */
const stillMilliseconds = 2500;

/** The children in their order, which waits while one presses. @param of another skill or side is another list */
function useStill(children: readonly PadChild[], of: string): readonly [readonly PadChild[], () => void] {
  const [still, setStill] = useState<{ readonly of: string; readonly ids: readonly string[]; readonly until: number } | null>(null);
  useEffect(() => {
    if (!still) return;
    const timer = setTimeout(
      () => {
        setStill(null);
      },
      Math.max(0, still.until - performance.now()),
    );
    return () => {
      clearTimeout(timer);
    };
  }, [still]);
  const held = still?.of === of ? still.ids : null;
  const place = (id: string): number => (held?.includes(id) ? held.indexOf(id) : Number.MAX_SAFE_INTEGER);
  const shown = held ? children.toSorted((a, b) => place(a.id) - place(b.id)) : children;
  return [
    shown,
    () => {
      setStill({ of, ids: shown.map(({ id }) => id), until: performance.now() + stillMilliseconds });
    },
  ];
}

interface ThumbProps {
  readonly label: string;
  readonly onPress: () => void;
  readonly isMain?: boolean;
  readonly isWide?: boolean;
  readonly isOff?: boolean;
}

function Thumb({ label, onPress, isMain = false, isWide = false, isOff = false }: ThumbProps) {
  return (
    <Box
      component="button"
      type="button"
      disabled={isOff}
      onClick={onPress}
      sx={{
        minHeight: isMain ? 84 : 60,
        ...(isWide ? { gridColumn: '1 / -1' } : {}),
        border: `2px solid ${isMain ? palette.cream : palette.soft}`,
        borderRadius: '10px',
        background: isMain ? palette.cream : 'none',
        color: isMain ? palette.night : palette.cream,
        font: 'inherit',
        fontSize: isMain ? 26 : 19,
        fontWeight: 700,
        '&:disabled': { opacity: 0.4 },
        '&:active': { transform: 'scale(0.98)' },
      }}
    >
      {label}
    </Box>
  );
}
