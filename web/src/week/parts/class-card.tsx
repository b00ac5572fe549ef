import { plural, t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { ClassOutlook, WeekEntry } from '@leiter/contract';
import { clockText } from '@leiter/core';
import Box from '@mui/material/Box';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { addClass, changeClass } from '../../queries/calendar.queries';
import { useMay } from '../../queries/may';
import { ClassRungs, stepsOf } from '../../shared/class-rungs';
import { headingFont, palette } from '../../shared/palette';
import { onTouch } from '../../shared/screen';
import { TextButton } from '../../shared/text-button';
import { offerUndo } from '../../shared/undo-bar';
import { dayText, namesText } from '../../shared/words';

interface Props {
  readonly entry: WeekEntry;
  readonly outlook: ClassOutlook | undefined;
  readonly today: string;
  readonly isOwn: boolean;
}

/** One class of the week: when, how far it has come, what is open, and the ways into it. */
export function ClassCard({ entry, outlook, today, isOwn }: Props) {
  const { group, day, startsAt, lengthMinutes, class: session, holiday, movedTo } = entry;
  if (movedTo !== null)
    return (
      <Faint label={group.name}>
        <Trans>moved to {dayText(movedTo)}</Trans>
      </Faint>
    );
  if (holiday !== null) return <Faint label={group.name}>{holiday}</Faint>;
  const isOff = session !== null && session.cancelledBecause !== null;
  return (
    <Box
      component="article"
      aria-label={`${group.name}, ${dayText(day)} ${startsAt}`}
      sx={{
        border: `1px solid ${palette.line}`,
        borderTop: `4px solid ${isOff ? palette.line : palette.ink}`,
        borderRadius: '6px',
        backgroundColor: isOff ? 'transparent' : palette.white,
        p: 1.25,
        pb: 0.75,
      }}
    >
      <Box sx={{ display: 'flex', gap: 1.25 }}>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Box sx={{ fontFamily: headingFont, fontSize: 20, lineHeight: 1.15, textDecoration: isOff ? 'line-through' : 'none' }}>
            {startsAt}
          </Box>
          <Box sx={{ fontWeight: 700, overflowWrap: 'anywhere' }}>
            {session ? <Link to={`/classes/${session.id}`}>{group.name}</Link> : group.name}
          </Box>
          <Box sx={{ fontSize: 13.5, color: palette.soft }}>
            <Trans>
              {lengthMinutes} min{isOwn ? '' : t` · not yours`}
            </Trans>
          </Box>
        </Box>
        {!isOff && <ClassRungs done={stepsOf(entry)} />}
      </Box>
      {isOff ? <Off entry={entry} /> : <State entry={entry} outlook={outlook} today={today} />}
      {!isOff && <Ways entry={entry} today={today} />}
    </Box>
  );
}

function Faint({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <Box sx={{ border: `1px dashed ${palette.line}`, borderRadius: '6px', px: 1.25, py: 0.75, fontSize: 13.5, color: palette.soft }}>
      <Box sx={{ fontWeight: 700, overflowWrap: 'anywhere' }}>{label}</Box>
      {children}
    </Box>
  );
}

function Off({ entry: { class: session, group } }: { readonly entry: WeekEntry }) {
  const may = useMay();
  if (!session) return null;
  const reason = session.cancelledBecause;
  return (
    <Box sx={{ fontSize: 14, my: 0.75 }}>
      <Trans>Cancelled: {reason}</Trans>
      {may.change && (
        <Box>
          <TextButton
            label={t`It takes place`}
            onClick={() => {
              void changeClass(session.id, { cancelledBecause: null }).then(() => {
                offerUndo(t`${group.name} takes place`, () => changeClass(session.id, { cancelledBecause: reason }));
              });
            }}
          />
        </Box>
      )}
    </Box>
  );
}

/** What one wants to know of it: the plan before, the roll and marks after. */
function State({ entry, outlook, today }: Pick<Props, 'entry' | 'outlook' | 'today'>) {
  const {
    class: session,
    itemCount,
    away,
    expectedCount,
    presentCount,
    markedCount,
    rollCount,
    day,
    slotDay,
  } = { slotDay: entry.class?.slotDay ?? null, ...entry };
  const lines: React.ReactNode[] = [];
  if (session?.taughtAt) {
    lines.push(
      rollCount < expectedCount ? (
        <Open key="roll">
          <Trans>
            roll: {rollCount} of {expectedCount}
          </Trans>
        </Open>
      ) : (
        t`${plural(presentCount, { one: '# child', other: '# children' })} there`
      ),
    );
    lines.push(
      markedCount < presentCount || markedCount === 0 ? (
        <Open key="marks">{markedCount === 0 ? t`nobody marked` : t`${markedCount} of ${presentCount} marked`}</Open>
      ) : (
        t`${markedCount} marked`
      ),
    );
  } else {
    if (session?.hasPlan)
      lines.push(
        outlook
          ? t`${clockText(outlook.totalSeconds)} of ${entry.lengthMinutes}:00`
          : plural(itemCount, { one: '# item', other: '# items' }),
      );
    else
      lines.push(
        day < today ? (
          t`nothing written down`
        ) : (
          <Open key="plan">
            <Trans>not planned</Trans>
          </Open>
        ),
      );
    if (outlook && outlook.stops > 0)
      lines.push(
        <Box key="stops" component="span" sx={{ color: palette.stop, fontWeight: 700 }}>
          <Trans>
            <Plural value={outlook.stops} one="# stop" other="# stops" /> to answer
          </Trans>
        </Box>,
      );
    if (outlook && outlook.cautions > 0) lines.push(plural(outlook.cautions, { one: '# caution', other: '# cautions' }));
    lines.push(away.length > 0 ? t`without ${namesText(away)}` : plural(expectedCount, { one: '# child', other: '# children' }));
  }
  if (slotDay !== null) lines.push(t`instead of ${dayText(slotDay)}`);
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, mt: 0.5, p: 0, fontSize: 14 }}>
      {lines.map((line, index) => (
        <li key={index}>{line}</li>
      ))}
    </Box>
  );
}

function Open({ children }: { readonly children: React.ReactNode }) {
  return (
    <Box component="span" sx={{ color: palette.caution, fontWeight: 700 }}>
      {children}
    </Box>
  );
}

/** Plan, Teach and Marks in one press. */
function Ways({ entry, today }: Pick<Props, 'entry' | 'today'>) {
  const may = useMay();
  const navigate = useNavigate();
  const [isGoing, setGoing] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const { class: session, group, day } = entry;
  const go = (where: string): void => {
    if (session) {
      void navigate(`/classes/${session.id}${where}`);
      return;
    }
    setGoing(true);
    addClass({ groupId: group.id, day }).then(
      ({ id }) => void navigate(`/classes/${id}${where}`),
      (error: unknown) => {
        setGoing(false);
        setFailed(error instanceof Error ? error.message : t`That did not work.`);
      },
    );
  };
  const name = t`of ${group.name}, ${dayText(day)}`;
  const hasPlan = session?.hasPlan ?? false;
  const ways = [
    ...(may.change || hasPlan ? [{ label: t`Plan`, where: '/plan', isNext: !hasPlan && day >= today }] : []),
    ...(may.change && hasPlan && session?.endedAt == null ? [{ label: t`Teach`, where: '/teach', isNext: day === today }] : []),
    ...(session || may.change
      ? [{ label: t`Marks`, where: '/marks', isNext: session?.taughtAt != null && entry.markedCount < entry.presentCount }]
      : []),
  ];
  return (
    <>
      {failed !== null && <Box sx={{ color: palette.stop, fontSize: 13.5 }}>{failed}</Box>}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', mx: -0.75, mt: 0.5, columnGap: 0.25 }}>
        {ways.map(({ label, where, isNext }) => (
          <Box
            key={label}
            component="button"
            type="button"
            disabled={isGoing}
            aria-label={`${label} ${name}`}
            onClick={() => {
              go(where);
            }}
            sx={{
              border: 0,
              background: 'none',
              font: 'inherit',
              fontSize: 14.5,
              px: 0.75,
              minHeight: 32,
              [onTouch]: { minHeight: 44, px: 1.25 },
              color: palette.primary,
              fontWeight: isNext ? 700 : 400,
              textDecoration: 'underline',
              textDecorationThickness: isNext ? 2 : 1,
              textUnderlineOffset: 4,
              cursor: 'pointer',
            }}
          >
            {label}
          </Box>
        ))}
      </Box>
    </>
  );
}
