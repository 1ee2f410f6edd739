import { t } from '@jasperwren/words/shell';
import AccountCircleOutlined from '@mui/icons-material/AccountCircleOutlined';
import BalanceOutlined from '@mui/icons-material/BalanceOutlined';
import FactCheckOutlined from '@mui/icons-material/FactCheckOutlined';
import GroupsOutlined from '@mui/icons-material/GroupsOutlined';
import RouteOutlined from '@mui/icons-material/AddRoadOutlined';
import WbTwilightOutlined from '@mui/icons-material/WbTwilightOutlined';
import type { SvgIconComponent } from '@mui/icons-material';
import Button from '@mui/material/Button';
import { lazy, Suspense, useEffect, useSyncExternalStore } from 'react';
import { Link, Navigate, NavLink, Outlet, useLocation, useMatch } from 'react-router';
import { api } from '../base/api';
import { startSending } from './send';
import { forgetPerson } from '../session/leave';
import { listenToTabs } from '../drives/log/tabs';
import { SignedIn } from '../base/signed-in';
import { Failed, Loading } from '../ui/states';
import { counted } from '../ui/format';
import { apiError } from '../base/client';
import styles from './frame.module.css';
import { useAppDispatch, useAppSelector } from '../base/hooks';
import { newVersion } from '../base/offline';
import { preloadDrivePages } from './preload';

const FactorFirst = lazy(() => import('../session/FactorFirst'));

/** The page that was asked for comes first. */
const preloadAfterMs = 1500;

const places: readonly (readonly [path: string, name: string, Icon: SvgIconComponent])[] = [
  ['/', t('today'), WbTwilightOutlined],
  ['/learners', t('learners'), GroupsOutlined],
  ['/drive', t('drive'), RouteOutlined],
  ['/checks', t('checks'), FactCheckOutlined],
  ['/standards', t('standards'), BalanceOutlined],
];

/** Sees to it that somebody is signed in; outside the desk, with the rail beside. */
export function Frame() {
  const { data: session, error, isLoading, refetch } = api.useSessionQuery();
  const onDesk = useMatch('/drive/:driveId/desk');
  const { pathname } = useLocation();
  const prefetchStandards = api.usePrefetch('standards');
  const prefetchLearners = api.usePrefetch('learners');
  const schoolId = session?.school.id;
  const newer = useSyncExternalStore(newVersion.subscribe, newVersion.waits);
  const dispatch = useAppDispatch();
  const accountId = session && !session.factorMissing ? session.account.id : undefined;
  const signedOut = apiError(error)?.status === 401;
  const refused = useAppSelector((state) => state.outbox.refused);
  useEffect(() => (accountId ? startSending(accountId) : undefined), [accountId]);
  useEffect(() => {
    // Ended elsewhere, or run out: nothing of that person stays on the device.
    if (signedOut) void forgetPerson(dispatch);
  }, [signedOut, dispatch]);
  useEffect(() => {
    if (!accountId) return;
    void dispatch(api.endpoints.erased.initiate(undefined, { subscribe: false, forceRefetch: true })).then(
      async ({ data }) => {
        if (!data) return;
        const { forgetErased } = await import('../base/device/forget');
        await forgetErased(data.learners, data.drives).catch(() => undefined);
      },
    );
  }, [accountId, dispatch]);
  useEffect(() => listenToTabs(), []);
  useEffect(() => {
    if (!schoolId) return;
    const timer = setTimeout(() => {
      preloadDrivePages();
      // What a drive needs is there when the network is not.
      prefetchStandards();
      prefetchLearners();
    }, preloadAfterMs);
    return () => clearTimeout(timer);
  }, [schoolId, prefetchStandards, prefetchLearners]);
  if (isLoading) return <Loading what={t('yourSignIn')} />;
  if (!session) {
    if (signedOut) return <Navigate to="/sign-in" replace state={{ from: pathname }} />;
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
        <nav className={styles.rail} aria-label={t('main')}>
          <span className={styles.wordmark}>{t('jasperwren')}</span>
          {places.map(([path, name, Icon]) => (
            <NavLink key={path} to={path} end={path === '/'} className={styles.place!}>
              <Icon fontSize="small" aria-hidden="true" />
              {name}
            </NavLink>
          ))}
          <NavLink to="/account" className={`${styles.place} ${styles.foot}`}>
            <AccountCircleOutlined fontSize="small" aria-hidden="true" />
            {t('account')}
          </NavLink>
        </nav>
        <div className={styles.body}>
          {newer && (
            <p className={styles.newer} role="status">
              {t('aNewerVersionOfJasperwrenIs')}
              <Button variant="text" onClick={newVersion.take}>
                {t('reloadIntoIt')}
              </Button>
            </p>
          )}
          {refused > 0 && (
            <p className={styles.newer} role="status">
              {t('countedRefusedByTheServerAnd', {
                counted: t('entriesWere', { count: refused }),
                part: refused === 1 ? 'is' : 'are',
              })}
              <Button variant="text" component={Link} to="/account">
                {t('seeWhy')}
              </Button>
            </p>
          )}
          <Outlet />
        </div>
      </div>
    </SignedIn>
  );
}
