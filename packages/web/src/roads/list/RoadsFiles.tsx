import type { RoadsView } from '@jasperwren/contract/roads';
import { roadsProblem } from '@jasperwren/words/roads/problems';
import { t } from '@jasperwren/words/routes';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useState, type DragEvent } from 'react';
import { Link } from 'react-router';
import { api } from '../../base/api';
import { useAppDispatch } from '../../base/hooks';
import { Rows, Section } from '../../ui/Page';
import styles from './list.module.css';
import { sendRoads } from './send-roads';
import { FileButton } from '../../ui/FileButton';
import { told } from '../../ui/told';
import { AskFirst } from '../../ui/AskFirst';

/** The files of roads, and a place to drop another. */
export function RoadsFiles({ roads }: { readonly roads: readonly RoadsView[] }) {
  const dispatch = useAppDispatch();
  const [over, setOver] = useState(false);
  const [sending, setSending] = useState(false);
  const [failed, setFailed] = useState<string>();
  const send = async (file: File | undefined) => {
    if (!file) return;
    setSending(true);
    setFailed(undefined);
    await sendRoads(file).catch((error: unknown) => setFailed(error instanceof Error ? error.message : String(error)));
    setSending(false);
    dispatch(api.util.invalidateTags(['roads']));
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    void send(event.dataTransfer.files[0]);
  };
  return (
    <Section title={t('roads')}>
      {roads.length > 0 && (
        <Rows>
          {roads.map((one) => (
            <RoadsRow key={one.id} roads={one} />
          ))}
        </Rows>
      )}
      {/* Who cannot drop a file has the button in it. */}
      <div
        role="presentation"
        className={styles.drop}
        data-over={over}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={drop}
      >
        <p>{roads.length === 0 ? t('noRoadsYet') : t('dropFileHere')}</p>
        <FileButton
          variant="outlined"
          label={t('addRoads')}
          accept=".osm,.gz,.xml,.geojson,.json"
          disabled={sending}
          onFile={send}
        />
        {failed !== undefined && <p role="alert">{t('addingFailed', { why: failed })}</p>}
      </div>
    </Section>
  );
}

function RoadsRow({ roads }: { readonly roads: RoadsView }) {
  const [drop, { isLoading }] = api.useDropRoadsMutation();
  const { id, name, version, state, progress, problem, summary } = roads;
  return (
    <li className={styles.roads}>
      <b>
        {state === 'ready' ? (
          <Link to={`/routes/roads/${id}`}>{t('roadsVersion', { name, version })}</Link>
        ) : (
          t('roadsVersion', { name, version })
        )}
      </b>
      <div>
        {state === 'reading' && (
          <span role="status">
            {t('readingPercent', { percent: progress })}
            <LinearProgress
              variant="determinate"
              value={progress}
              color="inherit"
              aria-label={t('readingPercent', { percent: progress })}
            />
          </span>
        )}
        {problem && <span role="alert">{t('couldNotBeRead', { problem: roadsProblem(problem) })}</span>}
        {summary && (
          <span className="muted">
            {t('roadsSum', {
              km: Math.round(summary.km),
              junctions: summary.junctions,
              restrictions: summary.restrictions.kept,
            })}
            {summary.restrictions.dropped.length > 0 &&
              `; ${t('restrictionsLeftOut', { count: summary.restrictions.dropped.length })}`}
            {summary.components.length > 1 && `; ${t('partsApart', { count: summary.components.length - 1 })}`}
          </span>
        )}
      </div>
      {state === 'reading' ? (
        <Button variant="text" size="small" disabled={isLoading} onClick={() => void drop({ roadsId: id }).then(told)}>
          {t('cancelReading')}
        </Button>
      ) : (
        <AskFirst
          action={t('delete')}
          aria-label={t('deleteRoads', { name: t('roadsVersion', { name, version }) })}
          size="small"
          question={t('deleteRoadsAsk', { name: t('roadsVersion', { name, version }) })}
          go={() => drop({ roadsId: id })}
        >
          {t('deleteRoadsMeans')}
        </AskFirst>
      )}
    </li>
  );
}
