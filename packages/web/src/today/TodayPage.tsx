import { t } from '@jasperwren/words/today';
import Button from '@mui/material/Button';
import type { DriveSummary } from '@jasperwren/contract/drives';
import dayjs from 'dayjs';
import { Link } from 'react-router';
import { api } from '../base/api';
import { useUnfinishedHere } from '../drives/public';
import { counted, fromToday, longDate } from '../ui/format';
import { useSchoolReadiness } from '../readiness/public';
import { Page, Rows, Section } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import styles from './today.module.css';
import { OpenRow } from './OpenRow';
import { LastRow } from './LastRow';
import { TestRow } from './TestRow';

const lastDrivesShown = 5;

/** A drive this old is talked through in other ways, if at all. */
const forgottenAfterDays = 14;

/** Where the day stands: what is unfinished, whose test comes, what was driven last. */
export default function TodayPage() {
  const { data: ready } = useSchoolReadiness();
  const { data: learners, error, refetch } = api.useLearnersQuery();
  const { data: drives, error: drivesError, refetch: refetchDrives } = api.useDrivesQuery();
  const here = useUnfinishedHere();
  const title = dayjs().format('dddd, D MMMM');
  const failed = error ?? drivesError;
  if (failed) {
    return (
      <Page title={title}>
        {here.length > 0 && (
          <Section title={t('leftOpenOnThisDevice')}>
            <Rows>
              {here.map(({ id, learnerName, unsent }) => (
                <OpenRow
                  key={id}
                  to={`/drive/${id}/desk`}
                  action={t('goOn')}
                  words={t('learnerNameADriveUnderWayPart', {
                    learnerName,
                    part: unsent > 0 ? t('countedToSend', { counted: t('entries', { count: unsent }) }) : '',
                  })}
                />
              ))}
            </Rows>
          </Section>
        )}
        <Failed
          error={failed}
          onRetry={() => {
            void refetch();
            void refetchDrives();
          }}
        />
      </Page>
    );
  }
  if (!learners || !drives) return <Loading what={t('yourDay')} />;
  if (learners.length === 0) {
    return (
      <Page title={title}>
        <Empty
          action={
            <Button variant="contained" component={Link} to="/learners/new">
              {t('addALearner')}
            </Button>
          }
        >
          {t('yourSchoolHasNoLearnersYet')}
        </Empty>
      </Page>
    );
  }
  const underWay = drives.filter(({ phase }) => phase !== 'ended');
  const unknown = here.filter(({ id }) => !drives.some((drive) => drive.id === id));
  const unsettled = drives.filter((drive) => drive.phase === 'ended' && toSettle(drive) > 0);
  const untold = drives.filter(
    (drive) =>
      drive.phase === 'ended' &&
      !drive.debriefed &&
      toSettle(drive) === 0 &&
      dayjs().diff(drive.startedAt, 'day') < forgottenAfterDays,
  );
  const tests = [...learners]
    .filter(({ testDate }) => testDate && !dayjs(testDate).isBefore(dayjs(), 'day'))
    .sort((a, b) => a.testDate!.localeCompare(b.testDate!));
  const open = underWay.length + unknown.length + unsettled.length + untold.length;
  return (
    <Page
      title={title}
      sub={`${open === 0 ? t('nothingIsLeftOpen') : open === 1 ? t('oneThingIsLeftOpen') : t('openThingsAreLeftOpen', { open })}; ${tests.length === 0 ? t('noTestIsBooked') : t('theNextTestIsWhen', { when: fromToday(tests[0]!.testDate!) })}.`}
      actions={
        <Button variant="contained" component={Link} to="/drive">
          {t('startADrive')}
        </Button>
      }
    >
      <div className={styles.columns}>
        <div>
          {open > 0 && (
            <Section title={t('leftOpen')}>
              <Rows>
                {underWay.map(({ id, learnerName }) => (
                  <OpenRow
                    key={id}
                    to={`/drive/${id}/desk`}
                    action={t('goOn')}
                    words={t('learnerNameADriveUnderWayUnsentWords', {
                      learnerName,
                      unsentWords: unsentWords(here, id),
                    })}
                  />
                ))}
                {unknown.map(({ id, learnerName, unsent }) => (
                  <OpenRow
                    key={id}
                    to={`/drive/${id}/desk`}
                    action={t('goOn')}
                    words={t('learnerNameOnThisDeviceOnlyCounted', {
                      learnerName,
                      counted: t('entries', { count: unsent }),
                    })}
                  />
                ))}
                {unsettled.map(({ id, learnerName, unsettledPins, unsettledDoubles, startedAt }) => (
                  <OpenRow
                    key={id}
                    to={`/drive/${id}/desk`}
                    action={t('settle')}
                    words={t('learnerNameDateWaitingWordsUntilThenThere', {
                      learnerName,
                      date: longDate(startedAt),
                      waitingWords: waitingWords(unsettledPins, unsettledDoubles),
                    })}
                  />
                ))}
                {untold.map(({ id, learnerName, startedAt }) => (
                  <OpenRow
                    key={id}
                    to={`/drive/${id}/debrief`}
                    action={t('talkItThrough')}
                    words={t('learnerNameDateNotTalkedThroughYet', { learnerName, date: longDate(startedAt) })}
                  />
                ))}
              </Rows>
            </Section>
          )}
          <Section title={t('drivenLast')}>
            {drives.length === 0 ? (
              <Empty>{t('noDrivesYet')}</Empty>
            ) : (
              <Rows>
                {drives.slice(0, lastDrivesShown).map((drive) => (
                  <LastRow key={drive.id} drive={drive} />
                ))}
              </Rows>
            )}
          </Section>
        </div>
        <Section title={t('testsAhead')}>
          {tests.length === 0 ? (
            <Empty>{t('nobodyHasATestDateWrite')}</Empty>
          ) : (
            <Rows>
              {tests.map((learner) => (
                <TestRow
                  key={learner.id}
                  learner={learner}
                  ready={ready?.rows.find((row) => row.learnerId === learner.id)}
                />
              ))}
            </Rows>
          )}
        </Section>
      </div>
    </Page>
  );
}

const toSettle = ({ unsettledPins, unsettledDoubles }: DriveSummary) => unsettledPins + (unsettledDoubles ?? 0);

function waitingWords(pins: number, doubles: number): string {
  const parts = [
    pins > 0 && t('pins', { count: pins }),
    doubles > 0 && t('possibleDoubles', { count: doubles }),
  ].filter(Boolean);
  return t('partsToSettle', { parts: parts.join(' and ') });
}

function unsentWords(here: readonly { readonly id: string; readonly unsent: number }[], id: string): string {
  const unsent = here.find((drive) => drive.id === id)?.unsent ?? 0;
  return unsent > 0 ? t('countedToSend', { counted: t('entries', { count: unsent }) }) : '';
}
