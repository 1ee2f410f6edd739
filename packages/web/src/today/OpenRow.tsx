import Button from '@mui/material/Button';
import { Link } from 'react-router';
import styles from './today.module.css';

export function OpenRow({
  to,
  words,
  action,
}: {
  readonly to: string;
  readonly words: string;
  readonly action: string;
}) {
  return (
    <li className={styles.open}>
      <span>{words}</span>
      <Button variant="text" component={Link} to={to} aria-label={`${action}: ${words}`}>
        {action}
      </Button>
    </li>
  );
}
