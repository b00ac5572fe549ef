import { BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { Bar } from 'react-chartjs-2';
import { palette, textFont } from '../../shared/palette';
import { dayText } from '../../shared/words';

Chart.register(BarElement, CategoryScale, LinearScale, Tooltip);

interface Props {
  /** What the picture says, for who does not see it. */
  readonly told: string;
  readonly days: readonly string[];
  /** One above the other, the first at the bottom. */
  readonly layers: readonly { readonly label: string; readonly values: readonly number[]; readonly colour: string }[];
}

/** A column a week, made of layers. */
export function WeeksChart({ told, days, layers }: Props) {
  const ticks = { color: palette.soft, font: { family: textFont, size: 12 } };
  return (
    <Bar
      role="img"
      aria-label={told}
      data={{
        labels: days.map(dayText),
        datasets: layers.map(({ label, values, colour }) => ({
          label,
          data: [...values],
          backgroundColor: colour,
          categoryPercentage: 1,
          barPercentage: 0.94,
        })),
      }}
      options={{
        animation: false,
        maintainAspectRatio: false,
        plugins: { legend: { display: false } },
        scales: {
          x: { stacked: true, ticks: { ...ticks, maxTicksLimit: 4, maxRotation: 0 }, grid: { display: false } },
          y: { stacked: true, ticks: { ...ticks, precision: 0 }, grid: { color: palette.line } },
        },
      }}
    />
  );
}
