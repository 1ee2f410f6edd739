import { failureOf } from '../../ui/failure';
import { dayAndTime } from '../../ui/format';
import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import { bankOf, shippedQuestions } from '@jasperwren/core/safety-questions/bank/bank';
import { signs } from '@jasperwren/core/safety-questions/bank/signs';
import { standardsAsking } from '@jasperwren/core/safety-questions/question';
import { inCar } from '@jasperwren/core/safety-questions/vehicle';
import { Link, useParams } from 'react-router';
import { joinWords } from '@jasperwren/words/lists';
import { api } from '../../base/api';
import { Page, Rows, Section } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/states';
import { told } from '../../ui/told';
import styles from '../safety-questions.module.css';
import { HandPicture } from '../drawings/HandPicture';
import { SignPicture } from '../drawings/SignPicture';
import { vehiclesOf } from '../drill/source';
import { kindNames } from './QuestionsPage';

/** One question to read: its key points, how it goes in each car, who asks it, and its versions. */
export default function QuestionPage() {
  const { questionId = '' } = useParams();
  const { data, ...asked } = api.useChecksQuery();
  const failed = failureOf(asked);
  const { data: standards } = api.useStandardsQuery();
  const { data: versions } = api.useQuestionVersionsQuery({ questionId });
  const [retire] = api.useRetireQuestionMutation();
  const [takeBack] = api.useUnretireQuestionMutation();
  if (failed) return <Failed {...failed} />;
  if (!data) return <Loading what={t('question2')} />;
  const own = data.questions.find((one) => one.question.id === questionId);
  const question = own?.question ?? bankOf([]).find(({ id }) => id === questionId);
  if (!question)
    return (
      <Empty action={<Link to="/checks/questions">{t('allQuestions')}</Link>}>{t('questionNotFoundItMayHave')}</Empty>
    );
  const retired = own?.retired ?? false;
  const sign = signs.find(({ code }) => code === question.sign);
  const asking = standardsAsking(question.kind, standards ?? []);
  const shipped = shippedQuestions.find(({ id }) => id === questionId);
  return (
    <Page
      title={question.ask}
      over={
        <>
          <Link to="/checks/questions">{t('questions')}</Link>, {kindNames[question.kind].toLowerCase()}
        </>
      }
      sub={
        retired
          ? t('retiredNotAskedAnyMore')
          : asking.length > 0
            ? t('askedByJoinWords', { joinWords: joinWords(asking) })
            : t('noneOfYourStandardsAsksThis')
      }
      actions={
        <>
          <Button variant="text" onClick={() => void (retired ? takeBack : retire)({ questionId }).then(told)}>
            {retired ? t('restore') : t('retire')}
          </Button>
          <Button variant="contained" component={Link} to={`/checks/questions/${questionId}/edit`}>
            {t('edit')}
          </Button>
        </>
      }
    >
      {sign && <SignPicture sign={sign} />}
      {question.handSignal && <HandPicture signal={question.handSignal} />}
      <Section title={t('keyPoints')}>
        <Rows>
          {question.points.map(({ code, text, critical }) => (
            <li key={code} className={styles.point}>
              <span>{inCar(text, undefined)}</span>
              <span className="muted">{critical ? t('required') : ''}</span>
            </li>
          ))}
        </Rows>
      </Section>
      {question.controls && (
        <Section title={t('carByCar')}>
          <Rows>
            {vehiclesOf(data).map((vehicle) => (
              <li key={vehicle.id} className={styles.question}>
                <b>{vehicle.name}</b>
                <span>
                  {question.points
                    .filter(({ text }) => text.includes('{control:'))
                    .map(({ text }) => inCar(text, vehicle))
                    .join(' ')}
                </span>
                <span />
              </li>
            ))}
          </Rows>
        </Section>
      )}
      <Section title={t('versions')}>
        <Rows>
          {versions?.map(({ value, by, at, retired: out }) => (
            <li key={value.version} className={styles.question}>
              <span>{t('versionVersion', { version: value.version })}</span>
              <span>
                {out ? t('retired2') : value.ask} <small>{t('byBy', { by })}</small>
              </span>
              <small>{dayAndTime(at)}</small>
            </li>
          ))}
          {shipped && (
            <li className={styles.question}>
              <span>{t('versionVersion', { version: shipped.version })}</span>
              <span>{shipped.ask}</span>
              <small>{t('asItShips')}</small>
            </li>
          )}
        </Rows>
      </Section>
    </Page>
  );
}
