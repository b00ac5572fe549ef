import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { clockText, isClockBound, type ItemTotal, type Learned, type LearnedPace, type TimedItem } from '@leiter/core';
import { FigureRow } from '../../shared/figure-row';
import { plural } from '../../shared/words';

function paceLabel(what: string, { items, classes }: Learned): string {
  return `Your own pace of ${what}, from ${plural(items, 'item', 'items')} in ${plural(classes, 'class', 'classes')}`;
}

/** `Explain: teach, new, 3 versions`, or that the instructor wrote it. */
function explainLabel({ item, way, familiarity }: TimedItem): string {
  if (item.explainSeconds !== undefined) return `Explain: ${way}, as you wrote`;
  return `Explain: ${way}, ${familiarity}${item.tiers.length > 1 && (way === 'teach' || way === 'watch') ? `, ${String(item.tiers.length)} versions` : ''}`;
}

/** What the seconds of an item are made of. */
export function TimeParts({ total, pace }: { readonly total: ItemTotal; readonly pace: LearnedPace }) {
  const { first, parts, seconds } = total;
  const { item, way, rounds, movement } = first;
  const explained = pace.explain.find((one) => one.way === way && one.kind === movement.kind) ?? pace.explainAll;
  const rows: readonly (readonly [string, number])[] = [
    [explainLabel(first), parts.explain],
    [rounds > 1 ? 'Going there, rest between rounds' : 'Going there from the item before', parts.goTo],
    ['Setting up', parts.setUp],
    [`Doing it${item.sides === 'both' ? ', both sides' : ''}${item.takesTurns ? ', in turns' : ''}`, parts.work],
    ['Change of side', parts.sideChange],
  ];
  return (
    <>
      <Typography variant="h3" sx={{ mt: 2, mb: 0.5 }}>
        {movement.name} takes {clockText(seconds)}
        {rounds > 1 && ` in ${String(rounds)} rounds`}
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
