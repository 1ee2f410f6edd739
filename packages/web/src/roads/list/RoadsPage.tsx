import type { RoadsView } from '@jasperwren/contract/roads';
import type { DeadEnd } from '@jasperwren/roads/graph/reach';
import type { StoredRoads } from '@jasperwren/roads/source';
import { restrictionProblem } from '@jasperwren/words/roads/problems';
import { joinWords } from '@jasperwren/words/lists';
import { t } from '@jasperwren/words/routes';
import { CircleMarker, Tooltip } from '../picture/on-map';
import { Link, useParams } from 'react-router';
import { api } from '../../base/api';
import { Page, Rows, Section } from '../../ui/Page';
import { Empty, Failed, Loading, NotWorkedOut } from '../../ui/states';
import { useThemeName } from '../../base/Theme';
import { tokens } from '../../base/tokens';
import { failureOf } from '../../ui/failure';
import { RoadPicture } from '../picture/RoadPicture';
import { useReach } from '../work/use-roads-work';
import styles from './list.module.css';

/** What a file of roads holds, and what of it cannot be driven to. */
export default function RoadsPage() {
  const { roadsId = '' } = useParams();
  const roads = api.useRoadsQuery();
  const ways = api.useRoadsOfQuery({ roadsId });
  const view = roads.data?.find(({ id }) => id === roadsId);
  const failed = failureOf(roads, ways);
  if (failed) return <Failed {...failed} />;
  if (!view || !ways.data) return <Loading what={t('roads2')} />;
  return (
    <Page
      title={t('roadsFile', { name: t('roadsVersion', view) })}
      over={<Link to="/routes">{t('routes')}</Link>}
      sub={t('cautions')}
    >
      <Holds roads={view} />
      <HardToReach stored={ways.data} />
      <LeftOut roads={view} />
    </Page>
  );
}

function Holds({ roads: { summary } }: { readonly roads: RoadsView }) {
  if (!summary) return null;
  return (
    <Section title={t('whatItHolds')}>
      <dl className={styles.holds}>
        {Object.entries(summary.kmByClass)
          .sort(([, a], [, b]) => b - a)
          .map(([name, km]) => (
            <div key={name}>
              <dt>{name.replaceAll('_', ' ')}</dt>
              <dd>{t('km', { km: km.toFixed(1) })}</dd>
            </div>
          ))}
        <div>
          <dt>{t('oneWayRoads')}</dt>
          <dd>{t('km', { km: summary.oneWayKm.toFixed(1) })}</dd>
        </div>
      </dl>
    </Section>
  );
}

function HardToReach({ stored }: { readonly stored: StoredRoads }) {
  const { parts, failed, again } = useReach(stored);
  const colours = tokens[useThemeName()];
  const { reach } = parts;
  if (failed !== undefined) return <NotWorkedOut what={t('deadEnds')} why={failed} onAgain={again} />;
  if (!reach) return <Loading what={t('deadEnds')} />;
  return (
    <div className={styles.reach}>
      <div>
        <Section title={t('apart')}>
          {reach.apart.length === 0 && <Empty>{t('nothingApart')}</Empty>}
          <Rows>
            {reach.apart.map(({ lat, lon, junctions, names }) => (
              <li key={`${lat} ${lon}`} className={styles.line}>
                {t('partApart', { count: junctions, names: names.length > 0 ? joinWords(names) : t('unnamedRoads') })}
              </li>
            ))}
          </Rows>
        </Section>
        <Section title={t('deadEnds')}>
          {reach.deadEnds.length === 0 && <Empty>{t('noDeadEnds')}</Empty>}
          <p>{joinWords(byName(reach.deadEnds).map(([name, count]) => t('deadEndsOf', { name, count })))}</p>
        </Section>
      </div>
      <RoadPicture stored={stored}>
        {reach.deadEnds.map(({ lat, lon, name }) => (
          <CircleMarker
            key={`${lat} ${lon}`}
            center={[lat, lon]}
            radius={4}
            pathOptions={{ color: colours.ink, weight: 2 }}
          >
            <Tooltip>{name ?? t('unnamedRoads')}</Tooltip>
          </CircleMarker>
        ))}
        {reach.apart.map(({ lat, lon, junctions, names }) => (
          <CircleMarker
            key={`apart ${lat} ${lon}`}
            center={[lat, lon]}
            radius={9}
            pathOptions={{ color: colours.jasper, weight: 3 }}
          >
            <Tooltip>{t('partApart', { count: junctions, names: names[0] ?? t('unnamedRoads') })}</Tooltip>
          </CircleMarker>
        ))}
      </RoadPicture>
    </div>
  );
}

/** Dead ends of each road, most first; those of roads without a name together. */
function byName(ends: readonly DeadEnd[]): readonly (readonly [name: string, count: number])[] {
  const counts = new Map<string, number>();
  for (const { name = t('unnamedRoads') } of ends) counts.set(name, (counts.get(name) ?? 0) + 1);
  return [...counts].sort(([a, m], [b, n]) => n - m || a.localeCompare(b));
}

function LeftOut({ roads: { summary } }: { readonly roads: RoadsView }) {
  const dropped = summary?.restrictions.dropped ?? [];
  return (
    <Section title={t('restrictionsLeft')}>
      {dropped.length === 0 && <Empty>{t('noRestrictionsLeft')}</Empty>}
      <Rows>
        {dropped.map(({ id, reason }) => (
          <li key={id} className={styles.line}>
            {t('restrictionLeft', { id, reason: restrictionProblem(reason) })}
          </li>
        ))}
      </Rows>
    </Section>
  );
}
