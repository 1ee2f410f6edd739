import type { Placed } from '@jasperwren/motion/moves/roll';
import { bodyOf, drawbarOf, tyresOf, type PartName } from '@jasperwren/motion/vehicle/parts';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { pathOf, shapeOf } from './outline';
import styles from './picture.module.css';

interface Props {
  readonly vehicle: Vehicle;
  readonly placed: Placed;
  /** Where it was, not where it is. */
  readonly faint?: boolean;
  readonly touching?: readonly PartName[];
}

/** A vehicle from above: body, mirrors and wheels turned as they are. */
export function VehicleShape({ vehicle, placed, faint = false, touching = [] }: Props) {
  const drawbar = drawbarOf(vehicle, placed);
  return (
    <g className={faint ? styles.faint : undefined}>
      {drawbar && <path className={styles.body} d={pathOf(drawbar)} />}
      {bodyOf(vehicle, placed).map(({ name, outline }) => (
        <path key={name} className={touching.includes(name) ? styles.bodyTouching : styles.body} d={shapeOf(outline)} />
      ))}
      {tyresOf(vehicle, placed).map(({ name, outline }) => (
        <path key={name} className={touching.includes(name) ? styles.tyreTouching : styles.tyre} d={shapeOf(outline)} />
      ))}
    </g>
  );
}
