import type { PlacedRoad } from '@jasperwren/contract/traces';
import type { Drive } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/traces';
import { useMemo, useState } from 'react';
import { Polyline } from '../picture/on-map';
import { useThemeName } from '../../base/Theme';
import { tokens } from '../../base/tokens';
import { Ribbon } from '../../ui/Ribbon';
import { boundsOf } from '../picture/bounds';
import { RoadPicture } from '../picture/RoadPicture';
import styles from './drive-road.module.css';
import { FaultsOnRoad } from './FaultsOnRoad';

interface Props {
  readonly road: PlacedRoad;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly onMark: (markId: string) => void;
}

/** The planned route of a drive without a trace, and the faults where its instructor placed them. */
export function PlacedPicture({ road: { roads, line, marks }, standard, drive, onMark }: Props) {
  const colours = tokens[useThemeName()];
  const [chosen, setChosen] = useState<string>();
  const show = useMemo(() => boundsOf(line), [line]);
  const choose = (markId: string) => {
    setChosen(markId);
    onMark(markId);
  };
  return (
    <>
      <div className={styles.picture} data-plain>
        <div className={styles.map}>
          <RoadPicture stored={roads} show={show}>
            <Polyline
              positions={line as [number, number][]}
              interactive={false}
              pathOptions={{ color: colours.ink, weight: 5, opacity: 0.7 }}
            />
            <FaultsOnRoad standard={standard} drive={drive} places={marks} chosen={chosen} onChoose={choose} />
          </RoadPicture>
        </div>
      </div>
      <p className="muted">{t('plannedAndPlaced')}</p>
      <Ribbon standard={standard} drive={drive} nowMs={drive.lastMs} chosen={chosen} onMark={choose} />
    </>
  );
}
