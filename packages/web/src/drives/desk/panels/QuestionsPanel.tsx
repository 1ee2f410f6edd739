import { t } from '@jasperwren/words/desk';
import Button from '@mui/material/Button';
import { bankOf } from '@jasperwren/core/safety-questions/bank/bank';
import { drawQuestion } from '@jasperwren/core/safety-questions/oral';
import { findVehicle } from '@jasperwren/core/safety-questions/vehicles';
import type { Drive } from '@jasperwren/core/drive/drive';
import { askedOn, isLastTry, usualGrade, type Asked } from '@jasperwren/core/marking/asked';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useState } from 'react';
import { api } from '../../../base/api';
import { vehiclesOf, OralMarking } from '../../../safety-questions/public';
import { Rows } from '../../../ui/Page';
import { AnswerButtons } from '../../AnswerButtons';
import styles from './panel.module.css';
import { Panel } from './Panel';
import type { DeskActions } from '../desk-actions';

interface Props {
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly actions: DeskActions;
}

/** The questions of the standard, with their tries and what they cost: judged at once, or drawn and ticked. */
export default function QuestionsPanel({ standard, drive, actions }: Props) {
  const [drawn, setDrawn] = useState<{ readonly item: string; readonly id: string; readonly before: number }>();
  const { data: checks = { questions: [], vehicles: [] } } = api.useChecksQuery();
  const { data: learners } = api.useLearnersQuery();
  const bank = bankOf(checks.questions);
  const vehicleId = learners?.find(({ id }) => id === drive.learnerId)?.vehicleId;
  const all = askedOn(standard, drive);
  const question = bank.find(({ id }) => id === drawn?.id);
  const draw = (asked: Asked) => {
    const lastAsked = drive.answers.flatMap(({ question: id }) => (id ? [id] : [])).slice(-1);
    const picked = drawQuestion(bank, standard, asked.rule, lastAsked, Math.random);
    if (picked) setDrawn({ item: asked.rule.item, id: picked.id, before: asked.nextTry - 1 });
  };
  const asked = all.find(({ rule }) => rule.item === drawn?.item);
  if (question && drawn && asked)
    return (
      <Panel title={asked.rule.name}>
        <OralMarking
          question={question}
          vehicle={findVehicle(vehiclesOf(checks), vehicleId)}
          allowed={asked.rule.tries.value}
          before={drawn.before}
          onTry={({ right }) => void actions.answer(asked, right, question.id)}
        />
        <Button variant="text" onClick={() => setDrawn(undefined)}>
          {t('allQuestions')}
        </Button>
      </Panel>
    );
  return (
    <Panel title={t('questions')}>
      <Rows>
        {all.map((one) => (
          <li key={one.rule.name} className={styles.question}>
            <span>
              <b>{one.rule.name}</b>
              <small>{stateWords(standard, one)}</small>
              {one.rule.kind === 'show' && one.left > 0 && <small>{t('askOnlyWhenItIsSafe')}</small>}
            </span>
            <span className={styles.steps}>
              <AnswerButtons asked={one} onAnswer={(right) => void actions.answer(one, right)} />
              {one.left > 0 && (
                <Button variant="text" aria-label={t('pickRule', { rule: one.rule.name })} onClick={() => draw(one)}>
                  {t('pickAQuestion')}
                </Button>
              )}
            </span>
          </li>
        ))}
      </Rows>
      {drive.answers.length === 0 ? (
        <p className="muted">{t('nothingAskedYet')}</p>
      ) : (
        <Button variant="outlined" onClick={() => actions.undo()}>
          {t('undoLast')}
        </Button>
      )}
    </Panel>
  );
}

function stateWords(standard: EffectiveStandard, asked: Asked): string {
  const { rule, answered, right, wrong, nextTry, left } = asked;
  const grade = usualGrade(standard, rule.item);
  if (left === 0) return t('askedRightRightWrongWrong', { right, wrong });
  const count =
    rule.perTest.value > 1
      ? `${t('answeredOfPerTestAskedWrongWrong', { answered, perTest: rule.perTest.value, wrong })} `
      : '';
  if (nextTry > 1) return t('soFarWrongOnce1MoreTry', { soFar: count, grade: grade?.name ?? 'mark' });
  return `${count}${isLastTry(asked) ? t('wrong1GradeUnlessCapped', { grade: grade?.name ?? 'mark' }) : t('aWrongAnswerMayBeTried')}`;
}
