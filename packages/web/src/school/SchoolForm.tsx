import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { SchoolInput, type SchoolView } from '@jasperwren/contract/school';
import { enqueueSnackbar } from 'notistack';
import { useState } from 'react';
import { useController } from 'react-hook-form';
import { api } from '../base/api';
import type { ApiError } from '../base/client';
import { clashesOf, Conflict, mergedOf, plainWords, staleOf } from '../ui/Conflict';
import { Field } from '../ui/Field';
import form from '../ui/form.module.css';
import { showProblems, useCheckedForm } from '../ui/use-checked-form';

const labels = {
  name: 'Name',
  place: 'Place',
  timeZone: 'Time zone',
  requireFactor: 'Second factor',
  keepMonths: 'Months to keep learners',
} as const;
const zones = ['Etc/UTC', ...Intl.supportedValuesOf('timeZone')];

const words = (field: keyof typeof labels, value: unknown): string =>
  field === 'requireFactor' ? (value ? 'required' : 'up to each') : plainWords(value);

/** What a school says of itself. */
export function SchoolForm({ school }: { readonly school: SchoolView }) {
  const [edit] = api.useEditSchoolMutation();
  const [failure, setFailure] = useState<ApiError>();
  const [clash, setClash] = useState<{ readonly mine: SchoolInput; readonly theirs: SchoolView }>();
  const { name, place, timeZone, requireFactor, keepMonths, version } = school;
  const checked = useCheckedForm<SchoolInput>(SchoolInput, {
    name,
    timeZone,
    requireFactor,
    version,
    ...(place !== undefined && { place }),
    ...(keepMonths !== undefined && { keepMonths }),
  });
  const { control } = checked;
  const zone = useController({ control, name: 'timeZone' });
  const factor = useController({ control, name: 'requireFactor' });
  const months = useController({ control, name: 'keepMonths' });
  const save = async (input: SchoolInput) => {
    const { data, error } = await edit({ body: input });
    const theirs = staleOf<SchoolView>(error);
    setClash(theirs && { mine: input, theirs });
    if (data) enqueueSnackbar('Saved.');
    else if (!theirs) setFailure(showProblems(checked, error));
  };
  const merge = ({ mine, theirs }: NonNullable<typeof clash>, chosen: ReadonlySet<keyof typeof labels>) =>
    save({ ...mergedOf<keyof typeof labels, SchoolInput>(labels, mine, theirs, chosen), version: theirs.version });
  return (
    <form
      className={form.form}
      onSubmit={(event) => void checked.handleSubmit(save)(event)}
      noValidate
      aria-label="About the school"
    >
      <div className={form.pair}>
        <Field control={control} name="name" label={labels.name} autoComplete="off" />
        <Field control={control} name="place" label={labels.place} autoComplete="off" />
      </div>
      <div className={form.pair}>
        <Autocomplete
          options={zones}
          value={zone.field.value}
          disableClearable
          onChange={(_event, chosen) => zone.field.onChange(chosen)}
          renderInput={(props) => (
            <TextField
              {...props}
              label={labels.timeZone}
              error={zone.fieldState.invalid}
              helperText={zone.fieldState.error?.message}
            />
          )}
        />
        <TextField
          label={labels.keepMonths}
          type="number"
          value={months.field.value ?? ''}
          onChange={(event) =>
            months.field.onChange(event.target.value === '' ? undefined : Number(event.target.value))
          }
          error={months.fieldState.invalid}
          helperText={
            months.fieldState.error?.message ?? 'Archived ones, after their last drive, lesson or test. Empty: no rule.'
          }
        />
      </div>
      <FormControlLabel
        control={<Switch checked={factor.field.value} onChange={(_event, on) => factor.field.onChange(on)} />}
        label="Everybody needs a second factor to sign in"
      />
      {failure && (
        <p role="alert" className={form.error}>
          {failure.message}
        </p>
      )}
      <div className={form.actions}>
        <Button type="submit" variant="contained" disabled={checked.formState.isSubmitting}>
          Save
        </Button>
      </div>
      {clash && (
        <Conflict
          what="the school"
          clashes={clashesOf<keyof typeof labels, Partial<SchoolInput>>(
            labels,
            school,
            clash.mine,
            clash.theirs,
            words,
          )}
          onMerge={(chosen) => void merge(clash, chosen)}
          onClose={() => setClash(undefined)}
        />
      )}
    </form>
  );
}
