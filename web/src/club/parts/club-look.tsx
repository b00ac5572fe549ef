import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ClubLookRequest, ClubLookResponse } from '@leiter/contract';
import { contrast, isColour, type Colour } from '@leiter/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useId, useRef } from 'react';
import { api } from '../../shared/api';
import { FileButton } from '../../shared/file-button';
import { Refused } from '../../shared/page';
import { palette } from '../../shared/palette';
import { queryClient } from '../../shared/query-client';
import { offerUndo } from '../../shared/undo-bar';

const key = ['club-look'];
const again = (): Promise<void> => queryClient.invalidateQueries({ queryKey: key });
const own: Readonly<Record<'colour' | 'secondColour', Colour>> = { colour: '#17525c', secondColour: '#1d2b30' };

/** Large text is read from this contrast on. */
const readable = 3;
const paper: Colour = '#fcf8f0';

/** Crest and colours, as they stand on certificates and badges. */
export function ClubLook({ clubName }: { readonly clubName: string }) {
  const look = useQuery({ queryKey: key, queryFn: () => api<ClubLookResponse>('GET', 'club/look') });
  const change = useMutation({ mutationFn: (to: ClubLookRequest) => api<undefined>('PUT', 'club/look', to), onSettled: again });
  const give = useMutation({ mutationFn: (file: File) => api<undefined>('PUT', 'club/crest', file), onSettled: again });
  const takeAway = useMutation({ mutationFn: () => api<undefined>('DELETE', 'club/crest'), onSettled: again });
  if (!look.data) return null;
  const { colour, secondColour, crestPath } = look.data;
  const set = (to: Partial<ClubLookRequest>): void => {
    const before = { colour, secondColour };
    change.mutate({ ...before, ...to });
    offerUndo(t`The colours are changed`, async () => {
      await change.mutateAsync(before);
    });
  };
  const isPale = colour !== null && contrast(colour, paper) < readable;
  return (
    <Box component="section" aria-label={t`Certificates and badges`} sx={{ mt: 3 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        <Trans>On certificates and badges</Trans>
      </Typography>
      <Refused error={give.error ?? change.error ?? takeAway.error} />
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        <Sample look={look.data} clubName={clubName} />
        <Box sx={{ display: 'grid', gap: 1.25, flex: '1 1 220px' }}>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <FileButton
              label={t`Crest, an SVG or PNG file`}
              accept="image/svg+xml,image/png"
              isSmall
              disabled={give.isPending}
              onFiles={([file]) => {
                if (file) give.mutate(file);
              }}
            >
              {crestPath === null ? t`Give a crest` : t`Another crest`}
            </FileButton>
            {crestPath !== null && (
              <Button
                size="small"
                variant="outlined"
                disabled={takeAway.isPending}
                onClick={() => {
                  takeAway.mutate();
                }}
              >
                <Trans>Without a crest</Trans>
              </Button>
            )}
          </Box>
          <ColourField
            label={t`Colour`}
            value={colour}
            standard={own.colour}
            onSet={(to) => {
              set({ colour: to });
            }}
          />
          <ColourField
            label={t`Second colour`}
            value={secondColour}
            standard={own.secondColour}
            onSet={(to) => {
              set({ secondColour: to });
            }}
          />
          <Box sx={{ fontSize: 14, color: palette.soft }}>
            {isPale
              ? t`This colour is too pale to be read on paper: rungs and lines have it, titles stay dark.`
              : t`The crest is an SVG or a PNG file of up to 4 MB; only its picture is kept.`}
          </Box>
        </Box>
      </Box>
    </Box>
  );
}

function ColourField({
  label,
  value,
  standard,
  onSet,
}: {
  readonly label: string;
  readonly value: Colour | null;
  readonly standard: Colour;
  readonly onSet: (to: Colour | null) => void;
}) {
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const shown = value ?? standard;
  // stored when the choice is closed, not at each shade on the way: React's own event comes at each
  useEffect(() => {
    const { current } = input;
    const chosen = (): void => {
      const to = current?.value ?? '';
      if (isColour(to) && to !== shown) onSet(to);
    };
    current?.addEventListener('change', chosen);
    return () => {
      current?.removeEventListener('change', chosen);
    };
  }, [onSet, shown]);
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25, fontSize: 14.5 }}>
      <label htmlFor={id} style={{ width: 112 }}>
        {label}
      </label>
      <input
        id={id}
        ref={input}
        key={shown}
        type="color"
        defaultValue={shown}
        style={{ width: 54, height: 36, padding: 2, border: `1px solid ${palette.line}`, borderRadius: 6, background: palette.white }}
      />
      {value !== null && (
        <Button
          size="small"
          variant="outlined"
          onClick={() => {
            onSet(null);
          }}
        >
          <Trans>Leiter’s own</Trans>
        </Button>
      )}
    </Box>
  );
}

/** A certificate in small: bands, rungs, crest, and a name in the colour of titles. */
function Sample({ look, clubName }: { readonly look: ClubLookResponse; readonly clubName: string }) {
  const main = look.colour ?? own.colour;
  const second = look.secondColour ?? own.secondColour;
  const title = contrast(main, paper) >= readable ? main : own.secondColour;
  return (
    <svg width="254" height="180" viewBox="0 0 254 180" role="img" aria-label={t`A certificate in these colours`} style={{ flexShrink: 0 }}>
      <rect width="254" height="180" fill={paper} stroke={palette.line} />
      <rect x="8" y="8" width="238" height="4" fill={main} />
      <rect x="8" y="168" width="238" height="4" fill={second} />
      {[0, 1, 2, 3, 4, 5].map((rung) => (
        <rect
          key={rung}
          x="27"
          y={142 - rung * 20}
          width="24"
          height={rung === 2 ? 6 : 4}
          fill={rung === 2 ? main : rung < 2 ? second : palette.line}
        />
      ))}
      <rect x="24" y="28" width="3" height="126" rx="1.5" fill={own.secondColour} />
      <rect x="51" y="28" width="3" height="126" rx="1.5" fill={own.secondColour} />
      {look.crestPath !== null && <image href={look.crestPath} x="196" y="22" width="36" height="36" preserveAspectRatio="xMidYMid meet" />}
      <g fontFamily="Bricolage Grotesque Variable, Atkinson Hyperlegible, sans-serif">
        <text x="72" y="40" fontSize="8" fill={palette.soft}>
          {clubName}
        </text>
        <text x="72" y="78" fontSize="17" fontWeight="700" fill={palette.ink}>
          {t`Given name`}
        </text>
        <text x="72" y="108" fontSize="14" fontWeight="700" fill={title}>
          {t`Grade`}
        </text>
      </g>
    </svg>
  );
}
