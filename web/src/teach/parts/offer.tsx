import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { StoredPlan } from '@leiter/contract';
import { clockText, placedItems, type ClassPlan, type Fit, type Item, type Library } from '@leiter/core';
import type { ReactNode } from 'react';
import { fitStepWords } from '../../shared/fit-step-words';
import { palette } from '../../shared/palette';

/** As many changes as can be read in passing; the others are counted. */
const mostNamed = 2;

/** The least harmful way to end on time from here, taken by one press. */
export function Offer({
  fit,
  missing,
  plan,
  library,
  onTake,
}: {
  readonly fit: Fit;
  readonly missing: number;
  readonly plan: ClassPlan;
  readonly library: Library;
  readonly onTake: () => void;
}) {
  const named = fit.steps.slice(0, mostNamed).map((step) => fitStepWords(step, plan, library));
  const more = fit.steps.length - named.length;
  return (
    <Frame label={t`To end on time`}>
      <Box sx={{ fontWeight: 700, whiteSpace: 'nowrap' }}>
        <Trans>{clockText(missing)} late at the end</Trans>
      </Box>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        {fit.steps.length === 0
          ? t`Nothing that is left can be shortened without harm.`
          : [...named, ...(more > 0 ? [plural(more, { one: 'and # more', other: 'and # more' })] : [])].join('; ')}
      </Box>
      {fit.steps.length > 0 && (
        <Button variant="contained" onClick={onTake} sx={light}>
          <Trans>Take it (T)</Trans>
        </Button>
      )}
    </Frame>
  );
}

/** Somebody stored another plan meanwhile: the class goes on with its own until this is taken. */
export function PlanChanged({
  newer,
  plan,
  library,
  onTake,
  onRefuse,
}: {
  readonly newer: StoredPlan;
  readonly plan: ClassPlan;
  readonly library: Library;
  readonly onTake: () => void;
  readonly onRefuse: () => void;
}) {
  const names = (items: readonly Item[]): string =>
    [...new Set(items.map(({ movement }) => library.get(movement)?.name ?? movement))].slice(0, 2 * mostNamed).join(', ');
  const before = placedItems(plan).map(({ item }) => item);
  const after = placedItems(newer.plan).map(({ item }) => item);
  const come = after.filter(({ id }) => !before.some((item) => item.id === id));
  const gone = before.filter(({ id }) => !after.some((item) => item.id === id));
  const changes = [...(come.length > 0 ? [t`new: ${names(come)}`] : []), ...(gone.length > 0 ? [t`taken out: ${names(gone)}`] : [])];
  return (
    <Frame label={t`The plan was changed`}>
      <Box sx={{ fontWeight: 700, whiteSpace: 'nowrap' }}>
        <Trans>The plan was changed</Trans>
      </Box>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        {changes.length > 0 ? changes.join('; ') : t`the same items, in other numbers or another order`}
      </Box>
      <Button variant="contained" onClick={onTake} sx={light}>
        <Trans>Teach the new one</Trans>
      </Button>
      <Button variant="outlined" onClick={onRefuse} sx={{ flexShrink: 0, color: palette.cream, borderColor: palette.nightSoft }}>
        <Trans>Stay with this one</Trans>
      </Button>
    </Frame>
  );
}

const light = {
  flexShrink: 0,
  backgroundColor: palette.cream,
  color: palette.night,
  '&:hover': { backgroundColor: palette.white },
} as const;

function Frame({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        mt: 0.5,
        p: '6px 8px 6px 14px',
        border: `2px solid ${palette.glow}`,
        borderRadius: '6px',
        fontSize: 19,
        lineHeight: 1.25,
      }}
    >
      {children}
    </Box>
  );
}
