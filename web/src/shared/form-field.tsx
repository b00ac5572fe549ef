import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useController, type Control, type FieldValues, type Path } from 'react-hook-form';

type Props<Values extends FieldValues> = Omit<TextFieldProps, 'name' | 'onChange' | 'value'> & {
  readonly control: Control<Values>;
  readonly name: Path<Values>;
  /** Numbers are sent as numbers. */
  readonly kind?: 'text' | 'number';
};

/** A text field, number field or select of a form, with what the server said of it. */
export function FormField<Values extends FieldValues>({ control, name, kind = 'text', ...rest }: Props<Values>) {
  const { field, fieldState } = useController({ control, name });
  const said = fieldState.error?.message;
  const value: unknown = field.value;
  return (
    <TextField
      fullWidth
      {...rest}
      name={field.name}
      inputRef={field.ref}
      value={value ?? ''}
      onBlur={field.onBlur}
      onChange={(event) => {
        const typed = event.target.value;
        field.onChange(kind === 'number' && typed !== '' ? Number(typed) : typed);
      }}
      {...(kind === 'number' ? { type: 'number' } : {})}
      error={said !== undefined}
      helperText={said ?? rest.helperText}
    />
  );
}
