import type { Item, Standard } from '@jasperwren/core/marking/standard';
import { clockTriggers, manoeuvres, type Exercise } from '@jasperwren/core/marking/exercise';
import { t } from '@jasperwren/words/editor';
import Button from '@mui/material/Button';
import type { EditProps } from './change';
import { addLook, changeLook, removeLook, setField } from './course-change';
import styles from './editor.module.css';
import { ChoiceEdit, SeveralEdit, TextEdit } from './fields';

const none = '-';
type OrNone<T extends string> = T | typeof none;
const chosen = <T extends string>(value: OrNone<T>): T | undefined => (value === none ? undefined : value);

/** The fault types of a standard, in their order. */
export const itemsOf = (standard: Standard): readonly Item[] => standard.categories.flatMap(({ items }) => items);

/** One exercise of a course: when its clock starts, what is read aloud, which looks are asked for. */
export function CourseExercise({ exercise, standard, change }: EditProps & { readonly exercise: Exercise }) {
  const { code, script = '', endsWhen = '', clockStarts = '', looks = [] } = exercise;
  const own = itemsOf(standard).filter((item) => item.exercise === code);
  const choices = (own.length > 0 ? own : itemsOf(standard)).map((item) => [item.code, item.name] as const);
  return (
    <div className={styles.fields}>
      <ChoiceEdit<OrNone<(typeof manoeuvres)[number]>>
        label={t('manoeuvre')}
        value={exercise.manoeuvre ?? none}
        choices={[[none, t('notSaid')], ...manoeuvres.map((one) => [one, t(one)] as const)]}
        onChange={(value) => change(setField(code, 'manoeuvre', chosen(value)))}
      />
      <ChoiceEdit<OrNone<'left' | 'right'>>
        label={t('side')}
        value={exercise.side ?? none}
        choices={[
          [none, t('notSaid')],
          ['left', t('left')],
          ['right', t('right')],
        ]}
        onChange={(value) => change(setField(code, 'side', chosen(value)))}
        width="10rem"
      />
      <ChoiceEdit<OrNone<(typeof clockTriggers)[number]>>
        label={t('startsAt')}
        value={exercise.startsAt ?? none}
        choices={[[none, t('notSaid')], ...clockTriggers.map((one) => [one, t(one)] as const)]}
        onChange={(value) => change(setField(code, 'startsAt', chosen(value)))}
        width="16rem"
      />
      <TextEdit
        label={t('timedFrom')}
        value={clockStarts}
        onChange={(value) => change(setField(code, 'clockStarts', value))}
        width="14rem"
        optional
      />
      <TextEdit
        label={t('endsWhen')}
        value={endsWhen}
        onChange={(value) => change(setField(code, 'endsWhen', value))}
        width="18rem"
        optional
      />
      <TextEdit
        label={t('script')}
        value={script}
        onChange={(value) => change(setField(code, 'script', value))}
        multiline
        optional
      />
      <SeveralEdit
        label={t('comesNext')}
        value={exercise.next ?? []}
        choices={standard.exercises
          .filter((other) => other.code !== code)
          .map((other) => [other.code, other.name] as const)}
        onChange={(next) => change(setField(code, 'next', next))}
        optional
      />
      {looks.map((look) => (
        <div key={look.code} className={styles.look} role="group" aria-label={look.name}>
          <TextEdit
            label={t('look')}
            value={look.name}
            onChange={(value) => change(changeLook(code, look.code, { name: value }))}
            width="20rem"
          />
          <ChoiceEdit
            label={t('missedIs')}
            value={look.item}
            choices={choices}
            onChange={(item) => change(changeLook(code, look.code, { item }))}
            width="18rem"
          />
          <Button
            variant="text"
            aria-label={t('removeName', { name: look.name })}
            onClick={() => change(removeLook(code, look.code))}
          >
            {t('remove')}
          </Button>
        </div>
      ))}
      {choices[0] && (
        <Button variant="outlined" onClick={() => change(addLook(code, t('newLook'), choices[0]![0]))}>
          {t('addLook')}
        </Button>
      )}
    </div>
  );
}
