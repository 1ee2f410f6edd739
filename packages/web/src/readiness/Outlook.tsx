import { t } from '@jasperwren/words/readiness';
import { adviceWords, enoughWords, onDayWords } from '@jasperwren/words/readiness-outlook';
import { nextWords } from '@jasperwren/words/readiness-items';
import type { Readiness } from '@jasperwren/core/readiness/estimate';
import type { Worked } from '../base/work/use-work';
import { longDate, shortDate } from '../ui/format';
import { NotWorkedOut } from '../ui/states';
import { JudgementWord } from './JudgementWord';
import { Perches } from './Perches';
import styles from './plan.module.css';

interface Props {
  readonly worked: Worked<{ readonly readiness: Readiness }>;
  readonly today: string;
  /** Whether a driving test is booked. */
  readonly ahead: boolean;
  readonly name: string;
}

/** What is expected on the day, and what that means for the date of the test. */
export function Outlook({ worked, today, ahead, name }: Props) {
  const { readiness } = worked.parts;
  if (worked.failed) return <NotWorkedOut what={t('forecast')} why={worked.failed} onAgain={worked.again} />;
  if (!readiness) return <p className="muted">{t('workingItOut')}</p>;
  const { judgement, outlook, chance, drives } = readiness;
  // With too little driven a day to book would be made up.
  if (judgement.word === 'cannot-say')
    return (
      <p className={styles.advice}>
        <b>{adviceWords(outlook.advice)}</b> {nextWords(judgement.next)}
      </p>
    );
  const { onDay, enoughFrom } = outlook;
  return (
    <>
      <p>
        {t('today')} <JudgementWord word={judgement.word} />
      </p>
      <Perches {...chance} size="small" />
      <p>{onDayWords(outlook, shortDate(onDay.date), ahead)}</p>
      <Perches {...onDay.chance} size="small" />
      <p className={styles.advice}>
        <b>{adviceWords(outlook.advice)}</b>{' '}
        {judgement.word !== 'book' &&
          enoughWords(outlook, enoughFrom !== undefined && enoughFrom > today ? longDate(enoughFrom) : undefined)}
      </p>
      <p className="muted">{t('basedOnCountedNoPromiseName', { counted: t('mockTests', { count: drives }), name })}</p>
    </>
  );
}
