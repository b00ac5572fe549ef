import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useId, type ReactNode } from 'react';
import type { FieldValues, FormState } from 'react-hook-form';

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

/** A form in a dialog: what the server said of the whole stands above, the buttons stay in sight while the fields scroll. */
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
  return (
    <Dialog open onClose={onClose} aria-labelledby={titleId} maxWidth={width} fullWidth>
      <Box component="form" onSubmit={onSubmit} noValidate sx={{ display: 'flex', flexDirection: 'column', minHeight: 0 }}>
        <DialogTitle id={titleId}>{title}</DialogTitle>
        <DialogContent sx={{ display: 'grid', gridTemplateColumns: columns === 2 ? '1fr 1fr' : '1fr', gap: 1.75, pt: '8px !important' }}>
          {refusal && (
            <Alert severity="error" sx={{ gridColumn: '1 / -1' }}>
              {refusal}
            </Alert>
          )}
          {children}
        </DialogContent>
        <DialogActions sx={{ p: 2 }}>
          <Button variant="outlined" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" variant="contained" disabled={state.isSubmitting}>
            {action}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}
