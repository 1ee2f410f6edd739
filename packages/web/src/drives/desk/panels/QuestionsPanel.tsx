import { t } from '@jasperwren/words/desk';
import Button from '@mui/material/Button';
import type { Drive } from '@jasperwren/core/drive/drive';
import { askedOn, isLastTry, usualGrade, type Asked } from '@jasperwren/core/marking/asked';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useState } from 'react';
import type { DriveMeta } from '../../../base/device/device-db';
import { Rows } from '../../../ui/Page';
import { AskQuestion } from '../../questions/AskQuestion';
import styles from './panel.module.css';
import { Panel } from './Panel';
import type { DeskActions } from '../desk-actions';

interface Props {
  readonly meta: DriveMeta;
  readonly drive: Drive;
  readonly actions: DeskActions;
}

/** The questions of the standard, with their tries and what they cost: judged at once, or by their key points. */
export default function QuestionsPanel({ meta, drive, actions }: Props) {
  const { standard } = meta;
  const [opened, setOpened] = useState<string>();
  const [said, setSaid] = useState('');
  const all = askedOn(standard, drive);
  const open = all.find(({ rule, left }) => left > 0 && rule.item === opened) ?? all.find(({ left }) => left > 0);
  return (
    <Panel title={t('questions')}>
      {said && (
        <p role="status">
          <b>{said}</b>
        </p>
      )}
      <Rows>
        {all.map((one) => (
          <li key={one.rule.name} className={styles.question} data-open={one === open}>
            <span>
              <b>{one.rule.name}</b>
              <small>{stateWords(standard, one)}</small>
              {one.rule.kind === 'show' && one.left > 0 && <small>{t('askOnlyWhenItIsSafe')}</small>}
            </span>
            {one === open ? (
              <AskQuestion
                asked={one}
                drive={drive}
                meta={meta}
                onAnswer={(right, question, words = '') => {
                  setSaid(words);
                  void actions.answer(one, right, question);
                }}
              />
            ) : (
              one.left > 0 && (
                <Button
                  variant="outlined"
                  aria-label={t('pickRule', { rule: one.rule.name })}
                  onClick={() => setOpened(one.rule.item)}
                >
                  {t('pickAQuestion')}
                </Button>
              )
            )}
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
