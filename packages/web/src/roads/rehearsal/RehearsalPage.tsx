import { stopsAhead } from '@jasperwren/core/routes/way-back';
import type { PlacedCall, RouteReading } from '@jasperwren/core/routes/read-route';
import { trafficSide } from '@jasperwren/roads/graph/side';
import { openRoads } from '@jasperwren/roads/source';
import { t } from '@jasperwren/words/rehearsal';
import { t as routes } from '@jasperwren/words/routes';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api } from '../../base/api';
import { Page } from '../../ui/Page';
import { Empty, Failed, Loading, NotWorkedOut } from '../../ui/states';
import { FindNewWay } from '../car/FindNewWay';
import { unitsOf } from '../format-route';
import { useCallStyles } from '../use-call-styles';
import { useReading, useRoute } from '../use-route';
import type { NewWay, NewWayQuestion } from '../work/roads.worker';
import { isRead } from '../work/use-roads-work';
import { Player } from './Player';
import { RouteLinks } from './RouteLinks';

/** A route rehearsed at a desk or as a passenger. */
export default function RehearsalPage() {
  const { routeId = '' } = useParams();
  const { route, stored, missing, unfetched } = useRoute(routeId);
  const { instructor, device } = useCallStyles();
  const { reading, failed, again } = useReading(stored, route?.stops, instructor);
  const { data: notes = [] } = api.useRoadNotesQuery();
  const [detour, setDetour] = useState<NewWay>();
  const [question, setQuestion] = useState<NewWayQuestion>();
  const side = useMemo(() => (stored ? trafficSide(openRoads(stored)) : 'left'), [stored]);
  if (unfetched) return <Failed {...unfetched} />;
  if (missing) return <Empty>{routes('routeNotFound')}</Empty>;
  if (!route || !stored) return <Loading what={routes('routeReading')} />;
  const now: RouteReading | undefined = detour?.reading ?? (isRead(reading) ? reading : undefined);
  const onClosed = (call: PlacedCall) => {
    if (!now) return;
    setQuestion({
      roads: stored,
      from: { call, why: 'closed' },
      edges: now.edges,
      stops: stopsAhead(detour?.stops ?? route.stops, now, call.decision.metres),
      closed: detour?.closed ?? [],
      style: instructor,
    });
  };
  return (
    <Page
      title={t('rehearsal', { name: route.name })}
      over={<Link to={`/routes/${route.id}`}>{routes('backToRoute')}</Link>}
      sub={t('rehearsalCaution')}
    >
      {failed !== undefined && <NotWorkedOut what={routes('routeReading')} why={failed} onAgain={again} />}
      {!reading && failed === undefined && <Loading what={routes('routeReading')} />}
      {now && (
        <Player reading={now} units={unitsOf(stored)} side={side} notes={notes} device={device} onClosed={onClosed} />
      )}
      <RouteLinks routeId={route.id} />
      {question && (
        <p role="status">
          <FindNewWay
            question={question}
            onFound={(way) => {
              setDetour(way);
              setQuestion(undefined);
            }}
          />
        </p>
      )}
    </Page>
  );
}
