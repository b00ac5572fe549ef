import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { memo } from 'react';
import { Link } from 'react-router';
import { palette } from '../../shared/palette';
import { SmallLadder } from './small-ladder';
import { isClose, isUnseen, type WallChild } from './wall';

interface Props {
  readonly one: WallChild;
  readonly isHidden: boolean;
  readonly isChoosing: boolean;
  readonly isChosen: boolean;
  readonly onFlip: (childId: string) => void;
}

/** How the cards of a list look, given once to the list: dozens come and go with every filter. */
export const cardsLook = {
  '& .card': {
    display: 'flex',
    gap: 1,
    p: 1,
    width: '100%',
    font: 'inherit',
    textAlign: 'left',
    color: 'inherit',
    textDecoration: 'none',
    backgroundColor: palette.white,
    border: `1px solid ${palette.line}`,
    borderRadius: '6px',
    cursor: 'pointer',
    minHeight: 136,
  },
  '& .card[aria-pressed="true"]': { backgroundColor: '#DCE9E9', borderColor: palette.primary },
  '& .words': { minWidth: 0, fontSize: 13.5, lineHeight: 1.3, overflowWrap: 'anywhere' },
  '& .name': { fontSize: 16, fontWeight: 700, lineHeight: 1.2 },
  '& a .name': { textDecoration: 'underline' },
  '& .grade': { color: palette.soft },
  '& .near': { fontWeight: 700 },
  '& .open': { color: palette.caution },
} as const;

/** A child on the wall; where several are being chosen, a press chooses it, else it opens its page. Its list has `cardsLook`. */
export const WallCard = memo(function WallCard({ one, isHidden, isChoosing, isChosen, onFlip }: Props) {
  const { child, name } = one;
  const body = (
    <>
      <SmallLadder one={one} />
      <div className="words">
        <div className="name">{name}</div>
        <div className="grade">{one.grade ?? t`no grade yet`}</div>
        <div className={one.isEarned || isClose(one) ? 'near' : undefined}>{progressWords(one)}</div>
        {isUnseen(one) && <div className="open">{unseenWords(one)}</div>}
        {!child.isHomeKnown && (
          <div className="open">
            <Trans>home not told</Trans>
          </div>
        )}
        {child.archived && (
          <div className="open">
            <Trans>archived</Trans>
          </div>
        )}
      </div>
    </>
  );
  return (
    <li hidden={isHidden}>
      {isChoosing ? (
        <button
          className="card"
          type="button"
          aria-pressed={isChosen}
          onClick={() => {
            onFlip(child.id);
          }}
        >
          {body}
        </button>
      ) : (
        <Link className="card" to={`/children/${child.id}`}>
          {body}
        </Link>
      )}
    </li>
  );
});

function progressWords({ isEarned, nextGrade, met, of, groupId }: WallChild): string {
  if (groupId === null) return '';
  if (nextGrade === null) return t`top of the ladder`;
  return isEarned ? t`${nextGrade} is earned` : t`${met} of ${of} to ${nextGrade}`;
}

function unseenWords({ unseenDays }: WallChild): string {
  return unseenDays === null
    ? t`never marked`
    : plural(Math.floor(unseenDays / 7), { one: 'not marked for # week', other: 'not marked for # weeks' });
}
