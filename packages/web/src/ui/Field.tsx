import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useController, type Control, type FieldValues, type Path } from 'react-hook-form';

type Props<T extends FieldValues> = Omit<TextFieldProps, 'name' | 'value' | 'defaultValue'> & {
  readonly control: Control<T>;
  readonly name: Path<T>;
};

/** A text field of a form, with its error below it. */
export function Field<T extends FieldValues>({ control, name, helperText, ...props }: Props<T>) {
  const { field, fieldState } = useController({ control, name });
  return (
    <TextField
      {...props}
      name={field.name}
      value={field.value ?? ''}
      onChange={field.onChange}
      onBlur={field.onBlur}
      inputRef={field.ref}
      error={fieldState.invalid}
      helperText={fieldState.error?.message ?? helperText}
      fullWidth
    />
  );
}
