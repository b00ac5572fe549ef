import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { clockText, type ClassPlan, type Fit, type Library } from '@leiter/core';
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
    <Box
      component="section"
      aria-label={t`To end on time`}
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        mt: 0.5,
        p: '6px 8px 6px 14px',
        border: '2px solid #E6C35C',
        borderRadius: '6px',
        fontSize: 19,
        lineHeight: 1.25,
      }}
    >
      <Box sx={{ fontWeight: 700, whiteSpace: 'nowrap' }}>
        <Trans>{clockText(missing)} late at the end</Trans>
      </Box>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        {fit.steps.length === 0
          ? t`Nothing that is left can be shortened without harm.`
          : [...named, ...(more > 0 ? [plural(more, { one: 'and # more', other: 'and # more' })] : [])].join('; ')}
      </Box>
      {fit.steps.length > 0 && (
        <Button
          variant="contained"
          onClick={onTake}
          sx={{ flexShrink: 0, backgroundColor: palette.cream, color: palette.night, '&:hover': { backgroundColor: '#FFFFFF' } }}
        >
          <Trans>Take it (T)</Trans>
        </Button>
      )}
    </Box>
  );
}
