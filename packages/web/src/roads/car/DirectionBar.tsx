import { leftRoute, type CarRoute } from '@jasperwren/core/routes/car-route';
import { nextCall } from '@jasperwren/core/routes/rehearsal';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { callSentence } from '@jasperwren/words/roads/directions';
import { aheadWords } from '@jasperwren/words/roads/distances';
import { t } from '@jasperwren/words/routes';
import { useEffect, useState } from 'react';
import styles from './car.module.css';
import { FindNewWay } from './FindNewWay';
import { useKept } from './use-kept';
import { useNewWayOf } from './use-new-way';
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

/** The next direction with its distance, and when to say it: a row of its own that hides nothing. */
export default function DirectionBar({ driveId, route, seconds }: Props) {
  const [feed, setFeed] = useState<Feed>('touch');
  const [touched, setTouched] = useKept(`jasperwren-direction ${driveId}`, 0);
  // On a low screen the rarer buttons take the place of the words, by one touch.
  const [others, setOthers] = useState(false);
  const { now, since, isDetour, question, ask, found, forget } = useNewWayOf(driveId, route);
  const { along, car, failed } = usePosition(now, feed, seconds - since);
  const off = along !== undefined && along.away > leftRoute;
  // By touch the calls follow one another; with a position the road decides which is next.
  const first = now.calls.filter(({ again }) => again === undefined);
  const call = along ? nextCall(now.calls, along.metres) : first[touched];
  const said = along && call ? call.at - along.metres : undefined;
  const leaves = off && car !== undefined && now.around !== undefined;
  useEffect(() => {
    if (leaves) ask({ car }, along.metres);
    else forget();
    // Once for each time the route is left.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [leaves]);
  const touch = (to: number) => {
    forget();
    setTouched(to);
  };
  return (
    <section className={styles.bar} aria-label={t('nextDirection')}>
      <p role="status" className={styles.words} data-due={said !== undefined && said <= due}>
        {question ? (
          <FindNewWay
            question={question}
            onFound={(way) => {
              found(way, seconds);
              setTouched(0);
            }}
          />
        ) : off ? (
          t('offRoute', { distance: aheadWords(along.away, route.units) })
        ) : call ? (
          callSentence(call, instructorStyle, route.units)
        ) : (
          t('endOfRoute')
        )}
      </p>
      {isDetour && !question && <span className={styles.when}>{t('onNewWay')}</span>}
      {!question && !off && call && (
        <span className={styles.when}>
          {said === undefined
            ? t('sayBefore', { distance: aheadWords(call.distance, route.units) })
            : said <= due
              ? t('sayItNow')
              : t('sayIn', { distance: aheadWords(said, route.units) })}
        </span>
      )}
      {feed === 'touch' && (
        <button type="button" className={styles.said} disabled={!call} onClick={() => touch(touched + 1)}>
          {t('said')}
        </button>
      )}
      <span className={styles.others} data-open={others}>
        {feed === 'touch' && (
          <button type="button" disabled={touched === 0} onClick={() => touch(touched - 1)}>
            {t('sayBack')}
          </button>
        )}
        {now.around && feed !== 'device' && call && (
          <select
            aria-label={t('notDriven')}
            value=""
            onChange={(event) => {
              ask(event.target.value as 'missed' | 'closed', along?.metres ?? call.at);
              setOthers(false);
            }}
          >
            <option value="" disabled>
              {t('notDriven')}
            </option>
            <option value="missed">{t('turnMissed')}</option>
            <option value="closed">{t('roadClosed')}</option>
          </select>
        )}
        <label title={t('positionConsent')}>
          <span className={`muted ${styles.label}`}>{t('position')}</span>{' '}
          <select aria-label={t('position')} value={feed} onChange={(event) => setFeed(event.target.value as Feed)}>
            {Object.entries(feeds).map(([value, name]) => (
              <option key={value} value={value}>
                {name}
              </option>
            ))}
          </select>
        </label>
      </span>
      {failed !== undefined && feed === 'device' && <span role="alert">{t('noPosition', { why: failed })}</span>}
      <button
        type="button"
        className={styles.othersButton}
        aria-expanded={others}
        onClick={() => setOthers((open) => !open)}
      >
        {others ? t('directionAgain') : t('directionOthers')}
      </button>
    </section>
  );
}
