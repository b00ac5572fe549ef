import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Chart, LineElement, LinearScale, PointElement, Tooltip, type ChartDataset } from 'chart.js';
import {
  addDays,
  daysBetween,
  groupBy,
  measuredLines,
  type Criterion,
  type Day,
  type Library,
  type MeasuredLine,
  type Observation,
} from '@leiter/core';
import { useState } from 'react';
import { Line } from 'react-chartjs-2';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { measureWords, observedSideWords } from '../../shared/measure-words';
import { palette, textFont } from '../../shared/palette';
import { dayText } from '../../shared/words';

Chart.register(LinearScale, LineElement, PointElement, Tooltip);

interface Asked {
  readonly movement: string;
  readonly stage: number | null;
  readonly criterion: Criterion;
}

const keyOf = ({ movement, stage, measuredIn }: MeasuredLine): string => [movement, stage, measuredIn].join(' ');

/** Everything that was measured of a child: its best and its latest, left and right apart, and over time the one that is chosen. */
export function Bests({
  observations,
  library,
  asked,
}: {
  readonly observations: readonly Observation[];
  readonly library: Library;
  /** What the next grade asks. */
  readonly asked: readonly Asked[];
}) {
  const [chosen, setChosen] = useState<string | null>(null);
  const found = [...groupBy(measuredLines(observations), keyOf)];
  const isAsked = ([, [line]]: (typeof found)[number]): boolean => asked.some((one) => one.movement === line?.movement);
  // what is asked now comes first
  const measured = found.toSorted((a, b) => Number(isAsked(b)) - Number(isAsked(a)));
  const shown = measured.find(([key]) => key === chosen) ?? measured.find(([, lines]) => lines.some(({ points }) => points.length > 2));
  if (measured.length === 0) return null;
  return (
    <Box component="section" aria-label={t`Bests`} sx={{ mt: 3 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>Bests</Trans>
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {measured.map(([key, lines]) => {
          const name = library.get(lines[0]?.movement ?? '')?.name ?? lines[0]?.movement ?? '';
          return (
            <Box component="li" key={key} sx={{ borderTop: `1px solid ${palette.line}` }}>
              <Box
                component="button"
                type="button"
                aria-pressed={key === shown?.[0]}
                onClick={() => {
                  setChosen(key);
                }}
                sx={{
                  display: 'grid',
                  gridTemplateColumns: 'minmax(0, 1fr) auto',
                  columnGap: 1.5,
                  width: '100%',
                  minHeight: 36,
                  p: 0.75,
                  border: 0,
                  borderLeft: `4px solid ${key === shown?.[0] ? palette.primary : 'transparent'}`,
                  background: 'none',
                  font: 'inherit',
                  color: 'inherit',
                  textAlign: 'left',
                  cursor: 'pointer',
                  '&:hover': { backgroundColor: palette.shade },
                }}
              >
                <span>{name}</span>
                <Box component="span" sx={{ textAlign: 'right' }}>
                  {[...lines]
                    .toSorted((a, b) => (a.side < b.side ? -1 : 1))
                    .map((line) => (
                      <BestLine key={line.side} line={line} />
                    ))}
                </Box>
              </Box>
            </Box>
          );
        })}
      </Box>
      {shown && <OverTime lines={shown[1]} name={library.get(shown[1][0]?.movement ?? '')?.name ?? ''} asked={asked} />}
    </Box>
  );
}

function BestLine({ line: { side, measuredIn, best, latest } }: { readonly line: MeasuredLine }) {
  const [most, last] = [measureWords(best.value, measuredIn), measureWords(latest.value, measuredIn)];
  return (
    <Box component="span" sx={{ display: 'block', whiteSpace: 'nowrap' }}>
      {observedSideWords[side] !== '' && <span style={{ color: palette.soft }}>{observedSideWords[side]} </span>}
      <strong>{most}</strong> <span style={{ color: palette.soft }}>{dayText(best.day)}</span>
      {latest.day !== best.day && <span style={{ color: palette.soft }}>{t` · last ${last}, ${dayText(latest.day)}`}</span>}
    </Box>
  );
}

/** The value that a criterion asks of a measure; null where it asks for none. */
function askedOf({ criterion }: Asked, measuredIn: MeasuredLine['measuredIn']): number | null {
  if (measuredIn === 'seconds') return criterion.leastSeconds ?? null;
  if (measuredIn === 'reps') return criterion.leastReps ?? null;
  return criterion.leastCorrect ? (100 * criterion.leastCorrect.correct) / criterion.leastCorrect.of : null;
}

/** One movement over time: each side a line of its own tone and point, what is asked dashed. */
function OverTime({
  lines,
  name,
  asked,
}: {
  readonly lines: readonly MeasuredLine[];
  readonly name: string;
  readonly asked: readonly Asked[];
}) {
  const [first] = lines;
  const days = lines.flatMap(({ points }) => points.map(({ day }) => day)).toSorted();
  const [start, end] = [days[0], days.at(-1)];
  if (!first || start === undefined || end === undefined || start === end) return null;
  const { measuredIn } = first;
  const scale = measuredIn === 'share' ? 100 : 1;
  const requirement = asked.find((one) => one.movement === first.movement && one.stage === first.stage);
  const goal = requirement ? askedOf(requirement, measuredIn) : null;
  const x = (day: Day): number => daysBetween(start, day);
  const datasets: ChartDataset<'line', { x: number; y: number }[]>[] = lines.map(({ side, points }) => ({
    label: side === 'none' ? t`best of the day` : observedSideWords[side],
    data: points.map(({ day, value }) => ({ x: x(day), y: value * scale })),
    borderColor: side === 'right' ? palette.caution : palette.primary,
    backgroundColor: side === 'right' ? palette.caution : palette.primary,
    pointStyle: side === 'right' ? 'circle' : 'rect',
    borderWidth: 2,
    pointRadius: 4,
    // a point at the edge is whole
    clip: false,
  }));
  if (goal !== null)
    datasets.push({
      label: t`asked`,
      data: [
        { x: 0, y: goal },
        { x: x(end), y: goal },
      ],
      borderColor: palette.ink,
      borderDash: [5, 4],
      borderWidth: 1.5,
      pointRadius: 0,
    });
  const ticks = { color: palette.soft, font: { family: textFont, size: 12 } };
  const told = lines.map(({ side, points }) =>
    [observedSideWords[side], points.map(({ value }) => measureWords(value, measuredIn)).join(', ')].join(' ').trim(),
  );
  return (
    <Box sx={{ mt: 1.5 }}>
      <Box sx={{ fontSize: 14, color: palette.soft, mb: 0.5 }}>
        {[name, ...(lines.length > 1 ? [t`left squares, right discs`] : []), ...(goal === null ? [] : [t`dashed: what is asked`])].join(
          ' · ',
        )}
      </Box>
      <Box sx={{ height: 150 }}>
        <Line
          role="img"
          aria-label={`${name}: ${told.join('; ')}`}
          data={{ datasets }}
          options={{
            animation: false,
            maintainAspectRatio: false,
            plugins: {
              legend: { display: false },
              tooltip: { callbacks: { title: ([item]) => (item ? dayText(addDays(start, Math.round(item.parsed.x ?? 0))) : '') } },
            },
            scales: {
              x: {
                type: 'linear',
                min: 0,
                max: x(end),
                ticks: {
                  ...ticks,
                  maxTicksLimit: 6,
                  includeBounds: false,
                  callback: (value) => dayText(addDays(start, Math.round(Number(value)))),
                },
                grid: { display: false },
              },
              y: { ticks, beginAtZero: true, grid: { color: palette.line } },
            },
          }}
        />
      </Box>
    </Box>
  );
}
