import InputAdornment from '@mui/material/InputAdornment';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { numberIn } from './number-in';
import { useTyped } from './use-typed';
import { useController, type Control, type FieldValues, type Path } from 'react-hook-form';

type Props<Values extends FieldValues> = Omit<TextFieldProps, 'name' | 'onChange' | 'value'> & {
  readonly control: Control<Values>;
  readonly name: Path<Values>;
  /** Numbers are sent as numbers. */
  readonly kind?: 'text' | 'number';
  /** What the number counts, told after it. */
  readonly unit?: string;
};

/** A text field, number field or select of a form, with what the server said of it. */
export function FormField<Values extends FieldValues>({ control, name, kind = 'text', unit, ...rest }: Props<Values>) {
  const { field, fieldState } = useController({ control, name });
  const said = fieldState.error?.message;
  const value: unknown = field.value;
  const shown = typeof value === 'string' || typeof value === 'number' ? String(value) : '';
  // a number is shown as it is being typed: “2,” is on the way to 2,2 and not 22
  const [typed, setTyped] = useTyped(shown);
  return (
    <TextField
      fullWidth
      {...rest}
      name={field.name}
      inputRef={field.ref}
      value={kind === 'number' ? typed : (value ?? '')}
      onBlur={field.onBlur}
      onChange={(event) => {
        const text = event.target.value;
        if (kind === 'text') {
          field.onChange(text);
          return;
        }
        const number = numberIn(text);
        field.onChange(number ?? text);
        setTyped(text, number === null ? text : String(number));
      }}
      {...(kind === 'number'
        ? {
            slotProps: {
              htmlInput: { inputMode: 'decimal' },
              ...(unit === undefined ? {} : { input: { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> } }),
            },
          }
        : {})}
      error={said !== undefined}
      helperText={said ?? rest.helperText}
    />
  );
}
