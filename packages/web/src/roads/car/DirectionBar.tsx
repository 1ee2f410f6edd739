import { leftRoute, type CarRoute } from '@jasperwren/core/routes/car-route';
import { nextCall } from '@jasperwren/core/routes/rehearsal';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { callSentence } from '@jasperwren/words/roads/directions';
import { aheadWords } from '@jasperwren/words/roads/distances';
import { t } from '@jasperwren/words/routes';
import { useState } from 'react';
import styles from './car.module.css';
import { usePosition, type Feed } from './use-position';

interface Props {
  readonly driveId: string;
  readonly route: CarRoute;
  /** Seconds driven so far. */
  readonly seconds: number;
}

const feeds = { touch: t('byTouch'), device: t('thisDevice'), simulated: t('simulated') } as const;
/** A call is due from this many metres before its place on. */
const due = 15;

/** A number that survives a reload of the page, where the browser keeps anything. */
function useKept(key: string): readonly [number, (value: number) => void] {
  const [value, setValue] = useState(() => {
    try {
      return Number(sessionStorage.getItem(key)) || 0;
    } catch {
      return 0;
    }
  });
  const keep = (next: number) => {
    setValue(next);
    try {
      sessionStorage.setItem(key, String(next));
    } catch {
      // Then the next reload begins at the first direction.
    }
  };
  return [value, keep];
}

/** The next direction with its distance, and when to say it: a row of its own that hides nothing. */
export default function DirectionBar({ driveId, route, seconds }: Props) {
  const [feed, setFeed] = useState<Feed>('touch');
  const [touched, setTouched] = useKept(`jasperwren-direction ${driveId}`);
  const { along, failed } = usePosition(route, feed, seconds);
  const off = along !== undefined && along.away > leftRoute;
  // By touch the calls follow one another; with a position the road decides which is next.
  const first = route.calls.filter(({ again }) => again === undefined);
  const call = along ? nextCall(route.calls, along.metres) : first[touched];
  const said = along && call ? call.at - along.metres : undefined;
  return (
    <section className={styles.bar} aria-label={t('nextDirection')}>
      <p role="status" className={styles.words} data-due={said !== undefined && said <= due}>
        {off
          ? t('offRoute', { distance: aheadWords(along.away, route.units) })
          : call
            ? callSentence(call, instructorStyle, route.units)
            : t('endOfRoute')}
      </p>
      {!off && call && (
        <span className={styles.when}>
          {said === undefined
            ? t('sayBefore', { distance: aheadWords(call.distance, route.units) })
            : said <= due
              ? t('sayItNow')
              : t('sayIn', { distance: aheadWords(said, route.units) })}
        </span>
      )}
      {feed === 'touch' && (
        <>
          <button type="button" disabled={touched === 0} onClick={() => setTouched(touched - 1)}>
            {t('sayBack')}
          </button>
          <button type="button" disabled={!call} onClick={() => setTouched(touched + 1)}>
            {t('said')}
          </button>
        </>
      )}
      {failed !== undefined && feed === 'device' && <span role="alert">{t('noPosition', { why: failed })}</span>}
      <label title={t('positionConsent')}>
        <span className="muted">{t('position')}</span>{' '}
        <select value={feed} onChange={(event) => setFeed(event.target.value as Feed)}>
          {Object.entries(feeds).map(([value, name]) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </select>
      </label>
    </section>
  );
}
