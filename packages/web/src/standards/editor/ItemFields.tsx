import { t } from '@jasperwren/words/editor';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { behaviours } from '@jasperwren/core/catalogue/catalogue';
import { gradesOf } from '@jasperwren/core/marking/rules';
import { sensorSigns, type Category, type Item } from '@jasperwren/core/marking/standard';
import { memo } from 'react';
import { setBySchool } from '@jasperwren/core/marking/provenance';
import { inCategory, inItem, setOptional, withoutItem, type EditProps } from './change';
import { MeasuredFields } from './BandFields';
import styles from './editor.module.css';
import { setSensors } from './course-change';
import { LetterEdit, NumberEdit, SeveralEdit, TextEdit } from './fields';

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
          unit={t('pointsUnit')}
          value={points}
          onChange={({ value }) => set({ points: { ...item.points, [grade]: setBySchool(value) } })}
        />
      ))}
      {standard.course && (
        <SeveralEdit
          label={t('seenBySensors')}
          value={item.sensors ?? []}
          choices={sensorSigns.map((sign) => [sign, t(`sign-${sign}`)] as const)}
          onChange={(sensors) => change(setSensors(category, item.code, sensors))}
          optional
        />
      )}
      <MeasuredFields
        standard={standard}
        item={item}
        onChange={(measured) => change(setOptional(category, item.code, 'measured', measured))}
      />
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
