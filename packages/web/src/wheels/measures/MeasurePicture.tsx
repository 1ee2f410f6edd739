import { standing } from '@jasperwren/motion/moves/roll';
import { isOfTrailer, type AnyMeasure } from '@jasperwren/motion/vehicle/measures';
import { frontOf, type Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { t } from '@jasperwren/words/motion';
import { measureName } from '@jasperwren/words/motion-sentences';
import { VehicleShape } from '../picture/VehicleShape';
import picture from '../picture/picture.module.css';
import styles from './measures.module.css';
import { measureLine, type At } from './measure-line';

interface Props {
  readonly vehicle: Vehicle;
  /** The measure whose tape is shown. */
  readonly measure: AnyMeasure;
}

const origin = standing({ x: 0, y: 0, heading: 0 });
const path = (points: readonly At[]) => points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x} ${-y}`).join('');

/** Where the tape goes on the vehicle for a measure. */
export function MeasurePicture({ vehicle, measure }: Props) {
  const line = measureLine(vehicle, measure);
  if (!line) return <p className="muted">{t('noTape', { measure: measureName(measure) })}</p>;
  const { view, from, to } = line;
  const { trailer } = vehicle;
  const behind =
    trailer && isOfTrailer(measure)
      ? trailer.hitchBehindM + trailer.drawbarM + trailer.bodyBehindM
      : vehicle.rearOverhangM;
  const left = -behind - 0.4;
  const width = frontOf(vehicle) - left + 0.4;
  const [top, height] =
    view === 'side'
      ? [vehicle.roofM + 0.2, vehicle.roofM + 0.5]
      : [vehicle.mirrorWidthM / 2 + 0.3, vehicle.mirrorWidthM + 0.6];
  const upright = from.x === to.x;
  const end = ({ x, y }: At): readonly At[] =>
    upright
      ? [
          { x: x - 0.1, y },
          { x: x + 0.1, y },
        ]
      : [
          { x, y: y - 0.1 },
          { x, y: y + 0.1 },
        ];
  return (
    <svg
      className={styles.picture}
      viewBox={`${left} ${-top} ${width} ${height}`}
      role="img"
      aria-label={t('tapeFor', { measure: measureName(measure) })}
    >
      {view === 'side' ? <SideShape vehicle={vehicle} /> : <VehicleShape vehicle={vehicle} placed={origin} />}
      <path className={styles.tape} d={path([from, to]) + path(end(from)) + path(end(to))} />
    </svg>
  );
}

/** A vehicle from the side, by its measures. */
function SideShape({ vehicle }: { readonly vehicle: Vehicle }) {
  const { rearOverhangM, wheelbaseM, tyreDiameterM, roofM, sillM, bonnetHeightM } = vehicle;
  const front = frontOf(vehicle);
  const radius = tyreDiameterM / 2;
  const body: readonly At[] = [
    { x: -rearOverhangM, y: radius * 0.8 },
    { x: -rearOverhangM, y: roofM * 0.86 },
    { x: -rearOverhangM + 0.3, y: roofM },
    { x: vehicle.pillarTopAheadM, y: roofM },
    { x: vehicle.pillarFootAheadM, y: Math.max(sillM, bonnetHeightM) },
    { x: vehicle.bonnetAheadM, y: bonnetHeightM },
    { x: front, y: bonnetHeightM * 0.8 },
    { x: front, y: radius * 0.8 },
  ];
  const window: readonly At[] = [
    { x: vehicle.doorPillarAheadM, y: sillM },
    { x: vehicle.doorPillarAheadM, y: roofM - 0.08 },
    { x: vehicle.pillarTopAheadM, y: roofM - 0.08 },
    { x: vehicle.pillarFootAheadM - 0.05, y: sillM },
  ];
  return (
    <>
      <path className={picture.body} d={`${path(body)}Z`} />
      <path className={styles.window} d={`${path(window)}Z`} />
      {[0, wheelbaseM].map((x) => (
        <circle key={x} className={picture.tyre} cx={x} cy={-radius} r={radius} />
      ))}
      <circle className={styles.eye} cx={vehicle.eyeAheadM} cy={-vehicle.eyeHeightM} r={0.06} />
      <path
        className={styles.ground}
        d={path([
          { x: -rearOverhangM - 1, y: 0 },
          { x: front + 1, y: 0 },
        ])}
      />
    </>
  );
}
