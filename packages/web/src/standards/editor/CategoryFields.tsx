import { t } from '@jasperwren/words/editor';
import Button from '@mui/material/Button';
import type { Category } from '@jasperwren/core/marking/standard';
import { useState } from 'react';
import { Rows } from '../../ui/Page';
import { Sortable, SortableRow } from '../../ui/Sortable';
import { inCategory, moveCategory, withNewCategory, withoutItem, type EditProps } from './change';
import styles from './editor.module.css';
import { LetterEdit, TextEdit } from './fields';
import { ItemRow, AddItem } from './ItemFields';

/** The categories in the order of the desk: dragged, renamed, and opened for their items. */
export function CategoryFields({ standard, change }: EditProps) {
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
        {t('addArea')}
      </Button>
    </>
  );
}

function CategoryRow({ category, standard, change }: EditProps & { readonly category: Category }) {
  const [open, setOpen] = useState(false);
  const { code, name, letter, items } = category;
  const set = (changes: Partial<Category>) => change(inCategory(code, (is) => ({ ...is, ...changes })));
  return (
    <SortableRow id={code} className={styles.category} grip={t('moveName', { name })}>
      {(grip) => (
        <>
          <div className={styles.categoryHead}>
            {grip}
            <LetterEdit label={t('letter')} value={letter} onChange={(value) => set({ letter: value })} />
            <TextEdit label={t('area')} value={name} onChange={(value) => set({ name: value })} width="18rem" />
            <Button variant="text" aria-expanded={open} onClick={() => setOpen(!open)}>
              {open ? t('close') : t('countFaultTypesOfName', { count: items.length, name })}
            </Button>
            {open && (
              <Button
                variant="text"
                onClick={() => {
                  change((is) => items.reduce((kept, item) => withoutItem(code, item.code)(kept), is));
                  change((is) => ({ ...is, categories: is.categories.filter((c) => c.code !== code) }));
                }}
              >
                {t('removeArea')}
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
        </>
      )}
    </SortableRow>
  );
}
