import type { SensorRun } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { startDetector } from '@jasperwren/core/yard/detector';
import { startRunEvents } from '@jasperwren/core/yard/run-events';
import { t } from '@jasperwren/words/yard';
import { itemName } from '@jasperwren/words/marking/names';
import { useEffect, useEffectEvent } from 'react';
import { clockTime } from '../../ui/format';
import { heardMore, said } from '../desk/desk-slice';
import { giveReceipt } from '../desk/receipts';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import { driveSimulated, watchRun } from '../../yard/public';
import { appendMade } from '../log/append-made';

interface Props {
  readonly driveId: string;
  readonly standard: EffectiveStandard;
  readonly sensors: SensorRun;
}

/**
 * Reads the sensors of the run on a drive: what is found goes into the log. After a reload everything is read again, and what
 * the log has stays as it is.
 */
export default function SensorReader({ driveId, standard, sensors }: Props) {
  const dispatch = useAppDispatch();
  const sounds = useAppSelector(({ settings }) => settings.receipts);
  const { run } = sensors;
  const tellMark = useEffectEvent((item: string, atMs: number) => {
    dispatch(said(t('bySensors', { fault: itemName(standard, item), at: clockTime(atMs) })));
    if (sounds) giveReceipt('taken');
  });
  useEffect(() => {
    const stopCar = driveSimulated(standard, sensors.run);
    const detector = startDetector(standard);
    const events = startRunEvents(sensors);
    const stop = watchRun(sensors.run, {
      hearing: (hearing) => void dispatch(heardMore({ hearing })),
      samples(samples) {
        const own = samples.filter(({ at }) => typeof at !== 'number' || at >= sensors.clockMs);
        const findings = own.flatMap((sample) => detector.take(sample));
        void dispatch(appendMade(driveId, events(findings))).then((fresh) => {
          for (const event of fresh) if (event.type === 'mark') tellMark(event.item, event.atMs);
        });
        const told = findings.findLast(({ kind }) => kind === 'gap' || kind === 'fact');
        dispatch(heardMore({ last: samples.at(-1)!, at: Date.now(), ...(told && { told }) }));
      },
    });
    return () => {
      stop();
      stopCar?.();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the run says it: its event never changes
  }, [dispatch, driveId, standard, run]);
  return null;
}
