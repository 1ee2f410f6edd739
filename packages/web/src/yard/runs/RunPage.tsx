import { t } from '@jasperwren/words/yard-pages';
import { missing } from './no-run';
import { Link, useParams } from 'react-router';
import { api } from '../../base/api';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/states';
import { failureOf } from '../../ui/failure';
import { courseStandards } from '../course-standards';
import { runWords } from '../YardPage';
import { RunJudged } from './RunJudged';
import { RunActions } from './RunActions';
import { RunAwaited } from './RunAwaited';
import { useRunSamples } from './use-run-samples';

/** While a run is being sent its entry is asked for again after so many milliseconds. */
const askMs = 2000;

/** A run: what came of it under a standard, and its values over time. */
export default function RunPage() {
  const { runId = '' } = useParams();
  const sending = api.endpoints.yardRuns.useQueryState(undefined, {
    selectFromResult: ({ data }) => ({ now: data?.find(({ id }) => id === runId)?.sending ?? false }),
  }).now;
  const all = api.useYardRunsQuery(undefined, {
    pollingInterval: sending ? askMs : 0,
    refetchOnMountOrArgChange: true,
  });
  const library = api.useStandardsQuery();
  const [runs, standards] = [all.data, library.data];
  const { samples, hearing } = useRunSamples(runId);
  const run = runs?.find(({ id }) => id === runId);
  const failed = failureOf(all, library);
  if (failed) return <Failed {...failed} />;
  if (!runs || !standards) return <Loading what={t('run')} />;
  if (!run) return <Failed error={missing} />;
  return (
    <Page
      title={run.name}
      over={<Link to="/yard">{t('yard')}</Link>}
      sub={runWords(run)}
      actions={<RunActions runId={runId} />}
    >
      {samples?.length === 0 ? (
        <p role="status">{t('noValues')}</p>
      ) : samples ? (
        <RunJudged run={run} runs={runs} standards={courseStandards(standards)} samples={samples} />
      ) : (
        <RunAwaited hearing={hearing} what={t('run')} />
      )}
      <p className="muted">{t('caution')}</p>
    </Page>
  );
}
