import type { endingCauses, sectionKinds } from '@jasperwren/core/drive/event-kinds';
import {
  minutesRequired,
  newStep,
  setEnding,
  setMinutes,
  stepKinds,
  withNewQuestion,
  withNewStep,
  withParts,
} from '@jasperwren/core/marking/edit/before-and-after';
import { atPlace, inList, itemsOf, without } from '@jasperwren/core/marking/edit/change';
import { setLeaving } from '@jasperwren/core/marking/edit/exercises';
import { questionFields, stepFields, type Field } from '@jasperwren/core/marking/edit/fields';
import type { BriefingStep } from '@jasperwren/core/marking/briefing';
import { leavingSteps } from '@jasperwren/core/marking/exercise';
import type { QuestionRule } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/editor';
import { t as say } from '@jasperwren/words/editor-sentences';
import { leavingWords } from '@jasperwren/words/leaving';
import { AddMany } from './AddMany';
import { AddOne } from './AddOne';
import { choicesOf } from './choices';
import type { EditProps } from './edit-props';
import styles from './editor.module.css';
import { FieldPhrase } from './FieldPhrase';
import { OrderedEntries } from './OrderedEntries';
import { More } from './More';
import { ChoicePhrase, SeveralPhrase } from './Chosen';
import { AddPhrase, NumberPhrase, RemovePhrase, TextPhrase } from './Phrase';
import { Noted } from './Problems';
import { Sentence } from './Sentence';
import { useKnown } from './use-known';

/** What happens before and after: the briefing, the questions, what makes a test whole, and how one ends. */
export function AroundPart({ standard, change }: EditProps) {
  const { briefing = [], questions } = standard;
  const known = useKnown();
  return (
    <>
      <OrderedEntries list="briefing" entries={briefing} change={change}>
        {(step) => <StepSentence step={step} standard={standard} change={change} />}
      </OrderedEntries>
      <p className={styles.adds}>
        <AddMany
          label={t('addStep')}
          choices={(known?.knownSteps ?? [])
            .filter(({ name }) => !briefing.some((step) => step.name === name))
            .map(({ name }) => [name, name])}
          onAdd={(names) => known && change((is) => names.reduce((made, name) => known.withKnownStep(name)(made), is))}
        />
        <AddOne
          label={t('addOwnStep')}
          choices={stepKinds.map((kind) => [kind, t(`step-${kind}`)] as const)}
          onAdd={(kind) => change(withNewStep(newStep(kind, t('newStep'), t('whatToCheck'), t('newPart'))))}
        />
      </p>
      <ul className={styles.lines}>
        {questions.map((question, i) => (
          <li key={i} aria-label={question.name}>
            <Noted at={`/questions/${i}`}>
              <QuestionSentence question={question} place={i} standard={standard} change={change} />
            </Noted>
          </li>
        ))}
      </ul>
      {itemsOf(standard).length > 0 && (
        <p>
          <AddPhrase label={t('addQuestion')} onAdd={() => change(withNewQuestion(t('newQuestion')))} />
        </p>
      )}
      <WholeTest standard={standard} change={change} />
      <Endings standard={standard} change={change} />
      {standard.course && <Leaving standard={standard} change={change} />}
    </>
  );
}

function StepSentence({ step, standard, change }: EditProps & { readonly step: BriefingStep }) {
  const onChange = (by: (is: BriefingStep) => BriefingStep) => change(inList('briefing', step.code, by));
  const of = { entry: step, standard, onChange };
  const fields: Readonly<Record<string, Field>> = stepFields[step.kind];
  const field = (name: string, what: string, none?: string) => (
    <FieldPhrase
      field={name as keyof BriefingStep}
      is={fields[name]!}
      label={t('ofNamed', { what, name: step.name })}
      {...(none !== undefined && { none })}
      {...of}
    />
  );
  const remove = <RemovePhrase name={step.name} onRemove={() => change(without('briefing', step.code))} />;
  const sentence = (
    <Sentence
      say={(holes) => say('step', holes)}
      of={{ name: field('name', t('step')), task: field('task', t('task')) }}
    />
  );
  if (step.kind === 'checklist' || step.kind === 'calls')
    return (
      <More
        name={step.name}
        rest={() => <Parts step={step} standard={standard} onChange={(next) => onChange(() => next)} />}
      >
        {(more) => (
          <p>
            {sentence} {say('stepParts', { count: step.parts.length })} {more} {remove}
          </p>
        )}
      </More>
    );
  return (
    <p>
      {sentence}{' '}
      {step.kind === 'eyesight' && (
        <Sentence
          say={(holes) => say('stepPlate', holes)}
          of={{
            distanceM: field('distanceM', t('distance')),
            widePlateM: field('widePlateM', t('widePlate'), say('samePlate')),
          }}
        />
      )}
      {step.kind === 'questions' && (
        <Sentence
          say={(holes) => say('stepAsks', holes)}
          of={{ items: field('items', t('faultTypes'), say('noQuestions')) }}
        />
      )}{' '}
      {remove}
    </p>
  );
}

type StepWithParts = Extract<BriefingStep, { readonly parts: unknown }>;

interface PartsProps extends Pick<EditProps, 'standard'> {
  readonly step: StepWithParts;
  readonly onChange: (step: BriefingStep) => void;
}

function Parts({ step, standard, onChange }: PartsProps) {
  const { parts } = step;
  const set = (next: StepWithParts['parts']) => onChange(withParts(step, next));
  const items = choicesOf('items', standard);
  return (
    <>
      <ol className={styles.lines}>
        {parts.map((part, i) => (
          <li key={i}>
            <Sentence
              say={(holes) => say('part', holes)}
              of={{
                name: (
                  <TextPhrase
                    label={t('part')}
                    value={part.name}
                    onChange={(name) => set(parts.with(i, { ...part, name }))}
                  />
                ),
                item: (
                  <ChoicePhrase
                    label={t('ofNamed', { what: t('missedIs'), name: part.name })}
                    value={part.item}
                    choices={items}
                    none={say('noMark')}
                    onChange={(item) => set(parts.with(i, { name: part.name, ...(item !== undefined && { item }) }))}
                  />
                ),
              }}
            />{' '}
            {parts.length > 1 && <RemovePhrase name={part.name} onRemove={() => set(parts.toSpliced(i, 1))} />}
          </li>
        ))}
      </ol>
      <AddPhrase label={t('addPart')} onAdd={() => set([...parts, { name: t('newPart') }])} />
      {step.kind === 'checklist' && parts.length > 1 && (
        <p>
          <Sentence
            say={(holes) => say('otherOrder', holes)}
            of={{
              otherOrder: (
                <SeveralPhrase
                  label={t('otherOrder')}
                  value={step.otherOrder ?? []}
                  choices={parts.map(({ name }) => [name, name] as const)}
                  asTouched
                  none={say('oneOrder')}
                  onChange={(order) => {
                    const { otherOrder: _, ...rest } = step;
                    onChange(order.length > 0 ? { ...rest, otherOrder: order } : rest);
                  }}
                />
              ),
            }}
          />
        </p>
      )}
    </>
  );
}

function QuestionSentence({
  question,
  place,
  standard,
  change,
}: EditProps & { readonly question: QuestionRule; readonly place: number }) {
  const of = {
    entry: question,
    standard,
    onChange: (by: (is: QuestionRule) => QuestionRule) => change(atPlace('questions', place, by(question))),
  };
  const label = (what: string) => t('ofNamed', { what, name: question.name });
  return (
    <p>
      <Sentence
        say={(holes) => say('question', holes)}
        of={{
          name: <FieldPhrase field="name" is={questionFields.name} label={t('question')} {...of} />,
          kind: <FieldPhrase field="kind" is={questionFields.kind} label={label(t('kind'))} {...of} />,
          item: <FieldPhrase field="item" is={questionFields.item} label={label(t('faultType'))} {...of} />,
          perTest: <FieldPhrase field="perTest" is={questionFields.perTest} label={label(t('inATest'))} {...of} />,
          tries: <FieldPhrase field="tries" is={questionFields.tries} label={label(t('each'))} {...of} />,
        }}
      />{' '}
      <RemovePhrase name={question.name} onRemove={() => change(atPlace('questions', place, undefined))} />
    </p>
  );
}

function WholeTest({ standard, change }: EditProps) {
  const minutes = (section: (typeof sectionKinds)[number] | undefined, label: string) => (
    <NumberPhrase
      label={label}
      value={minutesRequired(standard.requirements, section)?.atLeastMin.value}
      words={(n) => say('min', { n })}
      none={say('noMinutes')}
      onChange={(n) => change(setMinutes(section, n))}
    />
  );
  return (
    <Noted at="/requirements">
      <p>
        <Sentence
          say={(holes) => say('whole', holes)}
          of={{
            driving: minutes(undefined, t('minimumForAResult')),
            directed: minutes('guided', t('minimumGuided')),
            independent: minutes('independent', t('minimumIndependent')),
          }}
        />
      </p>
    </Noted>
  );
}

function Endings({ standard, change }: EditProps) {
  const phrase = (cause: (typeof endingCauses)[number]) => (
    <ChoicePhrase
      label={t(`ended-${cause}`)}
      value={standard.endings?.find((one) => one.cause === cause)?.outcome ?? 'incomplete'}
      choices={(['fail', 'incomplete'] as const).map((one) => [one, say(`outcome-${one}`)] as const)}
      onChange={(outcome) => change(setEnding(cause, outcome))}
    />
  );
  return (
    <p>
      <Sentence
        say={(holes) => say('ended', holes)}
        of={{
          learner: phrase('learner'),
          safety: phrase('safety'),
          car: phrase('car'),
          conditions: phrase('conditions'),
        }}
      />
    </p>
  );
}

function Leaving({ standard, change }: EditProps) {
  const items = choicesOf('items', standard);
  const { order = [], item = items[0]?.[0] } = standard.course?.leaving ?? {};
  return (
    <p>
      <Sentence
        say={(holes) => say('leaving', holes)}
        of={{
          order: (
            <SeveralPhrase
              label={t('leavingTheCar')}
              value={order}
              choices={leavingSteps.map((step) => [step, leavingWords(step)] as const)}
              asTouched
              none={say('leftAnyhow')}
              onChange={(next) => change(setLeaving(next, item))}
            />
          ),
          item: (
            <ChoicePhrase
              label={t('otherwiseIs')}
              value={item}
              choices={items}
              onChange={(next) => change(setLeaving(order, next))}
            />
          ),
        }}
      />
    </p>
  );
}
