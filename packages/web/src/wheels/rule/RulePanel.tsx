import { standing } from '@jasperwren/motion/moves/roll';
import { driveSteps } from '@jasperwren/motion/moves/steps';
import type { Rule } from '@jasperwren/motion/sight/rule-of-thumb';
import { thingsOf } from '@jasperwren/motion/sight/rule-of-thumb';
import { ruleText } from '@jasperwren/motion/sight/rule-text';
import { t } from '@jasperwren/words/motion';
import { helpsSentence, ruleSentence } from '@jasperwren/words/motion-sentences';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { Failed, Loading, Working } from '../../ui/states';
import { GroundPicture } from '../picture/GroundPicture';
import { frameOf } from '../picture/outline';
import { TracksShape } from '../picture/TracksShape';
import { VehicleShape } from '../picture/VehicleShape';
import { useRule, type PlanQuestion } from '../use-plan';
import type { Question } from '../use-question';
import styles from '../wheels.module.css';
import { PartFields } from './PartFields';
import { startRule } from './start-rule';

interface Props {
  readonly asked: PlanQuestion;
  readonly name: string;
  readonly question: Question;
}

const mostParts = 8;

/** What becomes of a rule of thumb in this vehicle, followed to the letter, and with what it would work. */
export default function RulePanel({ asked, name, question }: Props) {
  const { vehicle, ground } = asked;
  const { layout } = ground;
  const rule = question.rule ?? startRule(layout);
  const change = (next: Rule) => question.change({ rule: ruleText(next) });
  const text = ruleText(rule);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the text says all of the rule
  const about = useMemo(() => ({ vehicle, layout, rule }), [vehicle, layout, text]);
  const { parts, failed, again } = useRule(about);
  const { followed, helps } = parts;
  const way = useMemo(
    () => (followed ? driveSteps(vehicle, standing(layout.start), followed.steps, 0.1) : []),
    [vehicle, layout, followed],
  );
  const touch = followed?.outcome === 'touches' ? followed.touch : undefined;
  // Where it touched it stops.
  const driven = touch ? way.filter(({ wayM }) => wayM <= touch.wayM + 0.1) : way;
  const last = driven.at(-1) ?? standing(layout.start);
  return (
    <div className={styles.columns}>
      <div>
        <GroundPicture
          layout={layout}
          frame={frameOf(layout, vehicle, driven)}
          touched={new Set(touch ? [touch.thing] : [])}
          label={t('picture', { exercise: name })}
        >
          <TracksShape vehicle={vehicle} way={driven} />
          <VehicleShape vehicle={vehicle} placed={standing(layout.start)} faint />
          <VehicleShape vehicle={vehicle} placed={last} touching={touch ? [touch.part] : []} />
        </GroundPicture>
        <p className="muted">{t('legend')}</p>
      </div>
      <section aria-label={t('ruleOfThumb')}>
        {failed !== undefined && <Failed error={new Error(failed)} onRetry={again} />}
        {followed ? (
          <p role="status" className={styles.answer}>
            {ruleSentence(followed)}
          </p>
        ) : (
          failed === undefined && <Loading what={t('ruleOfThumb')} />
        )}
        {followed &&
          followed.outcome !== 'works' &&
          (helps === undefined ? <Working doing={t('lookingForHelp')} /> : <p>{helpsSentence(helps ?? undefined)}</p>)}
        <p className="muted">{t('ruleWhy')}</p>
        <ol className={styles.parts}>
          {rule.map((part, i) => (
            <li key={i} aria-label={t('rulePart', { part: i + 1 })}>
              <PartFields
                part={part}
                things={thingsOf(layout)}
                onChange={(next) => change(rule.map((one, n) => (n === i ? next : one)))}
              />
              {rule.length > 1 && (
                <Button variant="text" onClick={() => change(rule.filter((_, n) => n !== i))}>
                  {t('removeRulePart', { part: i + 1 })}
                </Button>
              )}
            </li>
          ))}
        </ol>
        {rule.length < mostParts && (
          <Button
            variant="outlined"
            onClick={() =>
              change([...rule, { lock: 0, back: rule.at(-1)!.back, until: { kind: 'metres', metres: 1 } }])
            }
          >
            {t('addRulePart')}
          </Button>
        )}
      </section>
    </div>
  );
}
