import type { OnWay } from '@jasperwren/motion/moves/same-hands';
import { atWay } from '@jasperwren/motion/moves/same-hands';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { useMemo } from 'react';
import { TracksShape } from '../picture/TracksShape';
import { VehicleShape } from '../picture/VehicleShape';
import styles from '../picture/picture.module.css';

export interface GhostDrive {
  readonly vehicle: Vehicle;
  readonly way: readonly OnWay[];
}

/** Another drive beside the one that is driven: as far along as this one. */
export function Ghost({ ghost: { vehicle, way }, wayM }: { readonly ghost: GhostDrive; readonly wayM: number }) {
  const driven = useMemo(() => way.map(({ placed }) => placed), [way]);
  return (
    <g className={styles.faint}>
      <TracksShape vehicle={vehicle} way={driven} />
      <VehicleShape vehicle={vehicle} placed={atWay(way, wayM).placed} />
    </g>
  );
}
