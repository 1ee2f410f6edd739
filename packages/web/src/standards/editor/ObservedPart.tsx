import { behaviourCategories, findBehaviour } from '@jasperwren/core/catalogue/catalogue';
import { inList, withField } from '@jasperwren/core/marking/edit/change';
import { categoryFields, itemFields } from '@jasperwren/core/marking/edit/fields';
import {
  inItem,
  withCatalogueArea,
  withItemInExercises,
  withNewCategory,
  withNewItem,
  withoutCategory,
  withoutItem,
} from '@jasperwren/core/marking/edit/items';
import type { Category, Item } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/editor';
import { t as say } from '@jasperwren/words/editor-sentences';
import { memo, useState } from 'react';
import { AddMany } from './AddMany';
import { CatalogueSearch } from './CatalogueSearch';
import { CostPhrases } from './CostPhrases';
import type { EditProps } from './edit-props';
import styles from './editor.module.css';
import { FieldPhrase } from './FieldPhrase';
import { OrderedEntries } from './OrderedEntries';
import { MeasuredPhrase } from './MeasuredPhrase';
import { AddPhrase, RemovePhrase } from './Phrase';
import { Noted } from './Problems';
import { Sentence } from './Sentence';
import { Touch } from './Touch';

/** What is observed: in every exercise alike, then area by area as on the desk. */
export function ObservedPart({ standard, change }: EditProps) {
  const { categories, exercises } = standard;
  return (
    <>
      {exercises.length > 0 && (
        <div role="group" aria-label={t('inEveryExercise')}>
          <CatalogueSearch
            label={t('addToEveryExercise')}
            taken={[]}
            onAdd={(behaviour) =>
              change(
                withItemInExercises(
                  behaviour,
                  exercises.map(({ code }) => code),
                ),
              )
            }
          />
        </div>
      )}
      <Noted at="/categories" itself />
      <OrderedEntries list="categories" entries={categories} change={change}>
        {(category) => <AreaSentence category={category} standard={standard} change={change} />}
      </OrderedEntries>
      <p className={styles.adds}>
        <AddMany
          label={t('addCatalogueAreas')}
          choices={behaviourCategories
            .filter(({ code }) => !categories.some((category) => category.code === code))
            .map(({ code, name }) => [code, name])}
          onAdd={(codes) => change((is) => codes.reduce((made, code) => withCatalogueArea(code)(made), is))}
        />
        <AddPhrase label={t('addArea')} onAdd={() => change(withNewCategory(t('newArea')))} />
      </p>
    </>
  );
}

/** An area with its fault types; one that is touched says more of itself below. */
const AreaSentence = memo(function AreaSentence({
  category,
  standard,
  change,
}: EditProps & { readonly category: Category }) {
  const [open, setOpen] = useState<string>();
  const { code, name, items } = category;
  const of = {
    entry: category,
    standard,
    onChange: (by: (is: Category) => Category) => change(inList('categories', code, by)),
  };
  const own = items[0]?.exercise;
  const exercise = items.every((item) => item.exercise === own) ? own : undefined;
  const opened = items.find((item) => item.code === open);
  return (
    <div role="group" aria-label={t('areaName', { name })}>
      <div className={styles.line}>
        <Sentence
          say={(holes) => say('area', holes)}
          of={{
            letter: <FieldPhrase field="letter" is={categoryFields.letter} label={t('letter')} {...of} />,
            name: <FieldPhrase field="name" is={categoryFields.name} label={t('area')} {...of} />,
          }}
        />
        {': '}
        {items.map((item, i) => (
          <span key={item.code}>
            {i > 0 && ', '}
            <Touch
              kind="phrase"
              expanded={item.code === open}
              onTouch={() => setOpen(item.code === open ? undefined : item.code)}
            >
              {item.name}
            </Touch>
          </span>
        ))}
        {items.length > 0 && '. '}
        <CatalogueSearch
          label={t('addTo', { area: name })}
          short={t('add')}
          taken={items.map(({ behaviour }) => behaviour)}
          onAdd={(behaviour) => change(withNewItem(code, behaviour, exercise))}
        />{' '}
        <RemovePhrase name={name} onRemove={() => change(withoutCategory(code))} />
      </div>
      {opened && <ItemSentence key={opened.code} item={opened} standard={standard} change={change} />}
    </div>
  );
});

function ItemSentence({ item, standard, change }: EditProps & { readonly item: Item }) {
  const { code, name } = item;
  const onChange = (by: (is: Item) => Item) => change(inItem(code, by));
  const of = { entry: item, standard, onChange };
  const label = (what: string) => t('ofNamed', { what, name });
  return (
    <div className={styles.rest} role="group" aria-label={name}>
      <p className="muted">{findBehaviour(item.behaviour)?.explanation}</p>
      <p>
        <Sentence
          say={(holes) => say('item', holes)}
          of={{
            letter: <FieldPhrase field="letter" is={itemFields.letter} label={label(t('letter'))} {...of} />,
            name: <FieldPhrase field="name" is={itemFields.name} label={t('faultType')} {...of} />,
            exercise: (
              <FieldPhrase
                field="exercise"
                is={itemFields.exercise}
                label={label(t('exercise'))}
                none={say('noExercise')}
                {...of}
              />
            ),
            class: (
              <FieldPhrase
                field="class"
                is={itemFields.class}
                label={label(t('class'))}
                none={say('noClass')}
                {...of}
              />
            ),
          }}
        />{' '}
        <Sentence
          say={(holes) => say('itemSteps', holes)}
          of={{
            sequence: (
              <FieldPhrase
                field="sequence"
                is={itemFields.sequence}
                label={label(t('steps'))}
                none={say('noSteps')}
                {...of}
              />
            ),
            sensors: (
              <FieldPhrase
                field="sensors"
                is={itemFields.sensors}
                label={label(t('seenBySensors'))}
                none={say('noSensors')}
                {...of}
              />
            ),
          }}
        />
      </p>
      <p>
        <Sentence
          say={(holes) => say('itemCosts', holes)}
          of={{
            grades: <CostPhrases name={name} items={[item]} standard={standard} change={change} every />,
          }}
        />
      </p>
      <MeasuredPhrase
        standard={standard}
        item={item}
        onChange={(measured) => onChange(withField<Item, 'measured'>('measured', measured))}
      />
      <RemovePhrase name={name} onRemove={() => change(withoutItem(code))} named />
    </div>
  );
}
