import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import { daysBetween, watchSettings, worthWatching, type Library, type MovementSlug, type WorthWatching } from '@leiter/core';
import { palette } from '../shared/palette';
import type { Standings } from './mark-grid';

/**
 * Whom to look at for what, of what is done in a class (core's `worthWatching`), from the board of the group.
 * @param children who is expected or there
 * @param movements that are done, the most important first
 */
export function watchListOf(
  board: Standings,
  children: ReadonlySet<string>,
  movements: readonly MovementSlug[],
  today: string,
): readonly WorthWatching[] {
  const requirements = new Map(board.columns.flatMap((column) => column.requirements).map((one) => [one.id, one]));
  const found = board.rows
    .filter(({ childId }) => children.has(childId))
    .map(({ childId, cells, unlookedClasses, lastSeenOn }) => ({
      id: childId,
      unlookedClasses,
      unseenForDays: lastSeenOn === null ? null : Math.max(0, daysBetween(lastSeenOn, today)),
      standings: cells.flatMap(({ requirementId, standing, sides, unseenForDays }) => {
        const requirement = requirements.get(requirementId);
        return requirement ? [{ requirement, name: standing, sides, unseenForDays }] : [];
      }),
    }));
  return worthWatching(found, movements);
}

/** Why, in a few words. */
export function watchReasonWords({ reason }: Pick<WorthWatching, 'reason'>): string {
  switch (reason.kind) {
    case 'passed-over':
      return reason.days === null
        ? t`nobody has looked yet`
        : plural(reason.classes, { one: 'not looked at in # class', other: 'not looked at in # classes' });
    case 'completes':
      return reason.isLast ? t`once more, and the grade is there` : t`once more, and it is met`;
    case 'open-side':
      return t`this side is open`;
    case 'fading':
      return plural(Math.round(reason.days / 7), { one: 'met, not seen for # week', other: 'met, not seen for # weeks' });
    case 'overturns':
      return t`fell short last time`;
    case 'never-seen':
      return t`never seen`;
    case 'goes-on':
      return t`on its way`;
  }
}

/** `left` or `right`; nothing where sides are not told apart. */
const sideWords = ({ side }: WorthWatching): string => (side === null ? '' : side === 'left' ? t`left` : t`right`);

interface Props {
  readonly list: readonly WorthWatching[];
  readonly board: Standings;
  readonly library: Library;
  /** Left out where nothing can be chosen. */
  readonly onChoose?: (look: WorthWatching) => void;
}

/** The few looks that are worth most, each with its reason. Nothing where none is. */
export function WhomToWatch({ list, board, library, onChoose }: Props) {
  // who was passed over is never left out
  const shown = list.filter(({ reason }, index) => index < watchSettings.named || reason.kind === 'passed-over');
  if (shown.length === 0) return null;
  return (
    <Box component="ul" aria-label={t`Whom to look at`} sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {shown.map((look) => {
        const name = board.rows.find(({ childId }) => childId === look.child)?.name ?? '';
        const what = [library.get(look.movement)?.name ?? look.movement, sideWords(look)].filter((part) => part !== '').join(', ');
        const words = (
          <>
            <strong>{name}</strong> {look.requirement || look.reason.kind !== 'passed-over' ? what : t`anything`}{' '}
            <span style={{ color: palette.soft }}>– {watchReasonWords(look)}</span>
          </>
        );
        return (
          <Box component="li" key={look.child} sx={{ py: 0.375, lineHeight: 1.35 }}>
            {onChoose && look.requirement ? (
              <Box
                component="button"
                type="button"
                onClick={() => {
                  onChoose(look);
                }}
                sx={{
                  p: 0,
                  border: 0,
                  background: 'none',
                  font: 'inherit',
                  color: 'inherit',
                  textAlign: 'left',
                  cursor: 'pointer',
                  minHeight: 24,
                  '&:hover strong': { textDecoration: 'underline' },
                }}
              >
                {words}
              </Box>
            ) : (
              words
            )}
          </Box>
        );
      })}
    </Box>
  );
}

/** The same with a heading, for a panel. */
export function WhomToWatchPanel(props: Props) {
  if (props.list.length === 0) return null;
  return (
    <Box sx={{ mb: 2 }}>
      <Box component="h2" sx={{ fontSize: 16, fontWeight: 700, m: 0, mb: 0.5 }}>
        <Trans>Whom to look at</Trans>
      </Box>
      <WhomToWatch {...props} />
    </Box>
  );
}
