import { t } from '@jasperwren/words/editor';
import Button from '@mui/material/Button';
import { problemWords } from '@jasperwren/words/marking/problems';
import type { Change } from '@jasperwren/core/marking/edit/change';
import type { DraftView } from '@jasperwren/contract/standards';
import { lintStandard } from '@jasperwren/core/marking/lint/lint';
import { enqueueSnackbar } from 'notistack';
import { lazy, Suspense, useCallback, useMemo, useRef, useState, type ReactNode } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api } from '../../base/api';
import { apiError, type ApiError } from '../../base/client';
import { AskFirst } from '../../ui/AskFirst';
import { failureOf } from '../../ui/failure';
import { Page } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/states';
import { Unsaved } from '../../ui/Unsaved';
import { useUnsaved } from '../../ui/use-unsaved';
import { AroundPart } from './AroundPart';
import { CostsPart } from './CostsPart';
import { DrivenPart } from './DrivenPart';
import styles from './editor.module.css';
import { FailsPart } from './FailsPart';
import { ObservedPart } from './ObservedPart';
import { elsewhere, ProblemsProvider } from './Problems';
import { PublishDialog } from './PublishDialog';
import { Touch } from './Touch';

const Trial = lazy(() => import('./Trial'));

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

  const sheet = useRef<HTMLDivElement>(null);
  const showFirst = () => {
    const first = sheet.current?.querySelector<HTMLElement>('[data-problem]');
    first?.scrollIntoView({ block: 'center' });
    first?.querySelector<HTMLElement>('[role=button]')?.focus({ preventScroll: true });
  };

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
          {problems.length > 0 ? (
            <Touch kind="add" onTouch={showFirst}>
              {t('toSortOut', { count: problems.length })}
            </Touch>
          ) : dirty ? (
            t('notSavedYet')
          ) : (
            t('readyToPublish')
          )}
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
      <div className={styles.page}>
        <div ref={sheet}>
          <ProblemsProvider problems={problems} standard={draft} change={change}>
            <Part title={t('whatIsDriven')}>
              <DrivenPart standard={draft} change={change} />
            </Part>
            <Part title={t('whatIsObserved')}>
              <ObservedPart standard={draft} change={change} />
            </Part>
            <Part title={t('whatItCosts')}>
              <CostsPart standard={draft} change={change} />
            </Part>
            <Part title={t('whatFails')}>
              <FailsPart standard={draft} change={change} />
            </Part>
            <Part title={t('beforeAndAfter')}>
              <AroundPart standard={draft} change={change} />
            </Part>
          </ProblemsProvider>
          {elsewhere(problems, draft).map((problem) => (
            <p key={problem.path + problem.is.code} className={styles.note} data-problem>
              {problemWords(problem)}
            </p>
          ))}
        </div>
        <aside className={styles.trial} aria-labelledby="trial">
          <h2 id="trial">{t('tryIt')}</h2>
          <Suspense fallback={<Loading what={t('tryIt')} />}>
            <Trial draft={draft} sound={problems.length === 0} />
          </Suspense>
        </aside>
      </div>
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

/** A part of the page: what it answers stands beside it. */
function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section className={styles.part} aria-label={title}>
      <h2>{title}</h2>
      <div>{children}</div>
    </section>
  );
}
