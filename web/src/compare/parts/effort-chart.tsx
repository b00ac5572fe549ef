import { t } from '@lingui/core/macro';
import { effortWord, type EffortCurve } from '@leiter/core';
import { Chart, Filler, Legend, LinearScale, LineController, LineElement, PointElement, Tooltip } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { palette, textFont } from '../../shared/palette';
import { usualEffort } from './taught';

Chart.register(Filler, Legend, LinearScale, LineController, LineElement, PointElement, Tooltip);
Chart.defaults.font.family = textFont;

interface Props {
  readonly thisClass: EffortCurve | null;
  readonly earlier: readonly EffortCurve[];
}

/** The effort of this class as a line, over the band in which the classes before usually were. */
export function EffortChart({ thisClass, earlier }: Props) {
  const usual = usualEffort(earlier);
  const edge = { borderColor: '#B9AE97', borderWidth: 1, pointRadius: 0 } as const;
  return (
    <Line
      aria-label={t`Effort of this class over the minutes, beside what was usual in the classes before; the peaks stand in the table below`}
      data={{
        datasets: [
          ...(thisClass
            ? [
                {
                  label: t`This class, as planned`,
                  data: thisClass.values.map((y, index) => ({ x: (index * thisClass.stepSeconds) / 60, y })),
                  borderColor: palette.primary,
                  borderWidth: 4,
                  pointRadius: 0,
                  clip: 6,
                },
              ]
            : []),
          {
            label: t`Half of the classes before`,
            data: usual.map(({ seconds, high }) => ({ x: seconds / 60, y: high })),
            ...edge,
            fill: '+1',
            backgroundColor: palette.line,
          },
          { label: '', data: usual.map(({ seconds, low }) => ({ x: seconds / 60, y: low })), ...edge },
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
            labels: { color: palette.ink, boxWidth: 26, boxHeight: 8, filter: ({ text }) => text !== '' },
          },
          tooltip: { enabled: false },
        },
      }}
    />
  );
}
