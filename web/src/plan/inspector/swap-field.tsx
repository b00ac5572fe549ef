import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { itemOf, swapsFor, type AgeBand, type Library, type Movement, type PlanEdit } from '@leiter/core';
import { memo, useMemo, useState } from 'react';
import { palette } from '../../shared/palette';
import { onTouch } from '../../shared/screen';

interface Props {
  /** Of the item. */
  readonly id: string;
  readonly movement: Movement;
  readonly library: Library;
  readonly programme: string;
  readonly band: AgeBand;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
}

/** Puts another movement in the place of one: an easier one, one of the same use, or where it leads. */
export const SwapField = memo(function SwapField({ id, movement, library, programme, band, onEdit }: Props) {
  const [isOpen, setOpen] = useState(false);
  const { easier, alike, further } = useMemo(() => swapsFor(movement, library, programme), [movement, library, programme]);
  const groups = [
    { words: t`Easier`, list: easier },
    { words: t`Of the same use`, list: alike },
    { words: t`Where it leads`, list: further },
  ].filter(({ list }) => list.length > 0);
  if (groups.length === 0) return null;
  return (
    <Box sx={{ mb: 1.25 }}>
      <Button
        size="small"
        variant="outlined"
        aria-expanded={isOpen}
        onClick={() => {
          setOpen(!isOpen);
        }}
      >
        <Trans>Swap …</Trans>
      </Button>
      {isOpen &&
        groups.map(({ words, list }) => (
          <Box key={words} sx={{ mt: 1 }}>
            <Box sx={{ fontSize: 13.5, color: palette.soft }}>{words}</Box>
            {list.map((one) => (
              <Box
                key={one.slug}
                component="button"
                type="button"
                onClick={() => {
                  onEdit([{ kind: 'swap', item: id, for: itemOf(one, band) }]);
                  setOpen(false);
                }}
                sx={{
                  font: 'inherit',
                  display: 'block',
                  width: '100%',
                  textAlign: 'left',
                  border: 0,
                  borderTop: `1px solid ${palette.line}`,
                  background: 'none',
                  color: palette.ink,
                  py: 0.6,
                  px: 0,
                  cursor: 'pointer',
                  [onTouch]: { minHeight: 44 },
                }}
              >
                <strong>{one.name}</strong> <span style={{ color: palette.soft, fontSize: 13.5 }}>{one.plainMeaning}</span>
              </Box>
            ))}
          </Box>
        ))}
    </Box>
  );
});
