import Box from '@mui/material/Box';
import { palette } from './palette';
import { onTouch } from './screen';

interface Props<Value extends string> {
  readonly label: string;
  readonly choices: readonly { readonly value: Value; readonly words: React.ReactNode; readonly name?: string }[];
  readonly value: Value | null;
  /** Pressed again, nothing is chosen: it was a slip. */
  readonly onChange: (value: Value | null) => void;
  /** Out of the order of Tab, where other keys do the same. */
  readonly isByMouseOnly?: boolean;
  readonly isGrowing?: boolean;
  /** In a table, where there is a mouse. */
  readonly isSmall?: boolean;
}

/** One of a few, by one press; pressed again it is taken back. */
export function ChoiceBar<Value extends string>({
  label,
  choices,
  value,
  onChange,
  isByMouseOnly = false,
  isGrowing = false,
  isSmall = false,
}: Props<Value>) {
  return (
    <Box role="group" aria-label={label} sx={{ display: 'flex', flexShrink: 0, width: isGrowing ? '100%' : 'auto' }}>
      {choices.map((choice) => {
        const isChosen = choice.value === value;
        return (
          <Box
            key={choice.value}
            component="button"
            type="button"
            aria-pressed={isChosen}
            {...(choice.name === undefined ? {} : { 'aria-label': choice.name })}
            {...(isByMouseOnly ? { tabIndex: -1 } : {})}
            onClick={() => {
              onChange(isChosen ? null : choice.value);
            }}
            sx={{
              font: 'inherit',
              fontSize: isSmall ? 13 : 14,
              flex: isGrowing ? 1 : 'none',
              minHeight: isSmall ? 28 : 32,
              px: isSmall ? 0.75 : 1.1,
              cursor: 'pointer',
              color: isChosen ? palette.white : palette.ink,
              backgroundColor: isChosen ? palette.primary : palette.white,
              fontWeight: isChosen ? 700 : 400,
              border: `1px solid ${palette.edge}`,
              borderColor: isChosen ? palette.primary : palette.edge,
              ml: '-1px',
              '&:first-of-type': { borderRadius: '6px 0 0 6px', ml: 0 },
              '&:last-of-type': { borderRadius: '0 6px 6px 0' },
              '&:focus-visible': { position: 'relative', zIndex: 1 },
              [onTouch]: { minHeight: 44, px: 1.4 },
            }}
          >
            {choice.words}
          </Box>
        );
      })}
    </Box>
  );
}
