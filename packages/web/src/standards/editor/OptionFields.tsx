import { t } from '@jasperwren/words/editor';
import { unitOf } from '@jasperwren/words/marking/amounts';
import { itemName } from '@jasperwren/words/marking/names';
import { effective } from '@jasperwren/core/marking/options';
import { setBySchool } from '@jasperwren/core/marking/provenance';
import type { Choice, Setting, StandardOption } from '@jasperwren/core/marking/standard';
import Button from '@mui/material/Button';
import { Rows } from '../../ui/Page';
import { BandFields } from './BandFields';
import { inList, without, type EditProps } from './change';
import styles from './editor.module.css';
import { ChoiceEdit, NumberEdit, SeveralEdit, TextEdit } from './fields';
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

interface SettingProps extends Pick<EditProps, 'standard'> {
  readonly setting: Setting;
  /** Nothing takes it out. */
  readonly onChange: (setting: Setting | undefined) => void;
}

/** What a choice sets: how much a limit allows, which grades a fault type can have, or what its measured values bring. */
function SettingRow({ setting, standard, onChange }: SettingProps) {
  const named = effective(standard);
  const items = standard.categories.flatMap((category) => category.items);
  const item = setting.kind === 'limit' ? undefined : items.find(({ code }) => code === setting.item);
  const limit = setting.kind === 'limit' ? standard.limits.find(({ code }) => code === setting.limit) : undefined;
  return (
    <div className={styles.fields}>
      {setting.kind === 'limit' ? (
        <>
          <ChoiceEdit
            label={t('limit')}
            value={setting.limit}
            choices={standard.limits.map(({ code, name }) => [code, name] as const)}
            onChange={(limit) => onChange({ ...setting, limit })}
          />
          <NumberEdit
            label={t('allowed')}
            unit={limit ? unitOf(limit.measure, 2) : ''}
            value={setBySchool(setting.allowed)}
            onChange={({ value }) => onChange({ ...setting, allowed: value })}
          />
        </>
      ) : (
        <ChoiceEdit
          label={t('faultType')}
          value={setting.item}
          choices={items
            .filter(({ measured }) => setting.kind === 'grades' || measured)
            .map(({ code }) => [code, itemName(named, code)] as const)}
          onChange={(code) => onChange({ ...setting, item: code })}
          width="20rem"
        />
      )}
      {setting.kind === 'grades' && (
        <SeveralEdit
          label={t('grades')}
          value={setting.grades}
          choices={standard.grades.map(({ code, name }) => [code, name] as const)}
          onChange={(grades) => onChange({ ...setting, grades })}
        />
      )}
      {setting.kind === 'bands' && (
        <BandFields
          standard={standard}
          item={item}
          bands={setting.bands}
          unit={item?.measured?.unit ?? ''}
          onChange={(bands) => onChange({ ...setting, bands })}
        />
      )}
      <Button variant="text" onClick={() => onChange(undefined)}>
        {t('remove')}
      </Button>
    </div>
  );
}
