import { t } from '@lingui/core/macro';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { UseQueryResult } from '@tanstack/react-query';
import { useEffect, type ReactNode } from 'react';
import { Link } from 'react-router';
import { ApiError } from './api';
import { useConnection } from './connection';
import { palette } from './palette';
import { onPhone } from './screen';

/** The frame of a page: one line above, the rest fills the window; the page itself never scrolls. */
export function Page({
  title,
  about,
  actions,
  children,
}: {
  readonly title: string;
  readonly about?: ReactNode;
  readonly actions?: ReactNode;
  readonly children: ReactNode;
}) {
  useEffect(() => {
    document.title = t`${title} – Leiter`;
  }, [title]);
  return (
    <Box component="main" sx={{ display: 'flex', flexDirection: 'column', height: '100%', minWidth: 0 }}>
      <Box
        component="header"
        sx={{
          minHeight: 52,
          px: 2.25,
          py: 0.5,
          display: 'flex',
          alignItems: 'center',
          gap: 2,
          borderBottom: `1px solid ${palette.line}`,
          flexShrink: 0,
          flexWrap: 'wrap',
          [onPhone]: { px: 1.5, columnGap: 1.5, rowGap: 0.75 },
        }}
      >
        <Typography variant="h1">{title}</Typography>
        <Typography component="div" variant="body2" sx={{ color: palette.soft, mr: 'auto' }}>
          {about}
        </Typography>
        {actions}
      </Box>
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex', [onPhone]: { flexDirection: 'column', overflowY: 'auto' } }}>{children}</Box>
    </Box>
  );
}

const atHand = {
  position: 'sticky',
  bottom: 0,
  maxHeight: '44vh',
  overflowY: 'auto',
  zIndex: 1,
  backgroundColor: palette.paper,
  borderTop: `2px solid ${palette.primary}`,
} as const;

/** A panel of a page that scrolls by itself; reachable by keyboard, so that it can be scrolled without a mouse. */
export function Panel({
  label,
  width,
  children,
  padding = 2.25,
  isFirstOnPhone = false,
  isAtHandOnPhone = false,
}: {
  readonly label: string;
  readonly width?: number;
  readonly children: ReactNode;
  readonly padding?: number;
  /** What one does by thumb stands before what one reads. */
  readonly isFirstOnPhone?: boolean;
  /** Stays at the lower edge, under the thumb, while the rest scrolls. */
  readonly isAtHandOnPhone?: boolean;
}) {
  return (
    <Box
      component="section"
      aria-label={label}
      tabIndex={0}
      sx={{
        ...(width === undefined ? { flex: 1, minWidth: 0 } : { width, flexShrink: 0 }),
        overflowY: 'auto',
        p: padding,
        borderRight: `1px solid ${palette.line}`,
        '&:last-of-type': { borderRight: 0 },
        '&:focus-visible': { outlineOffset: '-3px' },
        // under each other, and the page scrolls as one
        [onPhone]: {
          width: 'auto',
          flex: '0 0 auto',
          overflowY: 'visible',
          borderRight: 0,
          p: padding === 0 ? 0 : 1.5,
          order: isFirstOnPhone ? -1 : 0,
          ...(isAtHandOnPhone ? atHand : {}),
        },
      }}
    >
      {children}
    </Box>
  );
}

/** Shows the data of a query while there is data; says what is going on while there is none. */
export function Loaded<Data>({
  query,
  what,
  children,
}: {
  readonly query: UseQueryResult<Data>;
  readonly what: string;
  readonly children: (data: Data) => ReactNode;
}) {
  const connection = useConnection((store) => store.state);
  if (query.data !== undefined) return <>{children(query.data)}</>;
  if (query.isError && query.error instanceof ApiError && query.error.status === 404)
    return (
      <Message
        title={t`There is no such ${what}`}
        text={t`It may have been put away, or the address is not complete.`}
        action={{ label: t`To today`, href: '/' }}
      />
    );
  if (query.isError)
    return (
      <Message
        title={t`The ${what} did not come`}
        text={query.error.message}
        action={{ label: t`Try again`, onClick: () => void query.refetch() }}
      />
    );
  return (
    <Box sx={{ p: 4, color: palette.soft }} role="status">
      {connection === 'away'
        ? t`No answer from the database. This page comes by itself as soon as there is one.`
        : t`Fetching the ${what} …`}
    </Box>
  );
}

/** An empty page says what to do next. */
export function Message({
  title,
  text,
  action,
}: {
  readonly title: string;
  readonly text: string;
  readonly action?: { readonly label: string; readonly href?: string; readonly onClick?: () => void };
}) {
  return (
    <Box sx={{ p: 4, maxWidth: 520 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {title}
      </Typography>
      <Typography sx={{ mb: 2 }}>{text}</Typography>
      {action && (
        <Button
          variant="contained"
          {...(action.href === undefined ? {} : { component: Link, to: action.href })}
          {...(action.onClick ? { onClick: action.onClick } : {})}
        >
          {action.label}
        </Button>
      )}
    </Box>
  );
}

/** What a form or a button was refused with. */
export function Refused({ error }: { readonly error: Error | null }) {
  if (!error) return null;
  const text =
    error instanceof ApiError && error.isAway ? t`No answer just now. What you typed is kept; try again in a moment.` : error.message;
  return (
    <Alert severity="error" sx={{ mb: 1.5, backgroundColor: palette.stopPaper, color: palette.stop }}>
      {text}
    </Alert>
  );
}
