import { t } from '@jasperwren/words/shell';
import { lazy, Suspense, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { Navigate, Outlet, useLocation, useMatch } from 'react-router';
import { api } from '../base/api';
import { startSending } from './send';
import { forgetPerson } from '../session/leave';
import { listenToTabs } from '../drives/log/tabs';
import { SignedIn } from '../base/signed-in';
import { Failed, Loading } from '../ui/states';
import { apiError } from '../base/client';
import styles from './frame.module.css';
import { useAppDispatch, useAppSelector } from '../base/hooks';
import { keptSince } from '../base/keep/kept-answers';
import { newVersion } from '../base/offline';
import { Rail } from './Rail';
import { useFindKey } from './use-find-key';

const FactorFirst = lazy(() => import('../session/FactorFirst'));
const Notices = lazy(() => import('./Notices'));
const QuickFind = lazy(() => import('./QuickFind'));

/** The page that was asked for comes first. */
const preloadAfterMs = 1500;

/** Sees to it that somebody is signed in; outside the desk, with the rail beside. */
export function Frame() {
  const [left, setLeft] = useState(false);
  const { data: session, error, isLoading, refetch } = api.useSessionQuery(undefined, { skip: left });
  const onDesk = useMatch('/drive/:driveId/desk');
  const { pathname } = useLocation();
  const schoolId = session?.school.id;
  const newer = useSyncExternalStore(newVersion.subscribe, newVersion.waits);
  const since = useSyncExternalStore(keptSince.subscribe, keptSince.now);
  const dispatch = useAppDispatch();
  const accountId = session && !session.factorMissing ? session.account.id : undefined;
  const signedOut = left || apiError(error)?.status === 401;
  // It is not asked again while the page to sign in on is on its way.
  if (signedOut && !left) setLeft(true);
  const refused = useAppSelector((state) => state.outbox.refused);
  const [finding, setFinding] = useState(false);
  const body = useRef<HTMLDivElement>(null);
  useFindKey(session !== undefined && !onDesk, setFinding);
  useEffect(() => (accountId ? startSending(accountId) : undefined), [accountId]);
  useEffect(() => {
    // Ended elsewhere, or run out: nothing of that person stays on the device.
    if (signedOut) void forgetPerson(dispatch);
  }, [signedOut, dispatch]);
  useEffect(() => {
    if (accountId) void import('./forget-erased').then(({ forgetErasedHere }) => forgetErasedHere(dispatch));
  }, [accountId, dispatch]);
  useEffect(() => listenToTabs(), []);
  useEffect(() => {
    if (!schoolId) return;
    const timer = setTimeout(() => {
      void import('./get-ready').then(({ getReady }) => getReady(dispatch)).catch(() => undefined);
    }, preloadAfterMs);
    return () => clearTimeout(timer);
  }, [schoolId, dispatch]);
  if (signedOut) return <Navigate to="/sign-in" replace state={{ from: pathname }} />;
  if (isLoading) return <Loading what={t('yourSignIn')} />;
  if (!session) {
    return (
      <main className={styles.alone}>
        <Failed error={error} onRetry={() => void refetch()} />
      </main>
    );
  }
  if (session.factorMissing)
    return (
      <SignedIn value={session}>
        <Suspense fallback={<Loading what={t('yourSecondFactor')} />}>
          <FactorFirst />
        </Suspense>
      </SignedIn>
    );
  if (onDesk) {
    return (
      <SignedIn value={session}>
        <Outlet />
      </SignedIn>
    );
  }
  return (
    <SignedIn value={session}>
      <div className={styles.frame}>
        <button type="button" className={styles.skip} onClick={() => body.current?.focus()}>
          {t('skipToContent')}
        </button>
        <Rail onFind={() => setFinding(true)} />
        {finding && (
          <Suspense fallback={null}>
            <QuickFind onClose={() => setFinding(false)} />
          </Suspense>
        )}
        <div className={styles.body} ref={body} tabIndex={-1}>
          {(newer || refused > 0 || since !== undefined) && (
            <Suspense fallback={null}>
              <Notices newer={newer} refused={refused} since={since} />
            </Suspense>
          )}
          <Outlet />
        </div>
      </div>
    </SignedIn>
  );
}
