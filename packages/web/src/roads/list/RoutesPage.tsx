import type { RouteView } from '@jasperwren/contract/driving-routes';
import type { RoadsView } from '@jasperwren/contract/roads';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { roadsProblem } from '@jasperwren/words/roads/problems';
import { t } from '@jasperwren/words/routes';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { api } from '../../base/api';
import { Page, Rows, Section } from '../../ui/Page';
import { Empty, Failed, Loading, NotWorkedOut } from '../../ui/states';
import { failureOf } from '../../ui/failure';
import { routeWords, unitsOf } from '../format-route';
import { newestOf } from '../use-route';
import type { AnyReading } from '@jasperwren/core/routes/read-route';
import { isRead, useReadings } from '../work/use-roads-work';
import styles from './list.module.css';
import { AddFromTrack } from './AddFromTrack';
import { RoadsFiles } from './RoadsFiles';

/** While a file is read the list is asked for again after so many milliseconds. */
const askMs = 1000;

/** The routes of the school and the roads they are drawn on. */
export default function RoutesPage() {
  const routes = api.useRoutesQuery();
  const reading = api.endpoints.roads.useQueryState(undefined, {
    selectFromResult: ({ data }) => ({ any: data?.some(({ state }) => state === 'reading') ?? false }),
  }).any;
  const roads = api.useRoadsQuery(undefined, { pollingInterval: reading ? askMs : 0 });
  const ready = roads.data?.some(({ state }) => state === 'ready');
  const failed = failureOf(routes, roads);
  return (
    <Page
      title={t('routes')}
      actions={
        ready && (
          <>
            <Button variant="text" component={Link} to="/routes/places">
              {t('whereFaultsHappen')}
            </Button>
            <AddFromTrack roads={newestOf(roads.data ?? [])!} />
            <Button variant="outlined" component={Link} to="/routes/new?plan=1">
              {t('planRoutes')}
            </Button>
            <Button variant="contained" component={Link} to="/routes/new">
              {t('newRoute')}
            </Button>
          </>
        )
      }
    >
      {failed && <Failed {...failed} />}
      {!failed && (!routes.data || !roads.data) && <Loading what={t('routes2')} />}
      {routes.data && roads.data && (
        <>
          {ready && routes.data.length === 0 && <Empty>{t('noRoutesYet')}</Empty>}
          {groupsOf(routes.data).map(([roadsId, list]) => (
            <RoutesOn key={roadsId} roadsId={roadsId} routes={list} roads={roads.data!} />
          ))}
          <RoadsFiles roads={roads.data} />
        </>
      )}
    </Page>
  );
}

function groupsOf(routes: readonly RouteView[]): readonly (readonly [roadsId: string, routes: readonly RouteView[]])[] {
  const groups = new Map<string, RouteView[]>();
  for (const route of routes) groups.set(route.roadsId, [...(groups.get(route.roadsId) ?? []), route]);
  return [...groups];
}

interface OnProps {
  readonly roadsId: string;
  readonly routes: readonly RouteView[];
  readonly roads: readonly RoadsView[];
}

/** The routes on one file of roads, read there and on its newest version. */
function RoutesOn({ roadsId, routes, roads }: OnProps) {
  const own = roads.find(({ id }) => id === roadsId);
  const newest = own && newestOf(roads, own.name);
  const newer = newest && newest.version > (own?.version ?? 0) ? newest : undefined;
  const here = useReadAll(roadsId, routes);
  const there = useReadAll(newer?.id ?? roadsId, routes);
  const units = unitsOf(here.stored);
  return (
    <Section title={own ? t('roadsVersion', own) : t('roads')}>
      {here.unfetched && <Failed {...here.unfetched} />}
      {here.failed !== undefined && <NotWorkedOut what={t('routes')} why={here.failed} onAgain={here.again} />}
      <Rows>
        {routes.map((route, i) => {
          const reading = here.readings?.[i];
          const broken = newer ? there.readings?.[i]?.broken : undefined;
          return (
            <li key={route.id} className={styles.route}>
              <Link to={`/routes/${route.id}`}>{route.name}</Link>
              <span className="muted">{!here.unfetched && readingWords(reading, units)}</span>
              {broken && newer && (
                <span role="alert">
                  {t('brokenOnNewer', {
                    version: newer.version,
                    leg: broken.leg + 1,
                    problem: roadsProblem(broken.problem),
                  })}
                </span>
              )}
            </li>
          );
        })}
      </Rows>
    </Section>
  );
}

function readingWords(reading: AnyReading | undefined, units: Parameters<typeof routeWords>[1]): string {
  if (!reading) return t('workingItOut');
  if (isRead(reading) && !reading.broken) return routeWords(reading, units);
  const { leg, problem } = reading.broken!;
  return t('brokenAt', { leg: leg + 1, problem: roadsProblem(problem) });
}

function useReadAll(roadsId: string, routes: readonly RouteView[]) {
  const asked = api.useRoadsOfQuery({ roadsId });
  const { currentData: stored } = asked;
  const question = useMemo(
    () => ({ stored, routes: routes.map(({ stops }) => stops), style: instructorStyle }),
    [stored, routes],
  );
  const { parts, failed, again } = useReadings(question);
  return { stored, unfetched: failureOf(asked), readings: parts.readings, failed, again };
}
