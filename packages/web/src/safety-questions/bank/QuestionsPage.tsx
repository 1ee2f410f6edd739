import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { bankOf, shippedQuestions } from '@jasperwren/core/safety-questions/bank/bank';
import { signs } from '@jasperwren/core/safety-questions/bank/signs';
import { questionKinds, type SafetyQuestion, type QuestionKind } from '@jasperwren/core/safety-questions/question';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '../../base/api';
import { failureOf } from '../../ui/failure';
import { Page, Rows } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/states';
import styles from '../safety-questions.module.css';
import { SignPicture } from '../drawings/SignPicture';

export const kindNames: Readonly<Record<QuestionKind, string>> = {
  tell: t('tellQuestions'),
  show: t('showQuestions'),
  bonnet: t('bonnet'),
  'hand-signal': t('handSignals'),
  rules: t('rulesAndSigns'),
};

/** The whole bank: what ships, what the school changed, and its own. */
export default function QuestionsPage() {
  const { data, ...asked } = api.useChecksQuery();
  const failed = failureOf(asked);
  const [kind, setKind] = useState<QuestionKind>('tell');
  const [search, setSearch] = useState('');
  const bank = data && bankOf(data.questions);
  const words = search.trim().toLowerCase();
  const shown = bank?.filter(
    (question) =>
      (words !== '' || question.kind === kind) && `${question.topic} ${question.ask}`.toLowerCase().includes(words),
  );
  const retired = data?.questions.filter((one) => one.retired) ?? [];
  return (
    <Page
      title={t('questions')}
      over={<Link to="/checks">{t('questions')}</Link>}
      sub={bank && t('countQuestionsAnswersAreJudgedOn', { count: bank.length })}
      actions={
        <Button variant="contained" component={Link} to="/checks/questions/new">
          {t('addQuestion')}
        </Button>
      }
    >
      <div className={styles.tools}>
        <TextField
          select
          size="small"
          label={t('kind')}
          value={kind}
          onChange={(event) => setKind(event.target.value as QuestionKind)}
          sx={{ minWidth: 220 }}
        >
          {questionKinds.map((code) => (
            <MenuItem key={code} value={code}>
              {kindNames[code]}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          size="small"
          label={t('findInAll')}
          value={search}
          onChange={(event) => setSearch(event.target.value)}
          sx={{ minWidth: 220 }}
        />
      </div>
      {failed && <Failed {...failed} />}
      {!failed && !shown && <Loading what={t('theQuestions')} />}
      {shown?.length === 0 && <Empty>{t('noQuestionContainsSearch', { search })}</Empty>}
      {shown && shown.length > 0 && (
        <Rows>
          {shown.map((question) => (
            <QuestionRow key={question.id} question={question} />
          ))}
        </Rows>
      )}
      {retired.length > 0 && (
        <p className={styles.tools}>
          <span className="muted">{t('retired')}</span>
          {retired.map(({ question }) => (
            <Link key={question.id} to={`/checks/questions/${question.id}`}>
              {question.topic}
            </Link>
          ))}
        </p>
      )}
    </Page>
  );
}

function QuestionRow({ question }: { readonly question: SafetyQuestion }) {
  const sign = signs.find(({ code }) => code === question.sign);
  const shipped = shippedQuestions.find(({ id }) => id === question.id);
  return (
    <li className={styles.question}>
      <Link to={`/checks/questions/${question.id}`}>{question.topic}</Link>
      <span>
        {question.ask} {sign && <span className="muted">{sign.meaning}</span>}
        {(!shipped || shipped.version !== question.version) && (
          <small> {shipped ? t('editedVersionVersion', { version: question.version }) : t('yourOwn')}</small>
        )}
      </span>
      {sign ? <SignPicture sign={sign} size={44} /> : <span />}
    </li>
  );
}
