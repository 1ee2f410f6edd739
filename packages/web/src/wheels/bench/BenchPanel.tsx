import type { ExerciseSpec } from '@jasperwren/motion/layout/exercises';
import type { Layout } from '@jasperwren/motion/layout/layout';
import { wheelOf, type BenchDrive } from '@jasperwren/motion/moves/bench';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { t } from '@jasperwren/words/motion';
import { vehicleName } from '@jasperwren/words/motion-sentences';
import { useDeferredValue, useMemo, useState } from 'react';
import { Choose } from '../../ui/Choose';
import { GroundPicture } from '../picture/GroundPicture';
import { frameOf } from '../picture/outline';
import { VehicleShape } from '../picture/VehicleShape';
import { Mirrors } from '../sight/Mirrors';
import sight from '../sight/sight.module.css';
import styles from '../wheels.module.css';
import { Driven } from './Driven';
import { DrivenTracks } from './DrivenTracks';
import { Ghost } from './Ghost';
import { ghostOf, type Beside } from './ghost-of';
import { Judged } from './Judged';
import { Pedals } from './Pedals';
import { Replay } from './Replay';
import { SoFar } from './SoFar';
import { useBench } from './use-bench';
import { useKeys } from './use-keys';

interface Props {
  readonly vehicle: Vehicle;
  readonly layout: Layout;
  /** Missing on a ground of the school's own, which no standard judges. */
  readonly exercise: ExerciseSpec | undefined;
  readonly name: string;
}

/** Driving an exercise by hand, with what it would count. */
export default function BenchPanel({ vehicle, layout, exercise, name }: Props) {
  const { drive, kept, loop } = useBench(vehicle, layout);
  useKeys(loop.roll, loop.turn);
  const touched = useMemo(() => new Set(drive.touches.map(({ thing }) => thing)), [drive.touches]);
  const [looked, setLooked] = useState<number>();
  const [before, setBefore] = useState<readonly BenchDrive[]>();
  const [beside, setBeside] = useState<Beside>('none');
  // While it rolls what is seen is where it is.
  const back = looked !== undefined && drive.speedMps === 0 ? kept[looked] : undefined;
  const ghost = useMemo(
    () => ghostOf(beside, { vehicle, layout, kept, before }),
    [beside, vehicle, layout, kept, before],
  );
  // The mirrors may come later where the picture from above takes all the time there is.
  const seen = useDeferredValue((back ?? drive).placed);
  const frame = useMemo(() => frameOf(layout, vehicle, []), [layout, vehicle]);
  return (
    <div className={styles.columns}>
      <div>
        <GroundPicture layout={layout} frame={frame} touched={touched} label={t('picture', { exercise: name })}>
          <DrivenTracks vehicle={vehicle} kept={kept} />
          {back ? (
            <>
              {ghost && <Ghost ghost={ghost} wayM={back.wayM} />}
              <VehicleShape vehicle={vehicle} placed={back.placed} />
            </>
          ) : (
            <Driven vehicle={vehicle} loop={loop} ghost={ghost} />
          )}
        </GroundPicture>
        <Pedals
          vehicle={vehicle}
          wheelDeg={wheelOf(vehicle, drive.placed.steerDeg)}
          loop={loop}
          onAgain={() => {
            if (kept.length > 1) setBefore(kept);
            setLooked(undefined);
            loop.again();
          }}
        />
        <Replay kept={kept} at={back && looked} onLook={setLooked} />
        <div className={styles.fields}>
          <Choose
            label={t('beside')}
            value={beside}
            options={[
              ['none', t('besideNone')],
              ...(before ? [['before', t('besideBefore')] as const] : []),
              ...Object.values(vehicleClasses)
                .filter(({ kind }) => kind !== vehicle.kind)
                .map(({ kind }) => [kind, t('besideSame', { vehicle: vehicleName(kind) })] as const),
            ]}
            onChoose={setBeside}
          />
        </div>
        <div className={sight.mirrors}>
          <Mirrors vehicle={vehicle} placed={seen} layout={layout} />
        </div>
        <p className="muted">{t('benchWhy')}</p>
      </div>
      <SoFar vehicle={vehicle} drive={drive}>
        {exercise && (
          <Judged vehicle={vehicle} layout={layout} spec={exercise} kept={kept} stands={drive.speedMps === 0} />
        )}
      </SoFar>
    </div>
  );
}
