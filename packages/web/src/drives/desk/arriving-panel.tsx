import { t } from '@jasperwren/words/desk';
import { useEffect, useState, type ComponentType } from 'react';
import { Panel } from './panels/Panel';

/**
 * A panel that arrives after the page (see `fetchAhead`). Where it cannot be fetched it says so, marking goes on, and it is fetched
 * when it is opened the next time.
 */
export function arrivingPanel<Props extends object>(load: () => Promise<{ readonly default: ComponentType<Props> }>) {
  let arrived: ComponentType<Props> | undefined;
  return function Arriving(props: Props) {
    const [Part, setPart] = useState(() => arrived);
    const [failed, setFailed] = useState(false);
    useEffect(() => {
      let left = false;
      load().then(
        ({ default: part }) => {
          arrived = part;
          if (!left) setPart(() => part);
        },
        () => !left && setFailed(true),
      );
      return () => {
        left = true;
      };
    }, []);
    if (Part) return <Part {...props} />;
    return failed ? <Panel title={t('notOnThisDevice')}>{t('opensWithNetwork')}</Panel> : null;
  };
}
