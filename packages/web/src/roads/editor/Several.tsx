import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';

interface Props<T> {
  readonly label: string;
  readonly help?: string;
  readonly options: readonly T[];
  readonly value: readonly T[];
  readonly nameOf: (option: T) => string;
  /** What tells two options apart. */
  readonly keyOf: (option: T) => string;
  /** No more than these can be chosen. */
  readonly most?: number;
  readonly onChange: (value: readonly T[]) => void;
}

/** Some of many, found by typing. */
export function Several<T>({ label, help, options, value, nameOf, keyOf, most = Infinity, onChange }: Props<T>) {
  return (
    <Autocomplete
      multiple
      size="small"
      limitTags={2}
      disableCloseOnSelect
      options={options}
      value={[...value]}
      getOptionLabel={nameOf}
      getOptionKey={keyOf}
      isOptionEqualToValue={(a, b) => keyOf(a) === keyOf(b)}
      getOptionDisabled={(option) => value.length >= most && !value.some((one) => keyOf(one) === keyOf(option))}
      onChange={(_, chosen) => onChange(chosen)}
      renderInput={(params) => <TextField {...params} label={label} helperText={help} />}
    />
  );
}
