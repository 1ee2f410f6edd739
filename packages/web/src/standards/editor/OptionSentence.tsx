import { itemsOf, withField, without } from '@jasperwren/core/marking/edit/change';
import {
  addChoice,
  inOption,
  newSetting,
  removeChoice,
  renameChoice,
  setSettings,
} from '@jasperwren/core/marking/edit/options';
import type { Choice, Setting, StandardOption } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/editor';
import { t as say } from '@jasperwren/words/editor-sentences';
import { choicesOf } from './choices';
import type { EditProps } from './edit-props';
import styles from './editor.module.css';
import { BandPhrases } from './MeasuredPhrase';
import { More } from './More';
import { ChoicePhrase, SeveralPhrase } from './Chosen';
import { AddPhrase, NumberPhrase, RemovePhrase, TextPhrase } from './Phrase';
import { Sentence } from './Sentence';

const settingKinds: readonly Setting['kind'][] = ['limit', 'grades', 'bands'];

interface Props extends EditProps {
  readonly option: StandardOption;
}

/** A matter on which schools differ: what holds here and why; below it what each choice sets. */
export function OptionSentence({ option, standard, change }: Props) {
  const { code, name, choices, chosen, reason } = option;
  const set = <F extends 'name' | 'chosen' | 'reason'>(field: F, value: string) =>
    change(inOption(code, withField<StandardOption, F>(field, value)));
  return (
    <More
      name={name}
      rest={() => (
        <>
          {choices.map((choice) => (
            <ChoiceSentence key={choice.code} choice={choice} option={option} standard={standard} change={change} />
          ))}
          <AddPhrase
            label={t('addChoice')}
            onAdd={() => change(addChoice(code, t('choiceNth', { nth: choices.length + 1 })))}
          />
        </>
      )}
    >
      {(more) => (
        <p>
          <Sentence
            say={(holes) => say('option', holes)}
            of={{
              name: <TextPhrase label={t('name')} value={name} onChange={(value) => set('name', value)} />,
              chosen: (
                <ChoicePhrase
                  label={name}
                  value={chosen}
                  choices={choices.map((choice) => [choice.code, choice.name] as const)}
                  onChange={(value) => value !== undefined && set('chosen', value)}
                />
              ),
              reason: <TextPhrase label={t('why')} value={reason} onChange={(value) => set('reason', value)} long />,
            }}
          />{' '}
          {more} <RemovePhrase name={name} onRemove={() => change(without('options', code))} />
        </p>
      )}
    </More>
  );
}

function ChoiceSentence({ choice, option, standard, change }: Props & { readonly choice: Choice }) {
  const { sets = [] } = choice;
  const set = (settings: readonly Setting[]) => change(setSettings(option.code, choice.code, settings));
  return (
    <div role="group" aria-label={choice.name}>
      <p>
        <Sentence
          say={(holes) => say('choice', holes)}
          of={{
            name: (
              <TextPhrase
                label={t('choice')}
                value={choice.name}
                onChange={(name) => change(renameChoice(option.code, choice.code, name))}
              />
            ),
            what: sets.length === 0 ? say('setsNothing') : say('setsBelow'),
          }}
        />{' '}
        {settingKinds.map((kind) => {
          const setting = newSetting(standard, kind);
          return (
            setting && (
              <span key={kind}>
                <AddPhrase label={t(`adds-${kind}`)} onAdd={() => set([...sets, setting])} />{' '}
              </span>
            )
          );
        })}
        {option.choices.length > 2 && (
          <RemovePhrase name={choice.name} onRemove={() => change(removeChoice(option.code, choice.code))} />
        )}
      </p>
      <ul className={styles.lines}>
        {sets.map((setting, i) => (
          <li key={i}>
            <SettingSentence setting={setting} standard={standard} onChange={(next) => set(sets.with(i, next))} />{' '}
            <RemovePhrase name={t('settingNth', { nth: i + 1 })} onRemove={() => set(sets.toSpliced(i, 1))} />
          </li>
        ))}
      </ul>
    </div>
  );
}

interface SettingProps extends Pick<EditProps, 'standard'> {
  readonly setting: Setting;
  readonly onChange: (setting: Setting) => void;
}

function SettingSentence({ setting, standard, onChange }: SettingProps) {
  if (setting.kind === 'limit')
    return (
      <Sentence
        say={(holes) => say('setsLimit', holes)}
        of={{
          limit: (
            <ChoicePhrase
              label={t('limit')}
              value={setting.limit}
              choices={standard.limits.map(({ code, name }) => [code, name] as const)}
              onChange={(limit) => limit !== undefined && onChange({ ...setting, limit })}
            />
          ),
          allowed: (
            <NumberPhrase
              label={t('allowed')}
              value={setting.allowed}
              words={String}
              onChange={(allowed) => allowed !== undefined && onChange({ ...setting, allowed })}
            />
          ),
        }}
      />
    );
  const found = itemsOf(standard).find(({ code }) => code === setting.item);
  const measured = new Set(itemsOf(standard).flatMap((item) => (item.measured ? [item.code] : [])));
  const item = (
    <ChoicePhrase
      label={t('faultType')}
      value={setting.item}
      choices={choicesOf('items', standard).filter(([code]) => setting.kind === 'grades' || measured.has(code))}
      onChange={(code) => code !== undefined && onChange({ ...setting, item: code })}
    />
  );
  if (setting.kind === 'grades')
    return (
      <Sentence
        say={(holes) => say('setsGrades', holes)}
        of={{
          item,
          grades: (
            <SeveralPhrase
              label={t('grades')}
              value={setting.grades}
              choices={choicesOf('grades', standard)}
              onChange={(grades) => onChange({ ...setting, grades })}
              none={say('nothingYet')}
            />
          ),
        }}
      />
    );
  return (
    <>
      <Sentence say={(holes) => say('setsBands', holes)} of={{ item }} />
      <BandPhrases
        standard={standard}
        item={found}
        bands={setting.bands}
        unit={found?.measured?.unit ?? ''}
        onChange={(bands) => onChange({ ...setting, bands })}
      />
    </>
  );
}
