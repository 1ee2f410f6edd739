import type { PlaceOfFaults, PlacesView } from '@jasperwren/contract/places';
import type { StoredRoads } from '@jasperwren/roads/source';
import { placeWords, t } from '@jasperwren/words/traces';
import { api } from '../../base/api';
import { areaOf } from './behaviour-names';
import { FaultsAt } from './FaultsAt';
import styles from './places.module.css';
import { PractiseButton } from './PractiseButton';
import { schoolWide } from './use-filter';

interface Props {
  readonly view: PlacesView;
  readonly compared: PlacesView | undefined;
  readonly compareTo: string | undefined;
  readonly chosen: string | undefined;
  readonly onChoose: (place: string | undefined) => void;
  readonly roads: { readonly id: string; readonly stored: StoredRoads } | undefined;
}

/** So many places are listed; those below have low rates or few faults. */
const most = 14;

/** The places by their rates, hot spots first, each with its range. */
export function PlaceList({ view, compared, compareTo, chosen, onChoose, roads }: Props) {
  const { data: learners = [] } = api.useLearnersQuery({});
  const withFaults = view.places.filter(({ faults, hot }) => faults > 0 || hot);
  const listed = withFaults.slice(0, most);
  const hot = view.places.filter((one) => one.hot).length;
  const scale = Math.max(0.01, ...listed.map(({ high }) => high));
  const otherName =
    compareTo === schoolWide ? t('wholeSchool') : (learners.find(({ id }) => id === compareTo)?.name ?? '');
  return (
    <section className={styles.list} aria-label={t('perPass')}>
      <h2>{t('perPass')}</h2>
      <p>{hot === 0 ? t('noHot') : t('hotCount', { count: hot })}</p>
      <p className="muted">{t('bandSays')}</p>
      <ul>
        {listed.map((one) => {
          const isChosen = one.place.id === chosen;
          return (
            <li key={one.place.id} data-hot={one.hot}>
              <button
                type="button"
                aria-expanded={isChosen}
                onClick={() => onChoose(isChosen ? undefined : one.place.id)}
              >
                <span className={styles.name}>
                  <b>{placeWords(one.place)}</b>
                  <span>{ofPasses(one)}</span>
                </span>
                <span className="muted">{areaWords(one)}</span>
                <Band {...one} scale={scale} />
                {one.hot && <span className={styles.hot}>{t('hot')}</span>}
              </button>
              {compared && <Compared one={one} other={compared} name={otherName} scale={scale} />}
              {isChosen && (
                <div className={styles.detail}>
                  <p>
                    {t('rateWords', { rate: rate(one.rate), low: rate(one.low), high: rate(one.high) })};{' '}
                    {t('usualWords', { usual: rate(one.usual) })}
                  </p>
                  {roads && <PractiseButton place={one.place} {...roads} />}
                  <FaultsAt placeId={one.place.id} />
                </div>
              )}
            </li>
          );
        })}
      </ul>
      {withFaults.length > most && <p className="muted">{t('listEnds', { most })}</p>}
      {view.tooFew > 0 && <p className="muted">{t('tooFew', { count: view.tooFew })}</p>}
    </section>
  );
}

const rate = (value: number) => value.toFixed(2);
const ofPasses = ({ faults, passes }: PlaceOfFaults) =>
  t('ofPasses', { faults: t('faultCount', { count: faults }), passes: t('passes', { count: passes }) });

/** "Junctions 8, Mirrors 5". */
function areaWords({ behaviours }: PlaceOfFaults): string {
  const areas = new Map<string, number>();
  for (const { behaviour, faults } of behaviours) {
    const area = areaOf(behaviour);
    areas.set(area, (areas.get(area) ?? 0) + faults);
  }
  return [...areas]
    .sort(([, a], [, b]) => b - a)
    .slice(0, 4)
    .map(([area, faults]) => `${area} ${faults}`)
    .join(', ');
}

function Band({
  rate: middle,
  low,
  high,
  scale,
}: Pick<PlaceOfFaults, 'rate' | 'low' | 'high'> & { readonly scale: number }) {
  const share = (value: number) => `${(100 * value) / scale}%`;
  return (
    <span className={styles.band} aria-hidden="true">
      <i style={{ left: share(low), width: share(high - low) }} />
      <b style={{ left: share(middle) }} />
    </span>
  );
}

/** The same place for those who are compared. */
function Compared({
  one,
  other,
  name,
  scale,
}: {
  readonly one: PlaceOfFaults;
  readonly other: PlacesView;
  readonly name: string;
  readonly scale: number;
}) {
  const there = other.places.find(({ place }) => place.id === one.place.id);
  if (!there) return <p className="muted">{t('notPassed', { name })}</p>;
  return (
    <p className="muted">
      {t('compared', { name, rate: rate(there.rate), passes: t('passes', { count: there.passes }) })}
      <Band {...there} high={Math.min(there.high, scale)} scale={scale} />
    </p>
  );
}
