import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { palette } from '../../shared/palette';
import { WeeksChart } from './weeks-chart';

/** From the lowest grade to the highest, light to dark: told apart in print as well, and named below. */
const tones = [palette.faint, '#C9D9D6', '#9FC2BF', '#72A5A4', '#4A8687', '#2C6A6F', '#17525C', '#0F3D46', '#0A2A31', '#071D22'];
const toneOf = (rung: number): string => tones[Math.min(tones.length - 1, rung)] ?? palette.ink;

interface Props {
  readonly days: readonly string[];
  readonly gradeNames: readonly string[];
  readonly counts: readonly (readonly number[])[];
}

/** How many children stood on each grade, week by week. Grades on which nobody stood are left out. */
export function GradesChart({ days, gradeNames, counts }: Props) {
  const used = gradeNames.flatMap((name, rung) => (counts.some((day) => (day[rung] ?? 0) > 0) ? [{ name, rung }] : []));
  const last = counts.at(-1) ?? [];
  const told = used.map(({ name, rung }) => `${name} ${String(last[rung] ?? 0)}`).join(', ');
  return (
    <>
      <Box sx={{ height: 170 }}>
        <WeeksChart
          told={t`Children by grade, today: ${told}`}
          days={days}
          layers={used.map(({ name, rung }) => ({ label: name, values: counts.map((day) => day[rung] ?? 0), colour: toneOf(rung) }))}
        />
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.5, rowGap: 0.25, mt: 0.75, fontSize: 13, color: palette.soft }}>
        {used.map(({ name, rung }) => (
          <Box component="span" key={rung} sx={{ display: 'inline-flex', gap: 0.5, alignItems: 'center' }}>
            <Box component="span" sx={{ width: 12, height: 12, backgroundColor: toneOf(rung), border: `1px solid ${palette.soft}` }} />
            {name} {last[rung] ?? 0}
          </Box>
        ))}
      </Box>
    </>
  );
}
