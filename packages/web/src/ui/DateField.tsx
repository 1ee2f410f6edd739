import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import dayjs from 'dayjs';
import { useController, type Control, type FieldValues, type Path } from 'react-hook-form';

interface Props<T extends FieldValues> {
  readonly control: Control<T, unknown, T>;
  readonly name: Path<T>;
  readonly label: string;
}

/** A date of the calendar in a form, kept as `YYYY-MM-DD`. */
export function DateField<T extends FieldValues>({ control, name, label }: Props<T>) {
  const { field, fieldState } = useController({ control, name });
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs}>
      <DatePicker
        label={label}
        format="DD MMMM YYYY"
        // The picker keeps a half-typed date; the form hears of it as something that is no date yet.
        defaultValue={field.value ? dayjs(field.value) : null}
        onChange={(date) => field.onChange(date ? date.format('YYYY-MM-DD') : '')}
        slotProps={{
          textField: {
            fullWidth: true,
            error: fieldState.invalid,
            helperText: fieldState.error?.message,
            onBlur: field.onBlur,
            sx: {
              '& .MuiPickersOutlinedInput-root': { backgroundColor: 'background.paper' },
              '& .MuiPickersOutlinedInput-root:not(.Mui-error) .MuiPickersOutlinedInput-notchedOutline': {
                borderColor: 'text.secondary',
              },
            },
          },
          field: { clearable: true },
        }}
      />
    </LocalizationProvider>
  );
}
