import { t } from '@jasperwren/words/learn';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { DrillSession, NumbersRound, Standing } from '../safety-questions/public';
import { SignOut } from '../session/public';
import { fromToday, longDate } from '../ui/format';
import { Page, Rows, Section } from '../ui/Page';
import { useLearning } from './learning';
import styles from './learn.module.css';

/** Where a learner stands, and the ten minutes of today. */
export default function LearnPage() {
  const { me, source, isWhole } = useLearning();
  const [doing, setDoing] = useState<'drill' | 'numbers'>();
  const back = () => setDoing(undefined);
  if (doing === 'drill')
    return (
      <Page title={t('tenMinutes')}>
        <DrillSession source={source} onDone={back} />
      </Page>
    );
  if (doing === 'numbers')
    return (
      <Page title={t('numbers')}>
        <NumbersRound onDone={back} />
      </Page>
    );
  const { unsent } = source.reviews;
  return (
    <Page
      title={t('helloFirstName', { firstName: me.firstName })}
      over={me.school}
      sub={
        me.testDate
          ? t('yourDrivingTestIsOnDate', { date: longDate(me.testDate), when: fromToday(me.testDate) })
          : t('noDrivingTestBookedYet')
      }
    >
      {isWhole && <Standing source={source} />}
      <div className={styles.start}>
        <Button variant="contained" size="large" onClick={() => setDoing('drill')}>
          {t('practiseFor10Minutes')}
        </Button>
        <Button variant="outlined" size="large" onClick={() => setDoing('numbers')}>
          {t('quickNumbers')}
        </Button>
      </div>
      {unsent > 0 && (
        <p role="status" className="muted">
          {t('countedSavedOnThisDeviceUntil', { counted: t('answersAre', { count: unsent }) })}
        </p>
      )}
      {me.workOn.length > 0 && (
        <Section title={t('workOnNext')}>
          <Rows>
            {me.workOn.map((item) => (
              <li key={item} className={styles.line}>
                {item}
              </li>
            ))}
          </Rows>
        </Section>
      )}
      <div className={styles.leave}>
        <SignOut person={me.learnerId} to="/learn/sign-in" variant="text" />
      </div>
    </Page>
  );
}
