import type { YardRunView } from '@jasperwren/contract/yard';
import { courseStandards } from './course-standards';
import { t } from '@jasperwren/words/yard-pages';
import { Link } from 'react-router';
import { api } from '../base/api';
import { failureOf } from '../ui/failure';
import { longDate } from '../ui/format';
import { Page, Rows, Section } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import { AddRun } from './AddRun';
import styles from './yard-pages.module.css';
import { Cars } from './Cars';

/** While a run is being sent the list is asked for again after so many milliseconds. */
const askMs = 2000;

/** What is computed rather than recorded. */
const tools = [
  ['/yard/wheels', t('wheels'), t('wheelsAbout')],
  ['/yard/stopping', t('stopping'), t('stoppingAbout')],
] as const;

/** Runs of sensor values, and the cars that send them. */
export default function YardPage() {
  const sending = api.endpoints.yardRuns.useQueryState(undefined, {
    selectFromResult: ({ data }) => ({ any: data?.some((run) => run.sending) ?? false }),
  }).any;
  const runs = api.useYardRunsQuery(undefined, { pollingInterval: sending ? askMs : 0 });
  const failed = failureOf(runs);
  const { data: standards } = api.useStandardsQuery();
  return (
    <Page title={t('yard')} sub={t('yardWhy')} actions={standards && <AddRun standards={courseStandards(standards)} />}>
      <Rows>
        {tools.map(([to, name, about]) => (
          <li key={to} className={styles.run}>
            <Link to={to}>{name}</Link> <span className="muted">{about}</span>
          </li>
        ))}
      </Rows>
      {failed && <Failed {...failed} />}
      {!failed && !runs.data && <Loading what={t('runs')} />}
      {runs.data && (
        <Section title={t('runs')}>
          {runs.data.length === 0 && <Empty>{t('noRuns')}</Empty>}
          <Rows>
            {runs.data.map((run) => (
              <li key={run.id} className={styles.run}>
                <Link to={`/yard/runs/${run.id}`}>{run.name}</Link> <span className="muted">{runWords(run)}</span>
              </li>
            ))}
          </Rows>
        </Section>
      )}
      <Cars />
      <p className="muted">{t('caution')}</p>
    </Page>
  );
}

/** "from Car 3, 4 May 2026, 1,164 samples". */
export function runWords({ source, car, startedAt, samples, sending, learner }: YardRunView): string {
  return [
    source === 'car' ? t('car', { car: car ?? '' }) : t(source),
    learner && t('ofLearner', { name: learner.name }),
    longDate(startedAt),
    t('samples', { count: samples }),
    sending && t('sendingNow'),
  ]
    .filter(Boolean)
    .join(', ');
}
