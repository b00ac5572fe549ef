import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { clockText, type ItemTotal } from '@leiter/core';
import { FigureRow } from '../../shared/figure-row';
import { plural } from '../../shared/words';

/** By what an instructor's items of a kind last longer than reckoned, and what that rests on. */
export interface LearnedPace {
  readonly factor: number;
  readonly items: number;
  readonly classes: number;
}

export function paceLabel({ items, classes }: LearnedPace): string {
  return `Your own pace, from ${plural(items, 'item', 'items')} in ${plural(classes, 'class', 'classes')}`;
}

/** What the seconds of an item are made of. */
export function TimeParts({ total, pace }: { readonly total: ItemTotal; readonly pace: LearnedPace | undefined }) {
  const { first, parts, seconds } = total;
  const { item, familiarity, rounds, movement } = first;
  const rows: readonly (readonly [string, number])[] = [
    [`Explain, ${familiarity}${item.tiers.length > 1 ? `, ${String(item.tiers.length)} versions` : ''}`, parts.explain],
    [rounds > 1 ? 'Going there, rest between rounds' : 'Going there from the item before', parts.goTo],
    ['Setting up', parts.setUp],
    [item.sides === 'both' ? 'Doing it, both sides' : 'Doing it', parts.work],
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
        {pace && <FigureRow label={paceLabel(pace)} value={`×\u00a0${pace.factor.toFixed(2)}`} />}
      </Box>
    </>
  );
}
