import type { RouteView } from '@jasperwren/contract/driving-routes';
import type { StoredRoads } from '@jasperwren/roads/source';
import { t } from '@jasperwren/words/routes';
import { skipToken } from '@reduxjs/toolkit/query';
import { useLocation, useParams, useSearchParams } from 'react-router';
import { api } from '../../base/api';
import { failureOf } from '../../ui/failure';
import { Empty, Failed, Loading } from '../../ui/states';
import type { FromFile } from '../list/AddFromTrack';
import { newestOf, useRoute } from '../use-route';
import { Editor } from './Editor';

/** A route on its roads: drawn, read and saved. */
export default function RoutePage() {
  const { routeId } = useParams();
  return routeId === undefined ? <NewRoute /> : <SavedRoute routeId={routeId} />;
}

function NewRoute() {
  const [search] = useSearchParams();
  const given = useLocation().state as FromFile | null;
  const { data: roads, ...asked } = api.useRoadsQuery();
  const chosen =
    roads && (roads.find(({ id, state }) => id === search.get('roads') && state === 'ready') ?? newestOf(roads));
  const ways = api.useRoadsOfQuery(chosen ? { roadsId: chosen.id } : skipToken);
  const failed = failureOf(asked, ways);
  if (roads && !chosen) return <Empty>{t('noRoadsYet')}</Empty>;
  if (failed) return <Failed {...failed} />;
  if (!chosen || !ways.data) return <Loading what={t('roads2')} />;
  return (
    <Editor
      stored={ways.data}
      roadsId={chosen.id}
      route={undefined}
      given={given ?? undefined}
      planFirst={search.has('plan')}
    />
  );
}

function SavedRoute({ routeId }: { readonly routeId: string }) {
  const { route, stored, missing, unfetched } = useRoute(routeId);
  if (unfetched) return <Failed {...unfetched} />;
  if (missing) return <Empty>{t('routeNotFound')}</Empty>;
  if (!route || !stored) return <Loading what={t('routeReading')} />;
  return <Opened key={`${route.id} ${route.version}`} route={route} stored={stored} />;
}

const Opened = ({ route, stored }: { readonly route: RouteView; readonly stored: StoredRoads }) => (
  <Editor stored={stored} roadsId={route.roadsId} route={route} given={undefined} planFirst={false} />
);
