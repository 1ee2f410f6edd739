import { t } from '@jasperwren/words/drives';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { familiarities } from '@jasperwren/core/drive/event-kinds';
import type { Familiarity } from '@jasperwren/core/drive/event';

const names: Readonly<Record<Familiarity, string>> = { known: t('familiar'), partly: t('partly'), new: t('new') };

interface Props {
  readonly familiarity: Familiarity | undefined;
  readonly onChoose: (familiarity: Familiarity) => void;
}

/** How well the learner knew the roads of a drive: a clean drive on known ones says less. */
export function RoadsChoice({ familiarity, onChoose }: Props) {
  return (
    <ToggleButtonGroup
      exclusive
      value={familiarity ?? null}
      onChange={(_, value: Familiarity | null) => value && onChoose(value)}
      aria-label={t('howWellDidTheLearnerKnow')}
    >
      {familiarities.map((one) => (
        <ToggleButton key={one} value={one}>
          {names[one]}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
