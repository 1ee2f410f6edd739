import { capital, joinWords } from '@jasperwren/words/lists';
import { t } from '@jasperwren/words/to-finish';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { longDate } from '../ui/format';
import styles from './to-finish.module.css';
import type { ToFinish } from './to-finish';

/** One thing to finish, with the button that leads to it. */
export function ToFinishRow({ item, named = true }: { readonly item: ToFinish; readonly named?: boolean }) {
  const words = stateOf(item);
  const line = named ? t('nameWhat', { name: item.learnerName, what: words }) : capital(words);
  const action = actionOf(item);
  return (
    <li className={styles.row}>
      <span>{line}</span>
      <Button
        variant="text"
        component={Link}
        to={item.kind === 'debrief' ? `/drive/${item.id}/debrief` : `/drive/${item.id}/desk`}
        aria-label={t('actionLine', { action, line })}
      >
        {action}
      </Button>
    </li>
  );
}

function actionOf({ kind }: ToFinish): string {
  if (kind === 'continue') return t('continue');
  return kind === 'debrief' ? t('debrief') : t('namePin');
}

function stateOf(item: ToFinish): string {
  switch (item.kind) {
    case 'continue': {
      const state = item.hereOnly ? t('savedOnThisDeviceOnly') : t('mockTestInProgress');
      return item.unsent > 0
        ? t('stateChanges', { state, changes: t('changesNotSent', { count: item.unsent }) })
        : state;
    }
    case 'name-pins': {
      const what = joinWords([
        ...(item.pins > 0 ? [t('pins', { count: item.pins })] : []),
        ...(item.duplicates > 0 ? [t('possibleDuplicates', { count: item.duplicates })] : []),
      ]);
      return t(item.decides ? 'mockTestOfDateSortOut' : 'mockTestOfDateLeftToSortOut', {
        date: longDate(item.startedAt),
        what,
      });
    }
    case 'debrief':
      return t('mockTestOfDateNotDebriefed', { date: longDate(item.startedAt) });
  }
}
