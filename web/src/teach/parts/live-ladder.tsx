import Box from '@mui/material/Box';
import type { TimedItem } from '@leiter/core';
import { effortColours, palette } from '../../shared/palette';

const pixelsPerSecond = 0.62;
const leastRung = 40;
const nowAt = 330;

interface LiveRung {
  readonly timed: TimedItem;
  readonly top: number;
  readonly height: number;
}

function rungsOf(items: readonly TimedItem[]): readonly LiveRung[] {
  const rungs: LiveRung[] = [];
  let top = 0;
  for (const timed of items) {
    const height = Math.max(leastRung, timed.seconds * pixelsPerSecond);
    rungs.push({ timed, top, height });
    top += height;
  }
  return rungs;
}

/** The class as a ladder that passes under a fixed line: what is on it is now. */
export function LiveLadder({
  items,
  itemIndex,
  elapsedShare,
}: {
  readonly items: readonly TimedItem[];
  readonly itemIndex: number;
  readonly elapsedShare: number;
}) {
  const rungs = rungsOf(items);
  const current = rungs[itemIndex];
  const last = rungs.at(-1);
  const offset = current ? current.top + current.height * elapsedShare : last ? last.top + last.height : 0;
  return (
    <Box
      aria-hidden="true"
      sx={{ width: 210, flexShrink: 0, position: 'relative', overflow: 'hidden', backgroundColor: palette.nightShade }}
    >
      {[16, 190].map((left) => (
        <Box key={left} sx={{ position: 'absolute', left, top: 0, bottom: 0, width: 5, backgroundColor: palette.soft }} />
      ))}
      <Box sx={{ position: 'absolute', left: 22, width: 167, top: nowAt, transform: `translateY(${String(-offset)}px)` }}>
        {rungs.map(({ timed, top: rungTop, height }, index) => (
          <Box
            key={`${timed.item.id} ${String(timed.round)}`}
            sx={{
              position: 'absolute',
              top: rungTop,
              height,
              left: 0,
              right: 0,
              borderTop: `1px solid ${palette.nightLine}`,
              display: 'flex',
              gap: 1,
              p: '5px 4px 4px 7px',
              backgroundColor: index === itemIndex ? palette.nightRaised : 'transparent',
            }}
          >
            <Box
              sx={{ width: 9, flexShrink: 0, backgroundColor: effortColours[timed.movement.effort], opacity: index < itemIndex ? 0.35 : 1 }}
            />
            <Box
              sx={{
                fontSize: 15,
                lineHeight: 1.25,
                overflow: 'hidden',
                textOverflow: 'ellipsis',
                whiteSpace: height < 56 ? 'nowrap' : 'normal',
                color: index === itemIndex ? palette.white : palette.nightSoft,
                fontWeight: index === itemIndex ? 700 : 400,
              }}
            >
              {timed.movement.name}
            </Box>
          </Box>
        ))}
      </Box>
      {['left', 'right'].map((end) => (
        <Box
          key={end}
          sx={{ position: 'absolute', [end]: 0, width: 22, top: nowAt, height: 4, mt: '-2px', backgroundColor: palette.cream }}
        />
      ))}
    </Box>
  );
}
