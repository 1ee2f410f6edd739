import type { RouteView } from '@jasperwren/contract/driving-routes';
import type { RouteBody } from '@jasperwren/core/routes/driving-route';
import { t } from '@jasperwren/words/routes';
import Button from '@mui/material/Button';
import { enqueueSnackbar } from 'notistack';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../../base/api';
import { apiError } from '../../base/client';
import { AskFirst } from '../../ui/AskFirst';
import styles from './editor.module.css';

interface Props {
  readonly roadsId: string;
  readonly route: RouteView | undefined;
  readonly now: RouteBody;
  readonly changed: boolean;
  /** Whether it can be driven from end to end. */
  readonly ready: boolean;
  readonly letGo: () => void;
  /** What else can be done with it. */
  readonly children: ReactNode;
}

/** Saves the route, or deletes it after asking. */
export function SaveRoute({ roadsId, route, now, changed, ready, letGo, children }: Props) {
  const navigate = useNavigate();
  const [addRoute, adding] = api.useAddRouteMutation();
  const [editRoute, editing] = api.useEditRouteMutation();
  const [dropRoute] = api.useDropRouteMutation();
  const error = adding.error ?? editing.error;
  const save = async () => {
    const { name, stops, places, notes } = now;
    const body = { name, roadsId, stops, places, ...(notes !== undefined && { notes }) };
    const saved = route
      ? await editRoute({ routeId: route.id, body: { ...body, version: route.version } })
      : await addRoute({ body });
    if (saved.error) return;
    letGo();
    enqueueSnackbar(t('saved'));
    void navigate(`/routes/${saved.data.id}`, { replace: true });
  };
  const drop = async () => {
    const done = await dropRoute({ routeId: route!.id });
    if (done.error) return done;
    letGo();
    void navigate('/routes');
    return done;
  };
  return (
    <>
      {error && <p role="alert">{apiError(error)?.message}</p>}
      <div className={styles.buttons}>
        {changed && (
          <Button
            variant="contained"
            disabled={!ready || now.name.trim() === '' || adding.isLoading || editing.isLoading}
            onClick={() => void save()}
          >
            {t('save')}
          </Button>
        )}
        {children}
        {route && (
          <AskFirst action={t('deleteRoute')} question={t('deleteRouteAsk', { name: route.name })} go={drop}>
            {t('deleteRouteMeans')}
          </AskFirst>
        )}
      </div>
    </>
  );
}
