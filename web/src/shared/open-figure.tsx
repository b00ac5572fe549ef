import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import { useState, type ReactNode } from 'react';
import { palette } from './palette';

interface Props {
  readonly label: string;
  readonly value: ReactNode;
  /** What the figure is made of. */
  readonly parts: readonly (readonly [string, ReactNode])[];
}

/** A figure that opens to what it is made of; within a `dl`. */
export function OpenFigure({ label, value, parts }: Props) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Box sx={{ borderTop: `1px solid ${palette.line}`, fontSize: 14 }}>
      <Box component="dt" sx={{ m: 0 }}>
        <Box
          component="button"
          type="button"
          aria-expanded={isOpen}
          onClick={() => {
            setOpen(!isOpen);
          }}
          sx={{
            display: 'flex',
            width: '100%',
            justifyContent: 'space-between',
            gap: 2,
            py: 0.5,
            px: 0,
            border: 0,
            background: 'none',
            font: 'inherit',
            color: palette.soft,
            textAlign: 'left',
            cursor: 'pointer',
            '&:hover span:first-of-type': { textDecoration: 'underline' },
          }}
        >
          <span>
            {label}{' '}
            <span aria-hidden="true" style={{ display: 'inline-block', transform: isOpen ? 'rotate(90deg)' : 'none' }}>
              ›
            </span>
          </span>
          <Box component="span" sx={{ color: palette.ink, textAlign: 'right' }}>
            {value}
          </Box>
        </Box>
      </Box>
      <Box component="dd" hidden={!isOpen} sx={{ m: 0, mb: 0.75, pl: 1.25, borderLeft: `2px solid ${palette.line}` }}>
        {parts.length === 0 && (
          <Box sx={{ color: palette.soft }}>
            <Trans>nothing</Trans>
          </Box>
        )}
        {parts.map(([name, part], index) => (
          <Box key={`${name} ${String(index)}`} sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, py: 0.15, fontSize: 13.5 }}>
            <Box component="span" sx={{ color: palette.soft }}>
              {name}
            </Box>
            <span>{part}</span>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
