import { t } from '@lingui/core/macro';
import type { TaughtClass } from '@leiter/contract';
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js';
import { Chart as Drawn } from 'react-chartjs-2';
import { palette, textFont } from '../../shared/palette';
import { dayText } from '../../shared/words';
import { totalOf } from './taught';

Chart.register(BarController, BarElement, CategoryScale, Legend, LinearScale, LineController, LineElement, PointElement, Tooltip);
Chart.defaults.font.family = textFont;

/** Planned and real minutes of the last classes side by side, the oldest first; the slot is a line. */
export function TimeChart({ classes }: { readonly classes: readonly TaughtClass[] }) {
  const shown = classes.toReversed();
  const minutes = (seconds: number): number => Math.round(seconds / 6) / 10;
  return (
    <Drawn
      type="bar"
      aria-label={t`Planned and real minutes of the last classes; the figures stand in the table below`}
      data={{
        // without the weekday, which is the same for all
        labels: shown.map(({ day }) => dayText(day).replace(/^\w+ /, '')),
        datasets: [
          {
            type: 'line',
            label: t`The slot`,
            data: shown.map(({ lengthMinutes }) => lengthMinutes),
            borderColor: palette.ink,
            borderDash: [5, 4],
            borderWidth: 1.5,
            pointRadius: 0,
          },
          {
            type: 'bar',
            label: t`Planned`,
            data: shown.map(({ items }) => minutes(totalOf(items).plannedSeconds)),
            backgroundColor: palette.line,
            borderColor: palette.soft,
            borderWidth: 1,
          },
          {
            type: 'bar',
            label: t`Really`,
            data: shown.map(({ items }) => minutes(totalOf(items).realSeconds)),
            backgroundColor: palette.primary,
          },
        ],
      }}
      options={{
        maintainAspectRatio: false,
        animation: false,
        color: palette.ink,
        scales: {
          x: { ticks: { color: palette.ink }, grid: { display: false } },
          y: {
            beginAtZero: true,
            suggestedMax: Math.max(...shown.map(({ lengthMinutes }) => lengthMinutes)) + 3,
            ticks: { color: palette.ink },
            grid: { color: palette.line },
            title: { display: true, text: 'minutes', color: palette.soft },
          },
        },
        plugins: { legend: { position: 'top', align: 'start', labels: { color: palette.ink, boxWidth: 22 } } },
      }}
    />
  );
}
