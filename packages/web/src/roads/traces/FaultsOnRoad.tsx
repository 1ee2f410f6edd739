import type { MarkOnRoad } from '@jasperwren/contract/traces';
import type { Drive } from '@jasperwren/core/drive/drive';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { itemName } from '@jasperwren/words/marking/names';
import { clockTime } from '../../ui/format';
import { SignMark } from './SignMark';

interface Props {
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly places: readonly Pick<MarkOnRoad, 'markId' | 'lat' | 'lon'>[];
  readonly chosen: string | undefined;
  readonly onChoose: (markId: string) => void;
}

/** The faults of a drive at their places, each by the sign and the name of its grade. */
export function FaultsOnRoad({ standard, drive, places, chosen, onChoose }: Props) {
  const { grades } = rulesOf(standard);
  return places.map(({ markId, lat, lon }) => {
    const mark = drive.marks.find(({ id }) => id === markId);
    if (!mark) return null;
    const grade = grades.get(mark.grade);
    return (
      <SignMark
        key={markId}
        lat={lat}
        lon={lon}
        sign={grade?.sign ?? 'noted'}
        title={`${itemName(standard, mark.item)}, ${grade?.name ?? ''}, ${clockTime(mark.atMs)}`}
        chosen={markId === chosen}
        onChoose={() => onChoose(markId)}
      />
    );
  });
}
