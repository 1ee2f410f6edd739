import type { SharedRoad, TracedRoad } from '@jasperwren/contract/traces';
import type { Drive } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useState } from 'react';
import { unitsOf } from '../format-route';
import { DrivePicture } from './DrivePicture';
import { PlacedPicture } from './PlacedPicture';

interface Props {
  readonly road: SharedRoad;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly onMark: (markId: string) => void;
}

/** Where a drive went, or where its faults were placed, in place of the plain ribbon of a debrief. */
export default function RoadInDebrief({ road, ...others }: Props) {
  return 'reading' in road ? <Traced road={road} {...others} /> : <PlacedPicture road={road} {...others} />;
}

function Traced({ road, standard, drive, onMark }: Props & { readonly road: TracedRoad }) {
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
