import type { LearnerView } from '@jasperwren/contract/learners';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

interface Props {
  readonly label: string;
  readonly learners: readonly LearnerView[];
  readonly value: string;
  readonly onChange: (learnerId: string) => void;
}

/** Chooses a learner, or none. */
export function LearnerSelect({ label, learners, value, onChange }: Props) {
  return (
    <TextField select size="small" label={label} value={value} onChange={(event) => onChange(event.target.value)}>
      <MenuItem value="">–</MenuItem>
      {learners.map(({ id, name }) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
