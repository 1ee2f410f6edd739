import { t } from '@jasperwren/words/traces';
import { Link } from 'react-router';
import { api } from '../../base/api';
import { shortDate } from '../../ui/format';
import { Failed, Loading } from '../../ui/states';
import { behaviourName } from './behaviour-names';
import styles from './places.module.css';
import { useFilter } from './use-filter';

/** The faults at a place, each with its mock test. */
export function FaultsAt({ placeId }: { readonly placeId: string }) {
  const { filter } = useFilter();
  const { currentData: faults, error, refetch } = api.useFaultsAtPlaceQuery({ placeId, ...filter });
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  if (!faults) return <Loading what={t('theDrives')} />;
  return (
    <ul className={styles.drives} aria-label={t('theDrives')}>
      {faults.map(({ driveId, learnerName, at, behaviour }, i) => (
        <li key={`${driveId} ${i}`}>
          <Link to={`/drive/${driveId}/road`}>
            {learnerName}, {shortDate(at)}
          </Link>
          : {behaviourName(behaviour)}
        </li>
      ))}
    </ul>
  );
}
