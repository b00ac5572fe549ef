import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse, TaughtClass } from '@leiter/contract';
import { chaptersAsList, chaptersAsVtt, chaptersOf, placedItems, type Library, type Titled } from '@leiter/core';
import { useState } from 'react';
import { palette } from '../../shared/palette';

/** `M:SS`, with a minus where the recording began before the class; null for anything else. */
function secondsOf(text: string): number | null {
  const found = /^\s*([-–])?\s*(\d{1,3}):([0-5]\d)\s*$/.exec(text);
  if (!found) return null;
  const seconds = Number(found[2]) * 60 + Number(found[3]);
  return found[1] === undefined ? seconds : -seconds;
}

/** Chapters for a recording of the class, from its real clock: as a track, and as lines to paste under it. */
export function Chapters({
  page,
  taught,
  library,
}: {
  readonly page: ClassPageResponse;
  readonly taught: TaughtClass | undefined;
  readonly library: Library;
}) {
  const [began, setBegan] = useState('0:00');
  const [isCopied, setCopied] = useState(false);
  const plan = page.stored?.plan;
  if (!plan || !taught || taught.visits.length === 0) return null;
  const items = new Map(placedItems(plan).map(({ item }) => [item.id, item]));
  const titleOf = (id: string): Titled | undefined => {
    const item = items.get(id);
    return (
      item && { title: library.get(item.movement)?.name ?? item.movement, ...(item.circuit === undefined ? {} : { circuit: item.circuit }) }
    );
  };
  const from = secondsOf(began);
  const chapters = from === null ? [] : chaptersOf(taught.visits, titleOf, from);
  const save = (): void => {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([chaptersAsVtt(chapters)], { type: 'text/vtt' }));
    link.download = `${page.class.groupName} ${page.class.day}.vtt`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <Box component="section" aria-label={t`Chapters`} sx={{ mt: 3 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>Chapters for the recording</Trans>
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'start', flexWrap: 'wrap' }}>
        <TextField
          label={t`The recording began at`}
          value={began}
          size="small"
          error={from === null}
          helperText={from === null ? t`Minutes and seconds of the class, like 0:00 or -2:30.` : t`of the class; with a minus: before it`}
          onChange={(event) => {
            setBegan(event.target.value);
            setCopied(false);
          }}
          sx={{ width: 190 }}
        />
        <Button variant="outlined" disabled={chapters.length === 0} onClick={save}>
          <Trans>Save as WebVTT</Trans>
        </Button>
        <Button
          variant="outlined"
          disabled={chapters.length === 0}
          onClick={() => {
            void navigator.clipboard.writeText(chaptersAsList(chapters)).then(
              () => {
                setCopied(true);
              },
              () => undefined,
            );
          }}
        >
          {isCopied ? t`Copied` : t`Copy as a list`}
        </Button>
      </Box>
      <Box component="pre" sx={{ m: 0, mt: 1, font: 'inherit', fontSize: 14, color: palette.soft, whiteSpace: 'pre-wrap' }}>
        {chaptersAsList(chapters)}
      </Box>
    </Box>
  );
}
