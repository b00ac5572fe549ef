import Box from '@mui/material/Box';
import { Link } from 'react-router';
import { palette } from '../../shared/palette';
import { SmallLadder } from './small-ladder';
import { isClose, isUnseen, type WallChild } from './wall';

interface Props {
  readonly one: WallChild;
  readonly isChoosing: boolean;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}

/** A child on the wall; where several are being chosen, a press chooses it, else it opens its page. */
export function WallCard({ one, isChoosing, isChosen, onChoose }: Props) {
  const { child, name } = one;
  const body = (
    <>
      <SmallLadder one={one} />
      <Box sx={{ minWidth: 0 }}>
        <Box sx={{ fontWeight: 700, overflowWrap: 'anywhere', lineHeight: 1.2, textDecoration: isChoosing ? 'none' : 'underline' }}>
          {name}
        </Box>
        <Box sx={{ fontSize: 13.5, lineHeight: 1.3, color: palette.soft, overflowWrap: 'anywhere' }}>{one.grade ?? 'no grade yet'}</Box>
        <Box sx={{ fontSize: 13.5, lineHeight: 1.3, color: palette.ink, fontWeight: one.isEarned || isClose(one) ? 700 : 400 }}>
          {progressWords(one)}
        </Box>
        {isUnseen(one) && <Box sx={{ fontSize: 13.5, lineHeight: 1.3, color: palette.caution }}>{unseenWords(one)}</Box>}
        {!child.isHomeKnown && <Box sx={{ fontSize: 13.5, lineHeight: 1.3, color: palette.caution }}>home not told</Box>}
        {child.archived && <Box sx={{ fontSize: 13.5, lineHeight: 1.3, color: palette.caution }}>archived</Box>}
      </Box>
    </>
  );
  const look = {
    display: 'flex',
    gap: 1,
    p: 1,
    width: '100%',
    font: 'inherit',
    textAlign: 'left',
    color: 'inherit',
    textDecoration: 'none',
    backgroundColor: isChosen ? '#DCE9E9' : '#FFFFFF',
    border: `1px solid ${isChosen ? palette.primary : palette.line}`,
    borderRadius: '6px',
    cursor: 'pointer',
    minHeight: 136,
  } as const;
  return (
    <Box component="li">
      {isChoosing ? (
        <Box component="button" type="button" aria-pressed={isChosen} onClick={onChoose} sx={look}>
          {body}
        </Box>
      ) : (
        <Box component={Link} to={`/children/${child.id}`} sx={look}>
          {body}
        </Box>
      )}
    </Box>
  );
}

function progressWords({ isEarned, nextGrade, met, of, groupId }: WallChild): string {
  if (groupId === null) return '';
  if (nextGrade === null) return 'top of the ladder';
  return isEarned ? `${nextGrade} is earned` : `${String(met)} of ${String(of)} to ${nextGrade}`;
}

function unseenWords({ unseenDays }: WallChild): string {
  return unseenDays === null ? 'never marked' : `not marked for ${String(Math.floor(unseenDays / 7))} weeks`;
}
