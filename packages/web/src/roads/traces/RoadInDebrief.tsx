import type { SharedRoad } from '@jasperwren/contract/traces';
import type { Drive } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useState } from 'react';
import { unitsOf } from '../format-route';
import { DrivePicture } from './DrivePicture';

interface Props {
  readonly road: SharedRoad;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly onMark: (markId: string) => void;
}

/** Where a drive went, in place of the plain ribbon of a debrief. */
export default function RoadInDebrief({ road, standard, drive, onMark }: Props) {
  const [atMs, setAtMs] = useState(0);
  return (
    <DrivePicture
      trace={road}
      reading={road.reading}
      standard={standard}
      drive={drive}
      stored={road.roads}
      units={unitsOf(road.roads)}
      atMs={atMs}
      onMoment={setAtMs}
      onMark={onMark}
      plain
    />
  );
}
