import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import type { Presence } from '@leiter/contract';
import { findItem, type ClassPlan, type Library } from '@leiter/core';
import { palette } from '../../shared/palette';

/** Who else has the plan open, and on which item. */
export function WhoIsHere({
  others,
  plan,
  library,
}: {
  readonly others: readonly Presence[];
  readonly plan: ClassPlan;
  readonly library: Library;
}) {
  const people = new Map(others.map(({ person, itemId }) => [person.id, { name: person.name, itemId }]));
  const words = [...people.values()].map(({ name, itemId }) => {
    const movement = itemId === null ? undefined : findItem(plan, itemId)?.item.movement;
    const on = movement === undefined ? undefined : library.get(movement)?.name;
    return on === undefined ? name : t`${name}, on ${on}`;
  });
  // the header has room for names; on which item stands at the item itself
  const names = [...people.values()].map(({ name }) => name.split(' ')[0] ?? name);
  return (
    <Box
      role="status"
      aria-live="polite"
      aria-label={words.length === 0 ? t`Nobody else is here` : t`Also here: ${words.join(' · ')}`}
      title={words.join(' · ')}
      sx={{ display: 'flex', gap: 0.5 }}
    >
      {names.slice(0, 2).map((name) => (
        <Box
          key={name}
          component="span"
          sx={{ fontSize: 12.5, color: palette.white, backgroundColor: palette.primary, borderRadius: '4px', px: 0.75 }}
        >
          {name}
        </Box>
      ))}
      {names.length > 2 && (
        <Box component="span" sx={{ fontSize: 12.5, color: palette.primary }}>
          +{names.length - 2}
        </Box>
      )}
    </Box>
  );
}
