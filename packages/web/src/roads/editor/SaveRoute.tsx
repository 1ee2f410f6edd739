import type { RouteView } from '@jasperwren/contract/driving-routes';
import type { RouteBody } from '@jasperwren/core/routes/driving-route';
import { t } from '@jasperwren/words/routes';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogTitle from '@mui/material/DialogTitle';
import { enqueueSnackbar } from 'notistack';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../../base/api';
import { apiError } from '../../base/client';
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
  const [asking, setAsking] = useState(false);
  const [addRoute, adding] = api.useAddRouteMutation();
  const [editRoute, editing] = api.useEditRouteMutation();
  const [dropRoute, dropping] = api.useDropRouteMutation();
  const error = adding.error ?? editing.error ?? dropping.error;
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
    const { error: refused } = await dropRoute({ routeId: route!.id });
    setAsking(false);
    if (refused) return;
    letGo();
    void navigate('/routes');
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
          <Button variant="text" onClick={() => setAsking(true)}>
            {t('deleteRoute')}
          </Button>
        )}
      </div>
      {asking && (
        <Dialog open onClose={() => setAsking(false)}>
          <DialogTitle>{t('deleteRouteAsk', { name: route!.name })}</DialogTitle>
          <DialogActions>
            <Button onClick={() => setAsking(false)}>{t('keep')}</Button>
            <Button variant="contained" onClick={() => void drop()}>
              {t('deleteRoute')}
            </Button>
          </DialogActions>
        </Dialog>
      )}
    </>
  );
}
