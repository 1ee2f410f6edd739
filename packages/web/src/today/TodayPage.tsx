import { t } from '@jasperwren/words/today';
import Button from '@mui/material/Button';
import dayjs from 'dayjs';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { api } from '../base/api';
import { toFinishOf, ToFinishRow, useUnfinishedHere } from '../drives/public';
import { fromToday } from '../ui/format';
import { NoLearners } from '../ui/NoLearners';
import { Page, Rows, Section } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import { failureOf } from '../ui/failure';
import styles from './today.module.css';

// What judges and plans comes after the page: its words and its rules are no part of the first load.
const Lessons = lazy(() => import('./Lessons'));
const LastDrives = lazy(() => import('./LastDrives'));
const ReadyOffline = lazy(() => import('./ReadyOffline'));
const UpcomingTests = lazy(() => import('./UpcomingTests'));

/** The day in order: its lessons, what is left to finish, whose driving test comes, what was driven last. */
export default function TodayPage() {
  const everybody = api.useLearnersQuery();
  const driven = api.useDrivesQuery();
  const [learners, drives] = [everybody.data, driven.data];
  const here = useUnfinishedHere();
  const title = dayjs().format('dddd, D MMMM');
  const failed = failureOf(everybody, driven);
  if (failed) {
    const left = toFinishOf([], here);
    return (
      <Page title={title}>
        {left.length > 0 && (
          <Section title={t('toFinishOnThisDevice')}>
            <Rows>
              {left.map((item) => (
                <ToFinishRow key={item.id} item={item} />
              ))}
            </Rows>
          </Section>
        )}
        <Failed {...failed} />
      </Page>
    );
  }
  if (!learners || !drives) return <Loading what={t('today')} />;
  if (learners.length === 0) {
    return (
      <Page title={title}>
        <NoLearners>{t('noLearnersYetAddYourFirst')}</NoLearners>
      </Page>
    );
  }
  const left = toFinishOf(drives, here);
  const tests = [...learners]
    .filter(({ testDate }) => testDate && !dayjs(testDate).isBefore(dayjs(), 'day'))
    .sort((a, b) => a.testDate!.localeCompare(b.testDate!));
  return (
    <Page
      title={title}
      sub={t('leftTest', {
        left: left.length === 0 ? t('nothingToFinish') : t('openToFinish', { open: left.length }),
        test: tests[0] ? t('nextDrivingTestWhen', { when: fromToday(tests[0].testDate!) }) : t('noDrivingTestBooked'),
      })}
      actions={
        <Button variant="contained" component={Link} to="/drive">
          {t('startMockTest')}
        </Button>
      }
    >
      <div className={styles.columns}>
        <div>
          <Suspense fallback={null}>
            <Lessons />
          </Suspense>
          {left.length > 0 && (
            <Section title={t('toFinish')}>
              <Rows>
                {left.map((item) => (
                  <ToFinishRow key={item.id} item={item} />
                ))}
              </Rows>
            </Section>
          )}
          <Section title={t('recentMockTests')}>
            {drives.length === 0 ? (
              <Empty>{t('noMockTestsYet')}</Empty>
            ) : (
              <Suspense fallback={null}>
                <LastDrives drives={drives} />
              </Suspense>
            )}
          </Section>
        </div>
        <Section title={t('upcomingDrivingTests')}>
          {tests.length === 0 ? (
            <Empty>{t('noDrivingTestsBookedAddA')}</Empty>
          ) : (
            <Suspense fallback={null}>
              <UpcomingTests learners={tests} />
            </Suspense>
          )}
          <Suspense fallback={null}>
            <ReadyOffline />
          </Suspense>
        </Section>
      </div>
    </Page>
  );
}
