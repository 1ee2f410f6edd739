import type { RouteView } from '@jasperwren/contract/driving-routes';
import type { FeatureStop } from '@jasperwren/core/routes/add-feature';
import { mockTestWants, type RouteReading } from '@jasperwren/core/routes/read-route';
import { featureKinds, type FeatureKind } from '@jasperwren/roads/features/features';
import { percent } from '@jasperwren/words/lists';
import { featureName } from '@jasperwren/words/roads/features';
import { t } from '@jasperwren/words/routes';
import Typography from '@mui/material/Typography';
import styles from './editor.module.css';

interface Props {
  readonly reading: RouteReading;
  /** Stops that would bring in what is missing. */
  readonly adds: readonly FeatureStop[];
  readonly onAdd: (stop: FeatureStop) => void;
  /** Other routes on the same roads, with the share of this one that lies on them. */
  readonly others: readonly (readonly [Pick<RouteView, 'id' | 'name'>, number])[];
}

/** Shares below this are not worth a word. */
const worthSaying = 0.15;

/** What the route holds against what a mock test wants. */
export function RouteSheet({ reading: { counts, repeated }, adds, onAdd, others }: Props) {
  const wanted = Object.entries(mockTestWants) as [FeatureKind, number][];
  const more = featureKinds.filter((kind) => mockTestWants[kind] === undefined && counts[kind]);
  return (
    <>
      <Typography variant="h2">{t('wants')}</Typography>
      <dl className={styles.wants}>
        {wanted.map(([kind, want]) => {
          const found = counts[kind] ?? 0;
          const add = found < want ? adds.find((one) => one.kind === kind) : undefined;
          return (
            <div key={kind} data-missing={found < want}>
              <dt>{featureName(kind)}</dt>
              <dd>
                {add && (
                  <button type="button" className={styles.add} onClick={() => onAdd(add)}>
                    {t('addFeature', { minutes: Math.max(0, Math.round(add.seconds / 60)) })}
                  </button>
                )}
                {t('foundOfWanted', { found, wanted: want })}
              </dd>
            </div>
          );
        })}
      </dl>
      {more.length > 0 && (
        <>
          <Typography variant="h3">{t('alsoOnIt')}</Typography>
          <dl className={styles.wants}>
            {more.map((kind) => (
              <div key={kind}>
                <dt>{featureName(kind)}</dt>
                <dd>{counts[kind]}</dd>
              </div>
            ))}
          </dl>
        </>
      )}
      {repeated >= 0.02 && <p className="muted">{t('repeated', { share: percent(repeated) })}</p>}
      {others.map(([{ id, name }, share]) =>
        share >= worthSaying ? (
          <p key={id} className="muted">
            {t('sharedWith', { share: percent(share), name })}
          </p>
        ) : null,
      )}
    </>
  );
}
