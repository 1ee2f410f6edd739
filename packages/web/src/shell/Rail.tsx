import { t } from '@jasperwren/words/shell';
import AccountCircleOutlined from '@mui/icons-material/AccountCircleOutlined';
import AddRoadOutlined from '@mui/icons-material/AddRoadOutlined';
import BalanceOutlined from '@mui/icons-material/BalanceOutlined';
import FactCheckOutlined from '@mui/icons-material/FactCheckOutlined';
import GroupsOutlined from '@mui/icons-material/GroupsOutlined';
import MoreHorizRounded from '@mui/icons-material/MoreHorizRounded';
import RouteOutlined from '@mui/icons-material/RouteOutlined';
import SearchRounded from '@mui/icons-material/SearchRounded';
import WarehouseOutlined from '@mui/icons-material/WarehouseOutlined';
import WbTwilightOutlined from '@mui/icons-material/WbTwilightOutlined';
import { lazy, Suspense, useState } from 'react';
import { NavLink } from 'react-router';
import styles from './rail.module.css';
import type { Place } from './RailMenu';

const RailMenu = lazy(() => import('./RailMenu'));

/** In the order of the work. */
const places: readonly Place[] = [
  ['/', t('today'), WbTwilightOutlined],
  ['/learners', t('learners'), GroupsOutlined],
  ['/drive', t('mockTest'), AddRoadOutlined],
  ['/routes', t('routes'), RouteOutlined],
  ['/yard', t('yard'), WarehouseOutlined],
  ['/checks', t('questions'), FactCheckOutlined],
  ['/standards', t('standards'), BalanceOutlined],
];
const account: Place = ['/account', t('account'), AccountCircleOutlined];
/** So many stand in the bar of a phone; the others are behind More. */
const inBar = 4;

/** The way to every section: a rail at the side, on a phone a bar below. */
export function Rail({ onFind }: { readonly onFind: () => void }) {
  return (
    <nav className={styles.rail} aria-label={t('main')}>
      <span className={styles.wordmark}>{t('jasperwren')}</span>
      {places.map(([path, name, Icon], i) => (
        <NavLink key={path} to={path} end={path === '/'} className={styles.place!} data-more={i >= inBar}>
          <Icon fontSize="small" aria-hidden="true" />
          {name}
        </NavLink>
      ))}
      <button type="button" className={`${styles.place} ${styles.foot}`} data-more onClick={onFind} title={t('ctrlK')}>
        <SearchRounded fontSize="small" aria-hidden="true" />
        {t('find')}
      </button>
      <NavLink to="/account" className={styles.place!} data-more>
        <AccountCircleOutlined fontSize="small" aria-hidden="true" />
        {t('account')}
      </NavLink>
      <More onFind={onFind} />
    </nav>
  );
}

/** What the bar of a phone has no room for; its menu arrives when it is asked for. */
function More({ onFind }: { readonly onFind: () => void }) {
  const [anchor, setAnchor] = useState<HTMLElement>();
  return (
    <>
      <button
        type="button"
        className={`${styles.place} ${styles.more}`}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <MoreHorizRounded fontSize="small" aria-hidden="true" />
        {t('more')}
      </button>
      {anchor && (
        <Suspense fallback={null}>
          <RailMenu
            anchor={anchor}
            places={[...places.slice(inBar), account]}
            onFind={onFind}
            onClose={() => setAnchor(undefined)}
          />
        </Suspense>
      )}
    </>
  );
}
