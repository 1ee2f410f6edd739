import type { SensorRun } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { startDetector } from '@jasperwren/core/yard/detector';
import type { Finding } from '@jasperwren/core/yard/findings';
import { startRunEvents } from '@jasperwren/core/yard/run-events';
import type { SentSample } from '@jasperwren/core/yard/sample';
import { t } from '@jasperwren/words/yard';
import { itemName } from '@jasperwren/words/marking/names';
import { useEffect, useEffectEvent, useState } from 'react';
import { clockTime } from '../../ui/format';
import { said } from '../desk/desk-slice';
import { giveReceipt } from '../desk/receipts';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import { driveSimulated, watchRun, type Hearing } from '../../yard/public';
import { appendMade } from '../log/append-made';

/** What the console knows of the sensors it reads. */
export interface Heard {
  readonly hearing: Hearing;
  readonly last?: SentSample;
  /** Wall clock of this device when the last sample came, in milliseconds. */
  readonly at?: number;
  /** The last gap, reaction or stopping distance. */
  readonly told?: Finding;
}

/**
 * Reads the sensors of the run on a drive: what is found goes into the log. After a reload everything is read again, and what
 * the log has stays as it is.
 */
export function useSensors(
  driveId: string,
  standard: EffectiveStandard,
  sensors: SensorRun | undefined,
  ended: boolean,
): Heard | undefined {
  const dispatch = useAppDispatch();
  const sounds = useAppSelector(({ settings }) => settings.receipts);
  const [heard, setHeard] = useState<Heard>({ hearing: 'connecting' });
  const run = sensors?.run;
  const tellMark = useEffectEvent((item: string, atMs: number) => {
    dispatch(said(t('bySensors', { fault: itemName(standard, item), at: clockTime(atMs) })));
    if (sounds) giveReceipt('taken');
  });
  useEffect(() => {
    if (!sensors || ended) return;
    const stopCar = driveSimulated(standard, sensors.run);
    const detector = startDetector(standard);
    const events = startRunEvents(sensors);
    const stop = watchRun(sensors.run, {
      hearing: (hearing) => setHeard((now) => ({ ...now, hearing })),
      samples(samples) {
        const own = samples.filter(({ at }) => typeof at !== 'number' || at >= sensors.clockMs);
        const findings = own.flatMap((sample) => detector.take(sample));
        void dispatch(appendMade(driveId, events.of(findings))).then((fresh) => {
          for (const event of fresh) if (event.type === 'mark') tellMark(event.item, event.atMs);
        });
        const told = findings.findLast(({ kind }) => kind === 'gap' || kind === 'fact');
        setHeard((now) => ({ ...now, last: samples.at(-1)!, at: Date.now(), ...(told && { told }) }));
      },
    });
    return () => {
      stop();
      stopCar?.();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the run says it: its event never changes
  }, [dispatch, driveId, standard, run, ended]);
  return sensors && heard;
}
