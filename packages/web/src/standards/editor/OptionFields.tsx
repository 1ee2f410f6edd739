import { t } from '@jasperwren/words/editor';
import type { Choice, Setting, StandardOption } from '@jasperwren/core/marking/standard';
import Button from '@mui/material/Button';
import { Rows } from '../../ui/Page';
import { inList, without, type EditProps } from './change';
import styles from './editor.module.css';
import { SettingRow } from './SettingRow';
import { ChoiceEdit, TextEdit } from './fields';
import { addChoice, changeChoice, newSetting, removeChoice, setSettings, withNewOption } from './option-change';

/** What practitioners disagree on: one choice each, with the school's reason, and what each choice sets. */
export function OptionFields({ standard, change }: EditProps) {
  return (
    <>
      <Rows>
        {standard.options.map((option) => (
          <li key={option.code} aria-label={option.name}>
            <div className={styles.fields}>
              <ChoiceEdit
                label={option.name}
                value={option.chosen}
                choices={option.choices.map((choice) => [choice.code, choice.name] as const)}
                onChange={(value) => change(inList('options', option.code, { chosen: value }))}
                width="24rem"
              />
              <div className={styles.wide}>
                <TextEdit
                  label={t('why')}
                  value={option.reason}
                  onChange={(value) => change(inList('options', option.code, { reason: value }))}
                  multiline
                />
              </div>
            </div>
            <details>
              <summary>{t('choicesAndWhatTheySet')}</summary>
              <OptionChoices option={option} standard={standard} change={change} />
            </details>
          </li>
        ))}
      </Rows>
      <Button variant="outlined" onClick={() => change(withNewOption)}>
        {t('addOption')}
      </Button>
    </>
  );
}

interface OptionProps extends EditProps {
  readonly option: StandardOption;
}

function OptionChoices({ option, standard, change }: OptionProps) {
  const { code, name, choices } = option;
  return (
    <>
      <div className={styles.fields}>
        <TextEdit
          label={t('name')}
          value={name}
          onChange={(value) => change(inList('options', code, { name: value }))}
          width="24rem"
        />
        <Button variant="text" aria-label={t('removeName', { name })} onClick={() => change(without('options', code))}>
          {t('remove')}
        </Button>
      </div>
      {choices.map((choice) => (
        <ChoiceRow key={choice.code} choice={choice} option={option} standard={standard} change={change} />
      ))}
      <Button variant="text" onClick={() => change(addChoice(code))}>
        {t('addChoice')}
      </Button>
    </>
  );
}

function ChoiceRow({ choice, option, standard, change }: OptionProps & { readonly choice: Choice }) {
  const { sets = [] } = choice;
  const set = (settings: readonly Setting[]) => change(setSettings(option.code, choice.code, settings));
  const add = (kind: Setting['kind']) => {
    const setting = newSetting(standard, kind);
    if (setting) set([...sets, setting]);
  };
  return (
    <div role="group" aria-label={choice.name} className={styles.choice}>
      <div className={styles.fields}>
        <TextEdit
          label={t('choice')}
          value={choice.name}
          onChange={(name) => change(changeChoice(option.code, choice.code, { name }))}
          width="20rem"
        />
        {option.choices.length > 2 && (
          <Button
            variant="text"
            aria-label={t('removeName', { name: choice.name })}
            onClick={() => change(removeChoice(option.code, choice.code))}
          >
            {t('remove')}
          </Button>
        )}
        <Button variant="outlined" onClick={() => add('limit')}>
          {t('setsALimit')}
        </Button>
        <Button variant="outlined" onClick={() => add('grades')}>
          {t('setsGrades')}
        </Button>
        {newSetting(standard, 'bands') && (
          <Button variant="outlined" onClick={() => add('bands')}>
            {t('setsBands')}
          </Button>
        )}
      </div>
      {sets.map((setting, i) => (
        <SettingRow
          key={i}
          setting={setting}
          standard={standard}
          onChange={(next) => set(next ? sets.with(i, next) : sets.toSpliced(i, 1))}
        />
      ))}
    </div>
  );
}
