import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import {
  daysBetween,
  isMet,
  type Criterion,
  type Day,
  type Movement,
  type Observation,
  type SideStanding,
  type Standing,
} from '@leiter/core';
import { useState } from 'react';
import { Figure } from '../../shared/figure';
import { palette } from '../../shared/palette';
import { dayText, markWords, standingWords } from '../../shared/words';
import { criterionText } from '../../shared/criterion-text';

/** One requirement of the next grade: what is asked, what was seen, how it stands; opens to the observations behind it. */
export function RequirementLine({
  standing,
  movement,
  today,
}: {
  readonly standing: Standing;
  readonly movement: Movement | undefined;
  readonly today: Day;
}) {
  const [isOpen, setOpen] = useState(false);
  const { requirement } = standing;
  const stage = requirement.stage === null ? undefined : movement?.stages[requirement.stage - 1];
  const name = movement?.name ?? requirement.movement;
  return (
    <Box component="li" sx={{ borderTop: `1px solid ${palette.line}` }}>
      <Box
        component="button"
        type="button"
        aria-expanded={isOpen}
        onClick={() => {
          setOpen(!isOpen);
        }}
        sx={{
          width: '100%',
          display: 'grid',
          gridTemplateColumns: '44px minmax(0, 1fr) 128px 132px 14px',
          // between its neighbours on a small laptop what was seen stands under the name
          '@media (max-width: 1180px)': {
            gridTemplateColumns: '44px minmax(0, 1fr) minmax(0, 1fr) 14px',
            rowGap: 0.5,
            '& > :nth-child(1)': { gridRow: '1 / 3' },
            '& > :nth-child(2)': { gridColumn: '2 / 4' },
            '& > :nth-child(3)': { gridColumn: 2, gridRow: 2 },
            '& > :nth-child(4)': { gridColumn: 3, gridRow: 2 },
            '& > :nth-child(5)': { gridColumn: 4, gridRow: 1 },
          },
          gap: 1.25,
          alignItems: 'center',
          border: 0,
          background: 'none',
          font: 'inherit',
          color: 'inherit',
          textAlign: 'left',
          py: 0.75,
          cursor: 'pointer',
        }}
      >
        <Figure movement={movement} size={42} />
        <span>
          <Box component="span" sx={{ display: 'block', lineHeight: 1.3 }}>
            {name}
            {stage && stage.name.toLowerCase() !== name.toLowerCase() && `: ${stage.name.charAt(0).toLowerCase()}${stage.name.slice(1)}`}
          </Box>
          <Box component="span" sx={{ fontSize: 13, color: palette.soft }}>
            {criterionText(requirement.criterion)}
          </Box>
        </span>
        <span>
          {standing.sides.map((side) => (
            <Seen key={side.side ?? 'any'} side={side} criterion={requirement.criterion} />
          ))}
        </span>
        <Box component="span" sx={{ fontWeight: standing.name === 'unseen' ? 400 : 700, fontSize: 14, color: verdictColour(standing) }}>
          {verdictWords(standing)}
        </Box>
        <Box component="span" aria-hidden="true" sx={{ color: palette.soft }}>
          {isOpen ? '▴' : '▾'}
        </Box>
      </Box>
      {isOpen && <Evidence standing={standing} movement={movement} today={today} />}
    </Box>
  );
}

/** One box per time asked, filled for each time shown. */
function Seen({ side, criterion }: { readonly side: SideStanding; readonly criterion: Criterion }) {
  const shown = Math.min(side.times, criterion.times);
  return (
    <Box component="span" sx={{ display: 'flex', alignItems: 'center', gap: 0.5, fontSize: 13, color: palette.soft }}>
      {Array.from({ length: criterion.times }, (_, index) => (
        <Box
          component="span"
          key={index}
          aria-hidden="true"
          sx={{
            width: 12,
            height: 12,
            borderRadius: '3px',
            border: `1.5px solid ${palette.primary}`,
            backgroundColor: index < shown ? palette.primary : 'transparent',
          }}
        />
      ))}
      {side.side !== null && <span>{side.side}</span>}
      <span>{fellShort(side, criterion) ? t`but not last time` : plural(side.days, { one: '# day', other: '# days' })}</span>
    </Box>
  );
}

/** Shown often enough, and still not met: the newest one fell short. */
function fellShort({ name, times, days }: SideStanding, criterion: Criterion): boolean {
  return name !== 'met' && name !== 'fading' && times >= criterion.times && days >= criterion.days;
}

/** What was not seen yet is the usual case and does not shout; what fades wants a look. */
function verdictColour(standing: Standing): string {
  if (standing.name === 'fading') return palette.caution;
  if (isMet(standing)) return palette.primary;
  return standing.name === 'unseen' ? palette.soft : palette.ink;
}

function verdictWords(standing: Standing): string {
  if (standing.name === 'met') return t`met`;
  if (standing.name === 'fading')
    return t`met · fading, ${plural(Math.floor((standing.unseenForDays ?? 0) / 7), { one: '# week', other: '# weeks' })}`;
  if (standing.name === 'unseen') return t`not seen yet`;
  const open = standing.sides.filter(({ side, name }) => side !== null && name !== 'met' && name !== 'fading').map(({ side }) => side);
  if (standing.sides.length === 2 && open.length === 1) return t`${open[0] ?? ''} side still to see`;
  const best = standing.sides.map(({ bestMark }) => bestMark).find((mark) => mark !== null);
  if (standing.name === 'shown') return t`shown, once more to see`;
  return best === 'alone' ? t`alone, not yet as asked` : standingWords[standing.name];
}

function Evidence({
  standing,
  movement,
  today,
}: {
  readonly standing: Standing;
  readonly movement: Movement | undefined;
  readonly today: Day;
}) {
  const seen = new Map<string, Observation>(standing.sides.flatMap(({ evidence }) => evidence.map((one) => [one.id, one] as const)));
  if (seen.size === 0)
    return (
      <Box sx={{ pl: 6, pb: 1.5, color: palette.soft, fontSize: 14 }}>
        <Trans>Nothing was marked yet.</Trans>
      </Box>
    );
  return (
    <Box component="ul" aria-label={t`Observations`} sx={{ listStyle: 'none', m: 0, p: '0 0 12px 50px', fontSize: 14 }}>
      {[...seen.values()]
        .toSorted((a, b) => (a.seenOn < b.seenOn ? 1 : -1))
        .map((one) => (
          <Box component="li" key={one.id} sx={{ display: 'grid', gridTemplateColumns: '110px 70px 110px 1fr', gap: 1, py: 0.25 }}>
            <span title={plural(daysBetween(one.seenOn, today), { one: '# day ago', other: '# days ago' })}>{dayText(one.seenOn)}</span>
            <span>{one.side === 'none' ? '' : one.side}</span>
            <strong>{markWords[one.mark]}</strong>
            <span style={{ color: palette.soft }}>{detailOf(one, movement)}</span>
          </Box>
        ))}
    </Box>
  );
}

export function detailOf(one: Observation, movement: Movement | undefined): string {
  const { seconds, reps, correct, of } = one.measure;
  return [
    seconds === undefined ? '' : `${String(seconds)} s`,
    reps === undefined ? '' : plural(reps, { one: '# time', other: '# times' }),
    correct === undefined ? '' : t`${correct} of ${of ?? 0}`,
    one.help?.replaceAll('-', ' ') ?? '',
    ...one.faults.map((slug) => movement?.faults.find((fault) => fault.slug === slug)?.name.toLowerCase() ?? slug),
    one.source === 'class' ? '' : one.source.replaceAll('-', ' '),
    one.note,
  ]
    .filter((part) => part !== '')
    .join(', ');
}
