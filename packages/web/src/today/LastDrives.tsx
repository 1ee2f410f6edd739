import { detailWords } from '@jasperwren/words/marking/detail';
import { t } from '@jasperwren/words/today';
import type { DriveSummary } from '@jasperwren/contract/drives';
import { Link } from 'react-router';
import { fromToday } from '../ui/format';
import { OutcomeWord } from '../ui/OutcomeWord';
import { Rows } from '../ui/Page';
import styles from './today.module.css';

const mostShown = 5;

/** The mock tests driven last. */
export default function LastDrives({ drives }: { readonly drives: readonly DriveSummary[] }) {
  return (
    <Rows>
      {drives.slice(0, mostShown).map((drive) => (
        <LastRow key={drive.id} drive={drive} />
      ))}
    </Rows>
  );
}

function LastRow({ drive }: { readonly drive: DriveSummary }) {
  return (
    <li className={styles.last}>
      <span className="muted">{fromToday(drive.startedAt)}</span>
      <span>
        <Link to={drive.phase === 'ended' ? `/drive/${drive.id}` : `/drive/${drive.id}/desk`}>{drive.learnerName}</Link>
        <br />
        <span className="muted">{t('withInstructorName', { instructorName: drive.instructorName })}</span>
      </span>
      <span>
        {drive.phase === 'ended' ? (
          <>
            <OutcomeWord outcome={drive.outcome} />: {detailWords(drive.detail)}.
          </>
        ) : (
          t('inProgress')
        )}
      </span>
    </li>
  );
}
