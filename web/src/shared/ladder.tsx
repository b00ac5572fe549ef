import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { Figure } from './figure';
import { palette } from './palette';

export interface LadderRung {
  readonly key: string;
  readonly name: string;
  readonly state: 'earned' | 'next' | 'above';
  /** 0 to 1: how far the next rung is filled from the left. */
  readonly share?: number;
  readonly beside?: string;
}

const railGap = 150;

/** A ladder of grades, the lowest at the bottom; the one who climbs stands on the highest rung earned. */
export function Ladder({
  rungs,
  chosen,
  onChoose,
  stepPixels = 96,
  climber = true,
  ground,
}: {
  readonly rungs: readonly LadderRung[];
  readonly chosen?: string | null;
  readonly onChoose?: (key: string) => void;
  readonly stepPixels?: number;
  readonly climber?: boolean;
  readonly ground: string;
}) {
  const height = (rungs.length + 1) * stepPixels;
  const yOf = (index: number): number => height - (index + 1) * stepPixels;
  const earned = rungs.filter(({ state }) => state === 'earned').length;
  return (
    <Box sx={{ position: 'relative', height: height + 26, width: 300 }}>
      <svg width={300} height={height + 20} aria-hidden="true" style={{ position: 'absolute', inset: 0 }}>
        <path
          d={`M86 8V${String(height)}M${String(86 + railGap)} 8V${String(height)}`}
          stroke={palette.ink}
          strokeWidth={6}
          strokeLinecap="round"
        />
        {rungs.map(({ key, state, share = 0 }, index) => (
          <g key={key} strokeWidth={7}>
            <line x1={90} x2={86 + railGap - 4} y1={yOf(index)} y2={yOf(index)} stroke={state === 'earned' ? palette.ink : palette.faint} />
            {state === 'next' && share > 0 && (
              <line x1={90} x2={90 + (railGap - 8) * share} y1={yOf(index)} y2={yOf(index)} stroke={palette.primary} />
            )}
          </g>
        ))}
        <line x1={40} x2={280} y1={height + 4} y2={height + 4} stroke={palette.line} strokeWidth={2} />
        {climber && (
          <Climber x={86 + railGap / 2} y={earned === 0 ? height + 2 : yOf(earned - 1) - 4} height={Math.min(66, stepPixels - 26)} />
        )}
      </svg>
      <Box component="ol" aria-label={t`Grades, highest first`} sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {rungs.toReversed().map((rung) => {
          const top = yOf(rungs.indexOf(rung));
          const words = (
            <>
              <Box
                component="span"
                sx={{
                  position: 'absolute',
                  right: 226,
                  top: top - 16,
                  width: 74,
                  height: 32,
                  display: 'flex',
                  alignItems: 'center',
                  justifyContent: 'flex-end',
                  textAlign: 'right',
                  fontSize: 13.5,
                  lineHeight: 1.2,
                  fontWeight: rung.state === 'above' && rung.key !== chosen ? 400 : 700,
                  color: rung.key === chosen ? palette.primary : palette.ink,
                }}
              >
                {rung.name}
              </Box>
              <Box
                component="span"
                sx={{
                  position: 'absolute',
                  left: 246,
                  top: top - 10,
                  fontSize: 13,
                  whiteSpace: 'nowrap',
                  color: rung.state === 'next' ? palette.primary : palette.soft,
                  fontWeight: rung.state === 'next' ? 700 : 400,
                }}
              >
                {rung.beside}
              </Box>
            </>
          );
          return (
            <li key={rung.key}>
              {onChoose ? (
                <Box
                  component="button"
                  type="button"
                  aria-current={rung.key === chosen ? 'true' : undefined}
                  onClick={() => {
                    onChoose(rung.key);
                  }}
                  sx={{
                    position: 'absolute',
                    left: 0,
                    right: 0,
                    top: top - 18,
                    height: 36,
                    border: 0,
                    background: 'none',
                    font: 'inherit',
                    cursor: 'pointer',
                    '& > span:first-of-type': { top: 2 },
                    '& > span:last-of-type': { top: 8 },
                  }}
                >
                  {words}
                </Box>
              ) : (
                words
              )}
            </li>
          );
        })}
      </Box>
      <Box
        sx={{
          position: 'absolute',
          right: 226,
          width: 74,
          top: height + 8,
          fontSize: 13,
          color: palette.soft,
          textAlign: 'right',
          lineHeight: 1.15,
        }}
      >
        {ground}
      </Box>
    </Box>
  );
}

const climberShape = { figure: ['stand'], view: { facing: 'front', framing: 'standing' }, plainMeaning: '' } as const;

/** Who climbs: the figure of every picture, its feet at `y`. */
function Climber({ x, y, height }: { readonly x: number; readonly y: number; readonly height: number }) {
  const size = height * 1.32;
  return <Figure movement={climberShape} size={size} place={{ x: x - size / 2, y: y - size * 0.93 }} />;
}
