import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [value: string, name: string])[];
  readonly onChoose: (value: string) => void;
}

/** One of a few, by its name. */
export function Choose({ label, value, options, onChoose }: Props) {
  return (
    <TextField select size="small" label={label} value={value} onChange={(event) => onChoose(event.target.value)}>
      {options.map(([own, name]) => (
        <MenuItem key={own} value={own}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
