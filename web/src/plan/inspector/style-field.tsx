import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { clockText, teachingStyles, type TeachingStyle } from '@leiter/core';
import { palette } from '../../shared/palette';
import { styleWords } from '../../shared/words';

/** How a class is taught as a whole, each way with what the class would take in it. */
export function StyleField({
  style,
  usual,
  fitting,
  totals,
  onChange,
}: {
  readonly style: TeachingStyle | undefined;
  readonly usual: TeachingStyle;
  /** What the classes taught look like, where that is another one. */
  readonly fitting: TeachingStyle | null;
  readonly totals: ReadonlyMap<TeachingStyle, number>;
  readonly onChange: (style: TeachingStyle | 'as-usual') => void;
}) {
  const total = (of: TeachingStyle): string => clockText(totals.get(of) ?? 0);
  return (
    <TextField
      select
      fullWidth
      label={t`How this class is taught`}
      {...(fitting ? { helperText: t`Your last classes look like “${styleWords[fitting]}”.` } : {})}
      value={style ?? 'as-usual'}
      onChange={(event) => {
        onChange(teachingStyles.find((one) => one === event.target.value) ?? 'as-usual');
      }}
      sx={{ my: 1 }}
    >
      <MenuItem value="as-usual">
        <Trans>
          as you usually do: {styleWords[usual]} · {total(usual)}
        </Trans>
      </MenuItem>
      {teachingStyles.map((one) => (
        <MenuItem key={one} value={one}>
          {styleWords[one]}{' '}
          <span style={{ color: palette.soft }}>
            <Trans>&nbsp;· {total(one)}</Trans>
          </span>
        </MenuItem>
      ))}
    </TextField>
  );
}
