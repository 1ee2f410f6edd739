import { leavingWords } from '@jasperwren/words/leaving';
import { t } from '@jasperwren/words/yard';
import { standingMarks, type Drive } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { DeskActions } from '../desk/desk-actions';
import { usualGrade } from '@jasperwren/core/marking/asked';
import styles from './yard.module.css';

interface Props {
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly actions: DeskActions;
}

/** After the last exercise: the order in which the car is left, and the end of the test. */
export function LeaveCar({ standard, drive, actions }: Props) {
  const [said, setSaid] = useState(false);
  const { leaving } = standard.course ?? {};
  const grade = leaving && usualGrade(standard, leaving.item);
  const marked = leaving && standingMarks(drive).some(({ item }) => item === leaving.item);
  return (
    <>
      <h2>{t('all')}</h2>
      {leaving && (
        <>
          <p>{t('leaveInOrder')}</p>
          <ol className={styles.leaving}>
            {leaving.order.map((step) => (
              <li key={step}>{leavingWords(step)}</li>
            ))}
          </ol>
          {said || marked ? (
            <p role="status">{t('leavingDone')}</p>
          ) : (
            <div className={styles.branches}>
              <Button variant="outlined" disabled={!actions.running} onClick={() => setSaid(true)}>
                {t('leftInOrder')}
              </Button>
              <Button
                variant="outlined"
                disabled={!actions.running || !grade}
                onClick={() => grade && actions.mark(leaving.item, grade.code)}
              >
                {t('leftOtherwise')}
              </Button>
            </div>
          )}
        </>
      )}
      <button type="button" className={styles.start} disabled={!actions.running} onClick={actions.askToEnd}>
        {t('endTest')}
      </button>
    </>
  );
}
