import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { clockText, fitToClock, type ClassPlan, type EvaluationContext, type Library, type PlanEdit } from '@leiter/core';
import { useMemo, useState } from 'react';
import { palette } from '../../shared/palette';
import { fitStepWords } from '../../shared/fit-step-words';

interface Props {
  readonly plan: ClassPlan;
  readonly library: Library;
  readonly context: EvaluationContext;
  readonly onTake: (edits: readonly PlanEdit[]) => void;
  readonly onClose: () => void;
}

/** The least harmful way to end on time, as a list of edits that are taken singly or all. */
export function FitDialog({ plan, library, context, onTake, onClose }: Props) {
  const fit = useMemo(() => fitToClock(plan, library, context), [plan, library, context]);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const taken = fit.steps.filter(({ item }) => !left.has(item));
  const saved = taken.reduce((sum, { savesSeconds }) => sum + savesSeconds, 0);
  const titles = {
    fits: t`It ends on time`,
    shorten: t`To end on time`,
    lengthen: t`There is time left`,
    cannot: t`It cannot end on time like this`,
  } as const;
  return (
    <Dialog open onClose={onClose} aria-labelledby="fit-title" maxWidth="sm" fullWidth>
      <DialogTitle id="fit-title">{titles[fit.kind]}</DialogTitle>
      <DialogContent>
        {fit.kind === 'fits' && (
          <Typography>
            <Trans>Nothing to trim, and nothing that more time would help.</Trans>
          </Typography>
        )}
        {fit.kind === 'cannot' && (
          <Typography>
            <Trans>
              Even with every dose halved and what may be left out left out, it runs over. Take something out of the focus, or move part of
              it to the next class.
            </Trans>
          </Typography>
        )}
        {fit.steps.length > 0 && (
          <>
            <Typography sx={{ mb: 1 }}>
              {fit.kind === 'shorten'
                ? t`The least harmful way: the cool-down, talks, drinks and what something later needs stay as they are; sides stay equal.`
                : t`Practice gets it: the skill of the day first.`}
            </Typography>
            <Box component="ul" aria-label={t`Edits`} sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {fit.steps.map((step) => (
                <Box component="li" key={step.item} sx={{ borderTop: `1px solid ${palette.line}`, display: 'flex', alignItems: 'center' }}>
                  <FormControlLabel
                    sx={{ flex: 1 }}
                    control={
                      <Checkbox
                        checked={!left.has(step.item)}
                        onChange={(event) => {
                          const others = new Set(left);
                          if (event.target.checked) others.delete(step.item);
                          else others.add(step.item);
                          setLeft(others);
                        }}
                      />
                    }
                    label={fitStepWords(step, plan, library)}
                  />
                  <Box sx={{ color: palette.soft }}>
                    {step.savesSeconds >= 0 ? '−' : '+'}
                    {clockText(Math.abs(step.savesSeconds))}
                  </Box>
                </Box>
              ))}
            </Box>
            <Typography role="status" sx={{ mt: 1.5 }}>
              <Trans>
                Together {saved >= 0 ? t`shorter` : t`longer`} by about <strong>{clockText(Math.abs(saved))}</strong>.
              </Trans>
            </Typography>
          </>
        )}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button variant="outlined" onClick={onClose}>
          {fit.steps.length > 0 ? t`Cancel` : t`Close`}
        </Button>
        {fit.steps.length > 0 && (
          <Button
            variant="contained"
            disabled={taken.length === 0}
            onClick={() => {
              onTake(taken.map(({ edit }) => edit));
              onClose();
            }}
          >
            {taken.length === fit.steps.length ? t`Take all` : t`Take ${taken.length}`}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
