import { itemsOf, withField } from '@jasperwren/core/marking/edit/change';
import {
  addLookEverywhere,
  allowanceOf,
  setCourse,
  setRequired,
  withNewExercise,
  type AllowanceKind,
} from '@jasperwren/core/marking/edit/exercises';
import { headFields } from '@jasperwren/core/marking/edit/fields';
import type { Standard } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/editor';
import { t as say } from '@jasperwren/words/editor-sentences';
import { AddMany } from './AddMany';
import { allow, allowancePhrases, isRequired } from './allowances';
import type { EditProps } from './edit-props';
import styles from './editor.module.css';
import { ExerciseSentence } from './ExerciseSentence';
import { FieldPhrase } from './FieldPhrase';
import { OrderedEntries } from './OrderedEntries';
import { ChoicePhrase } from './Chosen';
import { AddPhrase, SourcedPhrase } from './Phrase';
import { Noted } from './Problems';
import { Sentence } from './Sentence';
import { useKnown } from './use-known';

/** What is driven: the length of the test, its roads, and the exercises with what each allows. */
export function DrivenPart({ standard, change }: EditProps) {
  const { length, exercises } = standard;
  const known = useKnown();
  const head = { entry: standard, standard, onChange: change };
  return (
    <>
      <p>
        <Sentence
          say={(of) => say('called', of)}
          of={{
            name: <FieldPhrase field="name" is={headFields.name} label={t('name')} {...head} />,
            summary: <FieldPhrase field="summary" is={headFields.summary} label={t('inASentence')} {...head} />,
          }}
        />
      </p>
      <Noted at="/length">
        <p>
          <Sentence
            say={(of) => say('length', of)}
            of={{
              totalMin: (
                <SourcedPhrase
                  label={t('wholeTest')}
                  value={length.totalMin}
                  words={(n) => say('min', { n })}
                  onChange={(totalMin) => totalMin && change((is) => ({ ...is, length: { ...is.length, totalMin } }))}
                />
              ),
              independentMin: (
                <SourcedPhrase
                  label={t('independentPart')}
                  value={length.independentMin}
                  words={(n) => say('ofIndependent', { n })}
                  none={say('noIndependent')}
                  onChange={(minutes) =>
                    change((is) => ({
                      ...is,
                      length: withField<Standard['length'], 'independentMin'>('independentMin', minutes)(is.length),
                    }))
                  }
                />
              ),
            }}
          />{' '}
          <Sentence
            say={(of) => say('roads', of)}
            of={{
              trafficSide: (
                <ChoicePhrase
                  label={t('trafficSide')}
                  value={standard.trafficSide}
                  choices={[
                    ['left', say('keepsLeft')],
                    ['right', say('keepsRight')],
                  ]}
                  onChange={(side) => side && change(withField<Standard, 'trafficSide'>('trafficSide', side))}
                />
              ),
              units: <FieldPhrase field="units" is={headFields.units} label={t('units')} {...head} />,
            }}
          />
        </p>
      </Noted>
      <Noted at="/course">
        <p>
          <Sentence
            say={(of) => say('order', of)}
            of={{
              course: (
                <ChoicePhrase
                  label={t('orderOfExercises')}
                  value={standard.course ? 'course' : 'any'}
                  choices={[
                    ['any', say('anyOrder')],
                    ['course', say('inOrder')],
                  ]}
                  onChange={(order) => change(setCourse(order === 'course'))}
                />
              ),
            }}
          />{' '}
          <Sentence
            say={(of) => say('repeat', of)}
            of={{
              retestExtraS: (
                <FieldPhrase
                  field="retestExtraS"
                  is={headFields.retestExtraS}
                  label={t('extraForARepeat')}
                  none={say('noExtra')}
                  words={(n) => say('extra', { n })}
                  {...head}
                />
              ),
            }}
          />
        </p>
      </Noted>
      {exercises.length > 1 && <EveryExercise standard={standard} change={change} />}
      <OrderedEntries list="exercises" entries={exercises} change={change}>
        {(exercise) => <ExerciseSentence exercise={exercise} standard={standard} change={change} />}
      </OrderedEntries>
      <p className={styles.adds}>
        <AddMany
          label={t('addExercise')}
          choices={(known?.knownExercises ?? [])
            .filter(({ name }) => !exercises.some((exercise) => exercise.name === name))
            .map(({ name }) => [name, name])}
          onAdd={(names) => known && change(known.withKnownExercises(names))}
        />
        <AddPhrase
          label={t('addOwnExercise')}
          onAdd={() => change(withNewExercise({ name: t('newExercise'), task: t('whatToDo') }))}
        />
      </p>
    </>
  );
}

/** What all exercises allow alike: said here, it is set for each of them. */
function EveryExercise({ standard, change }: EditProps) {
  const { exercises } = standard;
  const all = (by: (code: string) => ReturnType<typeof setRequired>) =>
    change((is) => exercises.reduce((made, { code }) => by(code)(made), is));
  const valuesOf = (kind: AllowanceKind) =>
    exercises.map(({ code }) => allowanceOf(standard, code, kind)?.allowed.value);
  const isOne = (kind: AllowanceKind) => new Set(valuesOf(kind)).size === 1;
  const looks = [...new Set(itemsOf(standard).flatMap(({ exercise, behaviour }) => (exercise ? [behaviour] : [])))];
  return (
    <p role="group" aria-label={t('everyExercise')}>
      <Sentence
        say={(of) => say('everyExercise', of)}
        of={allowancePhrases({
          label: (what) => t('ofEvery', { what }),
          valueOf: (kind) => (isOne(kind) ? valuesOf(kind)[0] : undefined),
          differ: (kind) => (isOne(kind) ? undefined : say(`differ-${kind}`)),
          onChange: (kind, value) => all((code) => allow(code, kind, value)),
          required: exercises.every(({ code }) => isRequired(standard, code)),
          onRequire: (required) => all((code) => setRequired(code, required)),
        })}
      />{' '}
      {looks.length > 0 && (
        <AddMany
          label={t('addLookToEach')}
          choices={looks.map((behaviour) => {
            const { name } = itemsOf(standard).find((item) => item.exercise && item.behaviour === behaviour)!;
            return [behaviour, name];
          })}
          onAdd={(behaviours) =>
            change((is) => behaviours.reduce((made, one) => addLookEverywhere(t('newLook'), one)(made), is))
          }
        />
      )}
    </p>
  );
}
