import { t } from '@jasperwren/words/briefing';
import Button from '@mui/material/Button';
import type { Drive } from '@jasperwren/core/drive/drive';
import { askedOn, isLastTry, type Asked } from '@jasperwren/core/marking/asked';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { AnswerButtons } from '../AnswerButtons';
import styles from './briefing.module.css';
import type { BriefingActions } from './use-briefing';
import type { Step } from './step';

/** The questions asked at rest, with their tries; the step is done when all are answered. */
export function QuestionsStep({
  step,
  standard,
  drive,
  actions,
}: {
  readonly step: Step<'questions'>;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly actions: BriefingActions;
}) {
  const asked = askedOn(standard, drive).filter(({ rule }) => step.items.includes(rule.item));
  const answer = async (one: Asked, right: boolean) => {
    await actions.answer(one, right);
    const others = asked.filter((other) => other !== one);
    const finished = one.left === 1 && (right || isLastTry(one)) && others.every(({ left }) => left === 0);
    if (finished) await actions.say(step, 'done');
  };
  return (
    <>
      <ul className={styles.questions}>
        {asked.map((one) => (
          <li key={one.rule.item}>
            <span>
              {one.rule.name}
              <small>
                {one.left === 0
                  ? t('rightRightWrongWrong', { right: one.right, wrong: one.wrong })
                  : one.nextTry > 1
                    ? t('wrongOnce1MoreTry')
                    : one.rule.perTest.value > 1
                      ? t('answeredOfPerTestAskedWrongWrong', {
                          answered: one.answered,
                          perTest: one.rule.perTest.value,
                          wrong: one.wrong,
                        })
                      : ''}
              </small>
            </span>
            <AnswerButtons asked={one} onAnswer={(right) => void answer(one, right)} />
          </li>
        ))}
      </ul>
      {asked.every(({ left }) => left === 0) && (
        <div className={styles.actions}>
          <Button variant="outlined" onClick={() => void actions.say(step, 'done')}>
            {t('allAsked')}
          </Button>
        </div>
      )}
    </>
  );
}
