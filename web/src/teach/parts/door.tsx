import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ClassPageResponse } from '@leiter/contract';
import { isExpected } from '@leiter/contract/who-comes';
import { clockText, doorListOf, homeListOf, type Evaluation, type Library } from '@leiter/core';
import { DateTime } from 'luxon';
import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { Figure } from '../../shared/figure';
import { headingFont, palette } from '../../shared/palette';
import { PictureShow } from '../pictures/picture-show';
import type { DoorPicture } from '../pictures/use-door-pictures';

interface Props {
  readonly page: ClassPageResponse;
  readonly evaluation: Evaluation;
  readonly library: Library;
  readonly timeZone: string;
  /** The class may begin by itself at its hour: nothing has to be dealt with before. */
  readonly isFree: boolean;
  /** What plays, and what it is changed by. */
  readonly music: ReactNode;
  /** Pictures of families that may be shown, each once. */
  readonly pictures: readonly DoorPicture[];
  readonly onPicturesShown: () => void;
  readonly onStart: () => void;
  readonly onClose: () => void;
}

/** Longer before, the hour says more than what is left. */
const farSeconds = 3600;

/** The screen that is shared before class: when it begins, what is laid out, who is here. It becomes the class at its hour. */
export function Door({ page, evaluation, library, timeZone, isFree, music, pictures, onPicturesShown, onStart, onClose }: Props) {
  const [isShowing, setShowing] = useState(false);
  const endShow = useCallback(() => {
    setShowing(false);
    onPicturesShown();
  }, [onPicturesShown]);
  const { day, startsAt, groupName } = page.class;
  const begins = DateTime.fromISO(`${day}T${startsAt}`, { zone: timeZone }).toSeconds();
  const [now, setNow] = useState(() => Date.now() / 1000);
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(Date.now() / 1000);
    }, 250);
    return () => {
      clearInterval(timer);
    };
  }, []);
  const left = Math.ceil(begins - now);
  const begunOnce = useRef(left <= 0);
  useEffect(() => {
    // opened before its hour it begins at it, once; opened later one presses
    if (begunOnce.current || left > 0 || !isFree) return;
    begunOnce.current = true;
    onStart();
  }, [left, isFree, onStart]);
  const list = useMemo(() => {
    const items = evaluation.timeline.items.map(({ item }) => item);
    const coming = page.children.filter(isExpected);
    return doorListOf(coming.map((child) => homeListOf(child, evaluation.versions, library, items)));
  }, [page.children, evaluation, library]);
  const here = page.children.filter(({ attendance }) => attendance === 'present' || attendance === 'late');
  const story = page.stored?.plan.story;
  const focus = (page.stored?.plan.focus ?? []).slice(0, 4).flatMap((slug) => library.get(slug) ?? []);
  const metres = (value: number): string => (Math.ceil(value * 10 - 0.01) / 10).toFixed(1);
  const soft = { color: palette.nightSoft } as const;
  return (
    <Box sx={{ height: '100%', p: '44px 64px', display: 'grid', gridTemplateRows: 'auto 1fr auto auto', gap: 3 }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'end', gap: 4 }}>
        <Box>
          <Box component="h1" sx={{ m: 0, fontFamily: headingFont, fontSize: 84, lineHeight: 1 }}>
            {groupName}
          </Box>
          {story !== undefined && <Box sx={{ fontSize: 32, color: palette.glow, mt: 1 }}>{story}</Box>}
        </Box>
        <Box sx={{ textAlign: 'right' }} role="timer" aria-label={t`until the class begins`}>
          <Box sx={{ fontSize: 24, ...soft }}>{left > farSeconds ? t`we begin at` : left > 0 ? t`we begin in` : t`we begin`}</Box>
          <Box sx={{ fontFamily: headingFont, fontSize: 104, lineHeight: 1 }}>
            {left > farSeconds ? DateTime.fromSeconds(begins, { zone: timeZone }).toFormat('HH:mm') : left > 0 ? clockText(left) : t`now`}
          </Box>
        </Box>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: isShowing ? '1fr 2fr' : '1fr 1fr',
          gap: 6,
          fontSize: 28,
          lineHeight: 1.4,
          minHeight: 0,
          overflow: 'hidden',
        }}
      >
        <Box component="section" aria-label={t`Lay out`}>
          <Box component="h2" sx={{ m: 0, fontFamily: headingFont, fontSize: 36 }}>
            <Trans>Lay out</Trans>
          </Box>
          <Box component="ul" sx={{ m: 0, pl: 3.5 }}>
            <li>
              <Trans>
                {metres(list.lengthM)} × {metres(list.widthM)} m of clear floor
              </Trans>
            </li>
            {list.things.slice(0, 7).map(({ thing, standIns, isForAll }) => (
              <li key={thing}>
                {thing}
                {standIns.length > 0 && <span style={soft}>{t`, or ${standIns.join(', ')}`}</span>}
                {!isForAll && <span style={soft}>{t` – those who were told`}</span>}
              </li>
            ))}
            {list.builds.map((what) => (
              <li key={what}>{what}</li>
            ))}
            <li>
              <Trans>something to drink</Trans>
            </li>
          </Box>
        </Box>
        {isShowing ? (
          <PictureShow pictures={pictures} onEnd={endShow} />
        ) : (
          <Box component="section" aria-label={t`Here`}>
            <Box component="h2" sx={{ m: 0, fontFamily: headingFont, fontSize: 36 }}>
              <Trans>Here</Trans>
            </Box>
            {here.length === 0 ? (
              <Box sx={soft}>
                <Trans>Hello! Step back until your feet are in the picture.</Trans>
              </Box>
            ) : (
              <Box sx={{ columnCount: here.length > 8 ? 2 : 1 }}>
                {here.map(({ id, name }) => (
                  <div key={id}>{name}</div>
                ))}
              </Box>
            )}
          </Box>
        )}
      </Box>
      <Box component="section" aria-label={t`Today`} sx={{ display: isShowing ? 'none' : 'flex', gap: 5, minHeight: 0 }}>
        {focus.map((movement) => (
          <Box key={movement.slug} sx={{ textAlign: 'center', fontSize: 24 }}>
            <Figure movement={movement} size={190} tone="night" isDecoration={false} />
            {movement.name}
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
        <Button
          variant="contained"
          onClick={onStart}
          disabled={!isFree}
          sx={{ backgroundColor: palette.cream, color: palette.night, '&:hover': { backgroundColor: palette.white } }}
        >
          <Trans>Start now</Trans>
        </Button>
        <Button variant="outlined" onClick={onClose} sx={{ color: palette.cream, borderColor: palette.soft }}>
          <Trans>Close the door</Trans>
        </Button>
        {pictures.length > 0 && (
          <Button
            variant="outlined"
            onClick={() => {
              if (isShowing) endShow();
              else setShowing(true);
            }}
            sx={{ color: palette.cream, borderColor: palette.soft }}
          >
            {isShowing
              ? t`End the pictures`
              : plural(pictures.length, { one: 'Show # picture from a family', other: 'Show # pictures from families' })}
          </Button>
        )}
        {music}
        {!isFree && (
          <Box sx={{ color: palette.glow, fontSize: 16 }}>
            <Trans>Something has to be dealt with before: close the door and say how.</Trans>
          </Box>
        )}
      </Box>
    </Box>
  );
}
