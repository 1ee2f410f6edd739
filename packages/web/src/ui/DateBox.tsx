import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import dayjs from 'dayjs';

export interface BoxProps {
  readonly label: string;
  /** `YYYY-MM-DD`, or empty. */
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly onBlur?: () => void;
  readonly problem?: string | undefined;
  readonly small?: boolean;
}

/** A date of the calendar, typed or picked. */
export default function DateBox({ label, value, onChange, onBlur, problem, small = false }: BoxProps) {
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
