import type { TraceView } from '@jasperwren/contract/traces';
import { t } from '@jasperwren/words/traces';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { enqueueSnackbar } from 'notistack';
import { useState } from 'react';
import { addressFor, api } from '../../base/api';
import { apiError } from '../../base/client';
import { typedNumber, typedSigned } from '../../ui/typed-number';
import { AskFirst } from '../../ui/AskFirst';
import styles from './drive-road.module.css';

/** The clock of a trace and its ends; and the ways to take it along or to delete it. */
export function TraceClock({ driveId, trace }: { readonly driveId: string; readonly trace: TraceView }) {
  const [seconds, setSeconds] = useState(String(trace.offsetMs / 1000));
  const [start, setStart] = useState(String(trace.trimStart));
  const [end, setEnd] = useState(String(trace.trimEnd));
  const [edit, { isLoading, error }] = api.useEditTraceMutation();
  const { suggested, version } = trace;
  const offset = typedSigned(seconds);
  const [trimStart, trimEnd] = [typedNumber(start), typedNumber(end)];
  const trims =
    trimStart !== undefined && trimEnd !== undefined
      ? { trimStart: Math.round(trimStart), trimEnd: Math.round(trimEnd) }
      : undefined;
  const save = (offsetS: number | undefined) => {
    if (offsetS !== undefined && trims)
      void edit({ driveId, body: { offsetMs: Math.round(offsetS * 1000), ...trims, version } });
  };
  const best = suggested && Math.round(suggested.ms / 1000);
  return (
    <details className={styles.details} open={trace.state === 'empty'}>
      <summary>{t('details')}</summary>
      <p>
        {suggested
          ? t('clockSays', {
              seconds: String(best),
              agree: suggested.agree,
              of: suggested.of,
              within: Math.round(suggested.within / 1000),
            })
          : t('clockSilent')}
      </p>
      <form
        className={styles.clock}
        onSubmit={(event) => {
          event.preventDefault();
          save(offset);
        }}
      >
        <TextField
          label={t('clock')}
          value={seconds}
          onChange={(event) => setSeconds(event.target.value)}
          size="small"
        />
        <TextField
          label={t('trimStart')}
          value={start}
          onChange={(event) => setStart(event.target.value)}
          size="small"
        />
        <TextField label={t('trimEnd')} value={end} onChange={(event) => setEnd(event.target.value)} size="small" />
        <Button type="submit" variant="outlined" disabled={offset === undefined || !trims || isLoading}>
          {t('save')}
        </Button>
        {best !== undefined && best !== Math.round(trace.offsetMs / 1000) && (
          <Button variant="outlined" disabled={!trims || isLoading} onClick={() => save(best)}>
            {t('useThis', { seconds: String(best) })}
          </Button>
        )}
      </form>
      {error && <p role="alert">{apiError(error)?.problems?.[0]?.message ?? apiError(error)?.message}</p>}
      <div className={styles.clock}>
        <Button variant="text" component="a" href={addressFor('traceFile', { driveId })} download>
          {t('download')}
        </Button>
        <DeleteTrace driveId={driveId} />
      </div>
    </details>
  );
}

function DeleteTrace({ driveId }: { readonly driveId: string }) {
  const [drop] = api.useDropTraceMutation();
  const go = async () => {
    const done = await drop({ driveId });
    if (!done.error) enqueueSnackbar(t('deleted'));
    return done;
  };
  return (
    <AskFirst action={t('deleteTrace')} question={t('deleteSure')} color="error" go={go}>
      {t('deleteTraceMeans')}
    </AskFirst>
  );
}
