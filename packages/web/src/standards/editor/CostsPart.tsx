import { inList, withField } from '@jasperwren/core/marking/edit/change';
import { capFields, gradeFields, headFields } from '@jasperwren/core/marking/edit/fields';
import { withNewClass, withNewGrade, withoutClass, withoutGrade } from '@jasperwren/core/marking/edit/grades';
import { alikeItems, withGrades, type Alike } from '@jasperwren/core/marking/edit/items';
import { withNewCap } from '@jasperwren/core/marking/edit/limits';
import { without } from '@jasperwren/core/marking/edit/change';
import type { Cap, ErrorClass, Grade } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/editor';
import { t as say } from '@jasperwren/words/editor-sentences';
import { Fragment } from 'react';
import { CostPhrases } from './CostPhrases';
import { GradeSign } from '../../ui/GradeSign';
import { AddMany } from './AddMany';
import { choicesOf } from './choices';
import type { EditProps } from './edit-props';
import styles from './editor.module.css';
import { FieldPhrase } from './FieldPhrase';
import { OrderedEntries } from './OrderedEntries';
import { AddPhrase, RemovePhrase, TextPhrase } from './Phrase';
import { Noted } from './Problems';
import { Sentence } from './Sentence';

/** What it costs: the grades, what each fault type can be, classes, and what a cap leaves free. */
export function CostsPart({ standard, change }: EditProps) {
  const { grades, caps, classes = [] } = standard;
  return (
    <>
      <Noted at="/grades" itself />
      <OrderedEntries list="grades" entries={grades} change={change}>
        {(grade) => <GradeSentence grade={grade} standard={standard} change={change} />}
      </OrderedEntries>
      <p className={styles.adds}>
        <AddPhrase
          label={t('addGrade')}
          onAdd={() =>
            change(
              withNewGrade({
                name: t('newGrade'),
                plural: t('newGrades'),
                short: t('new'),
                meaning: t('whatItMeans'),
              }),
            )
          }
        />
      </p>
      <Noted at="/startScore">
        <p>
          <Sentence
            say={(holes) => say('score', holes)}
            of={{
              startScore: (
                <FieldPhrase
                  field="startScore"
                  is={headFields.startScore}
                  entry={standard}
                  standard={standard}
                  label={t('startingScore')}
                  none={say('noScore')}
                  onChange={change}
                />
              ),
            }}
          />
        </p>
      </Noted>
      <ItemCosts standard={standard} change={change} />
      <p>
        <Sentence
          say={(holes) => say('classes', holes)}
          of={{
            classes: (
              <>
                {classes.map((one, i) => (
                  <Fragment key={one.code}>
                    {i > 0 && ', '}
                    <TextPhrase
                      label={t('class')}
                      value={one.name}
                      onChange={(name) =>
                        change(inList('classes', one.code, withField<ErrorClass, 'name'>('name', name)))
                      }
                    />{' '}
                    <RemovePhrase name={one.name} onRemove={() => change(withoutClass(one.code))} />
                  </Fragment>
                ))}{' '}
                <AddPhrase label={t('addClass')} onAdd={() => change(withNewClass(t('newClass')))} />
              </>
            ),
          }}
        />
      </p>
      <ul className={styles.lines}>
        {caps.map((cap, i) => (
          <li key={cap.code} aria-label={t('capCap', { cap: cap.name })}>
            <Noted at={`/caps/${i}`}>
              <CapSentence cap={cap} standard={standard} change={change} />
            </Noted>
          </li>
        ))}
      </ul>
      {standard.categories.some(({ items }) => items.length > 0) && (
        <AddPhrase label={t('addCap')} onAdd={() => change(withNewCap(t('newCap')))} />
      )}
    </>
  );
}

function GradeSentence({ grade, standard, change }: EditProps & { readonly grade: Grade }) {
  const of = {
    entry: grade,
    standard,
    onChange: (by: (is: Grade) => Grade) => change(inList('grades', grade.code, by)),
  };
  const label = (what: string) => t('ofNamed', { what, name: grade.name });
  return (
    <p role="group" aria-label={t('gradeName', { name: grade.name })}>
      <span className={styles.sign}>
        <GradeSign sign={grade.sign} />
      </span>{' '}
      <Sentence
        say={(holes) => say('grade', holes)}
        of={{
          name: <FieldPhrase field="name" is={gradeFields.name} label={t('one')} {...of} />,
          plural: <FieldPhrase field="plural" is={gradeFields.plural} label={label(t('several'))} {...of} />,
          short: <FieldPhrase field="short" is={gradeFields.short} label={label(t('columnHeading'))} {...of} />,
          sign: <FieldPhrase field="sign" is={gradeFields.sign} label={label(t('kind'))} {...of} />,
          points: (
            <FieldPhrase
              field="points"
              is={gradeFields.points}
              label={label(t('worth'))}
              none={say('noPoints')}
              {...of}
            />
          ),
          meaning: <FieldPhrase field="meaning" is={gradeFields.meaning} label={label(t('meaning'))} {...of} />,
        }}
      />{' '}
      {standard.grades.length > 1 && (
        <RemovePhrase name={grade.name} onRemove={() => change(withoutGrade(grade.code))} />
      )}
    </p>
  );
}

/** What fault types cost: those that can have any grade are told together, the others by themselves, alike ones once. */
function ItemCosts({ standard, change }: EditProps) {
  const alike = alikeItems(standard);
  const said = ({ items }: Alike) => items[0]!.grades !== undefined || items[0]!.points !== undefined;
  const codes = ({ items }: Alike) => items.map(({ code }) => code);
  const free = alike.filter((one) => !said(one));
  const named = new Map(choicesOf('items', standard));
  const name = ({ name: own, items }: Alike) => (items.length > 1 ? own : named.get(items[0]!.code)!);
  return (
    <div role="group" aria-label={t('whatFaultsCost')}>
      <ul className={styles.lines}>
        {alike.filter(said).map((one) => {
          const [item] = one.items;
          const of = {
            name: <b>{name(one)}</b>,
            grades: <CostPhrases name={name(one)} items={one.items} standard={standard} change={change} />,
          };
          const count = one.items.length;
          return (
            <li key={item!.code}>
              {count > 1 ? (
                <Sentence say={(holes) => say('costIn', { ...holes, count })} of={of} />
              ) : (
                <Sentence say={(holes) => say('cost', holes)} of={of} />
              )}
            </li>
          );
        })}
      </ul>
      {free.length > 0 && (
        <p>
          {say('restAnyGrade')}{' '}
          {standard.grades.map((grade) => (
            <Fragment key={grade.code}>
              <AddMany
                label={t('makeOnly', { grade: grade.name })}
                choices={free.map((one) => [one.items[0]!.code, name(one)])}
                onAdd={(chosen) => {
                  const groups = free.filter((one) => chosen.includes(one.items[0]!.code));
                  change(withGrades(groups.flatMap(codes), [grade.code]));
                }}
              />{' '}
            </Fragment>
          ))}
        </p>
      )}
    </div>
  );
}

function CapSentence({ cap, standard, change }: EditProps & { readonly cap: Cap }) {
  const of = { entry: cap, standard, onChange: (by: (is: Cap) => Cap) => change(inList('caps', cap.code, by)) };
  const label = (what: string) => t('ofNamed', { what, name: cap.name });
  return (
    <p>
      <Sentence
        say={(holes) => say('cap', holes)}
        of={{
          name: <FieldPhrase field="name" is={capFields.name} label={t('cap')} {...of} />,
          items: <FieldPhrase field="items" is={capFields.items} label={label(t('faultTypes'))} {...of} />,
          grades: <FieldPhrase field="grades" is={capFields.grades} label={label(t('grades'))} {...of} />,
          over: <FieldPhrase field="over" is={capFields.over} label={label(t('appliesTo'))} {...of} />,
          free: (
            <FieldPhrase
              field="free"
              is={capFields.free}
              label={label(t('free'))}
              none={say('noneFree')}
              words={(count) => say('free', { count })}
              {...of}
            />
          ),
          atMost: (
            <FieldPhrase
              field="atMost"
              is={capFields.atMost}
              label={label(t('mostThatCount'))}
              none={say('allCount')}
              words={(count) => say('atMost', { count })}
              {...of}
            />
          ),
        }}
      />{' '}
      <RemovePhrase name={cap.name} onRemove={() => change(without('caps', cap.code))} />
    </p>
  );
}
