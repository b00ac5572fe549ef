import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useId, useState, type ReactNode } from 'react';
import type { FieldValues, FormState } from 'react-hook-form';
import { onPhone } from './screen';

interface Props<Values extends FieldValues> {
  readonly title: string;
  /** What the button says that sends it. */
  readonly action: string;
  readonly width: 'xs' | 'sm' | 'md';
  readonly columns?: 1 | 2;
  readonly state: FormState<Values>;
  readonly onSubmit: (event: { preventDefault: () => void }) => void;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/**
 * A form at the right edge of the page: what the server said of the whole stands above, the buttons stay in sight while the fields
 * scroll. Leaving it with something typed asks first.
 */
export function FormDialog<Values extends FieldValues>({
  title,
  action,
  width,
  columns = 1,
  state,
  onSubmit,
  onClose,
  children,
}: Props<Values>) {
  const titleId = useId();
  const refusal = state.errors.root?.message;
  const [isAsking, setAsking] = useState(false);
  const { isDirty, isSubmitting } = state;
  const leave = (): void => {
    if (isDirty && !isAsking) setAsking(true);
    else onClose();
  };
  return (
    <Dialog open onClose={leave} aria-labelledby={titleId} maxWidth={width} fullWidth>
      <Box component="form" onSubmit={onSubmit} noValidate sx={{ display: 'flex', flexDirection: 'column', minHeight: 0, height: '100%' }}>
        <DialogTitle id={titleId}>{title}</DialogTitle>
        <DialogContent
          sx={{
            display: 'grid',
            alignContent: 'start',
            gridTemplateColumns: columns === 2 ? '1fr 1fr' : '1fr',
            gap: 1.75,
            pt: '18px !important',
            [onPhone]: { gridTemplateColumns: '1fr' },
          }}
        >
          {refusal && (
            <Alert severity="error" sx={{ gridColumn: '1 / -1' }}>
              {refusal}
            </Alert>
          )}
          {children}
        </DialogContent>
        <DialogActions sx={{ flexWrap: 'wrap', rowGap: 1 }}>
          {isAsking && (
            <Box role="alert" sx={{ flex: '1 1 100%' }}>
              <Trans>What you typed is not saved yet.</Trans>
            </Box>
          )}
          <Button variant="outlined" onClick={leave} color={isAsking ? 'error' : 'inherit'}>
            {isAsking ? t`Leave without saving` : t`Cancel`}
          </Button>
          <Button type="submit" variant="contained" disabled={isSubmitting}>
            {action}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}
