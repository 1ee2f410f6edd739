import { problemWords } from '@jasperwren/words/marking/problems';
import { t } from '@jasperwren/words/editor';
import Button from '@mui/material/Button';
import type { DraftView } from '@jasperwren/contract/standards';
import { lintStandard } from '@jasperwren/core/marking/lint/lint';
import { enqueueSnackbar } from 'notistack';
import { useCallback, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api } from '../../base/api';
import { apiError, type ApiError } from '../../base/client';
import { AskFirst } from '../../ui/AskFirst';
import { failureOf } from '../../ui/failure';
import { Page, Section } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/states';
import { Unsaved } from '../../ui/Unsaved';
import { useUnsaved } from '../../ui/use-unsaved';
import { CategoryFields } from './CategoryFields';
import type { Change } from './change';
import styles from './editor.module.css';
import { CourseFields } from './CourseFields';
import { ExerciseFields } from './ExerciseFields';
import { HeadFields } from './HeadFields';
import { LimitFields } from './LimitFields';
import { GradeFields } from './GradeFields';
import { OptionFields } from './OptionFields';
import { PublishDialog } from './PublishDialog';
import { Trial } from './Trial';

/** The draft of a standard of the school's own. */
export default function EditStandardPage() {
  const { standardId = '' } = useParams();
  const { data, ...asked } = api.useDraftQuery({ id: standardId });
  const failed = failureOf(asked);
  if (asked.error?.code === 'template')
    return (
      <Empty action={<Link to={`/standards/${standardId}`}>{t('openStandard')}</Link>}>{asked.error.message}</Empty>
    );
  if (failed) return <Failed {...failed} />;
  if (!data) return <Loading what={t('draft')} />;
  return <Editor key={standardId} id={standardId} opened={data} />;
}

function Editor({ id, opened }: { readonly id: string; readonly opened: DraftView }) {
  const navigate = useNavigate();
  const [draft, setDraft] = useState(opened.standard);
  const [kept, setKept] = useState(opened);
  const [failure, setFailure] = useState<ApiError>();
  const [publishing, setPublishing] = useState(false);
  const [save, saving] = api.useSaveDraftMutation();
  const [publish, publication] = api.usePublishStandardMutation();
  const [drop] = api.useDropDraftMutation();
  const problems = useMemo(() => lintStandard(draft), [draft]);
  const change = useCallback((by: Change) => setDraft((is) => by(is)), []);
  const dirty = draft !== kept.standard;
  const { blocker, letGo } = useUnsaved(dirty);

  const keep = async (): Promise<boolean> => {
    const { data, error } = await save({ id, body: { standard: draft, savedAt: kept.savedAt } });
    setFailure(apiError(error));
    if (!data) return false;
    setKept({ ...data, standard: draft });
    enqueueSnackbar(t('draftSaved'));
    return true;
  };
  const goPublic = async () => {
    if ((dirty || kept.savedAt === '') && !(await keep())) return setPublishing(false);
    const { data, error } = await publish({ id });
    setPublishing(false);
    setFailure(apiError(error));
    if (!data) return;
    enqueueSnackbar(t('versionVersionPublishedNewMockTests', { version: data.version }));
    letGo();
    void navigate(`/standards/${id}`);
  };
  const forget = async () => {
    const done = await drop({ id });
    if (done.error) return done;
    letGo();
    void navigate('/standards');
    return done;
  };
  return (
    <Page
      title={draft.name}
      over={
        <>
          <Link to="/standards">{t('markingStandards')}</Link>
          {t('draftOfVersionVersion', { version: draft.version })}
        </>
      }
      sub={t('nothingChangesUntilYouPublishPublished')}
    >
      <div className={styles.bar}>
        <span role="status">
          {problems.length > 0
            ? t('countedToPublish', { counted: t('fixProblems', { count: problems.length }) })
            : dirty
              ? t('notSavedYet')
              : t('readyToPublish')}
        </span>
        {(kept.savedAt !== '' || dirty) && (
          <AskFirst action={t('deleteDraft')} question={t('deleteDraftAsk')} go={forget}>
            {draft.version > 1 ? t('deleteDraftMeans', { version: draft.version - 1 }) : t('deleteOnlyDraftMeans')}
          </AskFirst>
        )}
        <Button variant="outlined" disabled={saving.isLoading || !dirty} onClick={() => void keep()}>
          {t('saveDraft')}
        </Button>
        <Button
          variant="contained"
          disabled={problems.length > 0 || publication.isLoading}
          onClick={() => setPublishing(true)}
        >
          {t('publish')}
        </Button>
      </div>
      {problems.length > 0 && (
        <div className={styles.problems} role="alert">
          <ul>
            {problems.map((problem) => (
              <li key={problem.path + problem.is.code}>{problemWords(problem)}</li>
            ))}
          </ul>
        </div>
      )}
      {failure && (
        <div className={styles.problems} role="alert">
          <p>{failure.message}</p>
          <ul>
            {failure.problems?.map(({ field, message }) => (
              <li key={field + message}>
                {field} {message}
              </li>
            ))}
          </ul>
        </div>
      )}
      <Unsaved blocker={blocker} what={t('changed')} />
      <Section title={t('nameAndTimes')}>
        <HeadFields standard={draft} change={change} />
      </Section>
      <Section title={t('trialTest')}>
        <Trial draft={draft} />
      </Section>
      <Section title={t('limits')}>
        <LimitFields standard={draft} change={change} />
      </Section>
      {draft.options.length > 0 && (
        <Section title={t('whereOpinionsDiffer')}>
          <OptionFields standard={draft} change={change} />
        </Section>
      )}
      <Section title={t('exercisesAndQuestions')}>
        <ExerciseFields standard={draft} change={change} />
      </Section>
      {draft.exercises.length > 0 && (
        <Section title={t('yardCourse')}>
          <CourseFields standard={draft} change={change} />
        </Section>
      )}
      <Section title={t('grades')}>
        <GradeFields standard={draft} change={change} />
      </Section>
      <Section title={t('areasAndFaultTypes')}>
        <CategoryFields standard={draft} change={change} />
      </Section>
      <PublishDialog
        draft={draft}
        open={publishing}
        busy={publication.isLoading}
        onClose={() => setPublishing(false)}
        onPublish={() => void goPublic()}
      />
    </Page>
  );
}
