import { inList, itemsOf, withField } from '@jasperwren/core/marking/edit/change';
import {
  addLook,
  allowanceOf,
  changeLook,
  removeLook,
  setRequired,
  withoutExercise,
} from '@jasperwren/core/marking/edit/exercises';
import { exerciseFields } from '@jasperwren/core/marking/edit/fields';
import { bySchool } from '@jasperwren/core/marking/provenance';
import type { Exercise } from '@jasperwren/core/marking/exercise';
import { t } from '@jasperwren/words/editor';
import { t as say } from '@jasperwren/words/editor-sentences';
import { allow, allowancePhrases, isRequired } from './allowances';
import { choicesOf, setByOption } from './choices';
import type { EditProps } from './edit-props';
import styles from './editor.module.css';
import { FieldPhrase } from './FieldPhrase';
import { More } from './More';
import { ChoicePhrase } from './Chosen';
import { AddPhrase, NumberPhrase, RemovePhrase, TextPhrase } from './Phrase';
import { Sentence } from './Sentence';

interface ExerciseProps extends EditProps {
  readonly exercise: Exercise;
}

/** An exercise as a sentence: what is to be done, and what it allows. */
export function ExerciseSentence({ exercise, standard, change }: ExerciseProps) {
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
                  byOption: (kind) => {
                    const limit = allowanceOf(standard, code, kind);
                    return limit && setByOption(standard, limit.code);
                  },
                  onChange: (kind, value) => change(allow(code, kind, value)),
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
