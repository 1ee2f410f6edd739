import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

interface Props<V extends string> {
  readonly label: string;
  readonly value: V;
  readonly options: readonly (readonly [value: V, name: string])[];
  readonly onChoose: (value: V) => void;
}

/** One of a few, by its name. */
export function Choose<V extends string>({ label, value, options, onChoose }: Props<V>) {
  return (
    <TextField select size="small" label={label} value={value} onChange={(event) => onChoose(event.target.value as V)}>
      {options.map(([own, name]) => (
        <MenuItem key={own} value={own}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
