import type { RouteView } from '@jasperwren/contract/driving-routes';
import type { RouteBody } from '@jasperwren/core/routes/driving-route';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import type { StoredRoads } from '@jasperwren/roads/source';
import { roadsProblem } from '@jasperwren/words/roads/problems';
import { t } from '@jasperwren/words/routes';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { api } from '../../base/api';
import { NotWorkedOut } from '../../ui/states';
import { Unsaved } from '../../ui/Unsaved';
import { useUnsaved } from '../../ui/use-unsaved';
import { routeWords, unitsOf } from '../format-route';
import type { AnyReading } from '@jasperwren/core/routes/read-route';
import { isRead, useBeside } from '../work/use-roads-work';
import { lengthWords } from '@jasperwren/words/roads/distances';
import type { FromFile } from '../list/AddFromTrack';
import { Downloads } from './Downloads';
import type { Edit } from './edit';
import styles from './editor.module.css';
import { Novelty } from './Novelty';
import { RouteSheet } from './RouteSheet';
import { SaveRoute } from './SaveRoute';
import { StopsList } from './StopsList';

const PlanPanel = lazy(() => import('./PlanPanel'));

interface Props {
  readonly stored: StoredRoads;
  readonly roadsId: string;
  readonly route: RouteView | undefined;
  readonly now: RouteBody;
  readonly reading: AnyReading | undefined;
  readonly failed: string | undefined;
  readonly again: () => void;
  readonly closed: boolean;
  readonly planFirst: boolean;
  readonly given: FromFile | undefined;
  readonly onEdit: (edit: Edit) => void;
  /** Does with the middle of the picture what a tap does, for the keyboard. */
  readonly onHere: () => void;
  /** Where planned loops start. */
  readonly from: () => { readonly lat: number; readonly lon: number };
}

/** What the route is, beside its picture. */
export function EditorSide({
  stored,
  roadsId,
  route,
  now,
  reading,
  failed,
  again,
  closed,
  planFirst,
  given,
  onEdit,
  onHere,
  from,
}: Props) {
  const [planning, setPlanning] = useState(planFirst);
  const changed = route ? changedFrom(route, now) : now.stops.length > 0;
  const { blocker, letGo } = useUnsaved(changed);
  const units = useMemo(() => unitsOf(stored), [stored]);
  const { others, adds } = useOthers(stored, roadsId, route, now);
  const drawn = now.stops.length > 1;
  return (
    <aside className={styles.side} aria-label={t('routeReading')}>
      <Unsaved blocker={blocker} what={t('routeReading').toLowerCase()} />
      <Typography variant="h1">{now.name || t('newRouteName')}</Typography>
      {failed !== undefined && <NotWorkedOut what={t('routeReading')} why={failed} onAgain={again} />}
      {!drawn && <p>{t('nothingDrawn')}</p>}
      {drawn && !reading && failed === undefined && <p role="status">{t('workingItOut')}</p>}
      {drawn && isRead(reading) && <p role="status">{routeWords(reading, units)}</p>}
      {drawn && reading?.broken && (
        <p role="alert">
          {t('brokenAt', { leg: reading.broken.leg + 1, problem: roadsProblem(reading.broken.problem) })}
        </p>
      )}
      {given?.unmatched.map(({ from: start, to }) => (
        <p key={start} role="alert">
          {t('trackUnmatched', { from: lengthWords(start, units), to: lengthWords(to, units) })}
        </p>
      ))}
      {route && !changed && (
        <div className={styles.buttons}>
          <Button variant="contained" component={Link} to={`/routes/${route.id}/rehearse`}>
            {t('rehearse')}
          </Button>
          <Button variant="outlined" component={Link} to={`/routes/${route.id}/directions`}>
            {t('printDirections')}
          </Button>
        </div>
      )}
      <TextField
        label={t('nameOfRoute')}
        value={now.name}
        onChange={(event) => onEdit({ type: 'name', name: event.target.value })}
        error={now.name.trim() === ''}
        helperText={now.name.trim() === '' ? t('nameTheRoute') : undefined}
      />
      <SaveRoute {...{ roadsId, route, now, changed, letGo }} ready={drawn && isRead(reading) && !reading.broken}>
        {!planning && (
          <Button variant="text" onClick={() => setPlanning(true)}>
            {t('planRoutes')}
          </Button>
        )}
        {route && !changed && isRead(reading) && <Downloads route={now} reading={reading} />}
      </SaveRoute>
      {planning && (
        <Suspense fallback={<p role="status">{t('workingItOut')}</p>}>
          <PlanPanel
            {...{ stored, units, from }}
            onUse={(stops) => onEdit({ type: 'stops', stops })}
            onClose={() => setPlanning(false)}
          />
        </Suspense>
      )}
      {drawn && isRead(reading) && (
        <RouteSheet
          reading={reading}
          others={others}
          adds={adds}
          onAdd={({ leg, at }) => onEdit({ type: 'insert', after: leg, at })}
        />
      )}
      {drawn && isRead(reading) && <Novelty stored={stored} roadsId={roadsId} stops={now.stops} />}
      {now.stops.length > 0 && <StopsList route={now} closed={closed} onEdit={onEdit} />}
      <Button variant="text" onClick={onHere}>
        {t('addHere')}
      </Button>
      <p className="muted">{t('cautions')}</p>
    </aside>
  );
}

const changedFrom = (route: RouteView, now: RouteBody) =>
  now.name !== route.name ||
  JSON.stringify([now.stops, now.places, now.notes]) !== JSON.stringify([route.stops, route.places, route.notes]);

/** The other routes on the same roads, each with the share of this one that lies on it, and stops for what this one lacks. */
function useOthers(stored: StoredRoads, roadsId: string, route: RouteView | undefined, now: RouteBody) {
  const { data: routes } = api.useRoutesQuery();
  const others = useMemo(
    () => (routes ?? []).filter((one) => one.roadsId === roadsId && one.id !== route?.id),
    [routes, roadsId, route],
  );
  const question = useMemo(
    () => ({ stored, routes: [now.stops, ...others.map(({ stops }) => stops)], style: instructorStyle }),
    [stored, now.stops, others],
  );
  const { parts, working } = useBeside(question);
  return {
    others: others.map((one, i) => [one, parts.shared?.each[i] ?? 0] as const),
    // A stop goes into a leg by its number: only those found for the route as it stands may be offered.
    adds: working ? [] : (parts.adds ?? []),
  };
}
