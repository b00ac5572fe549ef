import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { palette } from '../../shared/palette';
import { useTyped } from '../../shared/use-typed';

/** A sentence some of whose words can be changed where they stand. */
export function Sentence({
  label,
  gridColumn,
  children,
}: {
  readonly label: string;
  readonly gridColumn?: string;
  readonly children: ReactNode;
}) {
  return (
    <Box
      role="group"
      aria-label={label}
      sx={{
        gridColumn,
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'baseline',
        columnGap: 0.75,
        rowGap: 0.5,
        '& select, & input': {
          font: 'inherit',
          color: palette.primary,
          fontWeight: 700,
          backgroundColor: 'transparent',
          border: 0,
          borderBottom: `1.5px solid ${palette.primary}`,
          borderRadius: 0,
          p: 0,
          cursor: 'pointer',
        },
        '& select': { appearance: 'none', fieldSizing: 'content', maxWidth: 260, textOverflow: 'ellipsis' },
        '& input': { textAlign: 'center', cursor: 'text' },
        '& select:hover, & input:hover': { backgroundColor: palette.white },
        '@media (pointer: coarse)': { '& select, & input': { minHeight: 40 } },
      }}
    >
      {children}
    </Box>
  );
}

/** A word of a sentence, chosen among others. */
export function WordChoice({
  label,
  value,
  options,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [string, string])[];
  readonly onChange: (value: string) => void;
}) {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => {
        onChange(event.target.value);
      }}
    >
      {options.map(([id, words]) => (
        <option key={id} value={id}>
          {words}
        </option>
      ))}
    </select>
  );
}

/** A whole number in a sentence, from `least`; emptied it is null, and so is what is no number. Kept when one leaves it or presses Enter. */
export function NumberWord({
  label,
  value,
  least = 1,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly least?: number;
  readonly onChange: (value: number | null) => void;
}) {
  const [typed, setTyped] = useTyped(String(value));
  const keep = (): void => {
    if (typed.trim() === String(value)) return;
    const number = Number(typed);
    const isNumber = typed.trim() !== '' && Number.isInteger(number) && number >= least;
    if (!isNumber) setTyped(String(value));
    if (isNumber || typed.trim() === '') onChange(isNumber ? number : null);
  };
  return (
    <input
      aria-label={label}
      inputMode="numeric"
      value={typed}
      style={{ width: `${String(Math.max(2, typed.length) + 0.6)}ch` }}
      onChange={(event) => {
        setTyped(event.target.value);
      }}
      onBlur={keep}
      onKeyDown={(event) => {
        if (event.key === 'Enter') keep();
      }}
    />
  );
}

/** Adds a clause that the sentence has not got. */
export function ClauseButton({ words, onAdd }: { readonly words: string; readonly onAdd: () => void }) {
  return (
    <Box
      component="button"
      type="button"
      onClick={onAdd}
      sx={{
        font: 'inherit',
        fontSize: 13.5,
        color: palette.soft,
        backgroundColor: 'transparent',
        border: `1px dashed ${palette.soft}`,
        borderRadius: '6px',
        px: 0.75,
        cursor: 'pointer',
        '&:hover': { color: palette.primary, borderColor: palette.primary },
      }}
    >
      + {words}
    </Box>
  );
}
