import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import { orderRight } from '@jasperwren/core/safety-questions/drill';
import { randomFrom, shuffled } from '@jasperwren/core/safety-questions/random';
import { inCar } from '@jasperwren/core/safety-questions/vehicle';
import { useState } from 'react';
import type { CardProps } from './card-props';
import styles from './drill.module.css';
import { GoOn } from './GoOn';

/** Touch the steps in the order in which they are done. */
export function OrderCard({ card, source, seed, onDone }: CardProps) {
  const steps = card.question.steps ?? [];
  const [given, setGiven] = useState<readonly string[]>([]);
  const [mixed] = useState(() => shuffled(randomFrom(seed), steps));
  const words = (code: string) =>
    inCar(card.question.points.find((point) => point.code === code)?.text ?? code, source.vehicle);
  const complete = given.length === steps.length;
  const right = complete && orderRight(steps, given);
  return (
    <>
      <p className="muted">{t('tapThemInOrder')}</p>
      <ol className={styles.choices}>
        {mixed.map((code) => {
          const place = given.indexOf(code);
          return (
            <li key={code}>
              <button type="button" disabled={place >= 0} onClick={() => setGiven([...given, code])}>
                <b aria-hidden={place < 0}>{place < 0 ? '·' : place + 1}</b>
                <span>{words(code)}</span>
              </button>
            </li>
          );
        })}
      </ol>
      {complete && (
        <div role="status">
          <p>{right ? t('correctOrder') : t('theCorrectOrder')}</p>
          {!right && (
            <ol className={styles.answer}>
              {steps.map((code) => (
                <li key={code}>{words(code)}</li>
              ))}
            </ol>
          )}
        </div>
      )}
      {given.length > 0 && !complete && (
        <div className={styles.thumb}>
          <Button variant="text" onClick={() => setGiven(given.slice(0, -1))}>
            {t('undo')}
          </Button>
        </div>
      )}
      <GoOn shown={complete} right={right} onDone={onDone} />
    </>
  );
}
