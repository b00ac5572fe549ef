import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { approachMoves, approachRows, mostApproachMoves, startingFoot, type ApproachMove, type Foot } from '@leiter/core';
import { useState } from 'react';
import { ChoiceBar } from '../../shared/choice-bar';
import { palette } from '../../shared/palette';

const moveWords: Readonly<Record<ApproachMove, string>> = {
  step: t`step`,
  hop: t`hop`,
  chasse: t`chassé`,
  hurdle: t`hurdle`,
};
const footSigns = { left: 'L', right: 'R' } as const;

/** A run-up as it is written in the steps: `1 R fwd, 2 L fwd, 3 L hop, & R fwd`. */
function writtenRunUp(moves: readonly ApproachMove[], first: Foot): string {
  return approachRows(moves, first)
    .map(({ at, foot, act, place }) => {
      const count = at % 1 === 0 ? String((at % 8) + 1) : '&';
      const sign = foot === 'left' || foot === 'right' ? footSigns[foot] : '';
      return `${count} ${sign} ${act === 'hop' ? 'hop' : (place ?? '')}`;
    })
    .join(', ');
}

/** Which foot begins a run-up, so that it ends on the foot that the skill asks for; written into the steps by one press. */
export function WhichFoot({ onWrite }: { readonly onWrite: (line: string, first: Foot, hasHop: boolean) => void }) {
  const [moves, setMoves] = useState<readonly ApproachMove[]>(['step', 'step', 'hurdle']);
  const [takeOff, setTakeOff] = useState<Foot>('left');
  const first = startingFoot(moves, takeOff);
  const beginsWithHop = moves[0] === 'hop' || moves[0] === 'hurdle';
  return (
    <Box component="details" sx={{ mt: 1.5, '& summary': { cursor: 'pointer', fontSize: 14, color: palette.primary } }}>
      <summary>
        <Trans>Which foot begins a run-up?</Trans>
      </summary>
      <Box sx={{ display: 'grid', gap: 1, mt: 1 }}>
        <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap' }}>
          {approachMoves.map((move) => (
            <Button
              key={move}
              size="small"
              variant="outlined"
              disabled={moves.length >= mostApproachMoves}
              onClick={() => {
                setMoves([...moves, move]);
              }}
            >
              + {moveWords[move]}
            </Button>
          ))}
          <Button
            size="small"
            disabled={moves.length === 0}
            onClick={() => {
              setMoves(moves.slice(0, -1));
            }}
          >
            <Trans>Take one off</Trans>
          </Button>
        </Box>
        <Box sx={{ fontSize: 14 }}>{moves.length === 0 ? t`no step: a power start` : moves.map((move) => moveWords[move]).join(', ')}</Box>
        <ChoiceBar<Foot>
          label={t`The foot it takes off from`}
          value={takeOff}
          choices={[
            { value: 'left', words: t`ends on the left` },
            { value: 'right', words: t`ends on the right` },
          ]}
          onChange={(next) => {
            if (next) setTakeOff(next);
          }}
        />
        <Box role="status" sx={{ fontWeight: 700 }}>
          {moves.length === 0
            ? first === 'left'
              ? t`The left foot is in front.`
              : t`The right foot is in front.`
            : first === 'left'
              ? t`The left foot begins.`
              : t`The right foot begins.`}
        </Box>
        {moves.length > 0 && (
          <Button
            variant="outlined"
            onClick={() => {
              onWrite(writtenRunUp(moves, first), first, beginsWithHop);
            }}
          >
            <Trans>Write it into the steps</Trans>
          </Button>
        )}
      </Box>
    </Box>
  );
}
