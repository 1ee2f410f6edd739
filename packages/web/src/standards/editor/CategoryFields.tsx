import DragIndicator from '@mui/icons-material/DragIndicator';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useSortable } from '@dnd-kit/sortable';
import { behaviours } from '@jasperwren/core/catalogue/catalogue';
import { gradesOf } from '@jasperwren/core/marking/rules';
import type { Sourced } from '@jasperwren/core/marking/provenance';
import type { Category, Item, Measured, Standard } from '@jasperwren/core/marking/standard';
import { memo, useState } from 'react';
import { Rows } from '../../ui/Page';
import { Sortable } from '../../ui/Sortable';
import { inCategory, inItem, moveCategory, setBySchool, withNewCategory, withoutItem, type Change } from './change';
import styles from './editor.module.css';
import { ChoiceEdit, LetterEdit, NumberEdit, TextEdit } from './fields';

interface Props {
  readonly standard: Standard;
  readonly change: (change: Change) => void;
}

/** The categories in the order of the desk: dragged, renamed, and opened for their items. */
export function CategoryFields({ standard, change }: Props) {
  return (
    <>
      <Sortable
        rows={standard.categories.map(({ code, name }) => ({ key: code, name }))}
        onMove={(code, before) => change(moveCategory(code, before))}
      >
        <Rows>
          {standard.categories.map((category) => (
            <CategoryRow key={category.code} category={category} standard={standard} change={change} />
          ))}
        </Rows>
      </Sortable>
      <Button variant="outlined" onClick={() => change(withNewCategory)}>
        Add a category
      </Button>
    </>
  );
}

function CategoryRow({ category, standard, change }: Props & { readonly category: Category }) {
  const [open, setOpen] = useState(false);
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, isDragging } = useSortable({
    id: category.code,
  });
  const { code, name, letter, items } = category;
  const set = (changes: Partial<Category>) => change(inCategory(code, (is) => ({ ...is, ...changes })));
  return (
    <li
      ref={setNodeRef}
      className={styles.category}
      data-dragging={isDragging}
      style={transform ? { transform: `translateY(${transform.y}px)` } : undefined}
    >
      <div className={styles.categoryHead}>
        <button
          ref={setActivatorNodeRef}
          type="button"
          className={styles.grip}
          {...attributes}
          {...listeners}
          aria-label={`Move ${name}`}
        >
          <DragIndicator />
        </button>
        <LetterEdit label="Letter" value={letter} onChange={(value) => set({ letter: value })} />
        <TextEdit label="Category" value={name} onChange={(value) => set({ name: value })} width="18rem" />
        <Button variant="text" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Close' : `${items.length} items of ${name}`}
        </Button>
        {open && (
          <Button
            variant="text"
            onClick={() => {
              change((is) => items.reduce((kept, item) => withoutItem(code, item.code)(kept), is));
              change((is) => ({ ...is, categories: is.categories.filter((c) => c.code !== code) }));
            }}
          >
            Remove the category
          </Button>
        )}
      </div>
      {open && (
        <div className={styles.items}>
          {items.map((item) => (
            <ItemRow key={item.code} category={code} item={item} standard={standard} change={change} />
          ))}
          <AddItem category={category} standard={standard} change={change} />
        </div>
      )}
    </li>
  );
}

const bounds = [
  ['over', 'over'],
  ['atLeast', 'from'],
  ['below', 'below'],
] as const;

const whatCounts = [
  ['value', 'The measurement counts'],
  ['grade', 'The grade given counts'],
] as const;

function withBound(measured: Measured, at: number, bound: (typeof bounds)[number][0], next: Sourced): Measured {
  const { value, provenance } = next;
  return {
    ...measured,
    bands: measured.bands.map((band, b) => (b === at ? { ...band, [bound]: value, provenance } : band)),
  };
}

const ItemRow = memo(function ItemRow({
  category,
  item,
  standard,
  change,
}: Props & { readonly category: string; readonly item: Item }) {
  const set = (changes: Partial<Item>) => change(inItem(category, item.code, changes));
  return (
    <div className={styles.item} role="group" aria-label={item.name}>
      <LetterEdit label="Letter" value={item.letter} onChange={(letter) => set({ letter })} />
      <TextEdit label="Item" value={item.name} onChange={(name) => set({ name })} width="20rem" />
      <TextField
        select
        size="small"
        label="Grades"
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
      {item.measured && (
        <ChoiceEdit
          label="If measurement and grade differ"
          value={item.measured.counts ?? 'value'}
          choices={whatCounts}
          onChange={(counts) => set({ measured: { ...item.measured!, counts } })}
          width="15rem"
        />
      )}
      <Button
        variant="text"
        aria-label={`Remove ${item.name}`}
        onClick={() => change(withoutItem(category, item.code))}
      >
        Remove
      </Button>
    </div>
  );
});

/** Takes a behaviour of the shared catalogue in, so that drives under different standards go on to compare. */
function AddItem({ category, standard, change }: Props & { readonly category: Category }) {
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
      renderInput={(params) => <TextField {...params} label="Add from the catalogue" />}
      sx={{ maxWidth: '36rem' }}
    />
  );
}
