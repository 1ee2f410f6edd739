import { t } from '@jasperwren/words/briefing';
import Button from '@mui/material/Button';
import type { Drive } from '@jasperwren/core/drive/drive';
import { askedOn, isLastTry, type Asked } from '@jasperwren/core/marking/asked';
import type { DriveMeta } from '../../base/device/device-db';
import { RuleToAsk, Said, useAsking } from '../questions/RuleToAsk';
import styles from './briefing.module.css';
import type { BriefingActions } from './use-briefing';
import type { Step } from './step';

/** The questions asked at rest, with their tries; the step is done when all are answered. */
export function QuestionsStep({
  step,
  meta,
  drive,
  actions,
}: {
  readonly step: Step<'questions'>;
  readonly meta: DriveMeta;
  readonly drive: Drive;
  readonly actions: BriefingActions;
}) {
  const asked = askedOn(meta.standard, drive).filter(({ rule }) => step.items.includes(rule.item));
  const asking = useAsking(asked);
  const answer = async (one: Asked, right: boolean, question?: string) => {
    await actions.answer(one, right, question);
    const others = asked.filter((other) => other !== one);
    const finished = one.left === 1 && (right || isLastTry(one)) && others.every(({ left }) => left === 0);
    if (finished) await actions.say(step, 'done');
  };
  return (
    <>
      <Said asking={asking} />
      <ul className={styles.questions}>
        {asked.map((one) => (
          <li key={one.rule.item} aria-label={one.rule.name} data-open={one === asking.open}>
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
            <RuleToAsk
              asking={asking}
              asked={one}
              meta={meta}
              drive={drive}
              onAnswer={(right, question) => void answer(one, right, question)}
            />
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
