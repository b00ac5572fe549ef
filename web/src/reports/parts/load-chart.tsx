import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import type { WeekLoad } from '@leiter/core';
import { effortColours, palette } from '../../shared/palette';
import { dayText } from '../../shared/words';
import { WeeksChart } from './weeks-chart';

const minutes = (seconds: number): number => Math.round(seconds / 60);
/** The week in which a number was largest. */
const most = (loads: readonly WeekLoad[], of: (load: WeekLoad) => number): number =>
  loads.reduce((best, load, index) => (of(load) > of(loads[best] ?? load) ? index : best), 0);

/** What the classes of each week asked of a child that did all of it, as planned: minutes of moving, the hard ones told apart. */
export function LoadChart({ days, loads }: { readonly days: readonly string[]; readonly loads: readonly WeekLoad[] }) {
  const ends = days.slice(1);
  const taught = loads.filter(({ classes }) => classes > 0);
  if (taught.length === 0) return <Box sx={{ fontSize: 14, color: palette.soft }}>{t`No planned class was taught.`}</Box>;
  const mean = (of: (load: WeekLoad) => number): number => taught.reduce((sum, load) => sum + of(load), 0) / taught.length;
  const landing = most(loads, ({ landings }) => landings);
  const hands = most(loads, ({ handsSeconds }) => handsSeconds);
  const told = t`${minutes(mean(({ movingSeconds }) => movingSeconds))} minutes of moving a week, ${minutes(mean(({ hardSeconds }) => hardSeconds))} of them hard`;
  return (
    <>
      <Box sx={{ height: 120 }}>
        <WeeksChart
          told={told}
          days={ends}
          layers={[
            { label: t`hard minutes`, values: loads.map(({ hardSeconds }) => minutes(hardSeconds)), colour: effortColours[3] },
            {
              label: t`other minutes`,
              values: loads.map(({ movingSeconds, hardSeconds }) => minutes(movingSeconds - hardSeconds)),
              colour: effortColours[0],
            },
          ]}
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
