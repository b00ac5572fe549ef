import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { useStable } from '../../shared/use-stable';
import { inOrder, type standingOf, type wallOf, type WallOrder } from './wall';
import { cardsLook, WallCard } from './wall-card';

/**
 * The cards of all groups, each group with its name above. A filter only hides: whoever is left out stays drawn, and at its place, for
 * dozens of ladders drawn anew or moved would come late.
 */
export function Wall({
  standing,
  wall,
  order,
  chosen,
  onChoose,
}: {
  readonly standing: ReturnType<typeof standingOf>;
  /** Those of them who are wanted now, in the order wanted. */
  readonly wall: ReturnType<typeof wallOf>;
  readonly order: WallOrder;
  readonly chosen: ReadonlySet<string> | null;
  readonly onChoose: (chosen: ReadonlySet<string>) => void;
}) {
  const flip = useStable((id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    onChoose(next);
  });
  return standing.map(({ group, members: all }) => {
    const members = wall.find((place) => place.group?.id === group?.id)?.members ?? [];
    const wanted = new Set(members);
    const drawn = inOrder(all, order).filter((one) => wanted.has(one) || !one.child.archived);
    return (
      <Box
        key={group?.id ?? 'none'}
        component="section"
        aria-label={group?.name ?? t`In no group now`}
        hidden={members.length === 0}
        sx={{ mb: 3 }}
      >
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, mb: 1, flexWrap: 'wrap' }}>
          <Typography variant="h2">{group?.name ?? t`In no group now`}</Typography>
          {group && (
            <Link to={`/groups/${group.id}`}>
              <Trans>Board</Trans>
            </Link>
          )}
          {chosen && (
            <Button
              size="small"
              variant="outlined"
              onClick={() => {
                const ids = members.map(({ child }) => child.id);
                const isAll = ids.every((id) => chosen.has(id));
                onChoose(new Set(isAll ? [...chosen].filter((id) => !ids.includes(id)) : [...chosen, ...ids]));
              }}
            >
              <Trans>All of {group?.name ?? t`these`}</Trans>
            </Button>
          )}
        </Box>
        <Box
          component="ul"
          sx={{
            listStyle: 'none',
            m: 0,
            p: 0,
            display: 'grid',
            gap: 1,
            gridTemplateColumns: 'repeat(auto-fill, minmax(160px, 1fr))',
            ...cardsLook,
          }}
        >
          {drawn.map((one) => (
            <WallCard
              key={one.child.id}
              one={one}
              isHidden={!wanted.has(one)}
              isChoosing={chosen !== null}
              isChosen={chosen?.has(one.child.id) ?? false}
              onFlip={flip}
            />
          ))}
        </Box>
      </Box>
    );
  });
}
