import { t } from '@jasperwren/words/test-results';
import Button from '@mui/material/Button';
import { effective } from '@jasperwren/core/marking/options';
import type { SheetInput, SheetView } from '@jasperwren/contract/sheets';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { itemName } from '@jasperwren/words/marking/names';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api } from '../base/api';
import { clashesOf, Conflict, mergedOf, staleOf } from '../ui/Conflict';
import { failureOf } from '../ui/failure';
import { longDate } from '../ui/format';
import { Page } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import { told } from '../ui/told';
import { SheetForm } from './SheetForm';

/** A sheet on record, to be read and corrected under the version of the standard it was entered under. */
export default function SheetPage() {
  const { sheetId = '' } = useParams();
  const asked = api.useSheetQuery({ sheetId });
  const { currentData: sheet } = asked;
  const failed = failureOf(asked);
  if (failed) return <Failed {...failed} />;
  if (!sheet) return <Loading what={t('testResult2')} />;
  return <Sheet key={sheetId} sheet={sheet} />;
}

function Sheet({ sheet }: { readonly sheet: SheetView }) {
  const navigate = useNavigate();
  // What was read when the page was opened: what others save meanwhile does not slip in unseen.
  const [{ version, ...begun }] = useState({ ...inputOf(sheet), version: sheet.version });
  const { data, ...asked } = api.useStandardVersionQuery(sheet.standard);
  const unfetched = failureOf(asked);
  const standard = useMemo(() => data && effective(data), [data]);
  const learner = api.useLearnerQuery({ learnerId: sheet.learnerId });
  const [edit] = api.useEditSheetMutation();
  const [clash, setClash] = useState<{ readonly mine: SheetInput; readonly theirs: SheetView }>();
  const [drop] = api.useDropSheetMutation();
  const [add] = api.useAddSheetMutation();
  if (unfetched) return <Failed {...unfetched} />;
  if (!standard) return <Loading what={t('standard')} />;
  const back = `/learners/${sheet.learnerId}`;
  const initial = inputOf(sheet);
  const save = async (input: SheetInput, version: number) => {
    const { data, error: failed } = await edit({ sheetId: sheet.id, body: { ...input, version } });
    const theirs = staleOf<SheetView>(failed);
    setClash(theirs && { mine: input, theirs });
    return { data, ...(!theirs && { error: failed }) };
  };
  const merge = async (chosen: ReadonlySet<keyof typeof labels>) => {
    const { mine, theirs } = clash!;
    const { data } = await save(mergedOf(labels, mine, inputOf(theirs), chosen), theirs.version);
    if (data) void navigate(back);
  };
  const remove = async () => {
    const done = await drop({ sheetId: sheet.id });
    if (told(done, t('testResultDeleted'), () => add({ learnerId: sheet.learnerId, body: initial })))
      void navigate(back);
  };
  return (
    <Page
      title={t('drivingTestOfDate', { date: longDate(sheet.date) })}
      over={<Link to={back}>{learner.data?.name ?? t('learner2')}</Link>}
      actions={
        <Button variant="text" onClick={() => void remove()}>
          {t('deleteResult')}
        </Button>
      }
    >
      <SheetForm
        standards={[standard]}
        initial={initial}
        action={t('saveChanges')}
        onSave={(input) => save(input, version)}
        onSaved={() => void navigate(back)}
        onCancel={() => void navigate(back)}
      />
      {clash && (
        <Conflict
          what={t('thisTestResult')}
          clashes={clashesOf<keyof typeof labels, Partial<SheetInput>>(
            labels,
            begun,
            clash.mine,
            inputOf(clash.theirs),
            (field, value) => words(standard, field, value),
          )}
          onMerge={(chosen) => void merge(chosen)}
          onClose={() => setClash(undefined)}
        />
      )}
    </Page>
  );
}

const labels = {
  date: t('dateOfTheTest'),
  centre: t('testCentre'),
  official: t('officialResult'),
  entries: t('faults'),
  notes: t('notes'),
} as const;

/** A sheet as its form has it. */
function inputOf({ standard, date, official, entries, centre, notes }: SheetView): SheetInput {
  return {
    standardId: standard.id,
    standardVersion: standard.version,
    date,
    official,
    entries: entries.map((entry) => ({ ...entry })),
    ...(centre && { centre }),
    ...(notes && { notes }),
  };
}

/** The words for what stands in a field. */
function words(standard: EffectiveStandard, field: keyof typeof labels, value: unknown): string {
  if (field === 'entries')
    return (value as SheetInput['entries'])
      .map(
        ({ item, grade, count, also = [] }) =>
          `${count} × ${[item, ...also].map((code) => itemName(standard, code)).join('; ')}, ${standard.grades.find(({ code }) => code === grade)?.name ?? grade}`,
      )
      .join('\n');
  if (field === 'date') return longDate(String(value));
  return typeof value === 'string' ? value : '';
}
