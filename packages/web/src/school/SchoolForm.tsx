import { t } from '@jasperwren/words/school';
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
  name: t('name'),
  place: t('place'),
  timeZone: t('timeZone'),
  requireFactor: t('secondFactor'),
  keepMonths: t('monthsToKeepLearners'),
} as const;
const zones = [t('etcUTC'), ...Intl.supportedValuesOf('timeZone')];

const words = (field: keyof typeof labels, value: unknown): string =>
  field === 'requireFactor' ? (value ? 'required' : t('upToEach')) : plainWords(value);

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
    if (data) enqueueSnackbar(t('saved'));
    else if (!theirs) setFailure(showProblems(checked, error));
  };
  const merge = ({ mine, theirs }: NonNullable<typeof clash>, chosen: ReadonlySet<keyof typeof labels>) =>
    save({ ...mergedOf<keyof typeof labels, SchoolInput>(labels, mine, theirs, chosen), version: theirs.version });
  return (
    <form
      className={form.form}
      onSubmit={(event) => void checked.handleSubmit(save)(event)}
      noValidate
      aria-label={t('aboutTheSchool')}
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
          helperText={months.fieldState.error?.message ?? t('forArchivedLearnersAfterTheirLast')}
        />
      </div>
      <FormControlLabel
        control={<Switch checked={factor.field.value} onChange={(_event, on) => factor.field.onChange(on)} />}
        label={t('everyoneNeedsASecondFactorTo')}
      />
      {failure && (
        <p role="alert" className={form.error}>
          {failure.message}
        </p>
      )}
      <div className={form.actions}>
        <Button type="submit" variant="contained" disabled={checked.formState.isSubmitting}>
          {t('save')}
        </Button>
      </div>
      {clash && (
        <Conflict
          what={t('school')}
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
