import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { clockText, isClockBound, type ItemTotal, type Learned, type LearnedPace, type TimedItem } from '@leiter/core';
import { FigureRow } from '../../shared/figure-row';

function paceLabel(what: string, { items, classes }: Learned): string {
  return t`Your own pace of ${what}, from ${plural(items, { one: '# item', other: '# items' })} in ${plural(classes, { one: '# class', other: '# classes' })}`;
}

/** `Explain: teach, new, 3 versions`, or that the instructor wrote it. */
function explainLabel({ item, way, familiarity }: TimedItem): string {
  if (item.explainSeconds !== undefined) return t`Explain: ${way}, as you wrote`;
  return t`Explain: ${way}, ${familiarity}${item.tiers.length > 1 && (way === 'teach' || way === 'watch') ? t`, ${item.tiers.length} versions` : ''}`;
}

/** What the seconds of an item are made of. */
export function TimeParts({ total, pace }: { readonly total: ItemTotal; readonly pace: LearnedPace }) {
  const { first, parts, seconds } = total;
  const { item, way, rounds, movement } = first;
  const explained = pace.explain.find((one) => one.way === way && one.kind === movement.kind) ?? pace.explainAll;
  const rows: readonly (readonly [string, number])[] = [
    [explainLabel(first), parts.explain],
    [rounds > 1 ? t`Going there, rest between rounds` : t`Going there from the item before`, parts.goTo],
    [t`Setting up`, parts.setUp],
    [t`Doing it${item.sides === 'both' ? t`, both sides` : ''}${item.takesTurns ? t`, in turns` : ''}`, parts.work],
    [t`Change of side`, parts.sideChange],
  ];
  return (
    <>
      <Typography variant="h3" sx={{ mt: 2, mb: 0.5 }}>
        <Trans>
          {movement.name} takes {clockText(seconds)}
          {rounds > 1 && t` in ${rounds} rounds`}
        </Trans>
      </Typography>
      <Box component="dl" sx={{ m: 0 }}>
        {rows
          .filter(([, part]) => part > 0)
          .map(([label, part]) => (
            <FigureRow key={label} label={label} value={clockText(part)} />
          ))}
        {explained.items > 0 && <FigureRow label={paceLabel('explaining', explained)} value={`×\u00a0${explained.factor.toFixed(2)}`} />}
        {pace.work.items > 0 && !isClockBound(item.dose) && (
          <FigureRow label={paceLabel('work', pace.work)} value={`×\u00a0${pace.work.factor.toFixed(2)}`} />
        )}
      </Box>
    </>
  );
}
