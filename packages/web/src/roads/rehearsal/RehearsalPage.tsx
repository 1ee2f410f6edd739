import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { trafficSide } from '@jasperwren/roads/graph/side';
import { openRoads } from '@jasperwren/roads/source';
import { t } from '@jasperwren/words/routes';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { Page } from '../../ui/Page';
import { Empty, Failed, Loading, NotWorkedOut } from '../../ui/states';
import { unitsOf } from '../format-route';
import { useReading, useRoute } from '../use-route';
import { isRead } from '../work/use-roads-work';
import { Player } from './Player';

/** A route rehearsed at a desk or as a passenger. */
export default function RehearsalPage() {
  const { routeId = '' } = useParams();
  const { route, stored, missing, error, retry } = useRoute(routeId);
  const { reading, failed, again } = useReading(stored, route?.stops, instructorStyle);
  const side = useMemo(() => (stored && trafficSide(openRoads(stored)) === 'right' ? 1 : -1), [stored]);
  if (error) return <Failed error={error} onRetry={retry} />;
  if (missing) return <Empty>{t('routeNotFound')}</Empty>;
  if (!route || !stored) return <Loading what={t('routeReading')} />;
  return (
    <Page
      title={t('rehearsal', { name: route.name })}
      over={<Link to={`/routes/${route.id}`}>{t('backToRoute')}</Link>}
      sub={t('rehearsalCaution')}
    >
      {failed !== undefined && <NotWorkedOut what={t('routeReading')} why={failed} onAgain={again} />}
      {!reading && failed === undefined && <Loading what={t('routeReading')} />}
      {isRead(reading) && <Player reading={reading} units={unitsOf(stored)} side={side} />}
    </Page>
  );
}
