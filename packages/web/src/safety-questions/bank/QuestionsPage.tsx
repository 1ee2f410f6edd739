import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { bankOf, shippedQuestions } from '@jasperwren/core/safety-questions/bank/bank';
import { signs } from '@jasperwren/core/safety-questions/bank/signs';
import { questionKinds, type SafetyQuestion, type QuestionKind } from '@jasperwren/core/safety-questions/question';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '../../base/api';
import { Page, Rows } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/states';
import styles from '../safety-questions.module.css';
import { SignPicture } from '../drawings/SignPicture';

export const kindNames: Readonly<Record<QuestionKind, string>> = {
  tell: 'To tell, at rest',
  show: 'To show, on the move',
  bonnet: 'Bonnet',
  'hand-signal': 'Hand signals',
  rules: 'Rules and signs',
};

/** The whole bank: what ships, what the school changed, and its own. */
export default function QuestionsPage() {
  const { data, error, refetch } = api.useChecksQuery();
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
      title="Questions"
      over={<Link to="/checks">Checks</Link>}
      sub={bank && `${bank.length} questions. The answers are judged on key points, not on wording.`}
      actions={
        <Button variant="contained" component={Link} to="/checks/questions/new">
          Write a question
        </Button>
      }
    >
      <div className={styles.tools}>
        <TextField
          select
          size="small"
          label="Kind"
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
          label="Find in all"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
          sx={{ minWidth: 220 }}
        />
      </div>
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {!error && !shown && <Loading what="the questions" />}
      {shown?.length === 0 && <Empty>No question holds “{search}”.</Empty>}
      {shown && shown.length > 0 && (
        <Rows>
          {shown.map((question) => (
            <QuestionRow key={question.id} question={question} />
          ))}
        </Rows>
      )}
      {retired.length > 0 && (
        <p className={styles.tools}>
          <span className="muted">Out of use:</span>
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
          <small> {shipped ? `edited, version ${question.version}` : 'your own'}</small>
        )}
      </span>
      {sign ? <SignPicture sign={sign} size={44} /> : <span />}
    </li>
  );
}
