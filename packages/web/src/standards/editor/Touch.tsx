import ButtonBase from '@mui/material/ButtonBase';
import type { ReactNode } from 'react';
import styles from './phrase.module.css';

interface Props {
  readonly kind: 'phrase' | 'empty' | 'add' | 'remove';
  readonly children: ReactNode;
  readonly onTouch: (at: HTMLElement) => void;
  /** What is heard, where it is not what is seen. */
  readonly label?: string;
  readonly opensMenu?: boolean;
  /** Whether what it opens is open. */
  readonly expanded?: boolean;
}

/** Words that can be touched, and break over lines as words do; a button of the browser's own would not. */
export const Touch = ({ kind, children, onTouch, label, opensMenu = false, expanded }: Props) => (
  <ButtonBase
    component="span"
    disableRipple
    className={styles[kind]}
    aria-label={label}
    aria-haspopup={opensMenu ? 'menu' : undefined}
    aria-expanded={expanded}
    onClick={(event) => onTouch(event.currentTarget)}
    sx={{ display: 'inline', verticalAlign: 'baseline', font: 'inherit', userSelect: 'text' }}
  >
    {children}
  </ButtonBase>
);
