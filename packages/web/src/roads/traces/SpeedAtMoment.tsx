import { whereAt } from '@jasperwren/core/traces/reading';
import { speedsIn } from '@jasperwren/core/traces/drive-speeds';
import { speedWords } from '@jasperwren/words/traces';
import { useMemo, type ReactNode } from 'react';
import { api } from '../../base/api';
import { unitsOf } from '../format-route';

interface Props {
  readonly driveId: string;
  /** Milliseconds of the drive's clock. */
  readonly atMs: number;
  readonly children: (speed: string) => ReactNode;
}

/** How fast the car was at a moment by its trace; nothing where there is none, or its road is not sure then. */
export default function SpeedAtMoment({ driveId, atMs, children }: Props) {
  const { data: road } = api.useDriveRoadQuery({ driveId });
  const traced = road && 'reading' in road ? road : undefined;
  const speed = useMemo(() => {
    if (!traced) return undefined;
    const car = whereAt(traced.reading, traced.zeroMs + atMs);
    if (!car) return undefined;
    const { speeds, begins } = speedsIn(traced.reading);
    const metres = begins[car.piece]! + car.metres;
    const [near] = [...speeds].sort((a, b) => Math.abs(a.metres - metres) - Math.abs(b.metres - metres));
    return near && Math.abs(near.metres - metres) < nearM ? speedWords(near.kmh, unitsOf(traced.roads)) : undefined;
  }, [traced, atMs]);
  return speed === undefined ? null : children(speed);
}

/** A speed measured farther away than this, in metres, is not that of the moment. */
const nearM = 30;
