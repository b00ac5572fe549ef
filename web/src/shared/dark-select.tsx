import Box from '@mui/material/Box';
import { palette } from './palette';

interface Props {
  readonly label: string;
  readonly value: string;
  /** What is stored, and what is shown. */
  readonly options: readonly (readonly [string, string])[];
  readonly onChoose: (value: string) => void;
}

/** One of a few, on a dark screen. */
export function DarkSelect({ label, value, options, onChoose }: Props) {
  return (
    <Box
      component="select"
      aria-label={label}
      value={value}
      onChange={(event) => {
        onChoose(event.target.value);
      }}
      sx={{
        p: '8px 12px',
        font: 'inherit',
        fontSize: 16,
        color: palette.cream,
        backgroundColor: palette.nightShade,
        border: `1px solid ${palette.soft}`,
        borderRadius: '4px',
        maxWidth: 240,
      }}
    >
      {options.map(([one, words]) => (
        <option key={one} value={one}>
          {words}
        </option>
      ))}
    </Box>
  );
}
