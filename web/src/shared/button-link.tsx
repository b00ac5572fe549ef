import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** A link that looks like a button. */
export function ButtonLink({
  to,
  variant = 'outlined',
  name,
  children,
}: {
  readonly to: string;
  readonly variant?: 'outlined' | 'contained';
  /** What it is called where its sign does not say it. */
  readonly name?: string;
  readonly children: ReactNode;
}) {
  return (
    <Button component={Link} to={to} variant={variant} sx={{ minWidth: 0 }} {...(name === undefined ? {} : { 'aria-label': name })}>
      {children}
    </Button>
  );
}
