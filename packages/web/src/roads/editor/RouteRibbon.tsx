import type { RouteReading } from '@jasperwren/core/routes/read-route';
import { between } from '@jasperwren/core/routes/along-line';
import { featureName } from '@jasperwren/words/roads/features';
import { t } from '@jasperwren/words/routes';
import { FeatureSign, hasSign } from '../picture/FeatureSign';
import styles from './ribbon.module.css';

interface Props {
  readonly reading: RouteReading;
  /** Metres from the start that stand out, such as where a rehearsal is. */
  readonly at?: number;
}

/** The route by minutes: how each part is driven, and what is met when. */
export function RouteRibbon({ reading, at }: Props) {
  const { legs, seconds, features, pace } = reading;
  const share = (value: number) => `${(100 * value) / Math.max(seconds, 1)}%`;
  const step = seconds > 1500 ? 300 : seconds > 500 ? 120 : 60;
  const marks = Array.from({ length: Math.floor(seconds / step) + 1 }, (_, i) => i * step);
  return (
    <div className={styles.ribbon} role="img" aria-label={t('ribbon')}>
      <div className={styles.features}>
        {features.map(({ kind, metres, seconds: when }, i) =>
          hasSign(kind) ? (
            <span key={`${kind} ${i} ${metres}`} style={{ left: share(when) }} title={featureName(kind)}>
              <FeatureSign kind={kind} />
            </span>
          ) : null,
        )}
      </div>
      <div className={styles.bar}>
        {legs.map(({ mode, fromSeconds, toSeconds }, i) => (
          <i
            key={`${i} ${mode}`}
            data-mode={mode}
            style={{ left: share(fromSeconds), width: share(toSeconds - fromSeconds) }}
          />
        ))}
        {at !== undefined && <b style={{ left: share(between(pace, at)) }} />}
      </div>
      <div className={styles.minutes}>
        {marks.map((second) => (
          <span key={second} style={{ left: share(second) }}>
            {second / 60}
          </span>
        ))}
      </div>
    </div>
  );
}
