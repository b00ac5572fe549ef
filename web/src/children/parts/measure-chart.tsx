import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { CategoryScale, Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import type { Movement, Observation } from '@leiter/core';
import { Line } from 'react-chartjs-2';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { palette, textFont } from '../../shared/palette';
import { dayText } from '../../shared/words';

Chart.register(CategoryScale, LinearScale, LineElement, PointElement, Tooltip);

/** Seconds held over time, with what is asked as a line. */
export function MeasureChart({
  movement,
  observations,
  askedSeconds,
}: {
  readonly movement: Movement;
  readonly observations: readonly Observation[];
  readonly askedSeconds: number;
}) {
  const measured = observations.filter(({ measure }) => measure.seconds !== undefined).toSorted((a, b) => (a.seenOn < b.seenOn ? -1 : 1));
  if (measured.length < 3) return null;
  const seconds = measured.map(({ measure }) => measure.seconds ?? 0);
  const ticks = { color: palette.soft, font: { family: textFont, size: 12 } };
  return (
    <Box sx={{ mt: 3 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        <Trans>{movement.name}, seconds held</Trans>
      </Typography>
      <Box sx={{ height: 150 }}>
        <Line
          aria-label={t`${movement.name}: ${seconds.join(', ')} seconds; ${askedSeconds} asked`}
          role="img"
          data={{
            labels: measured.map(({ seenOn }) => dayText(seenOn)),
            datasets: [
              {
                label: 'held',
                data: seconds,
                borderColor: palette.primary,
                backgroundColor: palette.primary,
                borderWidth: 2,
                pointRadius: 4,
              },
              {
                label: 'asked',
                data: seconds.map(() => askedSeconds),
                borderColor: palette.caution,
                borderDash: [5, 4],
                borderWidth: 1.5,
                pointRadius: 0,
              },
            ],
          }}
          options={{
            animation: false,
            maintainAspectRatio: false,
            plugins: { legend: { display: false } },
            scales: { x: { ticks, grid: { display: false } }, y: { ticks, beginAtZero: true, grid: { color: palette.line } } },
          }}
        />
      </Box>
    </Box>
  );
}
