import type { ReactNode } from 'react';
import styles from './key.module.css';

/** The key that does what it stands on, shown so that it is learnt by use; the desk hides them all at once. */
export function Key({ children }: { readonly children: ReactNode }) {
  return (
    <kbd className={styles.key} aria-hidden="true">
      {children}
    </kbd>
  );
}
