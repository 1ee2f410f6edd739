import type { JudgementWord as Word } from '@jasperwren/core/readiness/judgement';
import { judgementWord } from '@jasperwren/words/readiness-items';
import styles from './readiness.module.css';

/** The judgement as a word, in the colour of a verdict. */
export function JudgementWord({ word }: { readonly word: Word }) {
  return (
    <b className={styles.word} data-word={word}>
      {judgementWord(word)}
    </b>
  );
}
