import { t } from '@jasperwren/words/rehearsal';
import type { ReactNode } from 'react';
import styles from './rehearsal.module.css';

interface Props {
  readonly score: { readonly right: number; readonly asked: number };
  readonly children: ReactNode;
}

/** What is said or asked below the picture, with how many were right. */
export function Caption({ score, children }: Props) {
  return (
    <div className={styles.caption} role="status">
      {children}
      {score.asked > 0 && <span className="muted">{t('rightOfAsked', score)}</span>}
    </div>
  );
}
