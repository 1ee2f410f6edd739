import { t } from '@jasperwren/words/result';
import Button from '@mui/material/Button';
import type { EventBody } from '@jasperwren/core/drive/event';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { nearLimits, type Verdict } from '@jasperwren/core/marking/verdict';
import { capital } from '@jasperwren/words/lists';
import { conflictSentence, crossingWords, failedAttemptWords, reasonSentence } from '@jasperwren/words/marking/verdict';
import { describeMissing, describeStop } from '@jasperwren/words/marking/missing';
import { limitName, scopeName } from '@jasperwren/words/marking/names';
import { wholeMinutes } from '../../ui/format';
import { Rows, Section } from '../../ui/Page';
import styles from './verdict.module.css';

interface Props {
  readonly standard: EffectiveStandard;
  readonly verdict: Verdict;
  readonly write: (body: EventBody) => unknown;
}

/** What the verdict rests on, what it lacks, what is for a person to decide, and what was close. */
export function Reasons({ standard, verdict, write }: Props) {
  const near = nearLimits(verdict);
  const failed = failedAttemptWords(standard, verdict);
  return (
    <>
      {verdict.reasons.length + verdict.stops.length > 0 && (
        <Section title={t('whyItFailed')}>
          <Rows>
            {verdict.stops.map((stop) => (
              <li key={stop.kind} className={styles.line}>
                {sentence(describeStop(stop))}
              </li>
            ))}
            {verdict.reasons.map((reason) => (
              <li key={`${reason.limit.code} ${reason.scope}`} className={styles.line}>
                <span>{reasonSentence(standard, reason)}</span>
                <span className="muted">
                  {t('atTimeCrossingWords', {
                    time: wholeMinutes(reason.crossedAtMs),
                    crossingWords: crossingWords(standard, reason),
                  })}
                </span>
              </li>
            ))}
          </Rows>
        </Section>
      )}
      {verdict.missing.length > 0 && (
        <Section title={verdict.outcome === 'incomplete' ? t('stillNeededForAResult') : t('alsoMissing')}>
          <Rows>
            {verdict.missing.map((missing) => (
              <li key={describeMissing(missing)} className={styles.line}>
                {sentence(describeMissing(missing))}
              </li>
            ))}
          </Rows>
        </Section>
      )}
      {verdict.questions.length > 0 && (
        <Section title={t('forYouToDecide')}>
          <Rows>
            {verdict.questions.map((question) => {
              const { effect } = question.limit;
              const last = question.marks.at(-1)!;
              const grade =
                effect.kind === 'ask-upgrade' ? standard.grades.find(({ code }) => code === effect.grade) : undefined;
              return (
                <li key={question.scope} className={styles.question}>
                  <span>
                    {t('scopeNameUsedTimesInOneTest', {
                      scopeName: scopeName(standard, question),
                      used: question.used,
                    })}
                  </span>
                  {grade && (
                    <Button
                      variant="outlined"
                      onClick={() =>
                        void write({
                          type: 'regrade',
                          target: last.id,
                          grade: grade.code,
                          because: 'repeated',
                        })
                      }
                    >
                      {t('changeLastOneToGrade', { grade: grade.name })}
                    </Button>
                  )}
                </li>
              );
            })}
          </Rows>
        </Section>
      )}
      {verdict.conflicts.length > 0 && (
        <Section title={t('measurementAndGradeDiffer')}>
          <Rows>
            {verdict.conflicts.map((conflict) => (
              <li key={conflict.mark.id} className={styles.line}>
                {conflictSentence(standard, conflict)}
              </li>
            ))}
          </Rows>
        </Section>
      )}
      {failed.length > 0 && (
        <Section title={t('attemptsFailed')}>
          <Rows>
            {failed.map(({ atMs, words }) => (
              <li key={atMs} className={styles.line}>
                <span>{words}</span>
                <span className="muted">{t('atTime', { time: wholeMinutes(atMs) })}</span>
              </li>
            ))}
          </Rows>
        </Section>
      )}
      {verdict.failedExercises.length > 0 && (
        <Section title={t('exercisesFailed')}>
          <Rows>
            {verdict.failedExercises.map((reason) => (
              <li key={reason.scope} className={styles.line}>
                {scopeName(standard, reason)}: {reasonSentence(standard, reason)}
              </li>
            ))}
          </Rows>
        </Section>
      )}
      {near.length > 0 && (
        <Section title={t('nearALimit')}>
          <Rows>
            {near.map((room) => (
              <li key={`${room.limit.code} ${room.scope}`} className={styles.line}>
                {t('limitNameUsedOfAllowed', {
                  limitName: limitName(standard, room),
                  used: room.used,
                  allowed: room.allowed,
                })}
              </li>
            ))}
          </Rows>
        </Section>
      )}
    </>
  );
}

const sentence = (text: string) => `${capital(text)}.`;
