import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import { callsText, clockText, helperText, leaderWords, stanceWords, type Position, type Stance, type TimedItem } from '@leiter/core';
import type { ReactNode } from 'react';
import { headingFont, palette } from '../../shared/palette';
import { Figure } from '../../shared/figure';
import { sectionWords } from '../../shared/words';
import { dancingAt, PhraseFigure, PhraseNow } from './phrase-now';
import { countOf, paceWords, sideWords, stepWords, type SideWords } from '../run/teach-words';

interface Props {
  readonly position: Position;
  /** What is said before the first movement; shown while it is said. */
  readonly talk: readonly string[];
  /** What is done at home; shown while it is told. */
  readonly homeTask: readonly string[];
  readonly nameOf: (movement: string) => string;
  /** Who does another movement, and which: `Kaia B.: Stork`. */
  readonly instead: readonly string[];
  readonly stance: Stance;
  /** True while the work waits for the signal. */
  readonly isWaiting: boolean;
  /** True where the children stand beside it: there is less room. */
  readonly hasPanel: boolean;
  /** True on half a screen: smaller, and without what the versions are. */
  readonly isHalf?: boolean;
  /** What would end the class on time; nothing while it does. */
  readonly offer: ReactNode;
}

/** Where in the class this is, and when it ends. */
export function StageTop({
  position,
  clock,
  endsAt = null,
}: {
  readonly position: Position;
  readonly clock: string;
  /** Null where it does not matter when it ends. */
  readonly endsAt?: string | null;
}) {
  return (
    <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, p: '22px 36px 0', fontSize: 23, color: palette.nightSoft }}>
      <span>
        {position.timed && whereWords(position.timed)}{' '}
        <Box component="span" sx={{ ml: 2 }}>
          {clock}
        </Box>
      </span>
      <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
        {endsAt !== null && (
          <Trans>
            ends <strong style={{ color: palette.cream }}>{endsAt}</strong> · {paceWords(position)}
          </Trans>
        )}
      </Box>
    </Box>
  );
}

/** What is taught now, to be read from three metres away. */
export function StageView({ position, talk, homeTask, nameOf, instead, stance, isWaiting, hasPanel, isHalf = false, offer }: Props) {
  const { timed, next } = position;
  if (!timed) return null;
  const { movement, item } = timed;
  const said = movement.kind !== 'talk' ? [] : timed.section.kind === 'safety' ? talk : timed.section.kind === 'closing' ? homeTask : [];
  const how = howWords(timed, nameOf);
  const cue = item.cue ?? movement.cues[0];
  const dancing = dancingAt(position);
  const figureSize = isHalf ? 200 : hasPanel ? 250 : 320;
  const tiers = item.tiers.flatMap((name) => {
    const tier = movement.tiers[name];
    return tier ? [{ name, ...tier }] : [];
  });
  return (
    <Box sx={{ flex: 1, minWidth: 0, p: '10px 36px 20px', display: 'flex', flexDirection: 'column', minHeight: 0 }}>
      <Box
        component="h1"
        sx={{
          fontFamily: headingFont,
          fontSize: nameSize(movement.name, hasPanel),
          lineHeight: 1.05,
          fontWeight: 700,
          m: '8px 0 6px',
          color: palette.cream,
        }}
      >
        {movement.name}
      </Box>
      {how !== '' && <Box sx={{ fontSize: 26, lineHeight: 1.25, color: palette.cream }}>{how}</Box>}
      {offer}
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: columnsFor({ isTalk: said.length > 0, hasPanel, isHalf }),
          gap: 4,
          alignItems: 'center',
        }}
      >
        {said.length > 0 ? (
          <Talk lines={said} label={timed.section.kind === 'safety' ? t`Safety talk` : t`Home task`} />
        ) : dancing ? (
          <PhraseFigure
            dancing={dancing}
            isPaused={position.isPaused}
            isFromBehind={dancing.learning?.way === 'from-behind' || stance === 'turned'}
            size={figureSize}
          />
        ) : (
          <Figure movement={movement} size={figureSize} tone="night" isDecoration={false} />
        )}
        <Box sx={isHalf ? { zoom: 0.6 } : {}}>
          <Now position={position} stance={stance} isWaiting={isWaiting} />
        </Box>
      </Box>
      {instead.length > 0 && (
        <Box sx={{ fontSize: 22, mb: 1.5, lineHeight: 1.25 }}>
          <Box component="span" sx={{ color: palette.nightSoft, mr: 1.5 }}>
            <Trans>Instead</Trans>
          </Box>
          {instead.join(' · ')}
        </Box>
      )}
      {tiers.length > 1 && !isHalf && (
        <Box sx={{ display: 'grid', gridTemplateColumns: `repeat(${String(tiers.length)}, 1fr)`, gap: 3, mb: 2 }}>
          {tiers.map((tier) => (
            <Box key={tier.name} sx={{ borderTop: '3px solid #6E7F80', pt: 1 }}>
              <Box sx={{ fontSize: 19, color: palette.nightSoft }}>
                {tier.fromGrade === null ? tier.name : t`${tier.name}, from ${tier.fromGrade.replaceAll('-', ' ')}`}
              </Box>
              <Box sx={{ fontSize: 24, lineHeight: 1.25 }}>{tier.what}</Box>
            </Box>
          ))}
        </Box>
      )}
      <Box
        sx={{
          display: 'flex',
          justifyContent: 'space-between',
          gap: 4,
          borderTop: `1px solid ${palette.nightLine}`,
          pt: 1.75,
          fontSize: 25,
        }}
      >
        <span>
          {cue !== undefined && (
            <>
              <Box component="span" sx={{ color: palette.nightSoft, mr: 1.5 }}>
                <Trans>Say</Trans>
              </Box>
              {cue}
            </>
          )}
        </span>
        <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
          <Box component="span" sx={{ color: palette.nightSoft, mr: 1.5 }}>
            <Trans>Next</Trans>
          </Box>
          {next ? next.movement.name : t`the end`}
          {next && (
            <Box component="span" sx={{ color: palette.nightSoft, ml: 1.5 }}>
              {clockText(next.seconds)}
            </Box>
          )}
        </Box>
      </Box>
    </Box>
  );
}

/** The figure, or what is said, beside what is counted. */
function columnsFor({
  isTalk,
  hasPanel,
  isHalf,
}: {
  readonly isTalk: boolean;
  readonly hasPanel: boolean;
  readonly isHalf: boolean;
}): string {
  if (isTalk) return isHalf ? '1fr' : '1fr 420px';
  return isHalf ? '200px 1fr' : hasPanel ? '250px 1fr' : '320px 1fr';
}

/** In pixels: a name of usual length stays in one line. */
function nameSize({ length }: string, hasPanel: boolean): number {
  const most = hasPanel ? 15 : 22;
  return length <= most ? 92 : length <= most * 1.4 ? 68 : 54;
}

/** Who leads, what is called, who helps, what else they may do: what the plan says of it beyond how much. */
function howWords({ item }: TimedItem, nameOf: Props['nameOf']): string {
  return [
    ...(item.leader ? [leaderWords[item.leader]] : []),
    ...(item.stands ? [t`stand ${stanceWords[item.stands]}`] : []),
    ...(item.calls ? [callsText(item.calls)] : []),
    ...(item.choice ? [t`or ${item.choice.map(nameOf).join(', ')}`] : []),
    ...(item.helper ? [helperText(item.helper)] : []),
    ...(item.areEyesClosed ? [t`eyes closed`] : []),
    ...(item.stopsWithMusic ? [t`still when the music stops`] : []),
  ].join(' · ');
}

/** The section, which round of a circuit it is, what is done before it, and what plays. */
function whereWords({ section, item, share, round, rounds }: TimedItem): string {
  const track = item.music ?? section.music;
  return [
    sectionWords[section.kind],
    ...(rounds > 1 ? [share < 1 ? (round % 2 === 1 ? t`the first one` : t`now the other one`) : t`round ${round} of ${rounds}`] : []),
    ...(item.isCameraMoved ? [t`move the camera`] : []),
    ...(item.build ? [t`first: ${item.build.what}`] : []),
    ...(item.takesTurns ? [t`two take turns`] : []),
    ...(track ? [track.name === '' ? t`to music` : t`to “${track.name}”`] : []),
  ].join(' · ');
}

function Talk({ lines, label }: { readonly lines: readonly string[]; readonly label: string }) {
  return (
    <Box component="ul" aria-label={label} sx={{ m: 0, pl: 3.5, fontSize: lines.length > 9 ? 22 : 25, lineHeight: 1.35 }}>
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </Box>
  );
}

function Now({ position, stance, isWaiting }: Pick<Props, 'position' | 'stance' | 'isWaiting'>) {
  const { step, count, remainingSeconds, stepRemainingSeconds, overSeconds, isPaused } = position;
  const side = sideWords(position, stance);
  const dancing = dancingAt(position);
  const of = countOf(step);
  // what is left of the step is then what is left of the item
  const isLastStep = remainingSeconds - stepRemainingSeconds < 1;
  const timer = { role: 'timer', 'aria-label': t`left of this item` } as const;
  const large = { fontFamily: headingFont, fontWeight: 750, lineHeight: 1 } as const;
  return (
    <Box>
      <Box sx={{ fontSize: 30, color: palette.nightSoft }}>
        {isPaused ? t`Paused – space goes on` : isWaiting ? t`Explain and show – space begins the work` : stepWords(step)}
      </Box>
      {side && !isPaused && <Side side={side} />}
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 4 }}>
        {of !== null ? (
          <Box sx={{ ...large, fontSize: 120, whiteSpace: 'nowrap' }}>
            {count}
            <Box component="span" sx={{ fontSize: 48, color: palette.nightSoft, ml: 2 }}>
              <Trans>of {of}</Trans>
            </Box>
          </Box>
        ) : overSeconds >= 1 ? (
          <Box sx={{ ...large, fontSize: 110, color: palette.glow }}>+{clockText(Math.floor(overSeconds))}</Box>
        ) : (
          <Box sx={{ ...large, fontSize: 110 }} {...(isLastStep ? timer : {})}>
            {clockText(Math.ceil(stepRemainingSeconds))}
          </Box>
        )}
        {(of !== null || !isLastStep) && (
          <Box>
            <Box sx={{ fontFamily: headingFont, fontSize: 56, lineHeight: 1 }} {...timer}>
              {clockText(Math.ceil(remainingSeconds))}
            </Box>
            <Box sx={{ fontSize: 21, color: palette.nightSoft, whiteSpace: 'nowrap' }}>
              <Trans>left of this item</Trans>
            </Box>
          </Box>
        )}
      </Box>
      {!isPaused && !isWaiting && dancing && <PhraseNow dancing={dancing} />}
    </Box>
  );
}

/** The side as the children have it, an arrow to where they see it, and which of their own the leader moves. */
function Side({ side: { children, you, seenOn } }: { readonly side: SideWords }) {
  const arrow = seenOn && (
    <svg
      viewBox="-4 -4 102 78"
      width={110}
      height={84}
      role="img"
      aria-label={seenOn === 'left' ? t`seen on the left` : t`seen on the right`}
    >
      <path d="M36 6 8 35l28 29M10 35h76" transform={seenOn === 'left' ? undefined : 'matrix(-1 0 0 1 94 0)'} {...arrowLook} />
    </svg>
  );
  return (
    <Box sx={{ mb: 1 }}>
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 2.5,
          flexDirection: seenOn === 'right' ? 'row-reverse' : 'row',
          width: 'fit-content',
        }}
      >
        {arrow}
        <Box
          sx={{ fontFamily: headingFont, fontSize: children.length > 6 ? 76 : 108, lineHeight: 1, fontWeight: 750, color: palette.glow }}
        >
          {children}
        </Box>
      </Box>
      <Box sx={{ fontSize: 26 }}>
        <Trans>
          you: <strong style={{ color: palette.cream }}>{you}</strong>
        </Trans>
      </Box>
    </Box>
  );
}

const arrowLook = { fill: 'none', stroke: palette.glow, strokeWidth: 13, strokeLinecap: 'round', strokeLinejoin: 'round' } as const;
