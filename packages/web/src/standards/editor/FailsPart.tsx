import { withField } from '@jasperwren/core/marking/edit/change';
import { limitFields } from '@jasperwren/core/marking/edit/fields';
import {
  effectsFor,
  inLimit,
  measureKinds,
  scopesFor,
  withMeasure,
  withNewLimit,
  withoutLimit,
  withScope,
} from '@jasperwren/core/marking/edit/limits';
import { isAllowance } from '@jasperwren/core/marking/edit/exercises';
import { exerciseStepKinds } from '@jasperwren/core/drive/event-kinds';
import { countsMarks } from '@jasperwren/core/marking/rules';
import type { Limit, LimitEffect, LimitMeasure, LimitScope, Standard } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/editor';
import { t as say } from '@jasperwren/words/editor-sentences';
import { choicesOf, setByOption } from './choices';
import type { EditProps } from './edit-props';
import styles from './editor.module.css';
import { FieldPhrase } from './FieldPhrase';
import { More } from './More';
import { OptionSentence } from './OptionSentence';
import { withNewOption } from '@jasperwren/core/marking/edit/options';
import { ChoicePhrase, SeveralPhrase, type ChoiceOf } from './Chosen';
import { AddPhrase, RemovePhrase, SourcedPhrase } from './Phrase';
import { Noted, useAnyWrong } from './Problems';
import { Sentence } from './Sentence';

/** What fails: a sentence a limit, then the matters on which schools differ and what each choice sets. */
export function FailsPart({ standard, change }: EditProps) {
  const { limits } = standard;
  const allowances = limits.filter(isAllowance);
  const others = limits.filter((limit) => !isAllowance(limit));
  const anyWrong = useAnyWrong(allowances.map((limit) => `/limits/${limits.indexOf(limit)}`));
  return (
    <>
      <Noted at="/limits" itself />
      <Limits of={others} standard={standard} change={change} />
      {allowances.length > 0 && (
        <More
          name={t('limitsOfExercises')}
          rest={() => <Limits of={allowances} standard={standard} change={change} />}
          always={anyWrong}
        >
          {(more) => (
            <p>
              {say('ofExercises', { count: allowances.length })} {more}
            </p>
          )}
        </More>
      )}
      <p className={styles.adds}>
        <AddPhrase label={t('addLimit')} onAdd={() => change(withNewLimit(t('newLimitN', { n: others.length + 1 })))} />
        <AddPhrase
          label={t('addOption')}
          onAdd={() =>
            change(
              withNewOption({ name: t('newOption'), reason: t('whyThisChoice') }, [
                t('choiceNth', { nth: 1 }),
                t('choiceNth', { nth: 2 }),
              ]),
            )
          }
        />
      </p>
      {standard.options.map((option, i) => (
        <div key={option.code} role="group" aria-label={option.name}>
          <Noted at={`/options/${i}`}>
            <OptionSentence option={option} standard={standard} change={change} />
          </Noted>
        </div>
      ))}
    </>
  );
}

function Limits({ of, standard, change }: EditProps & { readonly of: readonly Limit[] }) {
  return (
    <ul className={styles.lines}>
      {of.map((limit) => (
        <li key={limit.code} aria-label={t('limitLimit', { limit: limit.name })}>
          <Noted at={`/limits/${standard.limits.indexOf(limit)}`}>
            <LimitSentence limit={limit} standard={standard} change={change} />
          </Noted>
        </li>
      ))}
    </ul>
  );
}

/** A step of an exercise is a measure of its own here: movements, shunts, corrections, looks. */
type MeasureWord = Exclude<LimitMeasure['kind'], 'steps'> | (typeof exerciseStepKinds)[number];
const measureWords: readonly MeasureWord[] = [...measureKinds.filter((kind) => kind !== 'steps'), ...exerciseStepKinds];
const isStep = (word: MeasureWord): word is (typeof exerciseStepKinds)[number] =>
  exerciseStepKinds.some((kind) => kind === word);

/** Choices that are more than a word, found again by their text. */
const keyed = <T,>(entries: readonly (readonly [value: T, words: string])[]) => ({
  choices: entries.map(([value, words]): ChoiceOf<string> => [JSON.stringify(value), words]),
  read: (key: string | undefined): T | undefined => (key === undefined ? undefined : (JSON.parse(key) as T)),
});

function scopeChoices(standard: Standard, measure: LimitMeasure) {
  const kinds = scopesFor(measure);
  const each = kinds
    .filter((kind) => kind !== 'class' || (standard.classes ?? []).length > 0)
    .filter((kind) => kind !== 'exercise' || standard.exercises.length > 0)
    .map((kind): readonly [LimitScope, string] => [{ kind }, say(`scope-${kind}`)]);
  const named = (kind: LimitScope['kind'], source: 'exercises' | 'classes' | 'items') =>
    kinds.includes(kind)
      ? choicesOf(source, standard).map(([code, name]): readonly [LimitScope, string] => [
          { kind, [kind]: code },
          kind === 'item' ? say('ofNamed', { name }) : say('inNamed', { name }),
        ])
      : [];
  const areas = kinds.includes('category')
    ? standard.categories.map(({ code, name }): readonly [LimitScope, string] => [
        { kind: 'category', category: code },
        say('inNamed', { name }),
      ])
    : [];
  return keyed([
    ...each,
    ...named('exercise', 'exercises'),
    ...areas,
    ...named('class', 'classes'),
    ...named('item', 'items'),
  ]);
}

function effectChoices(standard: Standard, { measure, scope }: Limit) {
  return keyed(
    effectsFor(measure, scope.kind).flatMap((kind): readonly (readonly [LimitEffect, string])[] => {
      if (kind !== 'ask-upgrade' && kind !== 'upgrade') return [[{ kind }, say(`effect-${kind}`)]];
      return standard.grades.map(({ code, name }) => [
        { kind, grade: code },
        say(kind === 'upgrade' ? 'upgrade' : 'askUpgrade', { grade: name }),
      ]);
    }),
  );
}

function LimitSentence({ limit, standard, change }: EditProps & { readonly limit: Limit }) {
  const { measure, scope, effect, code } = limit;
  const set = (by: (is: Limit) => Limit) => change(inLimit(code, by));
  const label = (what: string) => t('ofNamed', { what, name: limit.name });
  const byOption = setByOption(standard, code);
  const scopes = scopeChoices(standard, measure);
  const effects = effectChoices(standard, limit);
  const word: MeasureWord = measure.kind === 'steps' ? measure.step : measure.kind;
  const of = {
    name: (
      <FieldPhrase
        field="name"
        is={limitFields.name}
        entry={limit}
        standard={standard}
        label={t('limit')}
        onChange={set}
      />
    ),
    allowed:
      byOption !== undefined ? (
        <b>{say('byOption', { n: byOption })}</b>
      ) : (
        <SourcedPhrase
          label={label(t('allowed'))}
          value={limit.allowed}
          words={String}
          onChange={(allowed) => allowed && set(withField<Limit, 'allowed'>('allowed', allowed))}
        />
      ),
    measure: (
      <ChoicePhrase
        label={label(t('whatCounts'))}
        value={word}
        choices={measureWords.map((one) => [one, say(`measure-${one}`)] as const)}
        onChange={(next) => {
          if (next === undefined) return;
          if (isStep(next))
            set((is) => ({ ...withMeasure(is, 'steps', standard), measure: { kind: 'steps', step: next } }));
          else set((is) => withMeasure(is, next, standard));
        }}
      />
    ),
    scope: (
      <ChoicePhrase
        label={label(t('appliesTo'))}
        value={JSON.stringify(scope)}
        choices={scopes.choices}
        onChange={(key) => {
          const next = scopes.read(key);
          if (next) set((is) => withScope(is, next, standard));
        }}
      />
    ),
    effect: (
      <ChoicePhrase
        label={label(t('whenExceeded'))}
        value={JSON.stringify(effect)}
        choices={effects.choices}
        onChange={(key) => {
          const next = effects.read(key);
          if (next) set(withField<Limit, 'effect'>('effect', next));
        }}
      />
    ),
  };
  const remove = <RemovePhrase name={limit.name} onRemove={() => change(withoutLimit(code))} />;
  if (!countsMarks(measure))
    return (
      <p>
        <Sentence say={(holes) => say('limitOfOther', holes)} of={of} /> {remove}
      </p>
    );
  const setMeasure = (next: LimitMeasure) => set(withField<Limit, 'measure'>('measure', next));
  return (
    <p>
      <Sentence
        say={(holes) => say('limitOfMarks', holes)}
        of={{
          ...of,
          grades: (
            <SeveralPhrase
              label={label(t('gradesCounted'))}
              value={measure.grades}
              choices={choicesOf('grades', standard)}
              onChange={(grades) => setMeasure({ ...measure, grades })}
              none={say('nothingYet')}
            />
          ),
          items: (
            <SeveralPhrase
              label={label(t('faultTypes'))}
              value={measure.items ?? []}
              choices={choicesOf('items', standard)}
              onChange={(items) => setMeasure(withField<typeof measure, 'items'>('items', items)(measure))}
              none={say('anyItem')}
            />
          ),
        }}
      />{' '}
      {remove}
    </p>
  );
}
