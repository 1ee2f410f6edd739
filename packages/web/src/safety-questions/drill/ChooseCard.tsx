import { choiceState } from './choice-state';
import { t } from '@jasperwren/words/questions';
import { signs } from '@jasperwren/core/safety-questions/bank/signs';
import { choices } from '@jasperwren/core/safety-questions/drill';
import { randomFrom, shuffled } from '@jasperwren/core/safety-questions/random';
import { useState } from 'react';
import { HandPicture, handSignals } from '../drawings/HandPicture';
import type { CardProps } from './card-props';
import { ChoiceList } from './ChoiceList';
import styles from './drill.module.css';
import { GoOn } from './GoOn';

/** What a sign means, chosen among four. */
export function ChooseMeaning({ card, seed, onDone }: CardProps) {
  const [chosen, setChosen] = useState<string>();
  const sign = signs.find(({ code }) => code === card.question.sign);
  if (!sign) return null;
  // Signs of the same shape first: those are the ones that are mixed up.
  const alike = signs.filter(({ shape }) => shape === sign.shape);
  const others = (alike.length >= 4 ? alike : signs).map(({ meaning }) => meaning);
  return (
    <>
      <ChoiceList
        options={choices(sign.meaning, others, seed)}
        right={sign.meaning}
        chosen={chosen}
        onChoose={setChosen}
      />
      <GoOn shown={chosen !== undefined} right={chosen === sign.meaning} onDone={onDone} />
    </>
  );
}

/** Which drawing is the signal that was asked for. */
export function ChooseHand({ card, seed, onDone }: CardProps) {
  const [chosen, setChosen] = useState<string>();
  const [mixed] = useState(() => shuffled(randomFrom(seed), handSignals));
  const right = card.question.handSignal ?? '';
  return (
    <>
      <ul className={styles.pictures}>
        {mixed.map((signal) => {
          const state = choiceState(signal, right, chosen);
          return (
            <li key={signal}>
              <button
                type="button"
                disabled={chosen !== undefined}
                data-state={state}
                onClick={() => setChosen(signal)}
              >
                <HandPicture signal={signal} size={150} />
                {state === 'right' && <b>{t('right')}</b>}
                {state === 'wrong' && <b>{t('no')}</b>}
              </button>
            </li>
          );
        })}
      </ul>
      <GoOn shown={chosen !== undefined} right={chosen === right} onDone={onDone} />
    </>
  );
}
