import { t } from '@jasperwren/words/learners';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import { LearnerInput, type LearnerView } from '@jasperwren/contract/learners';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../base/api';
import type { ApiError } from '../base/client';
import { DateField } from '../ui/DateField';
import { failureOf } from '../ui/failure';
import { Field } from '../ui/Field';
import form from '../ui/form.module.css';
import { Failed, Loading } from '../ui/states';
import { Unsaved } from '../ui/Unsaved';
import { showProblems, useCheckedForm } from '../ui/use-checked-form';
import { useUnsaved } from '../ui/use-unsaved';

/** What each field is called, here and where two people have changed it. */
export const labels = {
  name: t('name'),
  instructorId: t('instructor'),
  transmission: t('gearbox'),
  standardId: t('markingStandard'),
  testDate: t('testDate2'),
  testCentre: t('testCentre'),
  email: t('eMail'),
  phone: t('phone'),
  notes: t('notes'),
} as const;

interface Props {
  readonly initial: Partial<LearnerInput>;
  readonly action: string;
  readonly onSave: (
    input: LearnerInput,
  ) => Promise<{ readonly data?: LearnerView | undefined; readonly error?: unknown }>;
  readonly onSaved: (learner: LearnerView) => void;
  /** Saved by another way than this form's button. */
  readonly saved?: LearnerView | undefined;
}

/** The particulars of a learner, to add or to edit. */
export function LearnerForm({ initial, ...props }: Props) {
  const { data: standards, ...asked } = api.useStandardsQuery();
  const failed = failureOf(asked);
  if (failed) return <Failed {...failed} />;
  if (!standards) return <Loading what={t('standards')} />;
  return <Fields initial={{ standardId: standards[0]?.id ?? '', ...initial }} standards={standards} {...props} />;
}

function Fields({
  initial,
  standards,
  action,
  onSave,
  onSaved,
  saved: savedElsewhere,
}: Props & { readonly standards: readonly { readonly id: string; readonly name: string }[] }) {
  const navigate = useNavigate();
  const [failure, setFailure] = useState<ApiError>();
  const checked = useCheckedForm(LearnerInput, {
    name: '',
    email: '',
    phone: '',
    transmission: 'manual',
    standardId: '',
    testDate: '',
    testCentre: '',
    notes: '',
    instructorId: '',
    ...initial,
  });
  const { control } = checked;
  // Read here, since the form tells only those who ask while drawing.
  const { isDirty, isSubmitting } = checked.formState;
  const [savedHere, setSaved] = useState<LearnerView>();
  const saved = savedElsewhere ?? savedHere;
  const { data: accounts = [] } = api.useAccountsQuery();
  const { blocker } = useUnsaved(isDirty && !saved);
  const submit = checked.handleSubmit(async (values) => {
    const { data, error } = await onSave(values);
    if (data) setSaved(data);
    else setFailure(showProblems(checked, error));
  });
  // Only once the form is drawn as saved does it let go of the page.
  useEffect(() => {
    if (saved) onSaved(saved);
  }, [saved, onSaved]);
  return (
    <form className={form.form} onSubmit={(event) => void submit(event)} noValidate aria-label={t('learner')}>
      <Field
        control={control}
        name="name"
        label={labels.name}
        autoComplete="off"
        required
        autoFocus={initial.name === undefined}
      />
      <div className={form.pair}>
        <Field control={control} name="transmission" label={labels.transmission} select>
          <MenuItem value="manual">{t('manual')}</MenuItem>
          <MenuItem value="automatic">{t('automatic')}</MenuItem>
        </Field>
        <Field control={control} name="standardId" label={labels.standardId} select>
          {standards.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </Field>
      </div>
      <Field control={control} name="instructorId" label={labels.instructorId} select>
        {accounts.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </Field>
      <div className={form.pair}>
        <DateField control={control} name="testDate" label={labels.testDate} />
        <Field control={control} name="testCentre" label={labels.testCentre} />
      </div>
      <div className={form.pair}>
        <Field control={control} name="email" label={labels.email} type="email" autoComplete="off" />
        <Field control={control} name="phone" label={labels.phone} type="tel" autoComplete="off" />
      </div>
      <Field
        control={control}
        name="notes"
        label={t('notes')}
        multiline
        minRows={3}
        helperText={t('partOfTheLearnersRecordThe')}
      />
      {failure && (
        <p role="alert" className={form.error}>
          {failure.message}
        </p>
      )}
      <Unsaved blocker={blocker} what={t('typed')} />
      <div className={form.actions}>
        <Button type="submit" variant="contained" disabled={isSubmitting}>
          {action}
        </Button>
        <Button variant="text" onClick={() => void navigate(-1)}>
          {t('cancel')}
        </Button>
      </div>
    </form>
  );
}
