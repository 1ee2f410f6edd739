import { t } from '@jasperwren/words/drives';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { Mark } from '@jasperwren/core/drive/drive';
import { gradeOfValue } from '@jasperwren/core/marking/measured';
import { bandBrings } from '@jasperwren/words/marking/bands';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useState } from 'react';
import { typedNumber } from '../ui/typed-number';

interface Props {
  readonly standard: EffectiveStandard;
  readonly mark: Mark;
  readonly onMeasured: (grade: string, measured: number) => unknown;
}

/** What was measured of a mark: the standard's bands say its grade. Nothing where the item is not measured. */
export function Measure({ standard, mark, onMeasured }: Props) {
  const measured = rulesOf(standard).items.get(mark.item)?.item.measured;
  const [typed, setTyped] = useState(mark.measured === undefined ? '' : String(mark.measured));
  const [said, setSaid] = useState('');
  if (!measured) return null;
  const { quantity, unit, bands } = measured;
  const measure = () => {
    const value = typedNumber(typed);
    if (value === undefined) return setSaid(t('aNumberOfUnit0Or', { unit }));
    const grade = gradeOfValue(measured, value);
    if (grade === undefined) return setSaid(t('valueUnitIsWithinTheLimit', { value, unit }));
    setSaid('');
    onMeasured(grade, value);
  };
  const grades = bands.map((band) => bandBrings(standard, band, unit));
  return (
    <form
      style={{ display: 'flex', gap: 8, alignItems: 'flex-start', marginTop: 6 }}
      onSubmit={(event) => {
        event.preventDefault();
        measure();
      }}
    >
      <TextField
        size="small"
        label={`${quantity.charAt(0).toUpperCase()}${quantity.slice(1)}, ${unit}`}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        error={said !== ''}
        helperText={said || grades.join('; ')}
        slotProps={{ htmlInput: { inputMode: 'decimal', maxLength: 8 } }}
        sx={{ width: '18rem' }}
      />
      <Button type="submit" variant="outlined" sx={{ minHeight: 40 }}>
        {t('setGrade')}
      </Button>
    </form>
  );
}
