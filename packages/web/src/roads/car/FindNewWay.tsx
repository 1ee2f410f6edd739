import { t } from '@jasperwren/words/routes';
import { useEffect } from 'react';
import type { NewWay, NewWayQuestion } from '../work/roads.worker';
import { useNewWay } from '../work/use-roads-work';

interface Props {
  readonly question: NewWayQuestion;
  readonly onFound: (way: NewWay) => void;
}

/** Looks for a new way and hands it on; says where there is none. */
export function FindNewWay({ question, onFound }: Props) {
  const { parts, failed, working } = useNewWay(question);
  const { newWay } = parts;
  useEffect(() => {
    if (newWay && newWay !== 'none') onFound(newWay);
    // Once: it is gone with the answer.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [newWay]);
  return <>{!working || failed !== undefined ? t('noNewWay') : t('findingNewWay')}</>;
}
