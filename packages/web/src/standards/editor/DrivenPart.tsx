import { inList, itemsOf, withField } from '@jasperwren/core/marking/edit/change';
import {
  addLook,
  addLookEverywhere,
  allowanceOf,
  changeLook,
  removeLook,
  setAllowance,
  setCourse,
  setRequired,
  withNewExercise,
  withoutExercise,
  type AllowanceKind,
} from '@jasperwren/core/marking/edit/exercises';
import { exerciseFields, headFields } from '@jasperwren/core/marking/edit/fields';
import { bySchool } from '@jasperwren/core/marking/provenance';
import type { Exercise } from '@jasperwren/core/marking/exercise';
import type { Standard } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/editor';
import { t as say } from '@jasperwren/words/editor-sentences';
import { AddMany } from './AddMany';
import { choicesOf } from './choices';
import type { EditProps } from './edit-props';
import styles from './editor.module.css';
import { FieldPhrase } from './FieldPhrase';
import { OrderedEntries } from './OrderedEntries';
import { More } from './More';
import { AddPhrase, ChoicePhrase, NumberPhrase, RemovePhrase, SourcedPhrase, TextPhrase } from './Phrase';
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

const allowanceNames = {
  attempts: (exercise: string) => t('attemptsAt', { exercise: exercise.toLowerCase() }),
  failedAttempts: (exercise: string) => t('failedAttemptsAt', { exercise: exercise.toLowerCase() }),
  movements: (exercise: string) => t('movementsOf', { exercise: exercise.toLowerCase() }),
  time: (exercise: string) => t('timeOf', { exercise: exercise.toLowerCase() }),
};

const allowanceWords: Readonly<
  Record<AllowanceKind, { readonly words: (n: number) => string; readonly none: string; readonly label: string }>
> = {
  attempts: { words: (count) => say('attempts', { count }), none: say('anyAttempts'), label: t('attempts') },
  movements: { words: (count) => say('movements', { count }), none: say('anyMovements'), label: t('movements') },
  time: { words: (n) => say('inSeconds', { n }), none: say('noClock'), label: t('clock') },
};

interface AllowancesProps {
  readonly label: (what: string) => string;
  readonly valueOf: (kind: AllowanceKind) => number | undefined;
  readonly onChange: (kind: AllowanceKind, value: number | undefined) => void;
  readonly required: boolean;
  readonly onRequire: (required: boolean) => void;
  /** What stands where the exercises differ. */
  readonly differ?: (kind: AllowanceKind) => string | undefined;
}

/** What an exercise, or every one, allows: a phrase each. */
function allowancePhrases({ label, valueOf, onChange, required, onRequire, differ }: AllowancesProps) {
  const phrase = (kind: AllowanceKind) => (
    <NumberPhrase
      {...allowanceWords[kind]}
      none={differ?.(kind) ?? allowanceWords[kind].none}
      label={label(allowanceWords[kind].label)}
      value={valueOf(kind)}
      onChange={(value) => onChange(kind, value)}
    />
  );
  return {
    attempts: phrase('attempts'),
    movements: phrase('movements'),
    time: phrase('time'),
    required: (
      <ChoicePhrase
        label={label(t('forAWholeTest'))}
        value={required ? 'required' : 'notRequired'}
        choices={(['required', 'notRequired'] as const).map((one) => [one, say(one)] as const)}
        onChange={(one) => onRequire(one === 'required')}
      />
    ),
  };
}

const isRequired = (standard: Standard, code: string) =>
  standard.requirements.some((one) => one.kind === 'exercise' && one.exercise === code);

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
          onChange: (kind, value) => all((code) => setAllowance(code, kind, value, allowanceNames)),
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

interface ExerciseProps extends EditProps {
  readonly exercise: Exercise;
}

function ExerciseSentence({ exercise, standard, change }: ExerciseProps) {
  const { code, name } = exercise;
  const of = {
    entry: exercise,
    standard,
    onChange: (by: (is: Exercise) => Exercise) => change(inList('exercises', code, by)),
  };
  const label = (what: string) => t('ofNamed', { what, name });
  return (
    <div role="group" aria-label={name}>
      <More name={name} rest={() => <ExerciseRest exercise={exercise} standard={standard} change={change} />}>
        {(more) => (
          <p>
            <Sentence
              say={(holes) => say('exercise', holes)}
              of={{
                name: <FieldPhrase field="name" is={exerciseFields.name} label={t('exercise')} {...of} />,
                task: (
                  <FieldPhrase
                    field="task"
                    is={exerciseFields.task}
                    label={label(t('task'))}
                    none={say('noTask')}
                    {...of}
                  />
                ),
                ...allowancePhrases({
                  label,
                  valueOf: (kind) => allowanceOf(standard, code, kind)?.allowed.value,
                  onChange: (kind, value) => change(setAllowance(code, kind, value, allowanceNames)),
                  required: isRequired(standard, code),
                  onRequire: (required) => change(setRequired(code, required)),
                }),
              }}
            />{' '}
            {more} <RemovePhrase name={name} onRemove={() => change(withoutExercise(code))} />
          </p>
        )}
      </More>
    </div>
  );
}

/** What is seldom changed of an exercise: how it is read aloud, driven, timed and looked at. */
function ExerciseRest({ exercise, standard, change }: ExerciseProps) {
  const { code, usual, looks = [], name } = exercise;
  const onChange = (by: (is: Exercise) => Exercise) => change(inList('exercises', code, by));
  const of = { entry: exercise, standard, onChange };
  const label = (what: string) => t('ofNamed', { what, name });
  const setUsual = (fromS: number | undefined, toS: number | undefined) =>
    onChange(
      withField<Exercise, 'usual'>(
        'usual',
        fromS === undefined || toS === undefined
          ? undefined
          : { fromS, toS: Math.max(fromS, toS), provenance: bySchool },
      ),
    );
  const usualPhrase = usual ? (
    <Sentence
      say={(holes) => say('usualTime', holes)}
      of={{
        from: (
          <NumberPhrase
            label={label(t('usuallyFrom'))}
            value={usual.fromS}
            words={(n) => say('usualFrom', { n })}
            none={say('noUsual')}
            onChange={(from) => setUsual(from, usual.toS)}
          />
        ),
        to: (
          <NumberPhrase
            label={label(t('usuallyTo'))}
            value={usual.toS}
            words={(n) => say('usualTo', { n })}
            onChange={(to) => setUsual(usual.fromS, to)}
          />
        ),
      }}
    />
  ) : (
    <NumberPhrase
      label={label(t('usuallyFrom'))}
      value={undefined}
      words={(n) => say('usualFrom', { n })}
      none={say('noUsual')}
      onChange={(from) => setUsual(from, from)}
    />
  );
  const items = choicesOf('items', standard);
  const [firstItem] = itemsOf(standard).filter((item) => item.exercise === code);
  return (
    <>
      <p>
        <Sentence
          say={(holes) => say('exerciseReads', holes)}
          of={{
            script: (
              <FieldPhrase
                field="script"
                is={exerciseFields.script}
                label={label(t('script'))}
                none={say('nothingRead')}
                {...of}
              />
            ),
          }}
        />
      </p>
      <p>
        <Sentence
          say={(holes) => say('exerciseDoes', holes)}
          of={{
            manoeuvre: (
              <FieldPhrase
                field="manoeuvre"
                is={exerciseFields.manoeuvre}
                label={label(t('manoeuvre'))}
                none={say('anyManoeuvre')}
                {...of}
              />
            ),
            side: (
              <FieldPhrase
                field="side"
                is={exerciseFields.side}
                label={label(t('side'))}
                none={say('noSide')}
                {...of}
              />
            ),
            usual: usualPhrase,
          }}
        />{' '}
        <Sentence
          say={(holes) => say('exerciseClock', holes)}
          of={{
            startsAt: (
              <FieldPhrase
                field="startsAt"
                is={exerciseFields.startsAt}
                label={label(t('startsAt'))}
                none={say('noTrigger')}
                {...of}
              />
            ),
            clockStarts: (
              <FieldPhrase
                field="clockStarts"
                is={exerciseFields.clockStarts}
                label={label(t('timedFrom'))}
                none={say('noClockWords')}
                {...of}
              />
            ),
            endsWhen: (
              <FieldPhrase
                field="endsWhen"
                is={exerciseFields.endsWhen}
                label={label(t('endsWhen'))}
                none={say('noEnd')}
                {...of}
              />
            ),
          }}
        />
      </p>
      <p>
        <Sentence
          say={(holes) => say('exerciseBrings', holes)}
          of={{
            items: (
              <FieldPhrase
                field="items"
                is={exerciseFields.items}
                label={label(t('faultTypes'))}
                none={say('nothingElse')}
                {...of}
              />
            ),
            next: (
              <FieldPhrase
                field="next"
                is={exerciseFields.next}
                label={label(t('comesNext'))}
                none={say('nextInList')}
                {...of}
              />
            ),
          }}
        />
      </p>
      <ul className={styles.lines}>
        {looks.map((look) => (
          <li key={look.code} aria-label={look.name}>
            <Sentence
              say={(holes) => say('look', holes)}
              of={{
                name: (
                  <TextPhrase
                    label={t('look')}
                    value={look.name}
                    onChange={(words) => change(changeLook(code, look.code, { name: words }))}
                  />
                ),
                item: (
                  <ChoicePhrase
                    label={t('missedIs')}
                    value={look.item}
                    choices={items}
                    onChange={(item) => item !== undefined && change(changeLook(code, look.code, { item }))}
                  />
                ),
              }}
            />{' '}
            <RemovePhrase name={look.name} onRemove={() => change(removeLook(code, look.code))} />
          </li>
        ))}
      </ul>
      {items.length > 0 && (
        <AddPhrase
          label={t('addLook')}
          onAdd={() => change(addLook(code, t('newLook'), firstItem?.code ?? items[0]![0]))}
        />
      )}
    </>
  );
}
