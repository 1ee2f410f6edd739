import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import dayjs from 'dayjs';
import { useController, type Control, type FieldValues, type Path } from 'react-hook-form';

interface BoxProps {
  readonly label: string;
  /** `YYYY-MM-DD`, or empty. */
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly onBlur?: () => void;
  readonly problem?: string | undefined;
  readonly small?: boolean;
}

/** A date of the calendar, typed or picked. */
export function DateBox({ label, value, onChange, onBlur, problem, small = false }: BoxProps) {
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs}>
      <DatePicker
        label={label}
        format="DD MMMM YYYY"
        // The picker keeps a half-typed date; its owner hears of it as something that is no date yet.
        defaultValue={value ? dayjs(value) : null}
        onChange={(date) => onChange(date ? date.format('YYYY-MM-DD') : '')}
        slotProps={{
          textField: {
            fullWidth: !small,
            size: small ? 'small' : 'medium',
            error: problem !== undefined,
            helperText: problem,
            ...(onBlur && { onBlur }),
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

interface Props<T extends FieldValues> {
  readonly control: Control<T, unknown, T>;
  readonly name: Path<T>;
  readonly label: string;
}

/** A date of the calendar in a form, kept as `YYYY-MM-DD`. */
export function DateField<T extends FieldValues>({ control, name, label }: Props<T>) {
  const { field, fieldState } = useController({ control, name });
  return (
    <DateBox
      label={label}
      value={field.value ?? ''}
      onChange={field.onChange}
      onBlur={field.onBlur}
      problem={fieldState.invalid ? (fieldState.error?.message ?? '') : undefined}
    />
  );
}
