import { t } from '@jasperwren/words/desk';
import Button from '@mui/material/Button';
import { useEffect, useRef, type ReactNode } from 'react';
import { useAppDispatch } from '../../../base/hooks';
import styles from './panel.module.css';
import { stepBack } from '../desk-slice';

/** What stands in the middle of the desk in place of the matrix. */
export function Panel({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  const dispatch = useAppDispatch();
  const heading = useRef<HTMLHeadingElement>(null);
  const section = useRef<HTMLElement>(null);
  useEffect(() => {
    // A panel that asks has the focus in its field.
    if (!section.current?.contains(document.activeElement)) heading.current?.focus();
  }, []);
  return (
    <section ref={section} className={styles.panel} aria-label={title}>
      <div className={styles.panelHead}>
        <h2 ref={heading} tabIndex={-1}>
          {title}
        </h2>
        <Button variant="text" onClick={() => dispatch(stepBack())}>
          {t('backToMarking')}
        </Button>
      </div>
      {children}
    </section>
  );
}
