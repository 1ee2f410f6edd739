import { t } from '@jasperwren/words/editor';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { behaviours } from '@jasperwren/core/catalogue/catalogue';
import { gradesOf } from '@jasperwren/core/marking/rules';
import type { Sourced } from '@jasperwren/core/marking/provenance';
import { sensorSigns, type Category, type Item, type Measured } from '@jasperwren/core/marking/standard';
import { memo } from 'react';
import { setBySchool } from '@jasperwren/core/marking/provenance';
import { inCategory, inItem, withoutItem, type EditProps } from './change';
import styles from './editor.module.css';
import { setSensors } from './course-change';
import { ChoiceEdit, LetterEdit, NumberEdit, SeveralEdit, TextEdit } from './fields';

const bounds = [
  ['over', 'over'],
  ['atLeast', 'from'],
  ['below', 'below'],
] as const;

const whatCounts = [
  ['value', t('measurementCounts')],
  ['grade', t('gradeGivenCounts')],
] as const;

function withBound(measured: Measured, at: number, bound: (typeof bounds)[number][0], next: Sourced): Measured {
  const { value, provenance } = next;
  return {
    ...measured,
    bands: measured.bands.map((band, b) => (b === at ? { ...band, [bound]: value, provenance } : band)),
  };
}

export const ItemRow = memo(function ItemRow({
  category,
  item,
  standard,
  change,
}: EditProps & { readonly category: string; readonly item: Item }) {
  const set = (changes: Partial<Item>) => change(inItem(category, item.code, changes));
  return (
    <div className={styles.item} role="group" aria-label={item.name}>
      <LetterEdit label={t('letter')} value={item.letter} onChange={(letter) => set({ letter })} />
      <TextEdit label={t('faultType')} value={item.name} onChange={(name) => set({ name })} width="20rem" />
      <TextField
        select
        size="small"
        label={t('grades')}
        value={gradesOf(standard, item).map(({ code }) => code)}
        onChange={(event) => set({ grades: event.target.value as unknown as string[] })}
        slotProps={{ select: { multiple: true } }}
        sx={{ minWidth: '12rem' }}
      >
        {standard.grades.map(({ code, short }) => (
          <MenuItem key={code} value={code}>
            {short}
          </MenuItem>
        ))}
      </TextField>
      {Object.entries(item.points ?? {}).map(([grade, points]) => (
        <NumberEdit
          key={grade}
          label={standard.grades.find(({ code }) => code === grade)?.short ?? grade}
          unit="points"
          value={points}
          onChange={({ value }) => set({ points: { ...item.points, [grade]: setBySchool(value) } })}
        />
      ))}
      {item.measured?.bands.map((band, b) =>
        bounds.map(([bound, words]) => {
          const value = band[bound];
          return value === undefined ? null : (
            <NumberEdit
              key={`${b} ${bound}`}
              label={`${standard.grades.find(({ code }) => code === band.grade)?.name ?? band.grade} ${words}`}
              unit={item.measured!.unit}
              value={{ value, provenance: band.provenance }}
              onChange={(next) => set({ measured: withBound(item.measured!, b, bound, next) })}
              width="12rem"
            />
          );
        }),
      )}
      {standard.course && (
        <SeveralEdit
          label={t('seenBySensors')}
          value={item.sensors ?? []}
          choices={sensorSigns.map((sign) => [sign, t(`sign-${sign}`)] as const)}
          onChange={(sensors) => change(setSensors(category, item.code, sensors))}
          optional
        />
      )}
      {item.measured && (
        <ChoiceEdit
          label={t('ifMeasurementAndGradeDiffer')}
          value={item.measured.counts ?? 'value'}
          choices={whatCounts}
          onChange={(counts) => set({ measured: { ...item.measured!, counts } })}
          width="15rem"
        />
      )}
      <Button
        variant="text"
        aria-label={t('removeItem', { item: item.name })}
        onClick={() => change(withoutItem(category, item.code))}
      >
        {t('remove')}
      </Button>
    </div>
  );
});

/** Takes a behaviour of the shared catalogue in, so that drives under different standards go on to compare. */
export function AddItem({ category, standard, change }: EditProps & { readonly category: Category }) {
  const taken = new Set(standard.categories.flatMap(({ items }) => items.map(({ behaviour }) => behaviour)));
  const letters = new Set(category.items.map(({ letter }) => letter));
  const free = behaviours.filter(({ code }) => !taken.has(code));
  return (
    <Autocomplete
      size="small"
      options={free}
      getOptionLabel={({ name, explanation }) => `${name}: ${explanation}`}
      getOptionKey={({ code }) => code}
      value={null}
      blurOnSelect
      clearOnBlur
      onChange={(_, behaviour) => {
        if (!behaviour) return;
        const letter =
          [behaviour.key[1]!, ...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].find((candidate) => !letters.has(candidate)) ?? 'A';
        const item: Item = { code: behaviour.code, behaviour: behaviour.code, name: behaviour.name, letter };
        change(inCategory(category.code, (is) => ({ ...is, items: [...is.items, item] })));
      }}
      renderInput={(params) => <TextField {...params} label={t('addFromCatalogue')} />}
      sx={{ maxWidth: '36rem' }}
    />
  );
}
