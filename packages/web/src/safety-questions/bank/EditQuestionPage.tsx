import { questionProblem } from '@jasperwren/words/question-problems';
import { t } from '@jasperwren/words/questions';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { bankOf } from '@jasperwren/core/safety-questions/bank/bank';
import {
  problemsOf,
  questionKinds,
  type SafetyQuestion,
  type QuestionKind,
} from '@jasperwren/core/safety-questions/question';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api } from '../../base/api';
import { failureOf } from '../../ui/failure';
import { Page } from '../../ui/Page';
import { SaveBar } from '../../ui/SaveBar';
import { Failed, Loading } from '../../ui/states';
import { Unsaved } from '../../ui/Unsaved';
import { useUnsaved } from '../../ui/use-unsaved';
import styles from '../safety-questions.module.css';
import { KeyPointFields } from './KeyPointFields';
import { kindNames } from './QuestionsPage';

const blank: SafetyQuestion = {
  id: '',
  version: 1,
  kind: 'tell',
  topic: '',
  ask: '',
  points: [{ code: 'p1', text: '', critical: true, says: [] }],
};

export default function EditQuestionPage() {
  const { questionId } = useParams();
  const { data, ...asked } = api.useChecksQuery();
  const failed = failureOf(asked);
  if (failed) return <Failed {...failed} />;
  if (!data) return <Loading what={t('question2')} />;
  const own = data.questions.find((one) => one.question.id === questionId)?.question;
  const question = questionId === undefined ? blank : (own ?? bankOf([]).find(({ id }) => id === questionId));
  return question ? (
    <Editor question={question} isNew={questionId === undefined} />
  ) : (
    <p>{t('questionNotFoundItMayHave')}</p>
  );
}

/** A question with its key points; saving makes a new version and keeps the old ones. */
function Editor({ question: initial, isNew }: { readonly question: SafetyQuestion; readonly isNew: boolean }) {
  const navigate = useNavigate();
  const [question, setQuestion] = useState(initial);
  const [tried, setTried] = useState(false);
  const [add, adding] = api.useAddQuestionMutation();
  const [edit, editing] = api.useEditQuestionMutation();
  const { isLoading, error } = isNew ? adding : editing;
  const problems = problemsOf(question);
  const { blocker, letGo } = useUnsaved(question !== initial);
  const set = (change: Partial<SafetyQuestion>) => setQuestion({ ...question, ...change });
  const save = async () => {
    setTried(true);
    if (problems.length > 0) return;
    const { id, kind, topic, ask, points, controls, steps, sign, handSignal } = question;
    const input = {
      kind,
      topic,
      ask,
      points: points.map((point) => ({ ...point, says: point.says.filter((way) => way.trim() !== '') })),
      ...(controls && { controls: [...controls] }),
      ...(steps && { steps: steps.filter((code) => points.some((point) => point.code === code)) }),
      ...(sign && { sign }),
      ...(handSignal && { handSignal }),
    };
    const { data } = await (isNew ? add({ body: input }) : edit({ questionId: id, body: input }));
    if (!data) return;
    letGo();
    void navigate(`/checks/questions/${data.id}`, { replace: true });
  };
  return (
    <Page
      title={isNew ? t('newQuestion') : t('editQuestion')}
      over={<Link to="/checks/questions">{t('questions')}</Link>}
      sub={t('youReadTheQuestionOutAs')}
    >
      <Unsaved blocker={blocker} what={t('wrote')} />
      <div className={styles.form}>
        <TextField
          select
          label={t('kind')}
          value={question.kind}
          onChange={(event) => set({ kind: event.target.value as QuestionKind })}
        >
          {questionKinds.map((code) => (
            <MenuItem key={code} value={code}>
              {kindNames[code]}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          label={t('topic')}
          value={question.topic}
          onChange={(event) => set({ topic: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 80 } }}
        />
        <TextField
          label={t('question')}
          value={question.ask}
          onChange={(event) => set({ ask: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 400 } }}
          multiline
        />
      </div>
      <KeyPointFields points={question.points} onChange={(points) => set({ points })} />
      <SaveBar
        problems={tried ? problems.map(questionProblem) : []}
        error={error}
        busy={isLoading}
        action={isNew ? t('addQuestion') : t('saveAsNewVersion')}
        onSave={() => void save()}
      />
    </Page>
  );
}
