import type { RoadNoteView } from '@jasperwren/contract/roads';
import { notesByCall } from '@jasperwren/core/routes/notes-on-route';
import type { PlacedCall, RouteReading } from '@jasperwren/core/routes/read-route';
import type { CallStyle } from '@jasperwren/roads/directions/calls';
import { callSentence } from '@jasperwren/words/roads/directions';
import { aheadWords, lengthWords, type Units } from '@jasperwren/words/roads/distances';
import { t } from '@jasperwren/words/routes';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api } from '../../base/api';
import { Page } from '../../ui/Page';
import { Empty, Failed, Loading, NotWorkedOut } from '../../ui/states';
import { routeWords, unitsOf } from '../format-route';
import { useCallStyles } from '../use-call-styles';
import { useReading, useRoute } from '../use-route';
import { isRead } from '../work/use-roads-work';
import styles from './directions.module.css';
import { TimingDialog } from './TimingDialog';

type Speaker = 'instructor' | 'device';

/** The directions of a route as a sheet to speak from. */
export default function DirectionsPage() {
  const { routeId = '' } = useParams();
  const { route, stored, missing, unfetched } = useRoute(routeId);
  const [speaker, setSpeaker] = useState<Speaker>('instructor');
  const [timing, setTiming] = useState(false);
  const [chosen, setUnits] = useState<Units>();
  const { data: notes = [] } = api.useRoadNotesQuery();
  const style = useCallStyles()[speaker];
  const { reading, failed, again } = useReading(stored, route?.stops, style);
  if (unfetched) return <Failed {...unfetched} />;
  if (missing) return <Empty>{t('routeNotFound')}</Empty>;
  if (!route || !stored) return <Loading what={t('directionsOf', { name: '' })} />;
  const units = chosen ?? unitsOf(stored);
  return (
    <Page
      title={t('directionsOf', { name: route.name })}
      over={<Link to={`/routes/${route.id}`}>{t('backToRoute')}</Link>}
      sub={isRead(reading) ? routeWords(reading, units) : undefined}
      actions={
        <>
          <TextField
            select
            size="small"
            label={t('speaker')}
            value={speaker}
            onChange={(event) => setSpeaker(event.target.value as Speaker)}
          >
            <MenuItem value="instructor">{t('instructor')}</MenuItem>
            <MenuItem value="device">{t('satNav')}</MenuItem>
          </TextField>
          <TextField
            select
            size="small"
            label={t('units')}
            value={units}
            onChange={(event) => setUnits(event.target.value as Units)}
          >
            <MenuItem value="miles">{t('milesAndYards')}</MenuItem>
            <MenuItem value="metric">{t('metric')}</MenuItem>
          </TextField>
          <Button variant="text" onClick={() => setTiming(true)}>
            {t('whenToSpeak')}
          </Button>
          <Button variant="contained" onClick={() => window.print()}>
            {t('print')}
          </Button>
        </>
      }
    >
      {failed !== undefined && <NotWorkedOut what={t('routeReading')} why={failed} onAgain={again} />}
      {!reading && failed === undefined && <Loading what={t('routeReading')} />}
      {isRead(reading) && <CallTable {...{ reading, notes, units }} style={style} />}
      <p className="muted">{t('cautions')}</p>
      {timing && <TimingDialog speaker={speaker} units={units} onClose={() => setTiming(false)} />}
    </Page>
  );
}

interface TableProps {
  readonly reading: RouteReading;
  readonly notes: readonly RoadNoteView[];
  readonly units: Units;
  readonly style: CallStyle;
}

function CallTable({ reading, notes, units, style }: TableProps) {
  const { calls } = reading;
  const texts = useMemo(() => notesByCall(reading, notes), [reading, notes]);
  if (calls.length === 0) return <p>{t('noDirections')}</p>;
  return (
    <table className={styles.calls}>
      <thead>
        <tr>
          <th scope="col">{t('after')}</th>
          <th scope="col">{t('say')}</th>
        </tr>
      </thead>
      <tbody>
        {calls.map((call) => (
          <tr key={`${call.at} ${call.again ?? ''}`} data-again={call.again !== undefined}>
            <td>{lengthWords(call.at, units)}</td>
            <td>
              <b>{callSentence(call, style, units)}</b>
              <span className="muted">
                {t('sayBefore', { distance: aheadWords(call.distance, units) })}
                {call.decision.name !== undefined && `, ${t('onto', { road: call.decision.name })}`}
              </span>
              {call.again === undefined &&
                [...gatesAt(call), ...(texts.get(call) ?? [])].map((text) => <em key={text}>{text}</em>)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What looks like an exit at a roundabout and is none. */
const gatesAt = ({ decision }: PlacedCall): readonly string[] =>
  'notExits' in decision && decision.notExits > 0 ? [t('gateIsNoExit', { count: decision.notExits })] : [];
