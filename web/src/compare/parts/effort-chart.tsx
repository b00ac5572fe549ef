import { t } from '@lingui/core/macro';
import { effortWord, type EffortCurve } from '@leiter/core';
import { Chart, type ChartDataset, Filler, Legend, LinearScale, LineController, LineElement, PointElement, Tooltip } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { palette, textFont } from '../../shared/palette';

Chart.register(Filler, Legend, LinearScale, LineController, LineElement, PointElement, Tooltip);
Chart.defaults.font.family = textFont;

/** The lines of the legend, dashed as those of the chart. */
function dashedLabels(chart: Chart) {
  return Chart.defaults.plugins.legend.labels.generateLabels(chart).map((label) => {
    const line = chart.data.datasets[label.datasetIndex ?? 0] as ChartDataset<'line'> | undefined; // this chart has lines only
    return { ...label, lineDash: (line?.borderDash ?? []) as number[] };
  });
}

interface Props {
  readonly thisClass: EffortCurve | null;
  readonly earlier: readonly { readonly label: string; readonly curve: EffortCurve }[];
}

/** Each earlier class has its own dash beside its shade, so that they are told apart without colour. */
const dashes: readonly (readonly number[])[] = [[], [8, 4], [2, 3], [8, 3, 2, 3]];
const shades = ['#5A6468', '#7B8A8D', '#8A8371', '#A29A86'] as const;

/** The effort of this class as a broad line, over those of the classes before. */
export function EffortChart({ thisClass, earlier }: Props) {
  const points = ({ values, stepSeconds }: EffortCurve) => values.map((y, index) => ({ x: (index * stepSeconds) / 60, y }));
  return (
    <Line
      aria-label={t`Effort of this class over the minutes, beside the classes before; the peaks stand in the table below`}
      data={{
        datasets: [
          ...(thisClass
            ? [
                {
                  label: t`This class, as planned`,
                  data: points(thisClass),
                  borderColor: palette.primary,
                  backgroundColor: '#17525C22',
                  borderWidth: 4,
                  pointRadius: 0,
                  clip: 6,
                  fill: true,
                },
              ]
            : []),
          ...earlier.map(({ label, curve }, index) => ({
            label,
            data: points(curve),
            borderColor: shades[index % shades.length] ?? palette.soft,
            borderDash: [...(dashes[index % dashes.length] ?? [])],
            borderWidth: 1.5,
            pointRadius: 0,
          })),
        ],
      }}
      options={{
        maintainAspectRatio: false,
        animation: false,
        color: palette.ink,
        scales: {
          x: {
            type: 'linear',
            beginAtZero: true,
            ticks: { color: palette.ink },
            grid: { display: false },
            title: { display: true, text: t`minute of the class`, color: palette.soft },
          },
          y: {
            min: 0,
            max: 4,
            ticks: { stepSize: 1, color: palette.ink, callback: (value) => effortWord(Number(value) as 0 | 1 | 2 | 3 | 4) }, // whole steps from 0 to 4
            grid: { color: palette.line },
          },
        },
        plugins: {
          legend: {
            position: 'top',
            align: 'start',
            labels: { color: palette.ink, usePointStyle: true, pointStyle: 'line', pointStyleWidth: 34, generateLabels: dashedLabels },
          },
          tooltip: { enabled: false },
        },
      }}
    />
  );
}
