import { t as learn } from '@jasperwren/words/learn';
import { t as common } from '@jasperwren/words/common';
import { t } from '@jasperwren/words/shell';
import AssignmentOutlined from '@mui/icons-material/AssignmentOutlined';
import QuizOutlined from '@mui/icons-material/QuizOutlined';
import RouteOutlined from '@mui/icons-material/RouteOutlined';
import VisibilityOutlined from '@mui/icons-material/VisibilityOutlined';
import Button from '@mui/material/Button';
import { lazy, Suspense, useEffect, useSyncExternalStore } from 'react';
import { Navigate, NavLink, Outlet } from 'react-router';
import type { MeView } from '@jasperwren/contract/me';
import { keptSince } from '../base/keep/kept-answers';
import { api } from '../base/api';
import { apiError } from '../base/client';
import frame from './frame.module.css';
import rail from './rail.module.css';
import type { Learning } from '../learn/learning';
import { useDrillSource } from '../safety-questions/public';
import { failureOf } from '../ui/failure';
import { Failed, Loading } from '../ui/states';
import { startSending } from './send';
import { laneOfOwnReviews } from '../base/device/lanes';

const KeptNotice = lazy(() => import('./KeptNotice'));

const places = [
  ['/learn', learn('practice'), QuizOutlined],
  ['/learn/safe', learn('safeMoment'), VisibilityOutlined],
  ['/learn/routes', t('routes'), RouteOutlined],
  ['/learn/debriefs', learn('debriefs'), AssignmentOutlined],
] as const;

/** The pages of a learner: their own drill, what was shared with them, and nothing of the school. */
export function LearnFrame() {
  const { data: me, error, refetch } = api.useMeQuery();
  if (!me) {
    if ([401, 403].includes(apiError(error)?.status ?? 0)) return <Navigate to="/learn/sign-in" replace />;
    if (error)
      return (
        <main className={frame.alone}>
          <Failed error={error} onRetry={() => void refetch()} />
        </main>
      );
    return <Loading what={learn('practice2')} />;
  }
  return <LearnPages key={me.learnerId} me={me} />;
}

function LearnPages({ me }: { readonly me: MeView }) {
  const answers = api.useMyReviewsQuery();
  const { currentData: known } = answers;
  const unfetched = failureOf(answers);
  const since = useSyncExternalStore(keptSince.subscribe, keptSince.now);
  useEffect(() => startSending(me.learnerId), [me.learnerId]);
  const source = useDrillSource({
    name: me.firstName,
    checks: me,
    standard: me.standard,
    vehicleId: me.vehicleId,
    testDate: me.testDate,
    lane: laneOfOwnReviews(me.learnerId),
    known,
    owner: me.learnerId,
  });
  return (
    <div className={frame.frame}>
      <nav className={rail.rail} aria-label={t('main')}>
        <span className={rail.wordmark}>{t('jasperwren')}</span>
        {places.map(([path, name, Icon]) => (
          <NavLink key={path} to={path} end={path === '/learn'} className={rail.place!}>
            <Icon fontSize="small" aria-hidden="true" />
            {name}
          </NavLink>
        ))}
      </nav>
      <div className={frame.body}>
        {unfetched && (
          <p role="alert" className={frame.notice}>
            <span>{learn('earlierAnswersMissing')}</span>
            <Button variant="text" onClick={unfetched.onRetry}>
              {common('tryAgain')}
            </Button>
          </p>
        )}
        {since !== undefined && (
          <Suspense fallback={null}>
            <KeptNotice since={since} />
          </Suspense>
        )}
        {source && (known || unfetched) ? (
          <Outlet context={{ me, source, isWhole: known !== undefined } satisfies Learning} />
        ) : (
          <Loading what={learn('practice2')} />
        )}
      </div>
    </div>
  );
}
