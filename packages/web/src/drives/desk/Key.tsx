import type { ReactNode } from 'react';
import { useAppSelector } from '../../base/hooks';
import styles from './desk.module.css';

/** The key that does what it stands on, shown so that it is learnt by use. */
export function Key({ children }: { readonly children: ReactNode }) {
  const on = useAppSelector((state) => state.settings.deskKeys);
  return on ? (
    <kbd className={styles.key} aria-hidden="true">
      {children}
    </kbd>
  ) : null;
}
