import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ClipResponse } from '@leiter/contract';
import type { Movement } from '@leiter/core';
import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../../queries/may';
import { api } from '../../shared/api';
import { EraseForGood } from '../../shared/erase-for-good';
import { KeysHelp } from '../../shared/keys-help';
import { palette } from '../../shared/palette';
import { queryClient } from '../../shared/query-client';
import { TurnableFigure } from '../../shared/turnable-figure';
import { dateText } from '../../shared/words';
import { useWindowKeys } from '../../shared/window-keys';
import { ClipMark } from './clip-mark';
import { ClipPlayer, type Player } from './clip-player';

const keys: readonly (readonly [string, string])[] = [
  [t`Space`, t`play, stop`],
  ['← →', t`one picture back, on`],
  ['↓ ↑', t`slower, faster`],
  ['L R B', t`left, right or both, where it has sides`],
  ['1 2 3 4', t`not yet, with help, alone, clean`],
  [t`Ctrl Z`, t`takes the mark back`],
];

/** One clip, slower and picture by picture, beside the figure and what one must see; marked by four keys. */
export function WatchedClip({ clip, movement }: { readonly clip: ClipResponse; readonly movement: Movement | null }) {
  const player = useRef<Player>(null);
  const may = useMay();
  const [isErasing, setErasing] = useState(false);
  const erase = useMutation({
    mutationFn: () => api<undefined>('DELETE', `clips/${clip.id}`),
    onSuccess: () => queryClient.invalidateQueries({ queryKey: ['clips'] }),
  });
  useWindowKeys((event) => {
    if (event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement || event.ctrlKey || event.metaKey) return;
    const act = player.current?.keys[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  });
  const step = clip.stage === null ? undefined : movement?.stages[clip.stage - 1];
  return (
    <Box sx={{ maxWidth: 980 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap', mb: 1 }}>
        <Typography variant="h2">
          <Link to={`/children/${clip.childId}`}>{clip.childName}</Link>, {movement?.name ?? clip.movement}
          {step && `: ${step.name}`}
        </Typography>
        <Box sx={{ color: palette.soft, fontSize: 14, mr: 'auto' }}>
          {t`sent ${dateText(clip.sentAt.slice(0, 10))}; erased by itself on ${dateText(clip.endsOn)}`}
        </Box>
        <KeysHelp keys={keys} />
      </Box>
      <Box sx={{ display: 'flex', gap: 2.5, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        <ClipPlayer ref={player} clip={clip} />
        {movement && (
          <Box sx={{ flex: '1 1 240px', minWidth: 220, display: 'grid', gap: 1.25, justifyItems: 'start' }}>
            <TurnableFigure movement={movement} size={210} />
            <Box sx={{ fontSize: 15 }}>{step ? step.see : movement.plainMeaning}</Box>
            {movement.faults.length > 0 && (
              <Box sx={{ fontSize: 14 }}>
                <strong>
                  <Trans>Look for</Trans>
                </strong>
                <Box component="ul" sx={{ m: 0, pl: 2.25 }}>
                  {movement.faults.slice(0, 4).map(({ slug, name }) => (
                    <li key={slug}>{name}</li>
                  ))}
                </Box>
              </Box>
            )}
          </Box>
        )}
      </Box>
      <ClipMark clip={clip} movement={movement} />
      {may.change && (
        <Button
          size="small"
          variant="outlined"
          sx={{ mt: 2.5 }}
          disabled={erase.isPending}
          onClick={() => {
            setErasing(true);
          }}
        >
          <Trans>Erase the clip now</Trans>
        </Button>
      )}
      {isErasing && (
        <EraseForGood
          title={t`Erase this clip for good?`}
          name={clip.childName}
          error={erase.error}
          isPending={erase.isPending}
          onErase={() => {
            erase.mutate();
          }}
          onClose={() => {
            setErasing(false);
          }}
        >
          <Trans>The clip goes, and nobody can bring it back. The marks that were given from it stay.</Trans>
        </EraseForGood>
      )}
    </Box>
  );
}
