import { t } from '@jasperwren/words/briefing';
import Button from '@mui/material/Button';
import type { Drive } from '@jasperwren/core/drive/drive';
import { askedOn, isLastTry, type Asked } from '@jasperwren/core/marking/asked';
import { useState } from 'react';
import type { DriveMeta } from '../../base/device/device-db';
import { AskQuestion } from '../questions/AskQuestion';
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
  const [opened, setOpened] = useState<string>();
  const [said, setSaid] = useState('');
  const asked = askedOn(meta.standard, drive).filter(({ rule }) => step.items.includes(rule.item));
  const open = asked.find(({ rule, left }) => left > 0 && rule.item === opened) ?? asked.find(({ left }) => left > 0);
  const answer = async (one: Asked, right: boolean, question?: string) => {
    await actions.answer(one, right, question);
    const others = asked.filter((other) => other !== one);
    const finished = one.left === 1 && (right || isLastTry(one)) && others.every(({ left }) => left === 0);
    if (finished) await actions.say(step, 'done');
  };
  return (
    <>
      {said && (
        <p role="status">
          <b>{said}</b>
        </p>
      )}
      <ul className={styles.questions}>
        {asked.map((one) => (
          <li key={one.rule.item} aria-label={one.rule.name} data-open={one === open}>
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
            {one === open ? (
              <AskQuestion
                asked={one}
                drive={drive}
                meta={meta}
                onAnswer={(right, question, words = '') => {
                  setSaid(words);
                  void answer(one, right, question);
                }}
              />
            ) : (
              one.left > 0 && (
                <Button variant="outlined" onClick={() => setOpened(one.rule.item)}>
                  {t('askNow')}
                </Button>
              )
            )}
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
