import { t } from '@jasperwren/words/test-results';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { SheetInput, type SheetView } from '@jasperwren/contract/sheets';
import { judgeSheet, type SheetEntry } from '@jasperwren/core/marking/sheet';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { verdictSentence } from '@jasperwren/words/marking/verdict';
import { useState } from 'react';
import { useWatch, useController, type Control } from 'react-hook-form';
import type { ApiError } from '../base/client';
import { DateField } from '../ui/DateField';
import { Field } from '../ui/Field';
import form from '../ui/form.module.css';
import { showProblems, useCheckedForm } from '../ui/use-checked-form';
import { Entries } from './EntryList';
import styles from './sheets.module.css';

interface Props {
  readonly standards: readonly EffectiveStandard[];
  readonly initial: Partial<SheetInput>;
  readonly action: string;
  readonly onSave: (input: SheetInput) => Promise<{ readonly data?: SheetView | undefined; readonly error?: unknown }>;
  readonly onSaved: (sheet: SheetView) => void;
  readonly onCancel: () => void;
}

/** The sheet of a real test, typed in and judged as it grows. */
export function SheetForm({ standards, initial, action, onSave, onSaved, onCancel }: Props) {
  const [failure, setFailure] = useState<ApiError>();
  const [kept, setKept] = useState<Readonly<Record<string, readonly SheetEntry[]>>>({});
  const first = standards.find(({ id }) => id === initial.standardId) ?? standards[0]!;
  const checked = useCheckedForm(SheetInput, {
    standardId: first.id,
    standardVersion: first.version,
    date: '',
    centre: '',
    notes: '',
    entries: [],
    ...initial,
  });
  const { control } = checked;
  const { isSubmitting } = checked.formState;
  const [standardId, official, entries] = useWatch({ control, name: ['standardId', 'official', 'entries'] });
  const standard = standards.find(({ id }) => id === standardId) ?? first;
  const submit = checked.handleSubmit(async (values) => {
    const { data, error } = await onSave({ ...values, standardVersion: standard.version });
    if (data) onSaved(data);
    else setFailure(showProblems(checked, error));
  });
  const setEntries = (next: readonly SheetEntry[]) =>
    checked.setValue('entries', [...next] as SheetInput['entries'], { shouldDirty: true });
  return (
    <form className={styles.form} onSubmit={(event) => void submit(event)} noValidate aria-label={t('testResult')}>
      <div className={form.form}>
        <div className={form.pair}>
          <DateField control={control} name="date" label={t('dateOfTheTest')} />
          <Field control={control} name="centre" label={t('testCentre')} />
        </div>
        <div className={form.pair}>
          <StandardChoice
            control={control}
            standards={standards}
            onChosen={(next) => {
              setKept({ ...kept, [standardId]: entries });
              setEntries(kept[next] ?? []);
            }}
          />
          <Field control={control} name="official" label={t('officialResult')} select required>
            <MenuItem value="pass">{t('pass')}</MenuItem>
            <MenuItem value="fail">{t('fail')}</MenuItem>
          </Field>
        </div>
      </div>
      <Entries standard={standard} entries={entries} onChange={setEntries} />
      <Recomputed standard={standard} entries={entries} official={official} />
      <div className={form.form}>
        <Field control={control} name="notes" label={t('notes')} multiline minRows={2} />
        {failure && (
          <p role="alert" className={form.error}>
            {failure.message}
          </p>
        )}
        <div className={form.actions}>
          <Button type="submit" variant="contained" disabled={isSubmitting}>
            {action}
          </Button>
          <Button variant="text" onClick={onCancel}>
            {t('cancel')}
          </Button>
        </div>
      </div>
    </form>
  );
}

/** Another standard has other items: what was typed under the first waits until it is chosen again. */
function StandardChoice({
  control,
  standards,
  onChosen,
}: {
  readonly control: Control<SheetInput, unknown, SheetInput>;
  readonly standards: readonly EffectiveStandard[];
  readonly onChosen: (standardId: string) => void;
}) {
  const { field } = useController({ control, name: 'standardId' });
  return (
    <TextField
      select
      label={t('markingStandard')}
      value={field.value}
      onChange={(event) => {
        field.onChange(event.target.value);
        onChosen(event.target.value);
      }}
      fullWidth
    >
      {standards.map(({ id, name }) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** What the counts lead to, beside what the authority said. */
function Recomputed({
  standard,
  entries,
  official,
}: {
  readonly standard: EffectiveStandard;
  readonly entries: readonly SheetEntry[];
  readonly official: 'pass' | 'fail' | undefined;
}) {
  const { verdict, agrees } = judgeSheet(standard, entries, official ?? 'pass');
  return (
    <p role="status" className={styles.recomputed} data-differs={official !== undefined && !agrees}>
      <b>{t('byTheseFaultsVerdictSentence', { verdictSentence: verdictSentence(standard, verdict) })}</b>
      {official && (
        <span>
          {agrees ? ` ${t('theOfficialResultAgrees')}` : ` ${t('theOfficialResultIsAOfficial', { official })}`}
        </span>
      )}
    </p>
  );
}
