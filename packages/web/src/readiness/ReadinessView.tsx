import { testKindOf } from '@jasperwren/core/marking/test-kind';
import { reasonWords, standingWords, toDoWords } from '@jasperwren/words/readiness-items';
import { t } from '@jasperwren/words/readiness';
import CheckRounded from '@mui/icons-material/CheckRounded';
import RadioButtonUncheckedRounded from '@mui/icons-material/RadioButtonUncheckedRounded';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { ReadinessInput } from '@jasperwren/contract/readiness';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Assumptions } from '@jasperwren/core/readiness/assumptions';
import { chanceSentence, forTheLearner, howItCame } from '@jasperwren/words/readiness-estimate';
import { adviceWords } from '@jasperwren/words/readiness-outlook';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { firstName, fromToday, longDate } from '../ui/format';
import { Page, Rows, Section } from '../ui/Page';
import { Loading, NotWorkedOut } from '../ui/states';
import { AssumptionFields } from './AssumptionFields';
import { Changes } from './Changes';
import { JudgementWord } from './JudgementWord';
import { Perches } from './Perches';
import styles from './readiness.module.css';
import { questionOf } from './question';
import { useReadiness } from './use-readiness';
import { Roads } from './Roads';

const HistoryChart = lazy(() => import('./HistoryChart'));

interface Props {
  readonly learner: LearnerView;
  readonly input: ReadinessInput;
  readonly standards: readonly EffectiveStandard[];
}

/** The judgement about one learner, with everything it rests on. */
export function ReadinessView({ learner, input, standards }: Props) {
  const [chosen, setChosen] = useState(learner.standardId);
  const [tried, setTried] = useState<Assumptions>();
  const [forLearner, setForLearner] = useState(false);
  const standard = standards.find(({ id }) => id === chosen) ?? standards[0]!;
  const asked = useMemo(() => questionOf(input, standard), [input, standard]);
  const question = useMemo(() => (tried ? { ...asked, assumptions: tried } : asked), [asked, tried]);
  const { assumptions } = question;
  const {
    parts: { readiness, history, moves },
    working,
    failed,
    again,
  } = useReadiness(question);
  const name = firstName(learner.name);
  if (failed)
    return (
      <Page title={t('nameSReadiness', { name })} over={<Link to={`/learners/${learner.id}`}>{learner.name}</Link>}>
        <NotWorkedOut what={t('theEstimate')} why={failed} onAgain={again} />
      </Page>
    );
  if (!readiness) return <Loading what={t('theEstimate2')} />;
  const { judgement, checks } = readiness;
  return (
    <Page
      title={t('nameSReadiness', { name })}
      over={<Link to={`/learners/${learner.id}`}>{learner.name}</Link>}
      sub={
        learner.testDate
          ? t('drivingTestDateWhenPart', {
              date: longDate(learner.testDate),
              when: fromToday(learner.testDate),
              part: learner.testCentre ? t('atTestCentre', { testCentre: learner.testCentre }) : '',
            })
          : t('noDrivingTestBooked2')
      }
      actions={
        <>
          <TextField
            select
            size="small"
            label={t('markingStandard')}
            value={standard.id}
            onChange={(event) => {
              setChosen(event.target.value);
              setTried(undefined);
            }}
            sx={{ minWidth: 200 }}
          >
            {standards.map(({ id, name: standardName }) => (
              <MenuItem key={id} value={id}>
                {standardName}
              </MenuItem>
            ))}
          </TextField>
          <Button variant="outlined" aria-pressed={forLearner} onClick={() => setForLearner(!forLearner)}>
            {forLearner ? t('instructorView') : t('learnerView')}
          </Button>
          <Button variant="contained" component={Link} to={`/learners/${learner.id}/plan`}>
            {t('lessonPlan')}
          </Button>
        </>
      }
    >
      {forLearner ? (
        <div className={styles.plain}>
          {forTheLearner(readiness, name).map((words) => (
            <p key={words}>{words}</p>
          ))}
        </div>
      ) : (
        <>
          <div role="status" data-working={working} className={styles.answer}>
            <JudgementWord word={judgement.word} />
            <Perches {...readiness.chance} />
            <div>
              <p>{chanceSentence(readiness)}</p>
              <p className={styles.advice}>{adviceWords(readiness.outlook.advice)}</p>
            </div>
          </div>
          <div className={styles.columns}>
            <div>
              <Section title={t('why')}>
                <Rows>
                  {judgement.reasons.map(reasonWords).map((reason) => (
                    <li key={reason} className={styles.line}>
                      {reason}
                    </li>
                  ))}
                </Rows>
              </Section>
              <Section title={t('whatWouldHelpMost')}>
                <Changes readiness={readiness} />
              </Section>
              <Section title={t('progress')}>
                {history && history.length > 0 ? (
                  <Suspense fallback={<Loading what={t('chart')} />}>
                    <HistoryChart points={history} results={input.results} name={name} />
                  </Suspense>
                ) : (
                  <p className="muted">{history ? t('noMockTestsYet') : t('workingItOut')}</p>
                )}
              </Section>
              <Section title={t('howThisIsWorkedOut')}>
                {howItCame(readiness, assumptions, moves).map((words) => (
                  <p key={words} className={styles.how}>
                    {words}
                  </p>
                ))}
              </Section>
            </div>
            <div>
              <Section title={t('readinessList')}>
                <Rows>
                  {checks.map((item) => (
                    <li key={item.code} className={styles.check} data-ok={item.ok}>
                      {item.ok ? (
                        <CheckRounded fontSize="small" aria-label={t('done')} />
                      ) : (
                        <RadioButtonUncheckedRounded fontSize="small" aria-label={t('toDo')} />
                      )}
                      <span>
                        {standingWords(item)}
                        {!item.ok && <small>{toDoWords(item)}</small>}
                      </span>
                    </li>
                  ))}
                </Rows>
              </Section>
              {testKindOf(standard) === 'road' && (
                <Roads readiness={readiness} input={input} learnerId={learner.id} name={name} />
              )}
              <Section title={t('assumptions')}>
                <AssumptionFields assumptions={assumptions} usual={asked.assumptions} onChange={setTried} />
              </Section>
            </div>
          </div>
          <p className={styles.caution}>{t('anEstimateFromAFewMock')}</p>
        </>
      )}
    </Page>
  );
}
