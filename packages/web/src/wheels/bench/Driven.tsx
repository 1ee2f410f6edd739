import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { useSyncExternalStore } from 'react';
import { VehicleShape } from '../picture/VehicleShape';
import type { BenchLoop } from './bench-loop';
import { Ghost, type GhostDrive } from './Ghost';

interface Props {
  readonly vehicle: Vehicle;
  readonly loop: BenchLoop;
  readonly ghost: GhostDrive | undefined;
}

/** The vehicle as it is driven, frame by frame: what is around it is drawn less often. */
export function Driven({ vehicle, loop, ghost }: Props) {
  const { drive } = useSyncExternalStore(loop.subscribe, loop.state);
  return (
    <>
      {ghost && <Ghost ghost={ghost} wayM={drive.wayM} />}
      <VehicleShape vehicle={vehicle} placed={drive.placed} touching={drive.touching.map(({ part }) => part)} />
    </>
  );
}
