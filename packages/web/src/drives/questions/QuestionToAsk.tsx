import { signs } from '@jasperwren/core/safety-questions/bank/signs';
import { t } from '@jasperwren/words/ask';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { AnswerButtons } from '../AnswerButtons';
import { OralMarking } from '../../safety-questions/public';
import styles from './questions.module.css';
import type { AskProps } from './ask-props';
import { useQuestions } from './use-questions';

/** The question that comes next of a rule, drawn, with its key points and this car's answer; another may be taken instead. */
export default function QuestionToAsk({ asked, meta, drive, onAnswer }: AskProps) {
  const questions = useQuestions(meta, drive);
  const [chosen, setChosen] = useState<string>();
  const { rule, answered, nextTry } = asked;
  const inOrder = questions.inOrder(asked);
  const ofRule = drive.answers.filter(({ item }) => item === rule.item);
  const done = new Set(ofRule.flatMap(({ question }) => question ?? []));
  const again = nextTry > 1 ? ofRule.at(-1)?.question : undefined;
  const open = inOrder.filter(({ id }) => !done.has(id) || id === again);
  const question = open.find(({ id }) => id === (again ?? chosen)) ?? open[0] ?? inOrder[0];
  const buttons = <AnswerButtons asked={asked} onAnswer={(right) => onAnswer(right, question?.id)} />;
  if (!question) return buttons;
  const next = open[(open.indexOf(question) + 1) % Math.max(1, open.length)];
  return (
    <section className={styles.toAsk} aria-label={t('questionOf', { rule: rule.name })}>
      <div className={styles.choice}>
        <TextField
          select
          size="small"
          fullWidth
          label={t('numberOf', { n: answered + 1, of: rule.perTest.value })}
          value={question.id}
          disabled={again !== undefined}
          onChange={(event) => setChosen(event.target.value)}
        >
          {open.map((one) => (
            <MenuItem key={one.id} value={one.id}>
              {one.topic}: {signs.find(({ code }) => code === one.sign)?.meaning ?? one.ask}
            </MenuItem>
          ))}
        </TextField>
        {next && next !== question && again === undefined && (
          <Button variant="text" onClick={() => setChosen(next.id)}>
            {t('another')}
          </Button>
        )}
        {buttons}
      </div>
      <OralMarking
        key={`${question.id} ${ofRule.length}`}
        question={question}
        vehicle={questions.vehicle}
        allowed={rule.tries.value}
        before={nextTry - 1}
        onTry={({ right, said }) => {
          setChosen(undefined);
          onAnswer(right, question.id, said);
        }}
      />
    </section>
  );
}
