import { t } from '@jasperwren/words/editor';
import { useState, type ReactNode } from 'react';
import styles from './editor.module.css';
import { Touch } from './Touch';

interface Props {
  readonly name: string;
  /** The sentence that is always there, given the button that opens the rest. */
  readonly children: (more: ReactNode) => ReactNode;
  readonly rest: () => ReactNode;
  /** What is below has to be seen. */
  readonly always?: boolean;
}

/** An entry as a sentence; what is seldom changed opens below it. */
export function More({ name, children, rest, always = false }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      {children(
        <Touch
          kind="add"
          expanded={open}
          label={t(open ? 'lessOf' : 'moreOf', { name })}
          onTouch={() => setOpen(!open)}
        >
          {t(open ? 'less' : 'more')}
        </Touch>,
      )}
      {(open || always) && <div className={styles.rest}>{rest()}</div>}
    </>
  );
}
