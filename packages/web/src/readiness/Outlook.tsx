import { t as common } from '@jasperwren/words/common';
import { nextWords } from '@jasperwren/words/readiness-items';
import { t } from '@jasperwren/words/readiness';
import type { Expected } from '@jasperwren/core/readiness/plan';
import type { Worked } from '../base/work/use-work';
import { longDate, shortDate } from '../ui/format';
import { NotWorkedOut } from '../ui/states';
import { Perches } from './Perches';
import styles from './plan.module.css';
import type { PlanWork } from './use-plan-work';

interface Props {
  readonly worked: Worked<PlanWork>;
  readonly today: string;
  readonly until: string;
  readonly ahead: boolean;
  readonly name: string;
}

/** What is expected on the day, and from when a test could be booked. */
export function Outlook({ worked, today, until, ahead, name }: Props) {
  const { readiness, onDay, ready } = worked.parts;
  if (worked.failed) return <NotWorkedOut what={t('forecast')} why={worked.failed} onAgain={worked.again} />;
  if (!readiness) return <p className="muted">{t('workingItOut')}</p>;
  // With too little driven a day to book would be made up.
  if (readiness.judgement.word === 'cannot-say')
    return (
      <p className={styles.advice}>
        <b>{t('tooEarlyToSayWhenTo')}</b> {nextWords(readiness.judgement.next)}
      </p>
    );
  return (
    <>
      <p>{t('today')}</p>
      <Perches {...readiness.chance} size="small" />
      {onDay && (
        <>
          <p>
            {t('partIfFaultsKeepFalling', {
              part: ahead ? t('onTestDayDate', { date: shortDate(until) }) : t('onDate', { date: shortDate(until) }),
            })}
          </p>
          <Perches {...onDay.chance} size="small" />
        </>
      )}
      {ready !== undefined && (
        <p className={styles.advice}>
          <b>{adviceWords(ready, ahead, until)}</b>{' '}
          {ready
            ? t('onThisTrendReadyFromPart', { part: ready.date <= today ? common('today') : longDate(ready.date) })
            : t('onThisTrendNotReadyWithin')}
        </p>
      )}
      <p className="muted">
        {t('basedOnCountedNoPromiseName', { counted: t('mockTests', { count: readiness.drives }), name })}
      </p>
    </>
  );
}

function adviceWords(ready: Expected | null, ahead: boolean, until: string): string {
  if (!ready) return ahead ? t('moveTheTest') : t('doNotBookYet');
  if (!ahead) return t('bookATest');
  return ready.date <= until ? t('keepTheDate') : t('moveTheTest');
}
