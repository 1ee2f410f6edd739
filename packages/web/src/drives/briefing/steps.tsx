import Button from '@mui/material/Button';
import type { Drive } from '@jasperwren/core/drive/drive';
import { askedOn, isLastTry, type Asked } from '@jasperwren/core/marking/asked';
import { distanceWords } from '@jasperwren/core/marking/script';
import type { BriefingPart, BriefingStep, EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useState } from 'react';
import { AnswerButtons } from '../AnswerButtons';
import styles from './briefing.module.css';
import type { BriefingActions } from './use-briefing';

type Step<K extends BriefingStep['kind']> = Extract<BriefingStep, { kind: K }>;

/** A plate read at its distance, with or without glasses. */
export function EyesightStep({
  step,
  standard,
  actions,
}: {
  readonly step: Step<'eyesight'>;
  readonly standard: EffectiveStandard;
  readonly actions: BriefingActions;
}) {
  const wide = step.widePlateM && `, ${distanceWords(standard, step.widePlateM.value)} for an older, wider plate`;
  return (
    <>
      <p>
        From {distanceWords(standard, step.distanceM.value)}
        {wide}.
      </p>
      <div className={styles.actions}>
        <Button variant="outlined" onClick={() => void actions.say(step, 'done')}>
          Read it
        </Button>
        <Button variant="outlined" onClick={() => void actions.say(step, 'done', { detail: 'With glasses or lenses' })}>
          Read it with glasses
        </Button>
        <Button variant="outlined" onClick={() => void actions.say(step, 'failed')}>
          Could not read it
        </Button>
      </div>
    </>
  );
}

/** Parts in their order: one tap when all are right, a tap more for each that was missed. */
export function ChecklistStep({
  step,
  actions,
}: {
  readonly step: Step<'checklist'>;
  readonly actions: BriefingActions;
}) {
  const [missed, setMissed] = useState<readonly string[]>([]);
  const [other, setOther] = useState(false);
  const byName = new Map(step.parts.map((part) => [part.name, part]));
  const parts = other && step.otherOrder ? step.otherOrder.flatMap((name) => byName.get(name) ?? []) : step.parts;
  const toggle = ({ name }: BriefingPart) =>
    setMissed(missed.includes(name) ? missed.filter((one) => one !== name) : [...missed, name]);
  return (
    <>
      <ol className={styles.parts}>
        {parts.map((part) => (
          <li key={part.name}>
            <button type="button" aria-pressed={missed.includes(part.name)} onClick={() => toggle(part)}>
              {part.name}
              {missed.includes(part.name) && <b> missed</b>}
            </button>
          </li>
        ))}
      </ol>
      <div className={styles.actions}>
        <Button
          variant="outlined"
          aria-label={`${step.name}: ${missed.length === 0 ? 'all right' : 'done'}`}
          onClick={() =>
            void actions.finish(
              step,
              step.parts.filter(({ name }) => missed.includes(name)),
            )
          }
        >
          {missed.length === 0 ? 'All right' : `Done, ${missed.length} missed`}
        </Button>
        {step.otherOrder && (
          <Button variant="text" onClick={() => setOther(!other)}>
            {`In the order ${orderWords(other ? step.parts.map(({ name }) => name) : step.otherOrder)}`}
          </Button>
        )}
      </div>
    </>
  );
}

/** The first parts of an order, to tell it from another. */
function orderWords(names: readonly string[]): string {
  return names
    .slice(0, 3)
    .map((name) => name.split(/[\s:,]/)[0]!.toLowerCase())
    .join(', ');
}

/** Call and response: the call that is due stands large, and one tap brings the next. */
export function CallsStep({ step, actions }: { readonly step: Step<'calls'>; readonly actions: BriefingActions }) {
  const [answers, setAnswers] = useState<readonly boolean[]>([]);
  const due = step.parts[answers.length];
  const answer = (came: boolean) => {
    const next = [...answers, came];
    setAnswers(next);
    if (next.length < step.parts.length) return;
    void actions.finish(
      step,
      step.parts.filter((_, i) => !next[i]),
    );
  };
  if (!due) return null;
  return (
    <>
      <p className={styles.call} role="status">
        <span className="muted">
          Call {answers.length + 1} of {step.parts.length}:
        </span>{' '}
        <b>{due.name}</b>
      </p>
      <div className={styles.actions}>
        <Button variant="outlined" onClick={() => answer(true)}>
          It came
        </Button>
        <Button variant="outlined" onClick={() => answer(false)}>
          Nothing, or the wrong one
        </Button>
        {answers.length > 0 && (
          <Button variant="text" onClick={() => setAnswers(answers.slice(0, -1))}>
            Back one call
          </Button>
        )}
      </div>
    </>
  );
}

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
                  ? `${one.right} right, ${one.wrong} wrong`
                  : one.nextTry > 1
                    ? 'wrong once, one more try'
                    : one.rule.perTest.value > 1
                      ? `${one.answered} of ${one.rule.perTest.value} asked, ${one.wrong} wrong`
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
            All asked
          </Button>
        </div>
      )}
    </>
  );
}
