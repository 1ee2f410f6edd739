import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import styles from './page.module.css';
import { useArrival } from './use-arrival';
import { useTitle } from './use-title';

interface Props {
  readonly title: string;
  /** What it is called in the browser's tab, where its heading says what came of it. */
  readonly tab?: string;
  /** A line above the title: where this belongs. */
  readonly over?: ReactNode;
  /** A sentence below the title. */
  readonly sub?: ReactNode;
  readonly actions?: ReactNode;
  readonly children: ReactNode;
}

/** A page of the application with its heading and at most one primary action. */
export function Page({ title, tab, over, sub, actions, children }: Props) {
  useTitle(tab ?? title);
  const heading = useArrival();
  return (
    <main className={styles.page}>
      <div className={styles.head}>
        <div>
          {over && <div className="muted">{over}</div>}
          <Typography variant="h1" ref={heading} tabIndex={-1}>
            {title}
          </Typography>
          {sub && <p>{sub}</p>}
        </div>
        {actions && <div className={styles.actions}>{actions}</div>}
      </div>
      {children}
    </main>
  );
}

/** A part of a page under a heading of its own. */
export function Section({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section className={styles.section}>
      <Typography variant="h2">{title}</Typography>
      {children}
    </section>
  );
}

/** Rows parted by rules. */
export function Rows({ children }: { readonly children: ReactNode }) {
  return <ul className={styles.rows}>{children}</ul>;
}
