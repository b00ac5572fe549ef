import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { clockText, type Circuit, type ClassPlan } from '@leiter/core';
import { headingFont, palette } from '../../shared/palette';
import type { RoundRung, Ruler } from '../editing/ruler';

interface Props {
  readonly plan: ClassPlan;
  readonly ruler: Ruler;
  readonly onChoose: (itemId: string) => void;
}

/** The circuits of a running order: a bracket along the stations and the rounds that follow, one rung for each. */
export function CircuitMarks({ plan, ruler, onChoose }: Props) {
  return (
    <>
      {ruler.circuits.map(({ id, top, height }) => (
        <Box
          key={id}
          aria-hidden="true"
          style={{ top: top + 2, height: height - 4 }}
          sx={{
            position: 'absolute',
            left: -6,
            width: 5,
            border: `2px solid ${palette.primary}`,
            borderRight: 0,
            borderRadius: '4px 0 0 4px',
          }}
        />
      ))}
      {ruler.rounds.map((round) => (
        <RoundLine
          key={`${round.circuitId} ${String(round.round)}`}
          round={round}
          words={roundWords(
            plan.circuits?.find(({ id }) => id === round.circuitId),
            round.round,
          )}
          onChoose={onChoose}
        />
      ))}
    </>
  );
}

/** `Round 2 of 3`; of a chain the side, of a pair whose turn it is, with the time where there are several. */
function roundWords(circuit: Circuit | undefined, round: number): string {
  if (!circuit) return t`Round ${round}`;
  const { kind = t`circuit`, rounds } = circuit;
  if (kind === 'circuit') return t`Round ${round} of ${rounds}`;
  const isFirst = round % 2 === 1;
  const whose = kind === 'chain' ? (isFirst ? t`On the left` : t`On the right`) : isFirst ? t`The first one` : t`The other one`;
  return rounds === 1 ? whose : t`${whose}, ${Math.ceil(round / 2)} of ${rounds}`;
}

function RoundLine({
  round: { passes, top, height },
  words,
  onChoose,
}: {
  readonly round: RoundRung;
  readonly words: string;
  readonly onChoose: (itemId: string) => void;
}) {
  const seconds = passes.reduce((sum, pass) => sum + pass.seconds, 0);
  const rest = passes[0]?.roundRestSeconds ?? 0;
  return (
    <Box
      component="button"
      type="button"
      onClick={() => {
        const [first] = passes;
        if (first) onChoose(first.item.id);
      }}
      style={{ top, height }}
      sx={{
        position: 'absolute',
        left: 4,
        right: 4,
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        p: 0,
        pl: 1.25,
        pr: 1.25,
        border: 0,
        borderBottom: `2px solid ${palette.line}`,
        backgroundColor: palette.shade,
        font: 'inherit',
        fontSize: 13,
        color: palette.ink,
        textAlign: 'left',
        cursor: 'pointer',
        overflow: 'hidden',
      }}
    >
      <strong style={{ whiteSpace: 'nowrap' }}>{words}</strong>
      <Box component="span" sx={{ color: palette.soft, whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis', minWidth: 0 }}>
        {rest > 0 && t`${String(rest)} s rest, then `}
        {passes.map(({ movement }) => movement.name).join(', ')}
      </Box>
      <Box component="span" sx={{ ml: 'auto', fontFamily: headingFont, fontSize: 13.5, pl: 1, flexShrink: 0 }}>
        {clockText(seconds)}
      </Box>
    </Box>
  );
}
