import Button from '@mui/material/Button';
import { bankOf } from '@jasperwren/core/safety-questions/bank/bank';
import { drawQuestion } from '@jasperwren/core/safety-questions/oral';
import { findVehicle } from '@jasperwren/core/safety-questions/vehicles';
import type { Drive } from '@jasperwren/core/drive/drive';
import { askedOn, isLastTry, usualGrade, type Asked } from '@jasperwren/core/marking/asked';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useState } from 'react';
import { api } from '../../base/api';
import { vehiclesOf, OralMarking } from '../../safety-questions/public';
import { Rows } from '../../ui/Page';
import { AnswerButtons } from '../AnswerButtons';
import styles from './panel.module.css';
import { Panel } from './Panel';
import type { DeskActions } from './desk-actions';

interface Props {
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly actions: DeskActions;
}

/** The questions of the standard, with their tries and what they cost: judged at once, or drawn and ticked. */
export function QuestionsPanel({ standard, drive, actions }: Props) {
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
          All questions
        </Button>
      </Panel>
    );
  return (
    <Panel title="Questions">
      <Rows>
        {all.map((one) => (
          <li key={one.rule.name} className={styles.exercise}>
            <span>
              <b>{one.rule.name}</b>
              <small>{stateWords(standard, one)}</small>
              {one.rule.kind === 'show' && one.left > 0 && (
                <small>
                  Ask only where it is safe: look far ahead for a limit, a bend or a large vehicle, then in the mirrors
                  for anyone overtaking. Begin with “when it is safe to”.
                </small>
              )}
            </span>
            <span className={styles.steps}>
              {one.left > 0 && (
                <Button variant="text" aria-label={`Draw: ${one.rule.name}`} onClick={() => draw(one)}>
                  Draw one
                </Button>
              )}
              <AnswerButtons asked={one} onAnswer={(right) => void actions.answer(one, right)} />
            </span>
          </li>
        ))}
      </Rows>
      {drive.answers.length === 0 ? (
        <p className="muted">Nothing has been asked yet.</p>
      ) : (
        <Button variant="outlined" onClick={() => actions.undo()}>
          Undo the last
        </Button>
      )}
    </Panel>
  );
}

function stateWords(standard: EffectiveStandard, asked: Asked): string {
  const { rule, answered, right, wrong, nextTry, left } = asked;
  const grade = usualGrade(standard, rule.item);
  if (left === 0) return `Asked: ${right} right, ${wrong} wrong.`;
  const count = rule.perTest.value > 1 ? `${answered} of ${rule.perTest.value} asked, ${wrong} wrong. ` : '';
  if (nextTry > 1) return `${count}Wrong once: one more try, then it is a ${grade?.name ?? 'mark'}.`;
  return `${count}${isLastTry(asked) ? `A wrong answer is a ${grade?.name ?? 'mark'}, unless a cap or a free answer holds.` : 'A wrong answer may be tried again.'}`;
}
