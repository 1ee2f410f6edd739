import { t } from '@jasperwren/words/traces';
import { Link } from 'react-router';
import { api } from '../../base/api';
import { shortDate } from '../../ui/format';
import { failureOf } from '../../ui/failure';
import { Failed, Loading } from '../../ui/states';
import { behaviourName } from './behaviour-names';
import styles from './places.module.css';
import { useFilter } from './use-filter';

/** The faults at a place, each with its mock test. */
export function FaultsAt({ placeId }: { readonly placeId: string }) {
  const { filter } = useFilter();
  const asked = api.useFaultsAtPlaceQuery({ placeId, ...filter });
  const { currentData: faults } = asked;
  const failed = failureOf(asked);
  if (failed) return <Failed {...failed} />;
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
