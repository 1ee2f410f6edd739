import { t } from '@jasperwren/words/desk';
import Button from '@mui/material/Button';
import type { Drive } from '@jasperwren/core/drive/drive';
import { askedOn, isLastTry, usualGrade, type Asked } from '@jasperwren/core/marking/asked';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { DriveMeta } from '../../../base/device/device-db';
import { Rows } from '../../../ui/Page';
import { RuleToAsk, Said, useAsking } from '../../questions/RuleToAsk';
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
  const all = askedOn(standard, drive);
  const asking = useAsking(all);
  return (
    <Panel title={t('questions')}>
      <Said asking={asking} />
      <Rows>
        {all.map((one) => (
          <li key={one.rule.name} className={styles.question}>
            <span>
              <b>{one.rule.name}</b>
              <small>{stateWords(standard, one)}</small>
              {one.rule.kind === 'show' && one.left > 0 && <small>{t('askOnlyWhenItIsSafe')}</small>}
            </span>
            <RuleToAsk
              asking={asking}
              asked={one}
              meta={meta}
              drive={drive}
              onAnswer={(right, question) => void actions.answer(one, right, question)}
            />
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
