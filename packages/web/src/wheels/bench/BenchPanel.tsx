import type { ExerciseSpec } from '@jasperwren/motion/layout/exercises';
import type { Layout } from '@jasperwren/motion/layout/layout';
import { wheelLockDeg, wheelOf, type BenchDrive } from '@jasperwren/motion/moves/bench';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { t } from '@jasperwren/words/motion';
import { partName, thingName, vehicleName } from '@jasperwren/words/motion-sentences';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { useDeferredValue, useEffect, useMemo, useState, type PointerEvent } from 'react';
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
import { Replay } from './Replay';
import type { BenchLoop } from './bench-loop';
import { useBench } from './use-bench';

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
  const lock = wheelLockDeg(vehicle);
  const wheel = wheelOf(vehicle, drive.placed.steerDeg);
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
        <div className={styles.scrub}>
          <span id="steering-wheel">{t('wheel')}</span>
          <Slider
            size="small"
            track={false}
            aria-labelledby="steering-wheel"
            // To the right on the slider is to the right on the road.
            min={-lock}
            max={lock}
            step={5}
            value={-wheel}
            getAriaValueText={(value) => wheelWords(-value)}
            onChange={(_, value) => loop.turn({ toDeg: -value })}
          />
          <span className={styles.number}>{wheelWords(wheel)}</span>
        </div>
        <div className={styles.pedals}>
          <Button
            variant="outlined"
            {...held(
              () => loop.roll(-1),
              () => loop.roll(0),
            )}
          >
            {t('back')}
          </Button>
          <Button variant="outlined" onClick={() => loop.turn({ toDeg: 0 })}>
            {t('straighten')}
          </Button>
          <Button
            variant="outlined"
            {...held(
              () => loop.roll(1),
              () => loop.roll(0),
            )}
          >
            {t('forward')}
          </Button>
          <Button
            variant="text"
            onClick={() => {
              if (kept.length > 1) setBefore(kept);
              setLooked(undefined);
              loop.again();
            }}
          >
            {t('startAgain')}
          </Button>
        </div>
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
      <section aria-label={t('soFar')}>
        <h2>{t('soFar')}</h2>
        <dl className={styles.counts}>
          <dt>{t('movementsHead')}</dt>
          <dd>{drive.movements}</dd>
          <dt>{t('dry')}</dt>
          <dd>{t('times', { count: drive.dry })}</dd>
          <dt>{t('way')}</dt>
          <dd>{t('m', { value: drive.wayM.toFixed(1) })}</dd>
          <dt>{t('nearestNow')}</dt>
          <dd>{drive.near ? t('cm', { value: Math.round(drive.near.gapM * 100) }) : t('noGap')}</dd>
        </dl>
        <h3>{t('touched')}</h3>
        {drive.touches.length === 0 && <p className="muted">{t('nothingTouched')}</p>}
        <ul className={styles.touches}>
          {drive.touches.map((touch) => (
            <li key={`${touch.part} ${touch.thing} ${touch.atMs}`}>
              {t('touchedWhat', { part: partName(touch.part), thing: thingName(touch), way: touch.wayM.toFixed(1) })}
            </li>
          ))}
        </ul>
        {exercise && (
          <Judged vehicle={vehicle} layout={layout} spec={exercise} kept={kept} stands={drive.speedMps === 0} />
        )}
      </section>
    </div>
  );
}

function wheelWords(degrees: number): string {
  const value = Math.round(degrees);
  if (value === 0) return t('wheelStraight');
  return t('wheelAt', { degrees: Math.abs(value), side: t(value > 0 ? 'toLeft' : 'toRight') });
}

/** A button that does something for as long as it is held, by pointer or by key. */
const held = (begin: () => void, end: () => void) => ({
  onPointerDown(event: PointerEvent<HTMLButtonElement>) {
    event.currentTarget.setPointerCapture(event.pointerId);
    begin();
  },
  onPointerUp: end,
  onPointerCancel: end,
  onKeyDown: ({ key }: { readonly key: string }) => {
    if (key === ' ' || key === 'Enter') begin();
  },
  onKeyUp: ({ key }: { readonly key: string }) => {
    if (key === ' ' || key === 'Enter') end();
  },
  onBlur: end,
});

const rolls: Readonly<Record<string, 1 | -1>> = { ArrowUp: 1, ArrowDown: -1 };
const turns: Readonly<Record<string, 1 | -1>> = { ArrowLeft: 1, ArrowRight: -1 };

/** Arrow keys drive, wherever no field or slider has them. */
function useKeys(roll: BenchLoop['roll'], turn: BenchLoop['turn']): void {
  useEffect(() => {
    const own = ({ target }: KeyboardEvent) =>
      !(target instanceof HTMLInputElement) &&
      !(target instanceof HTMLElement && target.closest('[role=combobox],[role=listbox]'));
    const down = (event: KeyboardEvent) => {
      if (!own(event) || event.ctrlKey || event.altKey || event.metaKey) return;
      const [rolled, turned] = [rolls[event.key], turns[event.key]];
      if (rolled) roll(rolled);
      else if (turned) turn(turned);
      else if (event.key === 's') turn({ toDeg: 0 });
      else return;
      event.preventDefault();
    };
    const up = (event: KeyboardEvent) => {
      if (rolls[event.key]) roll(0);
      if (turns[event.key]) turn(0);
    };
    const stop = () => {
      roll(0);
      turn(0);
    };
    addEventListener('keydown', down);
    addEventListener('keyup', up);
    addEventListener('blur', stop);
    return () => {
      removeEventListener('keydown', down);
      removeEventListener('keyup', up);
      removeEventListener('blur', stop);
    };
  }, [roll, turn]);
}
