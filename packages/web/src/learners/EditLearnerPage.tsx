import { t } from '@jasperwren/words/learners';
import type { LearnerInput, LearnerView } from '@jasperwren/contract/learners';
import { enqueueSnackbar } from 'notistack';
import { useCallback, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api } from '../base/api';
import { clashesOf, Conflict, mergedOf, staleOf } from '../ui/Conflict';
import { failureOf } from '../ui/failure';
import { longDate } from '../ui/format';
import { Page } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import { labels, LearnerForm } from './LearnerForm';

type Fields = Pick<LearnerView, keyof typeof labels>;

/** What a form begins with, or what stands in one field by field. */
function fieldsOf(learner: LearnerView): LearnerInput {
  const fields = Object.keys(labels) as (keyof typeof labels)[];
  return Object.fromEntries(
    fields.flatMap((name) => (learner[name] ? [[name, learner[name]]] : [])),
  ) as unknown as LearnerInput;
}

export default function EditLearnerPage() {
  const { learnerId = '' } = useParams();
  const navigate = useNavigate();
  const asked = api.useLearnerQuery({ learnerId });
  const { currentData: learner } = asked;
  const failed = failureOf(asked);
  const onSaved = useCallback(() => {
    enqueueSnackbar(t('saved'));
    void navigate(`/learners/${learnerId}`, { replace: true });
  }, [navigate, learnerId]);
  if (failed) return <Failed {...failed} />;
  if (!learner) return <Loading what={t('learner2')} />;
  return <Edit key={learnerId} learner={learner} onSaved={onSaved} />;
}

function Edit({ learner: first, onSaved }: { readonly learner: LearnerView; readonly onSaved: () => void }) {
  // What was read when the page was opened: what others save meanwhile does not slip in unseen.
  const [learner] = useState(first);
  const [edit] = api.useEditLearnerMutation();
  const [clash, setClash] = useState<{ readonly mine: LearnerInput; readonly theirs: LearnerView }>();
  const [saved, setSaved] = useState<LearnerView>();
  const words = useWords();
  const save = async (input: LearnerInput, version: number) => {
    const { data, error } = await edit({ learnerId: learner.id, body: { ...input, version } });
    const theirs = staleOf<LearnerView>(error);
    setClash(theirs && { mine: input, theirs });
    return { data, ...(!theirs && { error }) };
  };
  const merge = async (chosen: ReadonlySet<keyof typeof labels>) => {
    const { mine, theirs } = clash!;
    const { data } = await save(mergedOf(labels, mine, fieldsOf(theirs), chosen), theirs.version);
    if (data) setSaved(data);
  };
  return (
    <Page title={t('editLearner', { learner: learner.name })}>
      <LearnerForm
        initial={fieldsOf(learner)}
        action={t('save')}
        onSave={(input) => save(input, learner.version)}
        onSaved={onSaved}
        saved={saved}
      />
      {clash && (
        <Conflict
          what={t('thisLearner')}
          clashes={clashesOf<keyof typeof labels, Partial<Fields>>(
            labels,
            fieldsOf(learner),
            clash.mine,
            fieldsOf(clash.theirs),
            words,
          )}
          onMerge={(chosen) => void merge(chosen)}
          onClose={() => setClash(undefined)}
        />
      )}
    </Page>
  );
}

/** The words for what stands in a field. */
function useWords(): (field: keyof typeof labels, value: unknown) => string {
  const { data: standards = [] } = api.useStandardsQuery();
  const { data: accounts = [] } = api.useAccountsQuery();
  return (field, value) => {
    if (typeof value !== 'string') return '';
    if (field === 'standardId') return standards.find(({ id }) => id === value)?.name ?? value;
    if (field === 'instructorId') return accounts.find(({ id }) => id === value)?.name ?? value;
    return field === 'testDate' && value ? longDate(value) : value;
  };
}
