import type { Placed } from '@jasperwren/motion/moves/roll';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { useMemo } from 'react';
import { tracksOf } from './outline';
import styles from './picture.module.css';

/** The ways that the wheels and the corners of the body take. */
export function TracksShape({ vehicle, way }: { readonly vehicle: Vehicle; readonly way: readonly Placed[] }) {
  const { tyres, corners } = useMemo(() => tracksOf(vehicle, way), [vehicle, way]);
  return (
    <g aria-hidden="true">
      {corners.map((path, i) => (
        <path key={i} className={styles.cornerTrack} d={path} />
      ))}
      {tyres.map(({ name, path, front }) => (
        <path key={name} className={front ? styles.frontTrack : styles.rearTrack} d={path} />
      ))}
    </g>
  );
}
