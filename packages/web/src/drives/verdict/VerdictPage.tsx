import { t as mythWords } from '@jasperwren/words/myths';
import { whyWords } from '@jasperwren/words/why';
import { t } from '@jasperwren/words/result';
import { helpIn, standingMarks } from '@jasperwren/core/drive/drive';
import { drivenMs, sectionMs } from '@jasperwren/core/drive/clock';
import { mythsFor } from '@jasperwren/core/adviser/myths';
import { marksByArea } from '@jasperwren/core/marking/areas';
import { countItems } from '@jasperwren/core/marking/likely';
import { rulesOf } from '@jasperwren/core/marking/rules';
import { isTimeAsked } from '@jasperwren/core/marking/verdict';
import { verdictSentence } from '@jasperwren/words/marking/verdict';
import { lazyOrNothing } from '../../base/lazy-or-nothing';
import { Suspense, useState } from 'react';
import { TraceLink } from '../../roads/public';
import { CourseTable } from '../../yard/public';
import { Link, Navigate, useParams } from 'react-router';
import { firstName, helpGiven, longDate, wholeMinutes } from '../../ui/format';
import { Page, Rows, Section } from '../../ui/Page';
import { Ribbon } from '../../ui/Ribbon';
import { Empty, Failed, Loading } from '../../ui/states';
import type { OpenDrive } from '../log/drive-logs';
import { useDriveLog, useJudgedDrive, useOpenDrive } from '../log/use-drive';
import { DoubleRow } from '../DoubleRow';
import { RoadsChoice } from '../RoadsChoice';
import { AreaTable } from './AreaTable';
import { Besides } from './Besides';
import { HelpRow } from './HelpRow';
import { MarkRow } from './MarkRow';
import { PrivateNotes } from './PrivateNotes';
import { ShortTest } from '../ShortTest';
import { Reasons } from './Reasons';
import { VerdictActions } from './VerdictActions';
import styles from './verdict.module.css';

const VoiceKeeper = lazyOrNothing(() => import('../voice/VoiceKeeper'));
const Film = lazyOrNothing(() => import('../film/Film'));

export default function VerdictPage() {
  const { driveId = '' } = useParams();
  const opening = useOpenDrive(driveId);
  if (opening.state === 'loading') return <Loading what={t('mockTest')} />;
  if (opening.state === 'failed') return <Failed error={opening.error} onRetry={opening.retry} />;
  return <VerdictView log={opening.log} />;
}

function VerdictView({ log }: { readonly log: OpenDrive }) {
  const { meta } = log;
  const { standard } = meta;
  const { drive, verdict } = useJudgedDrive(log);
  const { write } = useDriveLog(meta.id);
  const [chosen, setChosen] = useState<string>();
  if (!drive.ended) return <Navigate to={`/drive/${meta.id}/desk`} replace />;
  const itemCounts = countItems(drive);
  const listed = [...drive.marks.filter((mark) => !mark.struck?.undo), ...helpIn(drive)].sort(
    (a, b) => a.atMs - b.atMs,
  );
  const myths = mythsFor(standard, drive);
  const name = firstName(meta.learnerName);
  const choose = (markId: string) => {
    setChosen(markId);
    document.getElementById(`mark-${markId}`)?.scrollIntoView({ block: 'center' });
  };
  return (
    <Page
      title={verdictSentence(standard, verdict)}
      tab={t('resultOf', { name: meta.learnerName })}
      over={
        <>
          <Link to={`/learners/${meta.learnerId}`}>{meta.learnerName}</Link>,{' '}
          {drive.startedAt && longDate(drive.startedAt)}
          {t('standardVVersion', { standard: standard.name, version: standard.version })}
          {drive.route && t('onRoute', { route: drive.route.name })}
        </>
      }
      sub={
        <>
          {t('timeDrivenTime2IndependentHelpGiven', {
            time: wholeMinutes(drivenMs(drive, drive.lastMs)),
            time2: wholeMinutes(sectionMs(drive, 'independent', drive.lastMs)),
            helpGiven: helpGiven({ prompts: drive.prompts.length, interventions: drive.interventions.length }),
          })}{' '}
          {drive.ended.why && `${t('stoppedEarlyReason', { reason: whyWords(drive.ended.why) })} `}
          {log.unsent.length > 0 && (
            <span role="status">{t('countedNotSentYet', { counted: t('changes', { count: log.unsent.length }) })}</span>
          )}
        </>
      }
      actions={<VerdictActions log={log} drive={drive} />}
    >
      <div role="status" className="visually-hidden">
        {verdictSentence(standard, verdict)}
      </div>
      {drive.pins.length > 0 && (
        <Suspense fallback={null}>
          <VoiceKeeper driveId={meta.id} drive={drive} />
        </Suspense>
      )}
      <Ribbon standard={standard} drive={drive} nowMs={drive.lastMs} onMark={choose} onHelp={choose} chosen={chosen} />
      <div className={styles.columns}>
        <div>
          <Reasons standard={standard} verdict={verdict} write={write} />
          {(verdict.missing.some(isTimeAsked) || drive.short) && <ShortTest short={drive.short} write={write} />}
          {drive.doubles.length > 0 && (
            <Section title={t('possibleDuplicates')}>
              <Rows>
                {drive.doubles.map((double) => (
                  <DoubleRow
                    key={double.first.id}
                    double={double}
                    standard={standard}
                    onStrike={(id) => void write({ type: 'strike', target: id, because: 'same-twice' })}
                    onKeepBoth={() =>
                      void write({ type: 'distinct', target: double.first.id, other: double.second.id })
                    }
                  />
                ))}
              </Rows>
            </Section>
          )}
          {standard.course && (
            <Section title={t('theCourse')}>
              <Suspense fallback={null}>
                <CourseTable standard={standard} judged={{ drive, verdict }} onFault={choose} />
              </Suspense>
              {drive.sensors && <Link to={`/yard/runs/${drive.sensors.run}`}>{t('showSensorValues')}</Link>}
            </Section>
          )}
          <Section title={t('faultsInOrder')}>
            {listed.length === 0 ? (
              <Empty>{t('noFaultsRecorded')}</Empty>
            ) : (
              <Rows>
                {listed.map((one) =>
                  'kind' in one ? (
                    <HelpRow
                      key={one.id}
                      help={one}
                      standard={standard}
                      drive={drive}
                      write={write}
                      chosen={one.id === chosen}
                    />
                  ) : (
                    <MarkRow
                      key={one.id}
                      driveId={meta.id}
                      mark={one}
                      standard={standard}
                      write={write}
                      chosen={one.id === chosen}
                      times={itemCounts[one.item] ?? 1}
                      capped={verdict.capped.some(({ id }) => id === one.id)}
                    />
                  ),
                )}
              </Rows>
            )}
          </Section>
        </div>
        <div>
          <Section title={t('faultsByArea')}>
            {standingMarks(drive).length === 0 ? (
              <p className="muted">{t('noFaults')}</p>
            ) : (
              <AreaTable areas={marksByArea(standard, drive)} grades={[...rulesOf(standard).grades.values()]} />
            )}
            <p className={styles.caution}>{t('oneMockTestIsNotA')}</p>
          </Section>
          <Besides standard={standard} drive={drive} />
          {(!standard.course || drive.route) && (
            <Section title={t('roads')}>
              <p className="muted">{t('didNameKnowTheseRoadsFamiliar', { name })}</p>
              <RoadsChoice
                familiarity={drive.familiarity}
                onChoose={(familiarity) => void write({ type: 'roads', familiarity })}
              />
              <Suspense fallback={null}>
                <TraceLink driveId={meta.id} name={name} said={drive.familiarity} />
              </Suspense>
            </Section>
          )}
          <Suspense fallback={null}>
            <Film driveId={meta.id} standard={standard} drive={drive} chosen={chosen} />
          </Suspense>
          <PrivateNotes notes={drive.notes} write={write} />
          {myths.length > 0 && (
            <Section title={t('commonMisunderstandings')}>
              <Rows>
                {myths.map(({ code }) => (
                  <li key={code} className={styles.line}>
                    <span className="muted">“{mythWords(`${code}.belief`)}”</span>
                    <span>{mythWords(`${code}.instead`)}</span>
                  </li>
                ))}
              </Rows>
            </Section>
          )}
        </div>
      </div>
    </Page>
  );
}
