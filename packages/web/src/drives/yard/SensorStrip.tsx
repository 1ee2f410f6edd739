import { t } from '@jasperwren/words/yard';
import { foundSentence } from '@jasperwren/words/yard-runs';
import type { SensorRun } from '@jasperwren/core/drive/drive';
import { useEffect, useState } from 'react';
import { api } from '../../base/api';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import { panelOpened } from '../desk/desk-slice';
import styles from './sensors.module.css';

interface Props {
  readonly sensors: SensorRun | undefined;
  readonly running: boolean;
}

/** So long without a sample a car is silent, in milliseconds. */
const silentMs = 2000;

/** Whether sensors are read, what they say now, and the way to have them read. */
export function SensorStrip({ sensors, running }: Props) {
  const dispatch = useAppDispatch();
  const heard = useAppSelector((state) => state.desk.heard);
  const silent = useSilent(heard?.at);
  const { data: cars = [] } = api.useYardCarsQuery();
  // Where no car has sensors the offer takes no room; the simulated one is behind “More”.
  if (!sensors && cars.length === 0) return null;
  if (!sensors)
    return (
      <button
        type="button"
        className={styles.choose}
        disabled={!running}
        onClick={() => dispatch(panelOpened({ kind: 'sensors' }))}
      >
        {t('readSensors')}
      </button>
    );
  const { last, told, hearing = 'connecting' } = heard ?? {};
  const car = sensors.car ?? t('theCar');
  return (
    <div className={styles.strip}>
      <b role="status">
        {t(hearing === 'unknown' ? 'runGone' : hearing !== 'heard' ? 'connecting' : silent ? 'silent' : 'sending', {
          car,
        })}
      </b>
      {last && (
        <span>
          {[
            typeof last.speed === 'number' && t('kmh', { value: Math.abs(last.speed).toFixed(0) }),
            typeof last.gear === 'string' && t('gearNow', { gear: last.gear }),
            typeof last.rpm === 'number' && t('rpm', { value: Math.round(last.rpm) }),
          ]
            .filter(Boolean)
            .join(', ')}
        </span>
      )}
      {told && <small>{foundSentence(told)}</small>}
    </div>
  );
}

/** Whether nothing has come for a while. */
function useSilent(at: number | undefined): boolean {
  const [silentSince, setSilentSince] = useState<number>();
  useEffect(() => {
    const timer = setTimeout(() => setSilentSince(at), silentMs);
    return () => clearTimeout(timer);
  }, [at]);
  return at !== undefined && silentSince === at;
}
