import { detailWords } from '@jasperwren/words/marking/detail';
import { t } from '@jasperwren/words/learners';
import EmojiFlagsOutlined from '@mui/icons-material/EmojiFlagsOutlined';
import type { DriveSummary } from '@jasperwren/contract/drives';
import type { SheetView } from '@jasperwren/contract/sheets';
import { Link } from 'react-router';
import { helpGiven, longDate, wholeMinutes } from '../ui/format';
import { OutcomeWord } from '../ui/OutcomeWord';
import styles from './learner.module.css';

/** A mock test: when, how it ended, how much help it took. */
export function DriveRow({ drive, number }: { readonly drive: DriveSummary; readonly number: number }) {
  const open = drive.phase !== 'ended';
  return (
    <li className={styles.drive}>
      <b>{number}</b>
      <Link to={open ? `/drive/${drive.id}/desk` : `/drive/${drive.id}`}>{longDate(drive.startedAt)}</Link>
      <span>
        {open ? (
          <strong>{t('inProgress')}</strong>
        ) : (
          <>
            <OutcomeWord outcome={drive.outcome} />: {detailWords(drive.detail)}.
          </>
        )}
        {(drive.prompts > 0 || drive.interventions > 0) && <span className="muted"> {helpGiven(drive)}</span>}
      </span>
      <span className="muted">{wholeMinutes(drive.drivenMs)}</span>
    </li>
  );
}

/** A driving test: the official result, and what the faults say where that differs. */
export function SheetRow({ sheet }: { readonly sheet: SheetView }) {
  return (
    <li className={styles.drive}>
      <EmojiFlagsOutlined fontSize="small" aria-hidden="true" />
      <Link to={`/sheets/${sheet.id}`}>{longDate(sheet.date)}</Link>
      <span>
        {t('testResult')} <OutcomeWord outcome={sheet.official} />
        {sheet.centre && ` ${t('atCentre', { centre: sheet.centre })}`}
        {sheet.agrees ? `, ${detailWords(sheet.detail)}.` : '. '}
        {!sheet.agrees && (
          <strong>
            {t('byTheseFaults')} <OutcomeWord outcome={sheet.outcome} />, {detailWords(sheet.detail)}.
          </strong>
        )}
      </span>
      <span className="muted">{t('official')}</span>
    </li>
  );
}
