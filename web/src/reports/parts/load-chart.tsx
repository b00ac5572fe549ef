import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import type { WeekLoad } from '@leiter/core';
import { BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { Bar } from 'react-chartjs-2';
import { effortColours, palette, textFont } from '../../shared/palette';
import { dayText } from '../../shared/words';

Chart.register(BarElement, CategoryScale, LinearScale, Tooltip);

const minutes = (seconds: number): number => Math.round(seconds / 60);
/** The week in which a number was largest. */
const most = (loads: readonly WeekLoad[], of: (load: WeekLoad) => number): number =>
  loads.reduce((best, load, index) => (of(load) > of(loads[best] ?? load) ? index : best), 0);

/** What the classes of each week asked of a child that did all of it, as planned: minutes of moving, the hard ones told apart. */
export function LoadChart({ days, loads }: { readonly days: readonly string[]; readonly loads: readonly WeekLoad[] }) {
  const ends = days.slice(1);
  const taught = loads.filter(({ classes }) => classes > 0);
  if (taught.length === 0) return <Box sx={{ fontSize: 14, color: palette.soft }}>{t`No planned class was taught.`}</Box>;
  const ticks = { color: palette.soft, font: { family: textFont, size: 12 } };
  const mean = (of: (load: WeekLoad) => number): number => taught.reduce((sum, load) => sum + of(load), 0) / taught.length;
  const landing = most(loads, ({ landings }) => landings);
  const hands = most(loads, ({ handsSeconds }) => handsSeconds);
  const told = t`${minutes(mean(({ movingSeconds }) => movingSeconds))} minutes of moving a week, ${minutes(mean(({ hardSeconds }) => hardSeconds))} of them hard`;
  return (
    <>
      <Box sx={{ height: 120 }}>
        <Bar
          role="img"
          aria-label={told}
          data={{
            labels: ends.map(dayText),
            datasets: [
              {
                label: t`hard minutes`,
                data: loads.map(({ hardSeconds }) => minutes(hardSeconds)),
                backgroundColor: effortColours[3],
                categoryPercentage: 1,
                barPercentage: 0.9,
              },
              {
                label: t`other minutes`,
                data: loads.map(({ movingSeconds, hardSeconds }) => minutes(movingSeconds - hardSeconds)),
                backgroundColor: effortColours[0],
                categoryPercentage: 1,
                barPercentage: 0.9,
              },
            ],
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
      </Box>
      <Box sx={{ fontSize: 13.5, color: palette.soft, mt: 0.5 }}>
        {told}
        {(loads[landing]?.landings ?? 0) > 0 && (
          <div>{t`Hard landings: ${Math.round(mean(({ landings }) => landings))} a week, most ${Math.round(loads[landing]?.landings ?? 0)} in the week until ${dayText(ends[landing] ?? '')}`}</div>
        )}
        {(loads[hands]?.handsSeconds ?? 0) >= 30 && (
          <div>{t`On the hands: ${minutes(mean(({ handsSeconds }) => handsSeconds))} min a week, most ${minutes(loads[hands]?.handsSeconds ?? 0)} min in the week until ${dayText(ends[hands] ?? '')}`}</div>
        )}
      </Box>
    </>
  );
}
